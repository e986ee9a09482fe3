/**
 * Sends what is kept, oldest first, one at a time; one tab at a time. Stops where the server can't be reached; passes by what the
 * server breaks over, so that nothing behind it waits for good.
 */
import type { Answer } from '@/core/input/issues'
import { forget, type Kept, listKept, mark, sentFor } from './store'

/** Longer, and the connection counts as gone; a photograph may take its time. */
const patienceMs = 6_000
const photoPatienceMs = 120_000
/** how often a server may break over one entry before it is passed by */
const mostFaults = 3

type Sendable = Pick<Kept, 'action' | 'typed' | 'file'>
/** `faulty`: the server is there and broke over this very thing. */
type Heard = Answer | 'faulty'
const unreachable: Answer = { issue: 'unreachable' }

const ask = (path: string, request: RequestInit, patience: number) =>
  fetch(path, { ...request, signal: AbortSignal.timeout(patience) })

/** 500 is a fault over what was sent; the others of its kind say that the server itself is not well. 401: it waits until somebody signs in. */
const failing = (status: number): Heard | null =>
  status === 500 ? 'faulty' : status > 500 || status === 401 ? unreachable : null

async function askBench({ action, typed }: Sendable): Promise<Heard> {
  const body = JSON.stringify({ action, typed })
  const headers = { 'content-type': 'application/json', ...sentFor() }
  const response = await ask('/api/bench', { method: 'POST', headers, body }, patienceMs)
  return failing(response.status) ?? ((await response.json()) as Answer)
}

async function askPhotos({ typed, file }: Sendable): Promise<Heard> {
  const { entryId, pieceId, partId, stepId, at, moment, alt } = typed
  const where = Object.entries({ piece: pieceId, part: partId, step: stepId, at, moment, alt })
  const query = new URLSearchParams(where.flatMap(([name, value]) => (typeof value === 'string' ? [[name, value]] : [])))
  const request = { method: 'PUT', body: file ?? null, headers: sentFor() }
  const response = await ask(`/api/photos/${entryId}?${query.toString()}`, request, photoPatienceMs)
  if (response.ok) return { ok: true }
  const fails = failing(response.status)
  if (fails) return fails
  const { words } = (await response.json()) as { words: string }
  return { issue: 'not-readable', fields: { photo: words } }
}

/** What the server said; `unreachable` where nothing came. */
const hear = (sent: Sendable): Promise<Heard> =>
  (sent.action === 'addPhoto' ? askPhotos(sent) : askBench(sent)).catch((): Heard => unreachable)

/** The server's answer; `unreachable` where none came: a server that fails is a server that has not stored it. */
export const post = async (sent: Sendable): Promise<Answer> => {
  const heard = await hear(sent)
  return heard === 'faulty' ? unreachable : heard
}

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
      const heard = await hear(kept)
      const faults = heard === 'faulty' ? (kept.faults ?? 0) + 1 : 0
      if (heard === 'faulty' && faults < mostFaults) {
        await mark({ ...kept, faults })
        return { answered, reachable: false }
      }
      const answer: Answer = heard === 'faulty' ? { issue: 'not-storable' } : heard
      if ('issue' in answer && answer.issue === 'unreachable') return { answered, reachable: false }
      answered.push({ kept, answer })
      if ('ok' in answer) await forget(kept.seq)
      else await mark({ ...kept, ...answer, faults: 0 })
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
