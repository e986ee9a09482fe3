/**
 * What hands can do now, in the order worth doing: first what a closing window or a promise would punish, then what frees
 * other work. Instants in ms; pure.
 */
import type { Day, PieceId, StepId } from '@/core/measure/named'
import { dayOf, daysBetween } from '@/core/measure/time'
import type { Journey, OpenWindow, PartJourney } from '@/core/piece/journey'
import { heldBy, lanesOf } from '@/core/piece/lanes'
import type { PlanStep } from '@/core/piece/piece'

/** `client`: a change of it was offered, and nobody has answered. */
export type BenchGroup = 'running' | 'now' | 'missed' | 'drying' | 'resting' | 'client'
export type WhyCode =
  | 'running'
  | 'turn'
  | 'planned'
  | 'closing'
  | 'missed'
  | 'promised'
  | 'long-dry-after'
  | 'open'
  | 'nothing-holds'
  | 'test-first'
  | 'client'
export interface BenchLine {
  journey: Journey
  part: PartJourney
  step: PlanStep
  window: OpenWindow | null
  group: BenchGroup
  why: WhyCode
  /** higher first within its group */
  weight: number
}

const hourMs = 3_600_000
/** a window that closes within so long is closing */
const closingMs = 4 * hourMs
/** a promise within so many days goes before what only might be done */
const promisedSoonDays = 14
/** A drying time that leaves the night and the next day to work in. */
const longDryMinutes = 600

const closesIn = (window: OpenWindow | null, nowMs: number) =>
  window?.times.closes ? Date.parse(window.times.closes) - nowMs : Infinity

/** What would spoil within hours is done whatever else is waited for. */
export const spoilsSoon = (part: Pick<PartJourney, 'turn' | 'window'>, nowMs: number): boolean =>
  part.turn !== null || (part.window?.phase !== 'gone' && closesIn(part.window, nowMs) < closingMs)

function line(journey: Journey, part: PartJourney, nowMs: number, today: Day): BenchLine | null {
  const window = part.turn ?? part.window
  const base = { journey, part, window }
  if (part.running && !part.turn)
    return {
      ...base,
      step: part.running.step,
      group: 'running',
      why: 'running',
      weight: Date.parse(part.running.state.startedAt ?? ''),
    }
  const step = part.turn ? part.turn.after : part.next
  if (!step) return null
  const opensMs = window?.times.opens ? Date.parse(window.times.opens) : Infinity
  if (window?.phase === 'shut') {
    const resting = opensMs - nowMs > 12 * hourMs
    return { ...base, step, group: resting ? 'resting' : 'drying', why: 'open', weight: -opensMs }
  }
  if (part.turn) return { ...base, step, group: 'now', why: 'turn', weight: 6e8 }
  const left = closesIn(window, nowMs)
  if (window?.phase === 'gone') return { ...base, step, group: 'missed', why: 'missed', weight: left }
  if (window?.phase === 'open') return { ...base, step, group: 'now', why: 'test-first', weight: 1e6 - left / 1e9 }
  const promised = journey.file.piece.promisedOn
  const promisedInDays = promised ? daysBetween(today, promised) : Infinity
  if (left < closingMs) return { ...base, step, group: 'now', why: 'closing', weight: 1e9 - left / 1e3 }
  if (promisedInDays <= promisedSoonDays)
    return { ...base, step, group: 'now', why: 'promised', weight: 5e8 - promisedInDays * 1e4 }
  if (step.window && step.window.opens[1] >= longDryMinutes)
    return { ...base, step, group: 'now', why: 'long-dry-after', weight: 4e8 }
  return { ...base, step, group: 'now', why: window ? 'open' : 'nothing-holds', weight: window ? 3e8 : 2e8 }
}

const canWait = ({ group, part }: BenchLine, nowMs: number): boolean =>
  (group === 'now' || group === 'missed') && !spoilsSoon(part, nowMs)

/** When each step begins by the week that was taken, ms. */
export type Planned = Readonly<Partial<Record<StepId, number>>>
/** what closes within hours goes before the week's order */
const closingWeight = 9e8

/**
 * Every step that could be next, grouped and ordered; ended pieces are left out. A promised day is one of `zone`. What can be done now
 * comes in the order of the week that was taken, where there is one; what that doesn't know comes after. `waiting`: pieces whose client has
 * a change to answer: what would spoil in the meantime is done all the same.
 */
export function benchOrder(
  journeys: readonly Journey[],
  nowMs: number,
  zone = 'UTC',
  planned: Planned = {},
  waiting: ReadonlySet<PieceId> = new Set(),
): Record<BenchGroup, BenchLine[]> {
  const today = dayOf(new Date(nowMs).toISOString(), zone)
  const groups: Record<BenchGroup, BenchLine[]> = { running: [], now: [], missed: [], drying: [], resting: [], client: [] }
  for (const journey of journeys) {
    if (journey.ending) continue
    for (const part of lanesOf(journey)) {
      const each = heldBy(journey, part) === null && line(journey, part, nowMs, today)
      if (each && waiting.has(journey.file.piece.id) && canWait(each, nowMs))
        groups.client.push({ ...each, group: 'client', why: 'client' })
      else if (each) groups[each.group].push(each)
    }
  }
  for (const group of Object.values(groups)) group.sort((a, b) => b.weight - a.weight || a.step.id.localeCompare(b.step.id))
  groups.now = byPlan(groups.now, planned)
  return groups
}

function byPlan(lines: readonly BenchLine[], planned: Planned): BenchLine[] {
  const isFirst = ({ why, weight }: BenchLine) => why === 'closing' || why === 'turn' || weight >= closingWeight
  const atOf = (line: BenchLine) => planned[line.step.id] ?? Infinity
  const [first, rest] = [lines.filter(isFirst), lines.filter((line) => !isFirst(line))]
  const known = rest.filter((line) => atOf(line) < Infinity).sort((a, b) => atOf(a) - atOf(b))
  return [
    ...first,
    ...known.map((line): BenchLine => ({ ...line, why: 'planned' })),
    ...rest.filter((line) => atOf(line) === Infinity),
  ]
}
