/** What goes along with a piece that leaves: each part's layers with their days, what its colours are made of, and when it may be used. Pure. */
import type { FamilyCode } from '@/core/craft/families'
import { getOperation, type LayerKind } from '@/core/craft/operations'
import type { Instant } from '@/core/measure/named'
import type { Journey } from './journey'

export interface LaidLine {
  kind: LayerKind
  colour: string | null
  family: FamilyCode | null
  /** as it was mixed at the bench, else as planned; null: as it came */
  mix: string | null
  on: Instant
}
export interface ColourMade {
  name: string
  hex: string
  /** of a shade what it was mixed of, each with its share */
  parts: { name: string; parts: number }[]
}
export interface Handover {
  parts: { name: string; lines: LaidLine[] }[]
  /** each colour once */
  colours: ColourMade[]
  /** all of it may be used from then on; null where nobody knows */
  usable: Instant | null
  /** an oil went on it: its rags took fire on their own, and may in the client's hands */
  isOiled: boolean
}

export function handoverOf(journey: Pick<Journey, 'parts'>): Handover {
  const colours = new Map<string, ColourMade>()
  let isOiled = false
  const parts = journey.parts.map(({ part, done }) => ({
    name: part.count > 1 ? `${part.count} × ${part.name}` : part.name,
    lines: done.flatMap(({ step, state }): LaidLine[] => {
      const { layer: kind } = getOperation(step.operation)
      if (!kind || state.endedAt === null) return []
      if (kind === 'oil') isOiled = true
      const { colour } = step
      if (colour)
        colours.set(`${colour.name} ${colour.hex}`, { name: colour.name, hex: colour.hex, parts: [...(colour.parts ?? [])] })
      const laid = state.coats.at(-1)?.coat
      return [
        {
          kind,
          colour: colour?.name ?? null,
          family: laid?.family ?? step.family,
          mix: laid?.mix ?? step.mix,
          on: state.endedAt,
        },
      ]
    }),
  }))
  // what stays as it is has no date of its own
  const uses = journey.parts.flatMap(({ use, finishedAt }) => (finishedAt && !use ? [] : [use?.times.opens ?? null]))
  const known = uses.filter((at) => at !== null)
  return {
    parts,
    colours: [...colours.values()],
    usable: known.length === uses.length ? (known.sort().at(-1) ?? null) : null,
    isOiled,
  }
}
