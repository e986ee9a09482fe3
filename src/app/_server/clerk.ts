/**
 * What the house does by itself, with nobody looking: telling browsers of windows while the app is shut, and sending letters. One server of
 * several does it.
 * Each studio in which somebody wants to be told is read again when something in it has changed, and every ten minutes, for the air moves
 * its windows.
 */
import 'server-only'
import { v7 as uuidv7 } from 'uuid'
import { listReminders, type Reminder, toldOutside } from '@/core/bench/reminders'
import type { StudioId } from '@/core/measure/named'
import * as push from '@/db/push'
import { freshSecret } from '@/db/secret'
import { openSession } from '@/db/session'
import { reminderWords } from '@/words/reminders'
import { readDoor } from './doorWay'
import { findOwnChannel, listen } from './live'
import { loadWorkshop, type Workshop } from './load'
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
  /** as it was read last */
  read: (Workshop & { reminders: readonly Reminder[] }) | null
  readMs: number
  changed: boolean
  unlisten: () => void
}
interface Clerk {
  id: string
  watched: Map<StudioId, Watched>
  /** what the last look failed by; empty where it did not */
  trouble: string
  /** a look is under way */
  looks: boolean
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
    looks: false,
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
  // one after the other: a service that takes its time is waited for
  if (clerk.looks) return
  clerk.looks = true
  try {
    await lookOnce(clerk, nowMs)
  } finally {
    clerk.looks = false
  }
}
async function lookOnce(clerk: Clerk, nowMs: number): Promise<void> {
  if (!(await readDoor((client) => push.holds(client, 'house', clerk.id, leaseSeconds), 0))) return
  await Promise.all([sendLetters(), tellWindows(clerk, nowMs)])
}

async function tellWindows(clerk: Clerk, nowMs: number): Promise<void> {
  const places = new Map<StudioId, push.PushPlace[]>()
  for (const place of await readDoor(push.listPlaces, 0))
    places.set(place.studioId, [...(places.get(place.studioId) ?? []), place])
  for (const studioId of [...clerk.watched.keys()]) if (!places.has(studioId)) stopWatching(clerk, studioId)
  const told = await Promise.allSettled([...places].map(([studioId, there]) => tellStudio(clerk, studioId, there, nowMs)))
  await readDoor(push.forgetTold, 0)
  // what fails in one studio keeps no other from being told
  const failed = told.find((each) => each.status === 'rejected')
  if (failed) throw failed.reason
}
async function tellStudio(clerk: Clerk, studioId: StudioId, there: readonly push.PushPlace[], nowMs: number): Promise<void> {
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

/** A studio as it stands, read anew only where it may be another. It is listened to before it is read: no change falls between. */
async function watch(clerk: Clerk, studioId: StudioId, nowMs: number): Promise<Workshop & { reminders: readonly Reminder[] }> {
  const watched = clerk.watched.get(studioId) ?? (await beginWatching(clerk, studioId))
  if (watched.read && !watched.changed && nowMs - watched.readMs < airMs) return watched.read
  watched.changed = false
  try {
    const workshop = await actingWith(watched.secret, loadWorkshop)
    watched.read = { ...workshop, reminders: listReminders(workshop.journeys, nowMs) }
    watched.readMs = nowMs
    return watched.read
  } catch (error) {
    // its key is over, or what was read was not: from the beginning at the next look
    stopWatching(clerk, studioId)
    throw error
  }
}
async function beginWatching(clerk: Clerk, studioId: StudioId): Promise<Watched> {
  const secret = await keyTo(studioId)
  const channel = await actingWith(secret, () => readStudio(findOwnChannel))
  const watched: Watched = { secret, read: null, readMs: 0, changed: false, unlisten: () => undefined }
  watched.unlisten = listen(studioId, channel, () => {
    watched.changed = true
  })
  clerk.watched.set(studioId, watched)
  return watched
}
function stopWatching(clerk: Clerk, studioId: StudioId): void {
  clerk.watched.get(studioId)?.unlisten()
  clerk.watched.delete(studioId)
}
/** A key of this server's own, as a machine's: nobody else has it, and it is over by itself. */
async function keyTo(studioId: StudioId): Promise<string> {
  const secret = freshSecret()
  await readDoor((client) => openSession(client, { id: uuidv7(), secret, studioId, membershipId: null, days: keyDays }))
  return secret
}
