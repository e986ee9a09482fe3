/** What a change that is thought of comes to: the week as it is and as it would be; refused, where what it asks for can't be kept. */
import type { WeekOutlook } from '@/core/week/ask'
import { isWorked, lostBy } from '@/core/week/held'
import type { Pin } from '@/core/week/place'
import type { WeekAround } from '@/core/week/weekData'
import type { Compared } from './planner.worker'
import type { Thought } from './thoughts'

export interface Weighed {
  now: WeekOutlook
  then: WeekOutlook
  /** what is held now, and would be no more */
  lost: readonly Pin[]
}

type Around = Pick<WeekAround, 'hands' | 'others' | 'zone'> & { pins: readonly Pin[] }

/** Null while it is being reckoned; what is wished for an hour at which nobody works need not be. */
export function weighedOf(
  thought: Pick<Thought, 'pins' | 'supposed'>,
  answer: Compared | null,
  { pins, ...around }: Around,
): Weighed | 'refused' | null {
  const hours = { ...around, others: [...(thought.supposed.others ?? []), ...(thought.supposed.said ?? around.others)] }
  const isNew = ({ stepId, side, at }: Pin) => !pins.some((pin) => pin.stepId === stepId && pin.side === side && pin.at === at)
  if (thought.pins?.some((pin) => pin.at !== null && isNew(pin) && !isWorked(pin.at, hours))) return 'refused'
  if (!answer) return null
  if (!('outlook' in answer.now) || !('outlook' in answer.then)) return 'refused'
  const weeks = { now: answer.now.outlook, then: answer.then.outlook }
  const { asked, kept } = lostBy(weeks, { before: pins, wished: thought.pins ?? pins }, around.hands)
  return asked.length > 0 ? 'refused' : { ...weeks, lost: kept }
}
