/** What a change that is thought of comes to: the week as it is and as it would be; refused, where what it asks for can't be kept. */
import type { WeekOutlook } from '@/core/week/ask'
import type { Hand } from '@/core/week/hands'
import { lostBy } from '@/core/week/held'
import type { Pin } from '@/core/week/place'
import type { Compared } from './planner.worker'
import type { Thought } from './thoughts'

export interface Weighed {
  now: WeekOutlook
  then: WeekOutlook
  /** what is held now, and would be no more */
  lost: readonly Pin[]
}

/** Null while it is being reckoned. */
export function weighedOf(
  thought: Pick<Thought, 'pins'>,
  answer: Compared | null,
  { pins, hands }: { pins: readonly Pin[]; hands: readonly Hand[] },
): Weighed | 'refused' | null {
  if (!answer) return null
  if (!('outlook' in answer.now) || !('outlook' in answer.then)) return 'refused'
  const weeks = { now: answer.now.outlook, then: answer.then.outlook }
  const { asked, kept } = lostBy(weeks, { before: pins, wished: thought.pins ?? pins }, hands)
  return asked.length > 0 ? 'refused' : { ...weeks, lost: kept }
}
