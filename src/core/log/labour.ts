/**
 * Whose minutes went into which step. A person's minute counts once: where somebody has several steps running it is split
 * between them. Hands not named count as one pair. Minutes typed win over the clock, and are not split. Pure; ms inside.
 */
import type { Instant, PersonId, StepId } from '@/core/measure/named'
import type { Entry, EntryOf } from './entry'

/** The kinds of entry that move a clock. */
export const clockKinds = ['started', 'paused', 'resumed', 'ended', 'left-out', 'helped'] as const
export type ClockKind = (typeof clockKinds)[number]

/** An entry of a step's clock. */
export interface WorkEntry {
  stepId: StepId
  kind: ClockKind
  at: Instant
  personId: PersonId | null
  /** labour said by hand */
  minutes: number | null
  /** the first of two sides is laid */
  laid?: true | undefined
}
const isWork = (entry: Entry): entry is EntryOf<ClockKind> => (clockKinds as readonly Entry['kind'][]).includes(entry.kind)
/** What a log says of clocks, in its order. */
export const workIn = (log: readonly Entry[]): WorkEntry[] =>
  log.filter(isWork).map((entry) => ({
    stepId: entry.stepId,
    kind: entry.kind,
    at: entry.at,
    personId: entry.personId,
    minutes: 'minutes' in entry ? entry.minutes : null,
    ...(entry.kind === 'paused' && entry.detail && { laid: true as const }),
  }))

/** What is worked in one go, and a clock that is not forgotten, lies within half a day. Practice. */
export const besideHours = 12
/** A stretch in which one person's clock ran on one step. */
export interface Spell {
  stepId: StepId
  personId: PersonId | null
  fromMs: number
  toMs: number
}
export interface StepClock {
  status: 'waiting' | 'running' | 'paused' | 'done' | 'left-out'
  startedAt: Instant | null
  endedAt: Instant | null
  /** when the first of its two sides was laid */
  laidAt: Instant | null
  spells: Spell[]
  /** the clock on the wall: when it last began to run (null while it stands), and ms it had run before */
  since: Instant | null
  ranMs: number
  /** labour typed by hand in place of the clock's */
  typed: number | null
  /** who ended it */
  endedBy: string | null
  /** further hands: minutes by person */
  helped: { personId: PersonId | null; minutes: number }[]
}
/** Minutes by person ('' for hands not named) of each step. */
export type Labour = ReadonlyMap<StepId, ReadonlyMap<PersonId, number>>

export const untouchedClock: StepClock = {
  status: 'waiting',
  startedAt: null,
  endedAt: null,
  laidAt: null,
  spells: [],
  since: null,
  ranMs: 0,
  typed: null,
  endedBy: null,
  helped: [],
}
const minuteMs = 60_000

/** The clock of each step; `log` is the effective log in order of time. A clock still running counts up to `nowMs`. */
export const stepClocks = (log: readonly WorkEntry[], nowMs: number): Map<StepId, StepClock> => clocksAt(openClocks(log), nowMs)

/** Clocks as a log leaves them: what still runs has no end. */
export function openClocks(log: readonly WorkEntry[]): Map<StepId, StepClock> {
  const clocks = new Map<StepId, StepClock>()
  for (const entry of log) {
    clocks.set(entry.stepId, advance(clocks.get(entry.stepId) ?? untouchedClock, entry, entry.stepId))
  }
  return clocks
}
/** Clocks with what still runs counted up to `nowMs`. */
export function clocksAt(clocks: ReadonlyMap<StepId, StepClock>, nowMs: number): Map<StepId, StepClock> {
  const counted = new Map(clocks)
  for (const [id, clock] of clocks)
    if (clock.spells.some(isOpen))
      counted.set(id, { ...clock, spells: clock.spells.map((spell) => (isOpen(spell) ? { ...spell, toMs: nowMs } : spell)) })
  return counted
}

const isOpen = ({ toMs }: Spell) => toMs === Infinity
const close = (spells: readonly Spell[], at: number, which: (spell: Spell) => boolean = () => true) =>
  spells.map((spell) => (isOpen(spell) && which(spell) ? { ...spell, toMs: Math.max(spell.fromMs, at) } : spell))

/** A step's clock after one more entry of it. */
export function advance(before: StepClock, { kind, at, personId, minutes, laid }: WorkEntry, stepId: StepId): StepClock {
  const clock = laid ? { ...before, laidAt: before.laidAt ?? at } : before
  if (kind === 'helped') return { ...clock, helped: [...clock.helped, { personId, minutes: minutes ?? 0 }] }
  // the first end counts where two people tapped
  if (clock.endedAt !== null) return clock
  const ms = Date.parse(at)
  const runs = clock.spells.some((spell) => isOpen(spell) && spell.personId === personId)
  if (kind === 'started' || kind === 'resumed') {
    if (runs) return clock
    const spells = [...clock.spells, { stepId, personId, fromMs: ms, toMs: Infinity }]
    return { ...clock, status: 'running', startedAt: clock.startedAt ?? at, since: clock.since ?? at, spells }
  }
  if (kind === 'paused') {
    if (clock.status !== 'running') return clock
    const spells = close(clock.spells, ms, (spell) => !runs || spell.personId === personId)
    if (spells.some(isOpen)) return { ...clock, spells }
    return { ...clock, status: 'paused', spells, since: null, ranMs: clock.ranMs + ms - Date.parse(clock.since ?? at) }
  }
  if (kind === 'ended')
    return { ...clock, status: 'done', endedAt: at, spells: close(clock.spells, ms), typed: minutes, endedBy: personId }
  if (kind === 'left-out') return { ...clock, status: 'left-out', spells: close(clock.spells, ms) }
  return clock
}

/** Minutes on the clock's face, pauses left out, whoever's they were. */
export const ranMinutes = ({ since, ranMs }: Pick<StepClock, 'since' | 'ranMs'>, nowMs: number): number =>
  (ranMs + (since ? Math.max(0, nowMs - Date.parse(since)) : 0)) / minuteMs

/** Whether a clock has run so much longer than its step that it was forgotten. Practice. */
export const isForgotten = (ran: number, plannedMinutes: number): boolean =>
  ran > Math.max(3 * plannedMinutes, plannedMinutes + 90)

/** Every step's minutes by person, from all clocks that may have run beside each other. */
export function labourOf(clocks: ReadonlyMap<StepId, StepClock>): Labour {
  const labour = new Map<string, Map<string, number>>()
  const add = (stepId: StepId, personId: PersonId | null, minutes: number) => {
    const own = labour.get(stepId) ?? new Map<string, number>()
    labour.set(stepId, own.set(personId ?? '', (own.get(personId ?? '') ?? 0) + minutes))
  }
  const byPerson = new Map<string | null, Spell[]>()
  for (const [stepId, clock] of clocks) {
    for (const { personId, minutes } of clock.helped) add(stepId, personId, minutes)
    // a clock that was put right by hand does not take from the steps beside it
    if (clock.typed !== null) add(stepId, clock.endedBy, clock.typed)
    else
      for (const spell of clock.spells) {
        const own = byPerson.get(spell.personId)
        if (own) own.push(spell)
        else byPerson.set(spell.personId, [spell])
      }
  }
  for (const spells of byPerson.values()) split(spells, add)
  return labour
}

/** Walks the starts and ends of one person's spells; each stretch is shared by the steps that ran in it. */
function split(spells: readonly Spell[], add: (stepId: StepId, personId: PersonId | null, minutes: number) => void): void {
  const marks = spells
    .flatMap((spell) => [
      { ms: spell.fromMs, spell, begins: true },
      { ms: spell.toMs, spell, begins: false },
    ])
    .sort((a, b) => a.ms - b.ms)
  const running = new Set<Spell>()
  let before = 0
  for (const { ms, spell, begins } of marks) {
    for (const each of running) add(each.stepId, each.personId, (ms - before) / minuteMs / running.size)
    before = ms
    if (begins) running.add(spell)
    else running.delete(spell)
  }
}

/** All hands together. */
export const minutesOf = (labour: Labour, stepId: StepId): number =>
  [...(labour.get(stepId)?.values() ?? [])].reduce((sum, minutes) => sum + minutes, 0)
