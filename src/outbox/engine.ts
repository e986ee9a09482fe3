/**
 * The way every bench entry takes: first onto the device, then to the server, in order; shown at once, called stored only when
 * it is. Survives a closed browser and a lost connection. Knows no interface: whoever shows it subscribes.
 */
import type { AwayAction, AwayText } from '@/core/input/away'
import type { BenchAction, BenchText } from '@/core/input/bench'
import type { Answer } from '@/core/input/issues'
import type { Entry } from '@/core/log/entry'
import type { PersonId } from '@/core/measure/named'
import { answerOf, type Mail, post, sendKept } from './send'
import { type Draft, forget, keep, type Kept, listKept, mark, type PhotoTyped } from './store'

export interface OutboxState {
  /** not stored on the server, oldest first */
  kept: readonly Kept[]
  /** entries of this device that a page may not know yet: kept ones, those on their way, and those just stored */
  entries: readonly Entry[]
  reachable: boolean
}

/** What the engine needs of the place it runs in. */
export interface Around {
  /** a draft as the entry it will be; null where it is none or can't be read, undefined while nobody can tell */
  entryOf: (draft: Pick<Kept, 'action' | 'typed'>) => Entry | null | undefined
  /** something was stored: pages may ask anew */
  stored: () => void
}

const retryMs = 4_000
/** safely on the device, nobody waits longer for the server than this */
const onTheDeviceMs = 1_500
const channelName = 'itinerum-outbox'

/** Tapped, kept and stored in turn, one entry is known by its id. */
const once = (entries: readonly Entry[]): Entry[] => [...new Map(entries.map((entry) => [entry.id, entry])).values()]

export class OutboxEngine {
  private kept: readonly Kept[] = []
  /** on their way onto the device */
  private tapped: readonly Entry[] = []
  private done: readonly Entry[] = []
  private reachable = true
  private state: OutboxState = { kept: [], entries: [], reachable: true }
  private readonly listeners = new Set<() => void>()
  private channel: BroadcastChannel | null = null
  private timer: ReturnType<typeof setInterval> | undefined

  constructor(private around: Around) {}

  /** The place it runs in may change: the house's currency, the page it stands on, what can be read of a draft. */
  stand(around: Around): void {
    this.around = around
    if (this.kept.length > 0) this.show()
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }
  readonly snapshot = (): OutboxState => this.state

  private show(): void {
    const waiting = this.kept.filter(({ issue }) => issue === null).flatMap((each) => this.around.entryOf(each) ?? [])
    this.state = {
      kept: this.kept,
      entries: once([...this.done, ...waiting, ...this.tapped]),
      reachable: this.reachable,
    }
    const waits = this.kept.some(({ issue }) => issue === null)
    if (waits && !this.timer && this.channel) this.timer = setInterval(() => this.flushUnasked(), retryMs)
    if (!waits && this.timer) {
      clearInterval(this.timer)
      this.timer = undefined
    }
    for (const listener of this.listeners) listener()
  }

  /** Begins to listen to other tabs and to the line, and sends what waits; the returned function ends it. */
  start(): () => void {
    const channel = new BroadcastChannel(channelName)
    this.channel = channel
    channel.onmessage = () => void this.reload()
    const begin = () => void this.reload().then(() => this.flushUnasked())
    const lost = () => {
      this.reachable = false
      this.show()
    }
    begin()
    globalThis.addEventListener('online', begin)
    globalThis.addEventListener('offline', lost)
    return () => {
      channel.close()
      this.channel = null
      clearInterval(this.timer)
      this.timer = undefined
      globalThis.removeEventListener('online', begin)
      globalThis.removeEventListener('offline', lost)
    }
  }

  private async reload(): Promise<void> {
    this.kept = await listKept().catch((): Kept[] => [])
    this.show()
  }

  private async flush(mail: Mail) {
    const sent = await sendKept(mail)
    this.reachable = sent.reachable
    const stored = sent.answered.flatMap(({ kept, answer }) => ('ok' in answer ? (this.around.entryOf(kept) ?? []) : []))
    this.done = [...this.done, ...stored]
    await this.reload()
    if (sent.answered.length > 0) {
      this.channel?.postMessage('changed')
      this.around.stored()
    }
    return sent
  }
  async flushAll(): Promise<void> {
    if ((await this.flush('entries')).reachable) await this.flush('photos')
  }

  /** Nobody waits for it: what goes wrong leaves everything kept, and it is sent the next time. */
  private flushUnasked(): void {
    if (this.channel) this.flushAll().catch(() => undefined)
  }

  /** Onto the device, and on to the server; null where it is safe here and there is no answer yet. */
  private async deliver(draft: Draft, mail: Mail): Promise<Answer | null> {
    const own = await keep(draft).catch(() => null)
    // a device that can keep nothing sends at once, or says that it could not
    if (!own) {
      const answer = await post(draft)
      const entry = 'ok' in answer ? this.around.entryOf(draft) : null
      if (entry) this.done = [...this.done, entry]
      if ('ok' in answer) this.around.stored()
      this.show()
      return answer
    }
    this.kept = [...this.kept, own]
    this.show()
    const late = new Promise<null>((resolve) => mail === 'entries' && setTimeout(resolve, onTheDeviceMs, null))
    const answer = await Promise.race([this.flush(mail).then((sent) => answerOf(own, sent)), late])
    // whoever typed it is still here to put it right: it is theirs again
    if (answer && 'issue' in answer) await this.letGo(own)
    return answer
  }

  /** Resolves once it is stored, or safely on the device; an issue where the server would not have it. */
  async send<A extends BenchAction>(
    action: A,
    typed: BenchText<A>,
    about: string,
    personId: PersonId | null = null,
  ): Promise<Answer> {
    const draft: Draft = { action, typed: { ...(personId && { personId }), ...(typed as Kept['typed']) }, about }
    const shown = this.around.entryOf(draft)
    if (shown === null) return { issue: 'not-readable' }
    // what can't be read yet is kept and sent all the same, and shows when it can
    this.tapped = [...this.tapped, ...(shown ? [shown] : [])]
    this.show()
    const answer = await this.deliver(draft, 'entries')
    this.tapped = this.tapped.filter(({ id }) => id !== shown?.id)
    this.show()
    return answer ?? { ok: true }
  }

  /** What is no entry of a log, likewise; null where it is kept and not sent yet. */
  sendAway<A extends AwayAction>(action: A, typed: AwayText<A>, about: string): Promise<Answer | null> {
    return this.deliver({ action, typed: typed as unknown as Kept['typed'], about }, 'entries')
  }
  /** As {@link send}; null where it is kept and not sent yet. */
  sendPhoto(typed: PhotoTyped, file: Blob, about: string): Promise<Answer | null> {
    return this.deliver({ action: 'addPhoto', typed: { ...typed }, about, file }, 'photos')
  }
  async sendAgain(kept: Kept): Promise<void> {
    await mark({ ...kept, issue: null, faults: 0 })
    await this.flushAll()
  }
  async letGo({ seq }: Kept): Promise<void> {
    await forget(seq)
    await this.reload()
  }
}
