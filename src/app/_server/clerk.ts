/**
 * What the house does by itself, with nobody looking: telling browsers of windows while the app is shut, and sending letters. One server of
 * several does it.
 * Each studio in which somebody wants to be told is read again when something in it has changed, and every ten minutes, for the air moves
 * its windows.
 */
import 'server-only'
import { v7 as uuidv7 } from 'uuid'
import { listReminders, type Reminder, toldOutside } from '@/core/bench/reminders'
import type { Studio } from '@/core/house/studio'
import type { StudioId } from '@/core/measure/named'
import { SignedOut } from '@/db/pool'
import * as push from '@/db/push'
import { freshSecret } from '@/db/secret'
import { openSession } from '@/db/session'
import { reminderWords } from '@/words/reminders'
import { readDoor } from './doorWay'
import { findOwnChannel, listen } from './live'
import { loadWorkshop } from './load'
import { sendLetters } from './mail'
import { tellPlace } from './push'
import { actingWith, readStudio } from './session'

const tickMs = 20_000
const leaseSeconds = 60
const airMs = 10 * 60_000
/** of a key of the server's own to a studio that it reads */
const keyDays = 1
/** so many services are asked at once */
const atOnce = 10

interface Watched {
  secret: string
  studio: Studio
  reminders: readonly Reminder[]
  readMs: number
  changed: boolean
  unlisten: () => void
}
interface Clerk {
  id: string
  watched: Map<StudioId, Watched>
  /** what the last look failed by; empty where it did not */
  trouble: string
  timer: ReturnType<typeof setInterval>
}
const holder = globalThis as { itinerumClerk?: Clerk }

/** Begins, once a server; `tickMs` later it looks for the first time. */
export function beginClerk(): void {
  if (holder.itinerumClerk) return
  const clerk: Clerk = {
    id: uuidv7(),
    watched: new Map(),
    trouble: '',
    // a look that fails is made again: nothing of the server hangs on it, and what fails each time is said once
    timer: setInterval(
      () =>
        void look(clerk, Date.now()).then(
          () => (clerk.trouble = ''),
          (error: unknown) => {
            const trouble = error instanceof Error ? error.message : String(error)
            if (trouble !== clerk.trouble) console.error(`windows and letters wait: ${trouble}`)
            clerk.trouble = trouble
          },
        ),
      Number(process.env.ITINERUM_CLERK_MS ?? tickMs),
    ),
  }
  clerk.timer.unref()
  holder.itinerumClerk = clerk
}

async function look(clerk: Clerk, nowMs: number): Promise<void> {
  if (!(await readDoor((client) => push.holds(client, 'house', clerk.id, leaseSeconds), 0))) return
  await Promise.all([sendLetters(), tellWindows(clerk, nowMs)])
}

async function tellWindows(clerk: Clerk, nowMs: number): Promise<void> {
  const places = new Map<StudioId, push.PushPlace[]>()
  for (const place of await readDoor(push.listPlaces, 0))
    places.set(place.studioId, [...(places.get(place.studioId) ?? []), place])
  for (const [studioId, { unlisten }] of clerk.watched)
    if (!places.has(studioId)) {
      unlisten()
      clerk.watched.delete(studioId)
    }
  for (const [studioId, there] of places) {
    const { studio, reminders } = await watch(clerk, studioId, nowMs)
    const due = toldOutside(reminders, nowMs, studio.hours, studio.zone)
    const all = due.flatMap((reminder) => there.map((place) => ({ place, reminder })))
    for (let k = 0; k < all.length; k += atOnce)
      await Promise.all(
        all.slice(k, k + atOnce).map(({ place, reminder }) =>
          tellPlace(place, {
            tag: reminder.key,
            words: reminderWords(reminder, studio),
            path: `/pieces/${reminder.journey.file.piece.id}`,
            seconds: (Date.parse(reminder.at) - nowMs) / 1000,
          }),
        ),
      )
  }
  await readDoor(push.forgetTold, 0)
}

/** A studio as it stands, read anew only where it may be another. */
async function watch(clerk: Clerk, studioId: StudioId, nowMs: number): Promise<Watched> {
  const known = clerk.watched.get(studioId)
  if (known && !known.changed && nowMs - known.readMs < airMs) return known
  const secret = known?.secret ?? (await keyTo(studioId))
  // said before it is read: what changes meanwhile is read once more
  if (known) known.changed = false
  const read = (by: string) => actingWith(by, loadWorkshop)
  const [by, workshop] = await read(secret).then(
    (found) => [secret, found] as const,
    async (error: unknown) => {
      if (!(error instanceof SignedOut)) throw error
      const another = await keyTo(studioId)
      return [another, await read(another)] as const
    },
  )
  const channel = known ? '' : await actingWith(by, () => readStudio(findOwnChannel))
  const watched: Watched = {
    secret: by,
    studio: workshop.studio,
    reminders: listReminders(workshop.journeys, nowMs),
    readMs: nowMs,
    changed: false,
    unlisten: known?.unlisten ?? listen(studioId, channel, () => void noteChange(clerk, studioId)),
  }
  clerk.watched.set(studioId, watched)
  return watched
}
function noteChange(clerk: Clerk, studioId: StudioId): void {
  const watched = clerk.watched.get(studioId)
  if (watched) watched.changed = true
}
/** A key of this server's own, as a machine's: nobody else has it, and it is over by itself. */
async function keyTo(studioId: StudioId): Promise<string> {
  const secret = freshSecret()
  await readDoor((client) => openSession(client, { id: uuidv7(), secret, studioId, membershipId: null, days: keyDays }))
  return secret
}
