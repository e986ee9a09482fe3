/** What is left of the mixes that were made up for a piece, and in which colour. Pure. */
import { type Batch, batchesIn } from '@/core/log/batch'
import { isAhead } from '@/core/log/stepStates'
import type { Journey } from './journey'
import { stepsOf } from './work'

export interface Rest {
  batch: Batch
  /** of the steps it was made for; null where they had none */
  colour: { name: string; hex: string } | null
  /** no coat ahead will take from it */
  over: boolean
}

/** Amounts below this stay in the brush. ml or g */
const worthKeeping = 5

/** `batches`: every mix that coats of any piece may have taken from. Newest first. */
export function restsOf(journey: Journey, batches: readonly Batch[]): Rest[] {
  const steps = stepsOf(journey.file)
  const own = new Set(batchesIn([{ log: journey.log, climate: [] }]).map(({ id }) => id))
  const ahead = new Set(
    journey.parts.flatMap((part) => part.steps.flatMap(({ step, state }) => (isAhead(state) ? [step.id] : []))),
  )
  return batches
    .filter(({ id, left }) => own.has(id) && left >= worthKeeping)
    .map((batch) => {
      const made = batch.stepIds.flatMap((id) => steps.get(id) ?? [])
      const colour = made.find((step) => step.colour)?.colour ?? null
      return {
        batch,
        colour: colour && { name: colour.name, hex: colour.hex },
        over: made.every(({ id }) => !ahead.has(id)),
      }
    })
}
