/**
 * Everything ahead of every piece as one problem of hands, waits and places: minutes by the plan, windows in the air of each room by
 * what the studio has learned, what dries and runs now, promises, people's hours. Each step of the problem says what it is. Pure.
 */
import type { Side } from '@/core/craft/job'
import { scatterOf } from '@/core/learn/calibrate'
import { minutesHere } from '@/core/learn/pace'
import { isAhead } from '@/core/log/stepStates'
import { dryDay } from '@/core/piece/daysAhead'
import type { Journey, PartJourney } from '@/core/piece/journey'
import type { PlanStep } from '@/core/piece/piece'
import { type Half, halvesOf } from '@/core/plan/halves'
import type { Wait } from '@/core/plan/timeline'
import type { Lag, WorkPiece, WorkStep } from '@/core/schedule/problem'
import {
  dayMinutes,
  daysLooked,
  grid,
  lookOver,
  missed,
  nearMinutes,
  onGrid,
  setUp,
  spareOf,
  tardy,
  usualDrying,
  weightOf,
  workOf,
} from './figures'
import { handOf, instantAt, stretchesOf, without } from './hands'
import { lineKey, type Pin, type Place, type WeekAround, type Workshop } from './place'
import { dryingIn, nowhere, poolsOf } from './roomPlaces'
import { figuresOf, type WaitInAir, waitThrough } from './waits'

/** Throws where nobody ever works. */
export function workshopOf(journeys: readonly Journey[], around: WeekAround): Workshop {
  const startMs = Math.ceil(around.nowMs / (grid * 60_000)) * grid * 60_000
  const build = new Build(around, startMs)
  const here = journeys.filter(({ ending }) => !ending)
  const pieces = here.filter((journey) => build.piece(journey))
  return build.done(pieces)
}

/** A lane of a piece that is put into the problem. */
interface LaneAsked {
  journey: Journey
  lane: PartJourney
  /** among the piece's lanes */
  index: number
  wait: ReturnType<typeof waitThrough>
  side?: Side
}
/** A lane as it stands in the problem. */
interface LaneNodes {
  first: number | null
  last: number | null
  /** from the end of its last step to what waits for all of it; from the first moment, where nothing of it is ahead */
  rest: number
}

class Build {
  private readonly steps: WorkStep[] = []
  private readonly places: Place[] = []
  private readonly lags: Lag[] = []
  private readonly scatter: number[] = []
  private readonly pieces: WorkPiece[] = []
  private readonly stuck: Place[] = []
  private readonly running: { place: Place; hand: number; until: number }[] = []
  private longest = 0

  constructor(
    private readonly around: WeekAround,
    private readonly startMs: number,
  ) {}

  private minuteOf(instant: string | number): number {
    return (new Date(instant).getTime() - this.startMs) / 60_000
  }
  private add(place: Place, step: Omit<WorkStep, 'piece' | 'part' | 'painters'>, part: number): number {
    const pin = this.pinOf(place)
    const all = this.around.hands.map((_, k) => k)
    const own = all.filter((k) => pin?.personId !== null && this.around.hands[k]?.id === pin?.personId)
    const index = this.steps.push({ ...step, piece: this.pieces.length, part, painters: own.length > 0 ? own : all }) - 1
    this.places.push(place)
    this.scatter.push(scatterOf(place.step ? this.around.pace[place.step.operation] : undefined))
    // what lies behind holds nothing any more
    const at = Math.round(this.minuteOf(pin?.at ?? -Infinity) / grid) * grid
    if (at >= 0) this.lags.push({ from: null, to: index, min: at, max: at, hard: false, penalty: 0, rack: false, held: true })
    return index
  }
  private pinOf({ step, side }: Place): Pin | undefined {
    return this.around.pins.find((pin) => pin.stepId === step?.id && pin.side === (side ?? null))
  }
  /** `after`: what dries in it */
  private lag(from: number | null, to: number, { opens, closes }: Wait, drying = nowhere, after: PlanStep | null = null): void {
    const min = Math.ceil(Math.max(0, opens) / grid) * grid
    const max = closes === Infinity ? null : Math.max(min, Math.floor(closes / grid) * grid)
    const near = closes - opens <= nearMinutes
    this.longest = Math.max(this.longest, min)
    const seen = after?.family && this.around.learned[after.family]
    this.lags.push({
      from,
      to,
      min,
      max,
      // what is open already can't wait for anybody to lay it later
      hard: near && from !== null,
      penalty: max === null ? 0 : near ? missed.near : missed.soft,
      ...drying,
      held: false,
      scatter: seen ? scatterOf(seen) : usualDrying,
    })
  }

  /** Puts a piece in; false where nothing of it is ahead. */
  piece(journey: Journey): boolean {
    const began = this.steps.length
    const wait = waitThrough(this.around.airOf(journey), this.around.learned, this.around.nowMs)
    const parts = journey.parts.map((part, k) => ({ part, ...this.lane({ journey, lane: part, index: k, wait }) }))
    const { whole } = journey
    let finals = parts.flatMap(({ last, rest }) => (last === null ? [] : [{ last, rest: Math.max(0, rest) }]))
    if (whole) {
      const before = this.lane({ journey, lane: whole, index: parts.length, wait, side: 'before' })
      for (const { first, part } of parts)
        if (first !== null && part.done.length === 0 && !part.running && (before.last !== null || before.rest > 0))
          this.lag(before.last, first, { opens: before.rest, closes: Infinity })
      const after = this.lane({ journey, lane: whole, index: parts.length + 1, wait, side: 'after' })
      if (after.first !== null)
        for (const { last, rest } of [...parts, before])
          if (last !== null || rest > 0) this.lag(last, after.first, { opens: rest, closes: Infinity })
      const end = after.last ?? before.last
      if (end !== null) finals = after.last !== null || finals.length === 0 ? [{ last: end, rest: 0 }] : finals
    }
    if (this.steps.length === began) return false
    this.close(journey, finals, parts.length + 2)
    return true
  }

  /** A piece ends with one step; where several lanes end, it is put together and looked over. */
  private close(journey: Journey, finals: readonly { last: number; rest: number }[], part: number): void {
    const { piece } = journey.file
    const [only] = finals
    const final =
      finals.length === 1 && only
        ? only.last
        : this.add(
            { pieceId: piece.id, partId: null, step: null, figures: null },
            { name: 'look over', dur: lookOver, split: false, product: null, spray: false },
            part,
          )
    if (finals.length !== 1) for (const { last, rest } of finals) this.lag(last, final, { opens: rest, closes: Infinity })
    const due = piece.promisedOn === null ? Infinity : this.dueOf(piece.promisedOn)
    this.pieces.push({ id: piece.id, due, weight: weightOf(piece), final })
  }
  private dueOf(day: string): number {
    const latest = Math.min(dayMinutes, Math.max(...this.around.hands.map(({ hours }) => hours.to)))
    return Math.floor(this.minuteOf(instantAt(day, latest, this.around.zone)) / grid) * grid
  }

  /** Puts a lane in, of the work around the paint one side of it. */
  private lane({ journey, lane, index, wait, side }: LaneAsked): LaneNodes {
    const { part, steps, running, turn, window, handle } = lane
    const { id: pieceId, roomId } = journey.file.piece
    const isHere = (step: PlanStep) => side === undefined || (step.side === 'after') === (side === 'after')
    const runs = running && isHere(running.step) ? running : null
    const ahead = steps.filter(({ step, state }) => isAhead(state) && step.id !== runs?.step.id && isHere(step))
    const { pace, ends } = this.around
    const waitAfter = ({ step, side: turned }: Half<PlanStep>, endMs = ends.get(lineKey(step.id, turned)) ?? null) =>
      wait(step, endMs)
    const placeOf = ({ step, side: turned }: Half<PlanStep>, after: WaitInAir): Place => {
      return { pieceId, partId: part.id, step, side: turned, figures: figuresOf(step, pace, after) }
    }
    const halves = halvesOf(ahead.map(({ step }) => step))
    const nowIn = (instant: string | null) => (instant === null ? Infinity : this.minuteOf(instant))
    let ready: Wait = { opens: 0, closes: Infinity }
    if (runs && turn) {
      // its first side lies: the second is ahead
      halves.unshift(...halvesOf([runs.step], true))
      ready = { opens: nowIn(turn.times.opens), closes: Infinity }
    } else if (runs) {
      const until = Math.max(0, this.minuteOf(this.around.nowMs)) + onGrid(minutesHere(runs.step, pace) - runs.state.minutes)
      const half = { step: runs.step, index: 0 }
      const after = waitAfter(half, this.startMs + until * 60_000)
      ready = { opens: until + after.opens, closes: until + after.closes }
      this.running.push({ place: placeOf(half, after), hand: handOf(this.around.hands, runs.state.byPerson), until })
    } else if (window && lane.next && isHere(lane.next)) {
      const over = window.times.closes !== null && Date.parse(window.times.closes) < this.around.nowMs
      ready = { opens: nowIn(window.times.opens), closes: over ? Infinity : nowIn(window.times.closes) }
    }
    const drying = dryingIn(this.around, roomId)
    let last: number | null = null
    let first: number | null = null
    let before = runs?.step ?? null
    for (const half of halves) {
      const after = waitAfter(half)
      if (ready.opens === Infinity) {
        this.stuck.push(placeOf(half, after))
        continue
      }
      const node = this.add(placeOf(half, after), workOf(half.step, pace), index)
      if (last !== null || ready.opens > 0 || ready.closes < Infinity)
        this.lag(last, node, ready, last !== null && ready.opens > 0 ? drying : nowhere, before)
      first ??= node
      last = node
      ready = after
      before = half.step
    }
    const finish = part.plan?.care ? 0 : dryDay
    if (first === null) {
      const dry = handle?.times.opens ? Math.max(0, this.minuteOf(handle.times.opens)) : 0
      return { first, last: null, rest: Math.max(dry, ready.opens === Infinity ? 0 : ready.opens, runs ? finish : 0) }
    }
    return { first, last, rest: Math.max(ready.opens === Infinity ? 0 : ready.opens, part.plan?.care ? 0 : finish) }
  }

  done(journeys: readonly Journey[]): Workshop {
    const { hands, others, zone } = this.around
    const work = this.steps.reduce((sum, { dur }) => sum + dur, 0)
    const due = Math.max(0, ...this.pieces.map((piece) => (piece.due === Infinity ? 0 : piece.due)))
    const days = daysLooked(hands, work, Math.max(this.longest, due))
    const painters = hands.map((hand, k) => {
      const all = stretchesOf(hand, others, { startMs: this.startMs, zone, days, grid })
      const until = Math.max(0, ...this.running.filter((each) => each.hand === k).map((each) => each.until))
      return { id: hand.id ?? '', work: without(all, 0, until) }
    })
    const longest = Math.max(0, ...painters.flatMap(({ work: hours }) => hours.map(([from, to]) => to - from)))
    const horizon = days * dayMinutes
    return {
      problem: {
        grid,
        horizon,
        painters,
        pools: poolsOf(this.around, this.steps.length),
        setup: setUp,
        pieces: this.pieces.map((piece) => ({ ...piece, due: Math.min(piece.due - spareOf(hands), horizon) })),
        // what fits into nobody's day goes over a break
        steps: this.steps.map((step) => ({ ...step, split: step.split || step.dur > longest })),
        lags: this.lags,
        cost: { tardy, flow: 1 },
      },
      ...{ places: this.places, journeys },
      promised: this.pieces.map(({ due }) => due),
      hands,
      startMs: this.startMs,
      stuck: this.stuck,
      running: this.running,
      scatter: this.scatter,
    }
  }
}
