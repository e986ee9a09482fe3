/**
 * What a week is planned without where nothing can be planned with it: what a step is held to first (that it is worked in one go, where nobody works
 * so long), then windows that nobody can keep, then what its part and its piece are held to, and that they are worked in one go last. Pure.
 */
import { isOfPartOf, losing } from '@/core/schedule/lost'
import { isHeld, type NoSchedule, type WorkshopProblem } from '@/core/schedule/problem'

/** The problem with less of it, where steps found no place; null where nothing is left that could be given up. */
export function givingUp(
  problem: WorkshopProblem,
  { steps: some, isTooLong }: Pick<NoSchedule, 'steps' | 'isTooLong'>,
): WorkshopProblem | null {
  const { steps, lags, painters } = problem
  const pieces = new Set(some.map((k) => steps[k]?.piece))
  const ofPiece = (k: number) => pieces.has(steps[k]?.piece)
  const ofPart = isOfPartOf(problem, some)
  const itself = (k: number) => some.includes(k)
  const letGo = (isHis: (k: number) => boolean) => () =>
    lags.some((lag) => isHeld(lag) && isHis(lag.to)) && { ...problem, lags: lags.filter((lag) => !isHeld(lag) || !isHis(lag.to)) }
  const byAnybody = (isHis: (k: number) => boolean) => () =>
    steps.some((each, k) => isHis(k) && each.painters.length < painters.length) && {
      ...problem,
      steps: steps.map((each, k) => (isHis(k) ? { ...each, painters: painters.map((_, by) => by) } : each)),
    }
  const overBreak = (isHis: (k: number) => boolean) => () =>
    steps.some(({ split }, k) => isHis(k) && !split) && {
      ...problem,
      steps: steps.map((each, k) => (isHis(k) ? { ...each, split: true } : each)),
    }
  const missing = (isHis: (k: number) => boolean) => () => losing(problem, isHis)
  const ways = [
    letGo(itself),
    byAnybody(itself),
    ...(isTooLong ? [overBreak(itself)] : []),
    letGo(ofPart),
    missing(ofPart),
    byAnybody(ofPart),
    letGo(ofPiece),
    missing(ofPiece),
    letGo(() => true),
    missing(() => true),
    byAnybody(() => true),
    overBreak(itself),
    overBreak(ofPiece),
  ]
  for (const way of ways) {
    const less = way()
    if (less) return less
  }
  return null
}
