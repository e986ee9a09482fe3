/** Asks the worker for weeks: one question at a time, the newest of each kind; the page never waits for it. */
import type { WeekAnswer, WeekAsk } from '@/core/week/ask'
import type { KeptWindow, Step } from '@/core/week/keep'
import type { Asked, Compared, Told } from './planner.worker'

/** What is asked for: a first answer of the week as it is, a better one, or what is thought of. */
export type AskKind = 'first' | 'better' | 'thought'
interface Question {
  kind: AskKind
  asked: Asked
  done: (told: never) => void
  failed: (trouble: Error) => void
}

/** Kinds that a newer question of a kind takes the place of: what they would tell is old. Those are never answered. */
const replaced: Record<AskKind, readonly AskKind[]> = {
  first: ['first', 'better'],
  better: ['better'],
  thought: ['thought'],
}
export class Planner {
  private worker: Worker | null = null
  /** the first of them is in work */
  private waiting: Question[] = []
  private count = 0

  /** `onFalling`: what the week in work costs so far; null where none is in work any more. */
  constructor(private readonly onFalling: (cost: number | null) => void) {}

  ask(kind: AskKind, ask: WeekAsk): Promise<WeekAnswer> {
    return this.send(kind, { ask })
  }
  compare(ask: WeekAsk): Promise<Compared> {
    return this.send('thought', { ask, compare: true })
  }
  /** What would keep the window of a step; null where nothing small does. */
  keep(ask: WeekAsk, step: Step): Promise<KeptWindow | null> {
    return this.send('thought', { ask, keep: step })
  }
  end(): void {
    this.stop()
    this.waiting = []
  }

  private send<T>(kind: AskKind, wanted: Omit<Asked, 'number'>): Promise<T> {
    this.count += 1
    const asked: Asked = { number: this.count, ...wanted }
    return new Promise((done, failed) => {
      const [inWork] = this.waiting
      const question = { kind, asked, done, failed }
      // a first answer, and what a hand waits for, are reckoned to their end: else there would be none while others write on
      const ends = inWork?.kind === 'first' || (inWork?.kind === 'thought' && kind !== 'thought') ? [inWork] : []
      const rest = this.waiting.filter((each) => !ends.includes(each) && !replaced[kind].includes(each.kind))
      const soon = kind === 'better' ? [...rest, question] : [question, ...rest]
      this.waiting = [...ends, ...soon]
      if (this.waiting[0] === inWork) return
      if (inWork) this.stop()
      this.begin()
    })
  }
  private stop(): void {
    this.worker?.terminate()
    this.worker = null
  }
  private begin(): void {
    const [first] = this.waiting
    if (!first) return this.onFalling(null)
    this.worker ??= this.newWorker()
    this.worker.postMessage(first.asked)
  }
  private newWorker(): Worker {
    const worker = new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' })
    worker.onmessage = ({ data: told }: MessageEvent<Told>) => {
      const [inWork] = this.waiting
      if (!inWork || told.number !== inWork.asked.number) return
      if ('cost' in told) return this.onFalling(told.cost)
      this.waiting = this.waiting.slice(1)
      if ('answer' in told) inWork.done(told.answer as never)
      else if ('found' in told) inWork.done(told.found as never)
      else if ('compared' in told) inWork.done(told.compared as never)
      else inWork.failed(new Error(told.trouble))
      this.begin()
    }
    worker.onerror = () => {
      this.stop()
      const all = this.waiting
      this.waiting = []
      for (const { failed } of all) failed(new Error('the planner stopped'))
      this.onFalling(null)
    }
    return worker
  }
}
