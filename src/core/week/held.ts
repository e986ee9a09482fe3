/** Whether what a painter holds a step to is so in a week: a wish that nobody can keep is given up, and that must be said. Pure. */
import { dayAfter, dayOf } from '@/core/measure/time'
import type { OutlookLine, WeekOutlook } from './ask'
import { grid } from './figures'
import { type Hand, hoursOn, instantAt, type OtherDay } from './hands'
import { lineKey, type Pin } from './place'

/** Whether a step stands where it is held to, to the grid of the week, or is whose it is held to. */
export const keeps = (
  line: Pick<OutlookLine, 'startMs' | 'hand'>,
  { at, personId }: Pin,
  hands: readonly Pick<Hand, 'id'>[],
): boolean => (at === null ? hands[line.hand]?.id === personId : Math.abs(line.startMs - at) < grid * 60_000)

/** Those of the pins whose step is ahead in a week, and stands at another time there or is another's. */
export function notHeld({ lines }: Pick<WeekOutlook, 'lines'>, pins: readonly Pin[], hands: readonly Pick<Hand, 'id'>[]): Pin[] {
  const known = new Map(lines.map((line) => [line.step && lineKey(line.step.id, line.side), line]))
  return pins.filter((pin) => {
    const line = known.get(lineKey(pin.stepId, pin.side))
    return line !== undefined && !keeps(line, pin, hands)
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

/** Whose hours there are: hands, the days that are other than usual, and the zone they are said in. */
interface Hours {
  hands: readonly Pick<Hand, 'id' | 'hours'>[]
  others: readonly OtherDay[]
  zone: string
}
/** Whether anybody works at a moment: what is held to another one can't be kept, whatever the week. */
export function isWorked(ms: number, { hands, others, zone }: Hours): boolean {
  const day = dayOf(new Date(ms).toISOString(), zone)
  // last night's work may go on still
  return [dayAfter(day, -1), day].some((each) =>
    hands.some((hand) => {
      const hours = hoursOn(hand, others, each)
      const at = (minute: number) => Date.parse(instantAt(each, minute, zone))
      return hours !== null && at(hours.from) <= ms && ms < at(hours.to)
    }),
  )
}
