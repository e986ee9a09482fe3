/** An article from the front, as boxes to be drawn: mm from the floor's left. Pure. */
import type { ArticleFacts, FrontBox } from './article'
import { foot } from './articleFaces'

export const box = (is: FrontBox['is'], x: number, y: number, width: number, height: number): FrontBox => ({
  is,
  x,
  y,
  width,
  height,
})
export const legPair = (width: number, height: number, thick = 45): FrontBox[] => [
  box('leg', 0, 0, thick, height),
  box('leg', width - thick, 0, thick, height),
]
/** Drawers one over the other between two heights. */
export const stack = (is: 'drawer' | 'shelf', width: number, from: number, to: number, count: number): FrontBox[] =>
  Array.from({ length: count }, (_, k) => {
    const each = (to - from) / count
    return box(is, 24, from + k * each + 6, width - 48, each - 12)
  })
export const leaves = (is: 'door' | 'pane', width: number, from: number, to: number, count: number): FrontBox[] =>
  Array.from({ length: count }, (_, k) => {
    const each = (width - 40) / count
    return box(is, 20 + k * each + 5, from + 8, each - 10, to - from - 16)
  })
export const cased = (facts: ArticleFacts): FrontBox[] => [
  ...legPair(facts.width, foot, 70),
  box('body', 0, foot, facts.width, facts.height - foot - 24),
  box('top', -10, facts.height - 24, facts.width + 20, 24),
]
