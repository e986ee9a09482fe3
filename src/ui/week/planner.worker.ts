/** The week reckoned beside the page. */
import { answerWeek, journeysOf, type WeekAnswer, type WeekAsk } from '@/core/week/ask'
import { type KeptWindow, smallestChange, type Step } from '@/core/week/keep'

export interface Asked {
  number: number
  ask: WeekAsk
  /** its window is missed: what would keep it? */
  keep?: Step
  /** beside the week as it is */
  compare?: boolean
}
/** What is thought of, and the week as it is: both gone on from the same week and looked at as long. */
export interface Compared {
  now: WeekAnswer
  then: WeekAnswer
}
export type Told =
  | { number: number; cost: number }
  | { number: number; answer: WeekAnswer }
  | { number: number; compared: Compared }
  | { number: number; found: KeptWindow | null }
  | { number: number; trouble: string }

const scope = self as unknown as { onmessage: (event: MessageEvent<Asked>) => void; postMessage: (told: Told) => void }

scope.onmessage = ({ data: { number, ask, keep, compare } }) => {
  const stopwatch = () => {
    const begun = performance.now()
    return () => performance.now() - begun
  }
  try {
    if (keep) return scope.postMessage({ number, found: smallestChange(ask, keep, stopwatch) })
    if (compare) {
      const journeys = journeysOf(ask)
      const now = answerWeek({ ...ask, supposed: {}, weeks: 0 }, stopwatch(), { journeys })
      return scope.postMessage({ number, compared: { now, then: answerWeek(ask, stopwatch(), { journeys }) } })
    }
    const answer = answerWeek(ask, stopwatch(), { onBetter: (cost) => scope.postMessage({ number, cost }) })
    scope.postMessage({ number, answer })
  } catch (trouble) {
    scope.postMessage({ number, trouble: String(trouble) })
  }
}
