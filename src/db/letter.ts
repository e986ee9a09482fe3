/** Letters on their way. Asked by the door's own role alone. */
import * as z from 'zod'
import type { StudioId } from '@/core/measure/named'
import type { Client } from './pool'
import { many, one, query } from './rows'

export const letterKinds = ['join', 'new-password', 'for'] as const
export type LetterKind = (typeof letterKinds)[number]

export interface NewLetter {
  id: string
  studioId: StudioId
  accountId: string
  about: LetterKind
  recipient: string
  subject: string
  words: string
}
/** `a…@mill.example`: enough to know it again, and nobody's address. */
const shownAs = (address: string) => `${address.slice(0, 1)}…${address.slice(address.lastIndexOf('@'))}`.slice(0, 120)
/** Written once under its number. */
export async function addLetter(client: Client, letter: NewLetter): Promise<void> {
  const { id, studioId, accountId, about, recipient, subject, words } = letter
  await client.query(
    `insert into door.letter (id, studio_id, by_account, about, shown_to, recipient, subject, words)
     values ($1, $2, $3, $4, $5, $6, $7, $8) on conflict (id) do nothing`,
    [id, studioId, accountId, about, shownAs(recipient), recipient, subject, words],
  )
}
const counted = query(
  'how many letters were written',
  z.object({ count: z.number() }),
  `select count(*)::int as count from door.letter where studio_id = $1 and made_at > now() - interval '1 hour'`,
)
/** How many a studio wrote within the last hour. */
export const countLetters = async (client: Client, studioId: StudioId): Promise<number> =>
  (await one(client, counted, [studioId])).count

const dueRow = z.object({ id: z.string(), recipient: z.string(), subject: z.string(), words: z.string(), tries: z.number() })
export type DueLetter = z.output<typeof dueRow>
/** Those whose turn it is, at most `limit`: each counts as tried before it is, so that none is sent by two. */
const due = query(
  'a letter',
  dueRow,
  `update door.letter set tries = tries + 1, next_try = now() + interval '1 minute' * (5 ^ least(tries, 4))
   where id in (select id from door.letter where next_try <= now() order by next_try limit $1 for update skip locked)
   returning id, recipient, subject, words, tries`,
)
export const takeDue = (client: Client, limit: number): Promise<DueLetter[]> => many(client, due, [limit])
const over = `next_try = null, recipient = null, subject = null, words = null`
export async function noteSent(client: Client, id: string): Promise<void> {
  await client.query(`update door.letter set ${over}, sent_at = now() where id = $1`, [id])
}
/** It is given up, and told why. */
export async function giveUp(client: Client, id: string, why: string): Promise<void> {
  await client.query(`update door.letter set ${over}, failed = $2 where id = $1`, [id, why.slice(0, 300)])
}

/** What went, or never did, is told for a month: even so little of an address is not kept for ever. */
export async function forgetOld(client: Client): Promise<void> {
  await client.query(`delete from door.letter where next_try is null and made_at < now() - interval '30 days'`)
}

const letterRow = z.object({
  id: z.string(),
  about: z.enum(letterKinds),
  shownTo: z.string(),
  madeAt: z.string(),
  tries: z.number(),
  sentAt: z.string().nullable(),
  failed: z.string().nullable(),
})
export type Letter = z.output<typeof letterRow>
const latest = query(
  'a letter',
  letterRow,
  `select id, about, shown_to as "shownTo", made_at as "madeAt", tries, sent_at as "sentAt", failed
   from door.letter where studio_id = $1 order by made_at desc, id limit 20`,
)
/** A studio's latest, the newest first. */
export const listLetters = (client: Client, studioId: StudioId): Promise<Letter[]> => many(client, latest, [studioId])
