/**
 * One painter's hours for a piece: when each step of each part is worked, so that nothing is begun whose window closes while
 * nobody works. Minutes since midnight before the first day, at the reference climate; pure and deterministic.
 */
import { getOperation } from '@/core/craft/operations'
import { type PartKind, undersideFirst } from '@/core/craft/parts'
import { filmMinutes } from '@/core/drying/windowFor'
import type { PlannedStep } from '@/core/finish/planFinish'
import type { PartId } from '@/core/measure/named'
import { usualHours, type WorkingHours } from '@/core/measure/workingHours'

export interface Slotted {
  partId: PartId
  /** position in the part's steps */
  index: number
  start: number
  end: number
  /** set-up and cleaning saved, because the step before was alike */
  saved: number
  /** its window can't be kept within the working hours */
  awkward: boolean
}
export interface Timeline {
  slots: Slotted[]
  attendedMinutes: number
  savedMinutes: number
  /** days from the first to the last, both counted */
  days: number
  awkward: number
}
export interface TimedPart {
  id: PartId
  /** says which of two parts that could begin is turned up first */
  kind?: PartKind | undefined
  steps: readonly PlannedStep[]
  /** when its first step may be done; at once unless given */
  readyAt?: number
}

const day = 1440
/** A window that closes sooner than this keeps the painter near. */
const nearMinutes = 8 * 60

const opensAfter = (step: PlannedStep) => Math.ceil((step.window?.opens[1] ?? 0) * filmMinutes[step.film])
const closesAfter = (step: PlannedStep) =>
  step.window?.closes ? Math.floor(step.window.closes[0] * filmMinutes[step.film]) : Infinity

/** The first working minute at or after `at` from which `minutes` fit into the day; a longer step takes a day's start. */
function fitInto(at: number, minutes: number, hours: WorkingHours, weekday: number): number {
  const span = Math.min(minutes, hours.to - hours.from)
  for (let date = Math.floor(at / day); ; date += 1) {
    if (!hours.days.includes((weekday + date) % 7)) continue
    const start = Math.max(at, date * day + hours.from)
    if (start + span <= date * day + hours.to) return start
  }
}

/** Whether a step begun at `start` can be followed up in time, and its follower too. */
function holds(steps: readonly PlannedStep[], index: number, start: number, hours: WorkingHours, weekday: number): boolean {
  const step = steps[index]
  const next = steps[index + 1]
  if (!step || !next) return true
  const end = start + step.minutes
  const closes = closesAfter(step)
  if (closes === Infinity) return true
  const begin = fitInto(end + opensAfter(step), next.minutes, hours, weekday)
  return begin <= end + closes && holds(steps, index + 1, begin, hours, weekday)
}

interface Lane extends Omit<TimedPart, 'readyAt'> {
  next: number
  readyAt: number
  /** when the window it stands in closes */
  closesAt: number
}

const alike = (one: PlannedStep | undefined, other: PlannedStep) =>
  one !== undefined &&
  one.operation === other.operation &&
  one.family === other.family &&
  one.colour?.hex === other.colour?.hex &&
  one.mix === other.mix

/**
 * Lays the steps of every part into one painter's days, beginning at `startAt`. Throws where no day of the week is worked.
 * `weekday` is that of day 0.
 */
export function layOut(
  parts: readonly TimedPart[],
  hours: WorkingHours = usualHours,
  startAt = hours.from,
  weekday = 1,
): Timeline {
  if (hours.days.length === 0 || hours.to <= hours.from) throw new Error('no working hours: choose at least one day and one hour')
  const lanes: Lane[] = parts.map((part) => ({
    ...part,
    next: 0,
    readyAt: Math.max(startAt, part.readyAt ?? startAt),
    closesAt: Infinity,
  }))
  const slots: Slotted[] = []
  let now = startAt
  let before: PlannedStep | undefined
  // a step whose window closes soon keeps a place for its follower
  let kept: Lane | null = null
  for (;;) {
    const open = lanes.filter(({ next, steps }) => next < steps.length)
    if (open.length === 0) break
    const keptStart: number = kept ? fitInto(Math.max(now, kept.readyAt), stepOf(kept).minutes, hours, weekday) : Infinity
    const offers = open.map((lane) => offer(lane, now, before, hours, weekday)).sort(byWorth)
    const fitting = offers.filter(
      ({ lane, start, minutes }) =>
        lane === kept || !kept || (start + minutes <= keptStart && closesAfter(stepOf(lane)) > nearMinutes),
    )
    const keeps = ({ lane, start, minutes }: Offer) =>
      open.every(
        (other) =>
          other === lane ||
          fitInto(Math.max(start + minutes, other.readyAt), stepOf(other).minutes, hours, weekday) <= other.closesAt,
      )
    // what would cost another part its window waits; where something must give, what closes first goes first
    const taken: Offer | undefined = fitting.find(keeps) ?? fitting.sort((a, b) => a.lane.closesAt - b.lane.closesAt)[0]
    if (!taken) throw new Error('no step can be laid into the day')
    const { lane, start, minutes, saved, awkward } = taken
    const step = stepOf(lane)
    slots.push({
      partId: lane.id,
      index: lane.next,
      start,
      end: start + minutes,
      saved,
      awkward: awkward || start > lane.closesAt,
    })
    now = start + minutes
    before = step
    lane.next += 1
    lane.readyAt = now + opensAfter(step)
    lane.closesAt = now + closesAfter(step)
    if (kept === lane) kept = null
    if (closesAfter(step) <= nearMinutes && lane.next < lane.steps.length) kept = lane
  }
  const first = slots[0]?.start ?? startAt
  const last = Math.max(first, ...slots.map(({ end }) => end))
  return {
    slots,
    attendedMinutes: slots.reduce((sum, { start, end }) => sum + end - start, 0),
    savedMinutes: slots.reduce((sum, { saved }) => sum + saved, 0),
    days: slots.length === 0 ? 0 : Math.floor(last / day) - Math.floor(first / day) + 1,
    awkward: slots.filter(({ awkward }) => awkward).length,
  }
}

/** Alike steps of several parts worked in one go: one set-up, one mix, one clean-up. */
export interface SharedWork {
  step: PlannedStep
  partIds: PartId[]
  savedMinutes: number
}

/** What the slots of a timeline share, in the order it is worked. */
export function listShared(slots: readonly Slotted[], parts: readonly TimedPart[]): SharedWork[] {
  const shared: SharedWork[] = []
  slots.forEach(({ partId, index, saved }, k) => {
    const step = parts.find(({ id }) => id === partId)?.steps[index]
    const before = slots[k - 1]
    if (saved === 0 || !step || !before) return
    const group = shared.at(-1)
    // a third alike step joins the two before it
    if (group && (slots[k - 1]?.saved ?? 0) > 0 && alike(group.step, step)) {
      group.partIds.push(partId)
      group.savedMinutes += saved
    } else shared.push({ step, partIds: [before.partId, partId], savedMinutes: saved })
  })
  return shared
}

interface Offer {
  lane: Lane
  start: number
  minutes: number
  saved: number
  awkward: boolean
}
const stepOf = (lane: Lane): PlannedStep => {
  const step = lane.steps[lane.next]
  if (!step) throw new Error(`no step ${lane.next} in part ${lane.id}`)
  return step
}

function offer(lane: Lane, now: number, before: PlannedStep | undefined, hours: WorkingHours, weekday: number): Offer {
  const step = stepOf(lane)
  const at = Math.max(now, lane.readyAt)
  const first = fitInto(at, step.minutes, hours, weekday)
  const tomorrow = fitInto((Math.floor(first / day) + 1) * day, step.minutes, hours, weekday)
  const start = [first, tomorrow].find((each) => holds(lane.steps, lane.next, each, hours, weekday))
  const shared = alike(before, step) && start === now ? Math.min(getOperation(step.operation).overhead, step.minutes - 1) : 0
  return { lane, start: start ?? first, minutes: step.minutes - shared, saved: shared, awkward: start === undefined }
}

const turnOf = ({ kind }: Lane) => (kind === undefined ? 0 : undersideFirst.indexOf(kind))

/** What can begin first; then what shares its set-up; then the underside before the flats; then what dries longest. */
const byWorth = (a: Offer, b: Offer) =>
  a.start - b.start ||
  b.saved - a.saved ||
  turnOf(a.lane) - turnOf(b.lane) ||
  opensAfter(stepOf(b.lane)) - opensAfter(stepOf(a.lane)) ||
  a.lane.id.localeCompare(b.lane.id)
