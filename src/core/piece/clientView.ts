/** A piece as its client sees it: how far it is by plain stages, and when it can be ready. Pure; `nowMs` is an argument. */
import { getOperation, type Stage } from '../craft/operations'
import { isAhead } from '../log/stepStates'
import { dayAfter, dayOf } from '../measure/time'
import { type Around, daysAhead, dryDay } from './daysAhead'
import type { Journey } from './journey'
import { lanesOf } from './lanes'

/** what a client is told of what a painter does */
export const clientStages = ['repair', 'prep', 'prime', 'colour', 'seal', 'finish'] as const
export type ClientStage = (typeof clientStages)[number]
const stageFor: Record<Stage, ClientStage> = {
  intake: 'repair',
  repair: 'repair',
  prep: 'prep',
  prime: 'prime',
  colour: 'colour',
  wear: 'colour',
  seal: 'seal',
  finish: 'finish',
}
export interface ClientStep {
  stage: ClientStage
  state: 'done' | 'now' | 'ahead'
}
/** Each stage that its plans have, in order: behind, being worked at, or ahead. */
export function stagesOf(journey: Pick<Journey, 'parts' | 'whole'>): ClientStep[] {
  const all = lanesOf(journey).flatMap(({ steps, done }) => {
    const here = new Set(steps.map(({ step }) => step.id))
    return [
      // what an earlier plan had is behind all the same
      ...done.filter(({ step }) => !here.has(step.id)).map(({ step }) => ({ step, ahead: false })),
      ...steps.filter(({ state }) => state.status !== 'left-out').map(({ step, state }) => ({ step, ahead: isAhead(state) })),
    ]
  })
  let isNow = true
  return clientStages.flatMap((stage): ClientStep[] => {
    const own = all.filter(({ step }) => stageFor[getOperation(step.operation).stage] === stage)
    if (own.length === 0) return []
    if (own.every(({ ahead }) => !ahead)) return [{ stage, state: 'done' }]
    // one thing at a time: the first that is not behind
    const state = isNow ? 'now' : 'ahead'
    isNow = false
    return [{ stage, state }]
  })
}

export type Ready =
  /** all is done; `from`: when it may be used, where that is known and ahead */
  | { is: 'ready'; from: string | null }
  /** the day it was promised for */
  | { is: 'promised'; day: string; earliest: string | null }
  /** not before this day, if hands come to it at once */
  | { is: 'earliest'; day: string }
  | { is: 'unknown' }

/** When a client can have it: as it was promised, else not before its steps and their drying allow. Days of the studio's zone. */
export function readyOf(journey: Journey, around: Around): Ready {
  const lanes = lanesOf(journey)
  const isPlanned = journey.parts.length > 0 && journey.parts.every(({ part }) => part.plan !== null)
  const isDone = lanes.length > 0 && isPlanned && lanes.every(({ steps }) => steps.every(({ state }) => !isAhead(state)))
  if (isDone) {
    const uses = journey.parts.flatMap(({ use }) => use?.times.opens ?? []).sort()
    const from = uses.at(-1) ?? null
    return { is: 'ready', from: from !== null && Date.parse(from) > around.nowMs ? dayOf(from, around.zone) : null }
  }
  const earliest = isPlanned ? earliestOf(journey, around) : null
  const { promisedOn } = journey.file.piece
  if (promisedOn) return { is: 'promised', day: promisedOn, earliest }
  return earliest === null ? { is: 'unknown' } : { is: 'earliest', day: earliest }
}
function earliestOf(journey: Journey, around: Around): string | null {
  const { slots, stuck } = daysAhead(journey, around)
  if (stuck.length > 0 || slots.length === 0) return null
  const last = Math.max(...slots.map(({ end }) => end))
  return dayAfter(dayOf(new Date(around.nowMs).toISOString(), around.zone), Math.floor((last + dryDay) / 1440))
}
