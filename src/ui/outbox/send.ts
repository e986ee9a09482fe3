/** Sends what is kept, oldest first, one at a time; one tab at a time. Stops where the server can't be reached. */
import type { Answer } from '@/core/input/issues'
import { forget, listKept, mark, type Kept } from './store'

/** Longer, and the connection counts as gone; a photograph may take its time. */
const patienceMs = 6_000
const photoPatienceMs = 120_000

type Sendable = Pick<Kept, 'action' | 'typed' | 'file'>

const ask = (path: string, request: RequestInit, patience: number) =>
  fetch(path, { ...request, signal: AbortSignal.timeout(patience) })

async function askBench({ action, typed }: Sendable): Promise<Answer> {
  const body = JSON.stringify({ action, typed })
  const headers = { 'content-type': 'application/json' }
  const response = await ask('/api/bench', { method: 'POST', headers, body }, patienceMs)
  return response.status >= 500 ? { issue: 'unreachable' } : ((await response.json()) as Answer)
}

async function askPhotos({ typed, file }: Sendable): Promise<Answer> {
  const { entryId, pieceId, partId, stepId, at, moment, alt } = typed
  const where = Object.entries({ piece: pieceId, part: partId, step: stepId, at, moment, alt })
  const query = new URLSearchParams(where.flatMap(([name, value]) => (typeof value === 'string' ? [[name, value]] : [])))
  const request = { method: 'PUT', body: file ?? null }
  const response = await ask(`/api/photos/${entryId}?${query.toString()}`, request, photoPatienceMs)
  if (response.ok) return { ok: true }
  if (response.status >= 500) return { issue: 'unreachable' }
  const { words } = (await response.json()) as { words: string }
  return { issue: 'not-readable', fields: { photo: words } }
}

/** The server's answer; `unreachable` where none came: a server that fails is a server that has not stored it. */
export const post = (sent: Sendable): Promise<Answer> =>
  (sent.action === 'addPhoto' ? askPhotos(sent) : askBench(sent)).catch((): Answer => ({ issue: 'unreachable' }))

export interface Sent {
  /** each kept entry that got an answer, with it */
  answered: { kept: Kept; answer: Answer }[]
  reachable: boolean
}
/** What is written goes first; photographs never hold it up. */
export type Mail = 'entries' | 'photos'

export function sendKept(mail: Mail): Promise<Sent> {
  return navigator.locks.request(`itinerum-outbox-${mail}`, async () => {
    const answered: Sent['answered'] = []
    for (const kept of await listKept().catch((): Kept[] => [])) {
      if (kept.issue || (kept.action === 'addPhoto') !== (mail === 'photos')) continue
      const answer = await post(kept)
      if ('issue' in answer && answer.issue === 'unreachable') return { answered, reachable: false }
      answered.push({ kept, answer })
      if ('ok' in answer) await forget(kept.seq)
      else await mark({ ...kept, ...answer })
    }
    return { answered, reachable: true }
  })
}

/** What became of it: another sending, or another tab, may have had the answer first. Null where there is none yet. */
export async function answerOf({ seq }: Kept, { answered }: Sent): Promise<Answer | null> {
  const own = answered.find(({ kept }) => kept.seq === seq)
  if (own) return own.answer
  const still = (await listKept().catch((): Kept[] => [])).find((each) => each.seq === seq)
  if (!still) return { ok: true }
  return still.issue ? { issue: still.issue, ...(still.fields && { fields: still.fields }) } : null
}
