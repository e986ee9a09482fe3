/**
 * One painter's hours for a piece: when each step of each part is worked, so that nothing is begun whose window closes while
 * nobody works. Minutes since midnight before the first day, at the reference climate unless told otherwise; pure
 * and deterministic.
 */
import { getOperation } from '@/core/craft/operations'
import { undersideFirst } from '@/core/craft/parts'
import type { StepWindow } from '@/core/craft/windows'
import { filmMinutes } from '@/core/drying/windowFor'
import type { PlannedStep } from '@/core/finish/step'
import type { Film } from '@/core/measure/film'
import type { PartId } from '@/core/measure/named'
import { dayBegins, usualHours, type WorkingHours } from '@/core/measure/workingHours'
import { type Half, halvesOf } from './halves'
import { isHeld, isOpen, type Lane, leftOf, passOn, soonest, stepOf, type TimedPart } from './lane'

export interface Slotted {
  partId: PartId
  /** position in the part's steps */
  index: number
  /** of a step that is laid on two sides: which */
  side?: 1 | 2
  start: number
  end: number
  /** set-up and cleaning saved, because the step before was alike */
  saved: number
  /** its window can't be kept within the working hours */
  awkward: boolean
  /** its window had closed before the first minute: what mends it comes first */
  missed: boolean
}
export interface Timeline {
  slots: Slotted[]
  /** steps that can't be told a day, for what they wait on stands still in this air */
  stuck: { partId: PartId; index: number }[]
  attendedMinutes: number
  savedMinutes: number
  /** days from the first to the last, both counted */
  days: number
  awkward: number
}
/** What must pass after a step, in minutes: the next may begin then, and must before. */
export interface Wait {
  opens: number
  closes: number
}

const day = 1440
/** A window that closes sooner than this keeps the painter near. */
const nearMinutes = 8 * 60

/** A window as a wait where its clock runs at `speed`: the careful end of each range. It never opens where the clock stands. */
export function waitOf(window: StepWindow | null, film: Film, speed = 1): Wait {
  const [, opens] = window?.opens ?? [0, 0]
  const minutes = filmMinutes[film] / speed
  return {
    opens: opens === 0 ? 0 : Math.ceil(opens * minutes),
    closes: window?.closes ? Math.floor(window.closes[0] * minutes) : Infinity,
  }
}
/** By the label, at the reference air. */
const waitByLabel = ({ window, film }: PlannedStep): Wait => waitOf(window, film)

/** What every slot is reckoned by. */
interface Days {
  hours: WorkingHours
  /** of day 0 */
  weekday: number
  waitAfter: (step: PlannedStep) => Wait
}

/** Which day's work a minute belongs to; after midnight a night's work is still that of the day before. */
const dateOf = (minute: number, hours: WorkingHours) => Math.floor((minute - dayBegins(hours)) / day)

/** The first working minute at or after `at` from which `minutes` fit into the day; a longer step takes a day's start. */
function fitInto(at: number, minutes: number, { hours, weekday }: Days): number {
  if (at === Infinity) return Infinity
  const span = Math.min(minutes, hours.to - hours.from)
  for (let date = dateOf(at, hours); ; date += 1) {
    if (!hours.days.includes((weekday + date + 7) % 7)) continue
    const start = Math.max(at, date * day + hours.from)
    if (start + span <= date * day + hours.to) return start
  }
}

/** Whether a step begun at `start` can be followed up in time, and its follower too. */
function holds(steps: readonly PlannedStep[], index: number, start: number, days: Days): boolean {
  const step = steps[index]
  const next = steps[index + 1]
  if (!step || !next) return true
  const end = start + step.minutes
  const { opens, closes } = days.waitAfter(step)
  if (closes === Infinity) return true
  const begin = fitInto(end + opens, next.minutes, days)
  return begin <= end + closes && holds(steps, index + 1, begin, days)
}

/** Whether two steps share one set-up, one mix, one clean-up. */
export const alike = (one: PlannedStep | undefined, other: PlannedStep) =>
  one !== undefined &&
  one.operation === other.operation &&
  one.family === other.family &&
  one.colour?.hex === other.colour?.hex &&
  one.mix === other.mix

/**
 * Lays the steps of every part into one painter's days, beginning at `startAt`. Throws where no day of the week is worked.
 * `weekday` is that of day 0; `waitAfter` may tell what a step's wait is in the air that is.
 */
export function layOut(
  parts: readonly TimedPart[],
  hours: WorkingHours = usualHours,
  startAt = hours.from,
  weekday = 1,
  waitAfter: (step: PlannedStep) => Wait = waitByLabel,
): Timeline {
  if (hours.days.length === 0 || hours.to <= hours.from) throw new Error('no working hours: choose at least one day and one hour')
  const days: Days = { hours, weekday, waitAfter }
  // where each of them is laid one side after the other
  const sides = new Map(parts.map((part) => [part.id, halvesOf(part.steps, part.firstLaid)]))
  const halfAt = ({ id, next }: Pick<Lane, 'id' | 'next'>) => sides.get(id)?.[next]
  const lanes = parts.map((part): Lane => ({
    ...part,
    steps: leftOf(stepsIn(sides.get(part.id)), part.worked),
    next: 0,
    readyAt: Math.max(startAt, part.readyAt ?? startAt),
    closesAt: part.closesAt ?? Infinity,
  }))
  const slots: Slotted[] = []
  let now = startAt
  let before: PlannedStep | undefined
  // a step whose window closes soon keeps a place for its follower
  let kept: Lane | null = null
  const lay = (lane: Lane, { start, minutes, saved, awkward }: Omit<Offer, 'lane'>) => {
    const step = stepOf(lane)
    const half = halfAt(lane)
    slots.push({
      partId: lane.id,
      index: half?.index ?? lane.next,
      ...(half?.side && { side: half.side }),
      start,
      end: start + minutes,
      saved,
      awkward: awkward || start > lane.closesAt,
      missed: lane.next === 0 && lane.missed === true,
    })
    now = start + minutes
    before = step
    lane.next += 1
    lane.readyAt = now + waitAfter(step).opens
    lane.closesAt = now + waitAfter(step).closes
    passOn(lane, lanes, now)
    if (kept === lane) kept = null
    if (waitAfter(step).closes <= nearMinutes && lane.next < lane.steps.length) kept = lane
  }
  // what is in hand goes on, whatever the hour
  for (const lane of lanes)
    if (lane.worked !== undefined && lane.steps.length > 0)
      lay(lane, { start: now, minutes: stepOf(lane).minutes, saved: 0, awkward: false })
  kept = soonest(lanes.filter((lane) => isOpen(lane) && lane.closesAt - now <= nearMinutes))
  for (;;) {
    const open = lanes.filter((lane) => isOpen(lane) && !isHeld(lane, lanes))
    if (open.length === 0) break
    const keptStart: number = kept ? fitInto(Math.max(now, kept.readyAt), stepOf(kept).minutes, days) : Infinity
    const offers = open.map((lane) => offer(lane, now, before, days)).sort(byWorth(days))
    const fitting = offers.filter(
      ({ lane, start, minutes }) =>
        lane === kept || !kept || (start + minutes <= keptStart && waitAfter(stepOf(lane)).closes > nearMinutes),
    )
    const keeps = ({ lane, start, minutes }: Offer) =>
      open.every(
        (other) =>
          other === lane || fitInto(Math.max(start + minutes, other.readyAt), stepOf(other).minutes, days) <= other.closesAt,
      )
    // what would cost another part its window waits; where something must give, what closes first goes first
    const taken: Offer | undefined = fitting.find(keeps) ?? fitting.sort((a, b) => a.lane.closesAt - b.lane.closesAt)[0]
    if (!taken) throw new Error('no step can be laid into the day')
    lay(taken.lane, taken)
  }
  const first = slots[0]?.start ?? startAt
  const last = Math.max(first, ...slots.map(({ end }) => end))
  return {
    slots,
    stuck: lanes.flatMap(({ id, next, steps }) =>
      next < steps.length ? [{ partId: id, index: halfAt({ id, next })?.index ?? next }] : [],
    ),
    attendedMinutes: slots.reduce((sum, { start, end }) => sum + end - start, 0),
    savedMinutes: slots.reduce((sum, { saved }) => sum + saved, 0),
    days: slots.length === 0 ? 0 : dateOf(last, hours) - dateOf(first, hours) + 1,
    awkward: slots.filter(({ awkward }) => awkward).length,
  }
}

const stepsIn = (halves: readonly Half[] = []): PlannedStep[] => halves.map(({ step }) => step)

interface Offer {
  lane: Lane
  start: number
  minutes: number
  saved: number
  awkward: boolean
}
function offer(lane: Lane, now: number, before: PlannedStep | undefined, days: Days): Offer {
  const step = stepOf(lane)
  const at = Math.max(now, lane.readyAt)
  const first = fitInto(at, step.minutes, days)
  const tomorrow = fitInto((dateOf(first, days.hours) + 1) * day + dayBegins(days.hours), step.minutes, days)
  // where its own window closes before the morning, it is begun today all the same
  const start = [first, tomorrow].find((each) => each <= lane.closesAt && holds(lane.steps, lane.next, each, days))
  const shared = alike(before, step) && start === now ? Math.min(getOperation(step.operation).overhead, step.minutes - 1) : 0
  return { lane, start: start ?? first, minutes: step.minutes - shared, saved: shared, awkward: start === undefined }
}

const turnOf = ({ kind }: Lane) => (kind === undefined ? 0 : undersideFirst.indexOf(kind))

/** What can begin first; then what shares its set-up; then the underside before the flats; then what dries longest. */
const byWorth =
  ({ waitAfter }: Days) =>
  (a: Offer, b: Offer) =>
    a.start - b.start ||
    b.saved - a.saved ||
    turnOf(a.lane) - turnOf(b.lane) ||
    waitAfter(stepOf(b.lane)).opens - waitAfter(stepOf(a.lane)).opens ||
    a.lane.id.localeCompare(b.lane.id)
