'use client'
/** Asks the door, and clears this device of what somebody else should not find. */
import { useState } from 'react'
import type { Answer } from '@/core/input/issues'
import { throwAway } from '@/outbox/store'

export interface DoorAnswer {
  ok: boolean
  issue?: string | undefined
  fields?: Record<string, string> | undefined
}

type Path =
  | '/api/session'
  | '/api/session/passkey'
  | '/api/join'
  | '/api/password'
  | '/api/second-factor'
  | '/api/passkeys'
  | '/api/pairing'
  | '/api/codes-for-all'
  | '/api/keys'
  | '/api/letters'
type Method = 'POST' | 'PUT' | 'DELETE'

export async function askDoor<T extends object = object>(
  path: Path,
  method: Method,
  sent: object,
): Promise<DoorAnswer & { said?: T }> {
  try {
    const response = await fetch(path, {
      method,
      body: JSON.stringify(sent),
      headers: { 'content-type': 'application/json' },
      signal: AbortSignal.timeout(15_000),
    })
    const said = (await response.json()) as Partial<DoorAnswer> & T
    return { ok: response.ok, issue: said.issue, fields: said.fields, said }
  } catch {
    return { ok: false, issue: 'unreachable' }
  }
}

export const usualWords: Record<string, string> = {
  code: 'Now the six figures that your app shows, or one of your printed codes.',
  'code-wrong': 'Those are not the figures of this minute, or they came in already. Try the next ones, or a printed code.',
  wait: 'Too many tries. Wait a quarter of an hour, then try again.',
  busy: 'Too many come in at once. Try again in a moment.',
  unreachable: 'The server can’t be reached just now. Try again in a moment.',
}
/**
 * What a form sends to the door, and what the door said against it: in `own` words where they say more, and by field; whether it asks for
 * a code; whether it is still thinking.
 */
export function useDoor<T extends object, Said extends object = object>(
  path: Path,
  method: Method,
  own: Readonly<Record<string, string>> = {},
) {
  const [issue, setIssue] = useState<string | null>(null)
  const [fields, setFields] = useState<Readonly<Record<string, string>>>({})
  const [asksCode, setAsksCode] = useState(false)
  const [pending, setPending] = useState(false)
  const send = async (typed: T, by: Method = method): Promise<Extract<Answer, { issue: string }> | { ok: true; said: Said }> => {
    setIssue(null)
    setFields({})
    setPending(true)
    const { ok, issue: trouble = '', fields: wrong, said } = await askDoor<Said>(path, by, typed)
    setPending(false)
    if (ok && said) return { ok: true, said }
    if (wrong) {
      setFields(wrong)
      setIssue(own['not-readable'] ?? null)
      return { issue: 'not-readable', fields: wrong }
    }
    if (trouble === 'code' || trouble === 'code-wrong') setAsksCode(true)
    setIssue(own[trouble] ?? usualWords[trouble] ?? usualWords.unreachable ?? '')
    return { issue: 'not-readable' }
  }
  return { send, issue, fields, asksCode, pending }
}

/** Goes there with a page made anew: nothing of who was here before stays in it. */
export const openAnew = (path: string): void => location.assign(path)

/** Pages and photographs that were kept to be read without a connection. The code of the app stays: it is everybody's. */
export async function clearPages(): Promise<void> {
  if (!('caches' in window)) return
  for (const name of await caches.keys()) if (name !== 'itinerum-code') await caches.delete(name)
}
/** All that one person left on this device; what others wrote here and is not stored yet stays theirs. */
export async function clearDevice(membershipId: string): Promise<void> {
  await clearPages()
  for (const key of Object.keys(localStorage)) if (key.startsWith('itinerum.')) localStorage.removeItem(key)
  await throwAway(membershipId).catch(() => undefined)
}

/** 32 random bytes, as an address may hold them. */
export const freshSecret = () =>
  btoa(String.fromCharCode(...crypto.getRandomValues(new Uint8Array(32))))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replace(/=+$/, '')
