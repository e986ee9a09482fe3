/** The week reckoned beside the page. */
import { answerWeek, type WeekAnswer, type WeekAsk } from '@/core/week/ask'
import { type KeptWindow, smallestChange, type Step } from '@/core/week/keep'

export interface Asked {
  number: number
  ask: WeekAsk
  /** its window is missed: what would keep it? */
  keep?: Step
}
export type Told =
  | { number: number; cost: number }
  | { number: number; answer: WeekAnswer }
  | { number: number; found: KeptWindow | null }
  | { number: number; trouble: string }

const scope = self as unknown as { onmessage: (event: MessageEvent<Asked>) => void; postMessage: (told: Told) => void }

scope.onmessage = ({ data: { number, ask, keep } }) => {
  const stopwatch = () => {
    const begun = performance.now()
    return () => performance.now() - begun
  }
  try {
    if (keep) return scope.postMessage({ number, found: smallestChange(ask, keep, stopwatch) })
    const answer = answerWeek(ask, stopwatch(), (cost) => scope.postMessage({ number, cost }))
    scope.postMessage({ number, answer })
  } catch (trouble) {
    scope.postMessage({ number, trouble: String(trouble) })
  }
}
