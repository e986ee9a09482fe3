/** Asks the worker for weeks: one question at a time, the newest of each kind; the page never waits for it. */
import type { WeekAnswer, WeekAsk } from '@/core/week/ask'
import type { Step, WayToKeep } from '@/core/week/keep'
import type { Asked, Told } from './planner.worker'

/** What is asked for: the week as it is, or one that is thought of. */
export type AskKind = 'week' | 'thought'
interface Question {
  kind: AskKind
  asked: Asked
  done: (told: never) => void
  failed: (trouble: Error) => void
}

/** A newer question takes the place of an older one of its kind that waits; a thought also of one in work. Those are never answered. */
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
  /** What would keep the window of a step; null where nothing small does. */
  keep(ask: WeekAsk, step: Step): Promise<{ way: WayToKeep; answer: WeekAnswer } | null> {
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
      // the week in work is reckoned to its end: while others write on, it would never come to one
      const rest = this.waiting.filter((each) => each.kind !== kind || (kind === 'week' && each === inWork))
      const question = { kind, asked, done, failed }
      // what the hand waits for comes first; a thought that nobody has any more is not reckoned to its end
      this.waiting = kind === 'thought' ? [question, ...rest] : [...rest, question]
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
