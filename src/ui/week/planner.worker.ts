/** The week reckoned beside the page. */
import { answerWeek, type WeekAnswer, type WeekAsk } from '@/core/week/ask'

export interface Asked {
  number: number
  ask: WeekAsk
}
export type Told = { number: number; cost: number } | { number: number; answer: WeekAnswer } | { number: number; trouble: string }

const scope = self as unknown as { onmessage: (event: MessageEvent<Asked>) => void; postMessage: (told: Told) => void }

scope.onmessage = ({ data: { number, ask } }) => {
  const begun = performance.now()
  try {
    const answer = answerWeek(
      ask,
      () => performance.now() - begun,
      (cost) => scope.postMessage({ number, cost }),
    )
    scope.postMessage({ number, answer })
  } catch (trouble) {
    scope.postMessage({ number, trouble: String(trouble) })
  }
}
