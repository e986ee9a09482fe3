/** Weeks as they are made without a solver: by the whiteboard, piece by piece with care, and by a plain annealing of the order of parts. */
import { randomFrom } from '../src/core/measure/random'
import { Calendar, never } from '../src/core/schedule/calendar'
import { checkWeek } from '../src/core/schedule/check'
import type { Lag, WorkshopProblem, WorkshopSchedule } from '../src/core/schedule/problem'

/** Whenever somebody is free they take the ready step of the piece that is due soonest. */
export function whiteboard(problem: WorkshopProblem): WorkshopSchedule {
  const { steps, lags, painters, pieces, pools, setup, grid, horizon } = problem
  const calendars = painters.map((each) => new Calendar(each, grid, horizon))
  const start = steps.map(() => never)
  const end = steps.map(() => never)
  const painter = steps.map(() => 0)
  const wet = painters.map(() => never)
  const free = painters.map(() => 0)
  const order = steps.map((_, k) => k).sort((a, b) => dueOf(a) - dueOf(b) || a - b)
  for (let now = 0; now < horizon; now += grid)
    painters.forEach((_, by) => {
      if ((free[by] ?? 0) > now) return
      const next = order.find((k) => isReady(k, by, now))
      if (next === undefined) return
      start[next] = now
      end[next] = calendars[by]?.endOf(steps[next]!, now) ?? never
      painter[next] = by
      free[by] = end[next] ?? now
      if (steps[next]?.product) wet[by] = next
    })
  return { start, painter }

  function dueOf(k: number) {
    return pieces[steps[k]?.piece ?? 0]?.due ?? 0
  }
  function isReady(k: number, by: number, now: number): boolean {
    const step = steps[k]
    if (!step || start[k] !== never || !step.painters.includes(by)) return false
    const waits = lags.filter(({ to }) => to === k)
    if (!waits.every(({ from, min }) => (from === null ? now >= min : end[from] !== never && (end[from] ?? 0) + min <= now)))
      return false
    const last = wet[by] ?? never
    if (step.product && last !== never && steps[last]?.product !== step.product && (end[last] ?? 0) + setup > now) return false
    if ((calendars[by]?.endOf(step, now) ?? never) === never) return false
    const spraying = steps.filter((other, at) => other.spray && start[at] !== never && (end[at] ?? 0) > now).length
    if (step.spray && spraying >= pools.spray) return false
    const held = lags.filter(({ from, to, rack }) => rack && from !== null && start[from] !== never && start[to] === never).length
    const takes = lags.filter(({ from, rack }) => rack && from === k).length - waits.filter(({ rack }) => rack).length
    return takes <= 0 || held + takes <= pools.rack
  }
}

/** Parts laid one after the other: each step where it first fits, what a hard window ties to it at once; a part waits until its drying places are free. */
class PartByPart {
  private readonly calendars: Calendar[]
  private readonly into: Lag[][]
  private readonly out: Lag[][]
  /** the steps of each part, in their order */
  readonly parts: number[][]
  private start: number[] = []
  private end: number[] = []
  private painter: number[] = []
  private busy: number[][] = []
  private sprayed: number[] = []
  /** when drying places are held */
  private stays: [number, number][] = []

  constructor(private readonly problem: WorkshopProblem) {
    const { steps, lags, painters, grid, horizon } = problem
    this.calendars = painters.map((each) => new Calendar(each, grid, horizon))
    this.into = steps.map((_, k) => lags.filter(({ to }) => to === k))
    this.out = steps.map((_, k) => lags.filter(({ from }) => from === k))
    const parts = new Map<string, number[]>()
    steps.forEach(({ piece, part }, k) => parts.set(`${piece} ${part}`, [...(parts.get(`${piece} ${part}`) ?? []), k]))
    this.parts = [...parts.values()]
  }

  /** By the order of parts; null where one has no place. What a part waits for of another comes first, wherever it stands. */
  lay(order: readonly number[]): WorkshopSchedule | null {
    const { steps, painters } = this.problem
    this.start = steps.map(() => never)
    this.end = steps.map(() => never)
    this.painter = steps.map(() => 0)
    this.busy = painters.map(() => [])
    this.sprayed = []
    this.stays = []
    const left = [...order]
    while (left.length > 0) {
      const next = left.findIndex((part) => this.mayBegin(this.parts[part] ?? []))
      const [part] = left.splice(Math.max(0, next), 1)
      if (next < 0 || part === undefined || !this.layPart(this.parts[part] ?? [])) return null
    }
    return { start: this.start, painter: this.painter }
  }
  private mayBegin(part: readonly number[]): boolean {
    return part.every((step) =>
      (this.into[step] ?? []).every(({ from }) => from === null || part.includes(from) || this.end[from] !== never),
    )
  }
  private layPart(part: readonly number[]): boolean {
    const opens = part.find((step) => (this.out[step] ?? []).some(({ rack }) => rack))
    const held = this.problem.lags.filter(
      ({ rack, from, to }) => rack && (part.includes(to) || (from !== null && part.includes(from))),
    )
    for (let later = 0; later < this.problem.horizon; later += 60) {
      for (const step of part) {
        if (this.start[step] !== never) continue
        const ready = Math.max(this.readyAt(step), step === opens ? later : 0)
        if (this.place(step, ready, this.problem.horizon)) continue
        this.takeUp(part)
        return false
      }
      const stays = held.map(({ from, to }): [number, number] => [from === null ? 0 : (this.end[from] ?? 0), this.start[to] ?? 0])
      if (this.haveRoom(stays)) {
        this.stays.push(...stays)
        return true
      }
      later = Math.max(later, stays[0]?.[0] ?? 0)
      this.takeUp(part)
    }
    return false
  }
  private haveRoom(stays: readonly [number, number][]): boolean {
    const all = [...this.stays, ...stays]
    return stays.every(([from, to]) =>
      all.every(
        ([at]) =>
          at < from || at >= to || all.filter(([since, until]) => since <= at && at < until).length <= this.problem.pools.rack,
      ),
    )
  }
  private readyAt(step: number): number {
    return (this.into[step] ?? []).reduce(
      (most, { from, min }) => Math.max(most, (from === null ? 0 : (this.end[from] ?? 0)) + min),
      0,
    )
  }
  /** Where it first fits from one minute to another, with what a hard window ties to it. */
  private place(step: number, from: number, to: number): boolean {
    const tied = (this.out[step] ?? []).find(({ hard, max }) => hard && max !== null)
    for (let at = from; at <= to;) {
      let best: { start: number; end: number; by: number } | null = null
      for (const by of this.problem.steps[step]?.painters ?? []) {
        const fit = this.fit(step, by, at)
        if (fit && (!best || fit.end < best.end)) best = { ...fit, by }
      }
      if (!best || best.start > to) return false
      this.put(step, best)
      const { end, start } = best
      if (!tied || this.place(tied.to, end + tied.min, end + (tied.max ?? 0))) return true
      this.takeUp([step])
      at = start + this.problem.grid
    }
    return false
  }
  private fit(step: number, by: number, from: number): { start: number; end: number } | null {
    const { steps, grid, setup, pools } = this.problem
    const facts = steps[step]
    const calendar = this.calendars[by]
    if (!facts || !calendar) return null
    for (let at = Math.ceil(from / grid) * grid; ;) {
      at = calendar.nextStart(facts, at)
      if (at === never) return null
      const end = calendar.endOf(facts, at)
      const clash = (this.busy[by] ?? []).find((other) => {
        const cleans = facts.product && steps[other]?.product && steps[other]?.product !== facts.product ? setup : 0
        return (this.start[other] ?? 0) < end + cleans && at < (this.end[other] ?? 0) + cleans
      })
      const wet = facts.spray ? this.sprayed.filter((other) => (this.start[other] ?? 0) < end && at < (this.end[other] ?? 0)) : []
      if (clash === undefined && wet.length < pools.spray) return { start: at, end }
      at = Math.max(
        at + grid,
        clash === undefined ? Math.min(...wet.map((other) => this.end[other] ?? 0)) : (this.end[clash] ?? 0),
      )
      at = Math.ceil(at / grid) * grid
    }
  }
  private put(step: number, { start, end, by }: { start: number; end: number; by: number }): void {
    this.start[step] = start
    this.end[step] = end
    this.painter[step] = by
    this.busy[by]?.push(step)
    if (this.problem.steps[step]?.spray) this.sprayed.push(step)
  }
  private takeUp(part: readonly number[]): void {
    const gone = new Set(part.flatMap((step) => [step, ...(this.out[step] ?? []).filter(({ hard }) => hard).map(({ to }) => to)]))
    this.busy = this.busy.map((each) => each.filter((step) => !gone.has(step)))
    this.sprayed = this.sprayed.filter((step) => !gone.has(step))
    for (const step of gone) {
      this.start[step] = never
      this.end[step] = never
    }
  }
}

const byDue = ({ pieces, steps }: WorkshopProblem, parts: readonly number[][]): number[] => {
  const dueOf = (part: number) => pieces[steps[parts[part]?.[0] ?? 0]?.piece ?? 0]?.due ?? 0
  return parts.map((_, part) => part).sort((a, b) => dueOf(a) - dueOf(b) || a - b)
}
/** A careful person: pieces by the day they are due, each part with its drying places and hard windows seen to. */
export function inTurn(problem: WorkshopProblem): WorkshopSchedule | null {
  const board = new PartByPart(problem)
  return board.lay(byDue(problem, board.parts))
}
/** Heat at the beginning and at the end, as shares of the cost. */
const [hot, cold] = [0.05, 0.001]
/** The same, and for so long two parts change places, or one goes elsewhere, by chance that cools. */
export function annealed(problem: WorkshopProblem, budgetMs: number, seed: number): WorkshopSchedule | null {
  const board = new PartByPart(problem)
  const random = randomFrom(seed)
  const any = (most: number) => Math.floor(random() * most)
  const costOf = (week: WorkshopSchedule | null) => (week ? checkWeek(problem, week).cost : Infinity)
  let order = byDue(problem, board.parts)
  let best = board.lay(order)
  let [cost, least] = [costOf(best), costOf(best)]
  const began = performance.now()
  for (let over = 0; over < 1; over = (performance.now() - began) / budgetMs) {
    const next = [...order]
    const [one, other] = [any(next.length), any(next.length)]
    if (random() < 0.5) [next[one], next[other]] = [next[other] ?? 0, next[one] ?? 0]
    else next.splice(other, 0, ...next.splice(one, 1))
    const week = board.lay(next)
    const found = costOf(week)
    if (found === Infinity || found > cost - Math.log(1 - random()) * cost * hot * (cold / hot) ** over) continue
    ;[order, cost] = [next, found]
    if (found < least) [best, least] = [week, found]
  }
  return best
}
