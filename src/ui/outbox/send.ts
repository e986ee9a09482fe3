/** Sends what is kept, oldest first, one at a time; one tab at a time. Stops where the server can't be reached. */
import type { Answer } from '../form/actions'
import { forget, listKept, mark, type Kept } from './store'

/** Longer, and the connection counts as gone. */
const patienceMs = 6_000

/** The server's answer; `unreachable` where none came. */
export async function post({ action, typed }: Pick<Kept, 'action' | 'typed'>): Promise<Answer> {
  try {
    const response = await fetch('/api/bench', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ action, typed }),
      signal: AbortSignal.timeout(patienceMs),
    })
    // a server that fails is a server that has not stored it
    return response.status >= 500 ? { issue: 'unreachable' } : ((await response.json()) as Answer)
  } catch {
    return { issue: 'unreachable' }
  }
}

export interface Sent {
  /** each kept entry that got an answer, with it */
  answered: { kept: Kept; answer: Answer }[]
  reachable: boolean
}

export function sendKept(): Promise<Sent> {
  return navigator.locks.request('itinerum-outbox', async () => {
    const answered: Sent['answered'] = []
    for (const kept of await listKept().catch((): Kept[] => [])) {
      if (kept.issue) continue
      const answer = await post(kept)
      if ('issue' in answer && answer.issue === 'unreachable') return { answered, reachable: false }
      answered.push({ kept, answer })
      if ('ok' in answer) await forget(kept.seq)
      else await mark({ ...kept, issue: answer.issue })
    }
    return { answered, reachable: true }
  })
}
