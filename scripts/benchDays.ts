/**
 * The demo studio's pieces worked to their end a hundred times by chance, minutes longer or shorter: once by the bench's order alone, once by
 * the week that is planned and follows. How late promises are, how many windows are missed, when pieces are done. Usage: npm run bench:days [WEEKS]
 * [pressed]: one pair of hands, in the mornings, and every piece promised, one a day.
 */
import { v7 as uuidv7 } from 'uuid'
import { readBench } from '../src/core/bench/benchData'
import { type BenchLine, benchOrder } from '../src/core/bench/benchOrder'
import { type Entry, type EntryDraft, wholeEntry } from '../src/core/log/entry'
import { randomFrom } from '../src/core/measure/random'
import { dayAfter, dayOf } from '../src/core/measure/time'
import type { Journey } from '../src/core/piece/journey'
import { lanesOf } from '../src/core/piece/lanes'
import type { PlanStep } from '../src/core/piece/piece'
import { hoursOn, instantAt } from '../src/core/week/hands'
import { goingOn, type KeptLine, keptLines, planWeek } from '../src/core/week/planWeek'
import { readWeek, readWeekBack, type WeekData } from '../src/core/week/weekData'
import { ownDatabase } from './ownDatabase'

const weeks = Number(process.argv[2] ?? 100)
const isPressed = process.argv[3] === 'pressed'
/** the spread of minutes, in logarithms; how long it may all take */
const [spread, mostDays] = [0.3, 60]
/** rounds of search: before anybody begins, and whenever something was done */
const rounds = { first: 6000, again: 60 }
const minuteMs = 60_000
const stepMs = 5 * minuteMs

/** A step that is worked, or one side of it. */
interface Job {
  pieceId: string
  partId: string
  step: PlanStep
  side: 1 | 2 | null
}
interface Outcome {
  lateHours: number
  latePieces: number
  missed: number
  meanDays: number
  hours: number
}

async function demoWeek(): Promise<WeekData> {
  const database = await ownDatabase('days')
  try {
    const { key } = await database.fillDemo('itinerum')
    process.env.DATABASE_URL = database.app('itinerum')
    const { loadWeek } = await import('../src/app/_server/loadWeek')
    const { actingWith } = await import('../src/app/_server/session')
    return readWeekBack(await actingWith(key, loadWeek))
  } finally {
    await database.end()
  }
}

class Days {
  private readonly written: Entry[] = []
  private readonly busy: { until: number; entries: Entry[] }[]
  private now: number
  /** in their order, which is the same whenever the demo is filled */
  private readonly steps: readonly string[]
  private missed = 0
  private worked = 0
  private kept: KeptLine[] = []

  constructor(
    private readonly data: WeekData,
    private readonly startMs: number,
    private readonly seed: number,
    private readonly byPlan: boolean,
  ) {
    this.now = Math.ceil(startMs / stepMs) * stepMs
    this.busy = data.hands.map(() => ({ until: 0, entries: [] }))
    this.steps = this.journeys().flatMap((journey) => lanesOf(journey).flatMap(({ steps }) => steps.map(({ step }) => step.id)))
    if (byPlan) this.plan(rounds.first)
    // what runs already is worked to its end
    this.journeys()
      .flatMap((journey) => lanesOf(journey).map((lane) => ({ journey, lane })))
      .filter(({ lane }) => lane.running && !lane.turn)
      .forEach(({ journey, lane }, k) => {
        const { step, state } = lane.running ?? {}
        if (!step || !state) return
        const left = Math.max(5, step.minutes - state.minutes) * minuteMs
        const hand = this.busy[k % this.busy.length]
        if (!hand) return
        hand.until = Math.max(hand.until, this.now) + left
        hand.entries.push(
          ...this.endOf({ pieceId: journey.file.piece.id, partId: lane.part.id, step, side: null }, hand.until, k),
        )
      })
  }

  private journeys(): Journey[] {
    return readBench(this.data.bench, this.written, this.now)
  }
  private plan(many: number): ReturnType<typeof planWeek> & { startMs: number } {
    const workshop = readWeek(this.data, this.journeys(), this.now)
    const view = planWeek(workshop, { seed: this.seed, rounds: many, from: goingOn(workshop, this.kept) })
    this.kept = keptLines(workshop, view)
    return { ...view, startMs: workshop.startMs }
  }
  /** The minutes a step takes this week, whichever way it is worked. */
  private minutesOf({ step, side }: Job): number {
    const key = [...`${this.steps.indexOf(step.id)} ${side ?? ''}`].reduce(
      (sum, letter) => (sum * 31 + letter.charCodeAt(0)) >>> 0,
      this.seed,
    )
    const random = randomFrom(key)
    const bell = Array.from({ length: 12 }, random).reduce((sum, each) => sum + each, -6)
    const planned = side === null ? step.minutes : step.minutes / 2
    return Math.max(1, Math.round(planned * Math.exp(bell * spread)))
  }
  private entry(job: Job, hand: number, draft: Pick<EntryDraft, 'kind'> & Record<string, unknown>, at: number): Entry {
    const { id } = this.data.hands[hand] ?? {}
    const { pieceId, partId, step } = job
    const on = { id: uuidv7(), pieceId, partId, stepId: step.id, personId: id ?? null, at: new Date(at).toISOString() }
    return wholeEntry({ ...on, ...draft } as EntryDraft)
  }
  private endOf(job: Job, at: number, hand: number): Entry[] {
    if (job.side === 1) return [this.entry(job, hand, { kind: 'paused', detail: { laid: true } }, at)]
    const { check } = job.step
    const ended = this.entry(job, hand, { kind: 'ended' }, at)
    return check ? [ended, this.entry(job, hand, { kind: 'checked', checkCode: check, result: 'pass' }, at)] : [ended]
  }

  /** Minutes until a hand stops today; 0 where it does not work now. */
  private leftOf(hand: number): number {
    const { zone, others } = this.data
    const day = dayOf(new Date(this.now).toISOString(), zone)
    const who = this.data.hands[hand]
    const hours = who && hoursOn(who, others, day)
    if (!hours || this.now < Date.parse(instantAt(day, hours.from, zone))) return 0
    return Math.max(0, (Date.parse(instantAt(day, hours.to, zone)) - this.now) / minuteMs)
  }
  private fits({ step, side }: Job, left: number): boolean {
    const minutes = side === null ? step.minutes : step.minutes / 2
    return minutes <= left || minutes > 480
  }

  private byBench(lines: readonly BenchLine[], left: number): Job | null {
    const jobs = lines.map(({ journey, part, step }): Job => ({
      pieceId: journey.file.piece.id,
      partId: part.part.id,
      step,
      side: part.turn ? 2 : step.turns === undefined ? null : 1,
    }))
    return jobs.find((job) => this.fits(job, left)) ?? null
  }
  private byWeek(hand: number, lines: readonly BenchLine[]): Job | null {
    const { lines: planned, startMs } = this.plan(rounds.again)
    const next = planned.find((each) => each.hand === hand && each.step && startMs + each.start * minuteMs <= this.now + stepMs)
    const line = next && lines.find(({ step }) => step.id === next.step?.id)
    if (!next?.step || !line) return null
    return { pieceId: next.pieceId, partId: line.part.part.id, step: line.step, side: next.side ?? null }
  }

  /** Works until nothing is ahead, or for as long as is waited. */
  work(): Outcome {
    let idleUntil = this.busy.map(() => 0)
    for (const until = this.startMs + mostDays * 86_400_000; this.now < until; this.now += stepMs) {
      let changed = false
      for (const hand of this.busy)
        if (hand.entries.length > 0 && hand.until <= this.now) {
          this.written.push(...hand.entries)
          hand.entries = []
          changed = true
        }
      if (changed) idleUntil = idleUntil.map(() => 0)
      for (const [hand, own] of this.busy.entries()) {
        const left = own.until <= this.now ? this.leftOf(hand) : 0
        if (left <= 0 || (idleUntil[hand] ?? 0) > this.now) continue
        const journeys = this.journeys()
        if (journeys.every((journey) => journey.ending || lanesOf(journey).every(({ next, running }) => !next && !running)))
          return this.outcome()
        const { now, missed } = benchOrder(journeys, this.now, this.data.zone)
        const lines = [...now, ...missed]
        const job = this.byPlan ? this.byWeek(hand, lines) : this.byBench(lines, left)
        if (!job) {
          // a quarter of an hour on, or when somebody has done something
          idleUntil[hand] = this.now + 3 * stepMs
          continue
        }
        const line = lines.find(({ step }) => step.id === job.step.id)
        if (line?.window?.phase === 'gone') this.missed += 1
        const minutes = this.minutesOf(job)
        this.worked += minutes
        this.written.push(this.entry(job, hand, { kind: job.side === 2 ? 'resumed' : 'started' }, this.now))
        own.until = this.now + minutes * minuteMs
        own.entries = this.endOf(job, own.until, hand)
      }
    }
    return this.outcome()
  }

  private outcome(): Outcome {
    const { zone, hands } = this.data
    const latest = Math.max(...hands.map(({ hours }) => hours.to))
    const ends = this.journeys()
      .filter(({ ending }) => !ending)
      .flatMap(({ file: { piece }, log }) => {
        const own = log.filter(({ kind, at }) => kind === 'ended' && Date.parse(at) > this.startMs)
        if (own.length === 0) return []
        const end = Math.max(...own.map(({ at }) => Date.parse(at)))
        const due = piece.promisedOn === null ? Infinity : Date.parse(instantAt(piece.promisedOn, latest, zone))
        return [{ days: (end - this.startMs) / 86_400_000, late: Math.max(0, end - due) / 3_600_000 }]
      })
    return {
      lateHours: ends.reduce((sum, { late }) => sum + late, 0),
      latePieces: ends.filter(({ late }) => late > 0).length,
      missed: this.missed,
      meanDays: ends.reduce((sum, { days }) => sum + days, 0) / Math.max(1, ends.length),
      hours: this.worked / 60,
    }
  }
}

function pressed(data: WeekData): WeekData {
  const today = dayOf(new Date().toISOString(), data.zone)
  const open = data.bench.files.filter(({ log }) => !log.some(({ kind }) => kind === 'sold' || kind === 'handed-over'))
  const promises = new Map(open.map(({ piece }, k) => [piece.id, dayAfter(today, 2 + k)]))
  const promised = data.bench.files.map((file) => ({
    ...file,
    piece: { ...file.piece, promisedOn: promises.get(file.piece.id) ?? null, client: 'somebody' },
  }))
  const hands = data.hands.slice(0, 1).map((hand) => ({ ...hand, hours: { ...hand.hours, from: 540, to: 780 } }))
  return { ...data, hands, bench: { ...data.bench, files: promised } }
}

const data = isPressed ? pressed(await demoWeek()) : await demoWeek()
const startMs = Date.now()
const mean = (all: readonly Outcome[], of: (each: Outcome) => number) =>
  (all.reduce((sum, each) => sum + of(each), 0) / all.length).toFixed(1)
for (const byPlan of [false, true]) {
  const all = Array.from({ length: weeks }, (_, seed) => new Days(data, startMs, seed + 1, byPlan).work())
  console.log(
    `${byPlan ? 'by the week' : 'by the bench alone'}: promises ${mean(all, (each) => each.lateHours)} h late in all, ` +
      `${mean(all, (each) => each.latePieces)} pieces late, ${mean(all, (each) => each.missed)} windows missed, ` +
      `a piece done after ${mean(all, (each) => each.meanDays)} days, ${mean(all, (each) => each.hours)} h of work`,
  )
}
process.exit(0)
