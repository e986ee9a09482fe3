/** Whether what a painter holds a step to is so in a week: a wish that nobody can keep is given up, and that must be said. Pure. */
import type { WeekOutlook } from './ask'
import type { Hand } from './hands'
import { lineKey, type Pin } from './place'

/** A week's grid: what is held stands within it of the minute that was asked. */
const near = 300_000

/** Those of the pins whose step is ahead in a week, and stands at another time there or is another's. */
export function notHeld({ lines }: Pick<WeekOutlook, 'lines'>, pins: readonly Pin[], hands: readonly Pick<Hand, 'id'>[]): Pin[] {
  const known = new Map(lines.map((line) => [line.step && lineKey(line.step.id, line.side), line]))
  return pins.filter(({ stepId, side, at, personId }) => {
    const line = known.get(lineKey(stepId, side))
    if (!line) return false
    return at === null ? hands[line.hand]?.id !== personId : Math.abs(line.startMs - at) >= near
  })
}

/** Of what a change would hold steps to, what the week would not keep: asked for with it, or held before and kept until now. */
export function lostBy(
  { now, then }: { now: Pick<WeekOutlook, 'lines'>; then: Pick<WeekOutlook, 'lines'> },
  { before, wished }: { before: readonly Pin[]; wished: readonly Pin[] },
  hands: readonly Pick<Hand, 'id'>[],
): { asked: Pin[]; kept: Pin[] } {
  const textOf = ({ stepId, side, at, personId }: Pin) => [stepId, side, at, personId].join(' ')
  const held = new Set(before.map(textOf))
  const lostBefore = new Set(notHeld(now, before, hands).map(textOf))
  const lost = notHeld(then, wished, hands)
  return {
    asked: lost.filter((pin) => !held.has(textOf(pin))),
    kept: lost.filter((pin) => held.has(textOf(pin)) && !lostBefore.has(textOf(pin))),
  }
}
