/**
 * What hands can do now, in the order worth doing: first what a closing window or a promise would punish, then what frees
 * other work. Instants in ms; pure.
 */
import type { Journey, OpenWindow, PartJourney } from '../piece/journey'
import type { PlanStep } from '../piece/piece'

export type BenchGroup = 'running' | 'now' | 'gone' | 'drying' | 'resting'
export type WhyCode = 'running' | 'closing' | 'gone' | 'promised' | 'long-dry-after' | 'open' | 'nothing-holds' | 'test-first'
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
/** A drying time that leaves the night and the next day to work in. */
const longDryMinutes = 600

const closesIn = (window: OpenWindow | null, nowMs: number) =>
  window?.times.closes ? Date.parse(window.times.closes) - nowMs : Infinity

function line(journey: Journey, part: PartJourney, nowMs: number): BenchLine | null {
  const { window } = part
  const base = { journey, part, window }
  if (part.running)
    return {
      ...base,
      step: part.running.step,
      group: 'running',
      why: 'running',
      weight: Date.parse(part.running.state.startedAt ?? ''),
    }
  if (!part.next) return null
  const step = part.next
  const opensMs = window?.times.opens ? Date.parse(window.times.opens) : Infinity
  if (window?.phase === 'shut') {
    const resting = opensMs - nowMs > 12 * hourMs
    return { ...base, step, group: resting ? 'resting' : 'drying', why: 'open', weight: -opensMs }
  }
  const left = closesIn(window, nowMs)
  if (window?.phase === 'gone') return { ...base, step, group: 'gone', why: 'gone', weight: left }
  if (window?.phase === 'open') return { ...base, step, group: 'now', why: 'test-first', weight: 1e6 - left / 1e9 }
  const promised = journey.file.piece.promisedOn
  const promisedMs = promised ? Date.parse(`${promised}T00:00:00Z`) - nowMs : Infinity
  if (left < 4 * hourMs) return { ...base, step, group: 'now', why: 'closing', weight: 1e9 - left / 1e3 }
  if (promisedMs < 14 * 24 * hourMs) return { ...base, step, group: 'now', why: 'promised', weight: 5e8 - promisedMs / 1e4 }
  if (step.window && step.window.opens[1] >= longDryMinutes)
    return { ...base, step, group: 'now', why: 'long-dry-after', weight: 4e8 }
  return { ...base, step, group: 'now', why: window ? 'open' : 'nothing-holds', weight: window ? 3e8 : 2e8 }
}

/** Every step that could be next, grouped and ordered; ended pieces are left out. */
export function benchOrder(journeys: readonly Journey[], nowMs: number): Record<BenchGroup, BenchLine[]> {
  const groups: Record<BenchGroup, BenchLine[]> = { running: [], now: [], gone: [], drying: [], resting: [] }
  for (const journey of journeys) {
    if (journey.ending) continue
    for (const part of journey.parts) {
      const each = line(journey, part, nowMs)
      if (each) groups[each.group].push(each)
    }
  }
  for (const group of Object.values(groups)) group.sort((a, b) => b.weight - a.weight || a.step.id.localeCompare(b.step.id))
  return groups
}

/** What a step is worth doing now: a window that closes before all else. Practice. */
const worth: Record<WhyCode, number> = {
  running: 0,
  closing: 12,
  promised: 5,
  gone: 4,
  'long-dry-after': 4,
  open: 3,
  'test-first': 2,
  'nothing-holds': 2,
}
/** so many of the first are weighed against each other; what comes after them waits anyway */
const mostWeighed = 12

/** Alike work is done in one go: one brush, one mix. */
const goOf = ({ step }: BenchLine) => `${step.operation} ${step.family} ${step.colour?.hex} ${step.mix}`

/**
 * The set worth most that fits into `minutes`, of every set of the first lines; steps that are alike share their set-up and
 * cleaning and stand together, else in bench order. Of two sets worth the same, the shorter.
 */
export function whatFits(
  lines: readonly BenchLine[],
  minutes: number,
  sharedOverhead: (line: BenchLine) => number,
): { taken: BenchLine[]; minutes: number } {
  const weighed = lines.slice(0, mostWeighed)
  const facts = weighed.map((line) => ({
    go: goOf(line),
    minutes: line.step.minutes,
    shared: Math.min(sharedOverhead(line), line.step.minutes - 1),
    // among steps of a kind, more work done is worth a little more
    worth: worth[line.why] + line.step.minutes / 1000,
  }))
  let best = { set: 0, worth: 0, used: 0 }
  for (let set = 1; set < 1 << facts.length; set += 1) {
    const goes = new Set<string>()
    let used = 0
    let sum = 0
    facts.forEach((fact, k) => {
      if (!(set & (1 << k)) || used > minutes) return
      used += fact.minutes - (goes.has(fact.go) ? fact.shared : 0)
      sum += fact.worth
      goes.add(fact.go)
    })
    if (used > minutes) continue
    if (sum > best.worth + 1e-9 || (Math.abs(sum - best.worth) < 1e-9 && used < best.used)) best = { set, worth: sum, used }
  }
  const chosen = weighed.filter((_, k) => best.set & (1 << k))
  const inGoes = [...new Set(chosen.map(goOf))].flatMap((go) => chosen.filter((line) => goOf(line) === go))
  return { taken: inGoes, minutes: best.used }
}
