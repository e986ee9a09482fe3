/**
 * When the window after a step opens and closes: the label's minutes run on a clock whose speed follows the air.
 * Instants are ISO 8601 in UTC; pure. A model, not a measurement: the label, then the studio's own log, win over it.
 */
import type { Film } from '@/core/measure/film'
import type { Instant } from '@/core/measure/named'
import { type Air, type ClockKind, dryingSpeed, referenceAir } from './air'

export interface Reading extends Air {
  at: Instant
}
export type AssistanceKind = 'none' | 'fan' | 'heatGun'
export interface Assistance {
  from: string
  to: string
  kind: AssistanceKind
}
export type Range = readonly [low: number, high: number]

export interface WindowInput {
  /** when the step before ended */
  endedAt: Instant
  kind: ClockKind
  film: Film
  /** the label's minutes at the reference air */
  label: { opens: Range; closes?: Range | undefined }
  /** readings in any order; each holds until the next, the first also before it, the last also after it */
  climate: readonly Reading[]
  assistance: readonly Assistance[]
}

/** Instants on whole minutes; null where the clock never gets there, or the label gives no close. */
export interface DryingWindow {
  /** the earliest it may be open: test before you trust it */
  mayOpen: string | null
  /** the safe opening, shown as *the* opening */
  opens: Instant | null
  /** the safe close */
  closes: Instant | null
  /** from here on it is surely too late */
  lateFrom: string | null
  /** the window closes before it opens: a thinner film, cooler air or another product is needed */
  impossible: boolean
}

/** What a film does to the label's minutes. */
export const filmMinutes: Record<Film, number> = { thin: 0.7, normal: 1, heavy: 2.5 }
/** So many times as fast. */
export const assistanceSpeed: Record<AssistanceKind, number> = { none: 1, fan: 1.5, heatGun: 4 }
const minuteMs = 60_000

interface Stretch {
  fromMs: number
  speed: number
}

interface Moment extends Air {
  ms: number
}
/** A climate is read by many windows: it is parsed and put in order once. */
const inOrder = new WeakMap<readonly Reading[], readonly Moment[]>()
function momentsOf(climate: readonly Reading[]): readonly Moment[] {
  const known = inOrder.get(climate)
  if (known) return known
  const moments = climate
    .map(({ at, temperature, humidity }): Moment => ({ ms: Date.parse(at), temperature, humidity }))
    .sort((a, b) => a.ms - b.ms)
  inOrder.set(climate, moments)
  return moments
}
/** How many moments are not later than `ms`. */
function countUntil(moments: readonly Moment[], ms: number): number {
  let [low, high] = [0, moments.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if ((moments[middle]?.ms ?? Infinity) <= ms) low = middle + 1
    else high = middle
  }
  return low
}

const readLatelyMs = 6 * 60 * minuteMs
/** The air as it was last read at `nowMs`; null where nobody read it in the six hours before. */
export function airAt(climate: readonly Reading[], nowMs: number): Air | null {
  const moments = momentsOf(climate)
  const last = moments[countUntil(moments, nowMs) - 1]
  return last && nowMs - last.ms <= readLatelyMs ? { temperature: last.temperature, humidity: last.humidity } : null
}

/** Splits time from `endedMs` on into stretches of even speed; the last one never ends. */
function stretches(input: Pick<WindowInput, 'kind' | 'climate' | 'assistance'>, endedMs: number): Stretch[] {
  const moments = momentsOf(input.climate)
  const helps = input.assistance.map(({ from, to, kind }) => ({
    fromMs: Date.parse(from),
    toMs: Date.parse(to),
    speed: assistanceSpeed[kind],
  }))
  let held = countUntil(moments, endedMs)
  const changes = [
    ...moments.slice(held).map(({ ms }) => ms),
    ...helps.flatMap(({ fromMs, toMs }) => [fromMs, toMs]).filter((ms) => ms > endedMs),
  ]
  if (helps.length > 0) changes.sort((a, b) => a - b)
  const run: Stretch[] = []
  for (const fromMs of [endedMs, ...changes]) {
    if (run.at(-1)?.fromMs === fromMs) continue
    while ((moments[held]?.ms ?? Infinity) <= fromMs) held += 1
    const air = moments[held - 1] ?? moments[0] ?? referenceAir
    const help = helps.reduce(
      (fastest, each) => (each.fromMs <= fromMs && fromMs < each.toMs ? Math.max(fastest, each.speed) : fastest),
      1,
    )
    run.push({ fromMs, speed: dryingSpeed(input.kind, air) * help })
  }
  return run
}

/** The first instant at which the clock has run `minutes`, on the nearest whole minute; null for never. */
function reaches(run: readonly Stretch[], minutes: number): string | null {
  let left = minutes * minuteMs
  for (const [index, { fromMs, speed }] of run.entries()) {
    const untilMs = run[index + 1]?.fromMs ?? Infinity
    if (left <= 0 || (speed > 0 && left <= (untilMs - fromMs) * speed)) {
      return onMinute(fromMs + Math.max(0, left) / (speed || 1))
    }
    left -= (untilMs - fromMs) * speed
  }
  return null
}

/** A climate's clock: how far it has run at each moment, ms at the reference air, and its speed from there on. */
interface Clock {
  moments: readonly Moment[]
  ran: Float64Array
  speeds: Float64Array
}
const clocks = new WeakMap<readonly Moment[], Partial<Record<ClockKind, Clock>>>()
/** Many windows are read by one clock: it is run once. */
function clockOf(kind: ClockKind, climate: readonly Reading[]): Clock {
  const moments = momentsOf(climate)
  const known = clocks.get(moments) ?? {}
  clocks.set(moments, known)
  return (known[kind] ??= runClock(kind, moments))
}
function runClock(kind: ClockKind, moments: readonly Moment[]): Clock {
  const speeds = Float64Array.from(moments, (air) => dryingSpeed(kind, air))
  const ran = new Float64Array(moments.length)
  for (let k = 1; k < moments.length; k += 1)
    ran[k] = (ran[k - 1] ?? 0) + ((moments[k]?.ms ?? 0) - (moments[k - 1]?.ms ?? 0)) * (speeds[k - 1] ?? 0)
  return { moments, ran, speeds }
}
/** When the clock has run `minutes` from `fromMs` on, on the nearest whole minute; null for never. */
function reachesBy({ moments, ran, speeds }: Clock, fromMs: number, minutes: number): string | null {
  const held = Math.max(0, countUntil(moments, fromMs) - 1)
  const wanted = (ran[held] ?? 0) + (fromMs - (moments[held]?.ms ?? 0)) * (speeds[held] ?? 0) + minutes * minuteMs
  if (minutes <= 0) return onMinute(fromMs)
  let [low, high] = [held + 1, moments.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if ((ran[middle] ?? 0) < wanted) low = middle + 1
    else high = middle
  }
  const last = low - 1
  const speed = speeds[last] ?? 0
  return speed > 0 ? onMinute((moments[last]?.ms ?? 0) + (wanted - (ran[last] ?? 0)) / speed) : null
}
/** Answers when the clock has run so many minutes from `endedMs` on; air that was helped has a clock of its own. */
function clockAfter(input: WindowInput, endedMs: number): (minutes: number) => string | null {
  if (input.climate.length > 0 && input.assistance.every(({ to }) => Date.parse(to) <= endedMs)) {
    const clock = clockOf(input.kind, input.climate)
    return (minutes) => reachesBy(clock, endedMs, minutes)
  }
  const run = stretches(input, endedMs)
  return (minutes) => reaches(run, minutes)
}
const onMinute = (ms: number): string => new Date(Math.round(ms / minuteMs) * minuteMs).toISOString()

/** The window after a step; see {@link DryingWindow}. Throws on an instant that cannot be read. */
export function windowFor(input: WindowInput): DryingWindow {
  const endedMs = Date.parse(input.endedAt)
  if (Number.isNaN(endedMs)) throw new Error(`endedAt is no instant: ${input.endedAt}`)
  const after = clockAfter(input, endedMs)
  const factor = filmMinutes[input.film]
  const { opens, closes } = input.label
  const reached = {
    mayOpen: after(opens[0] * factor),
    opens: after(opens[1] * factor),
    closes: closes ? after(closes[0] * factor) : null,
    lateFrom: closes ? after(closes[1] * factor) : null,
  }
  const impossible = reached.closes !== null && (reached.opens === null || reached.closes < reached.opens)
  return { ...reached, impossible }
}

/** How far the drying clock has run at `until`, in minutes at the reference air; film is not reckoned. */
export function dryingMinutes(input: Pick<WindowInput, 'endedAt' | 'kind' | 'climate' | 'assistance'>, until: Instant): number {
  const untilMs = Date.parse(until)
  const run = stretches(input, Date.parse(input.endedAt))
  return run.reduce((minutes, { fromMs, speed }, k) => {
    const toMs = Math.min(untilMs, run[k + 1]?.fromMs ?? Infinity)
    return minutes + (Math.max(0, toMs - fromMs) / minuteMs) * speed
  }, 0)
}
