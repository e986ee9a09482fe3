/** The workshop's windows as a calendar that any calendar can read, with alarms; at a private address that can be revoked. */
import { createHash } from 'node:crypto'
import ical, { ICalAlarmType } from 'ical-generator'
import { loadWorkshop } from '@/app/_server/load'
import { actingWith, readStudio } from '@/app/_server/session'
import { listReminders } from '@/core/bench/reminders'
import { isAhead } from '@/core/log/stepStates'
import { lanesOf } from '@/core/piece/lanes'
import { SignedOut } from '@/db/pool'
import { findWeek } from '@/db/week'
import { stepTitle } from '@/words/craft'
import { loggedWords } from '@/words/time'

/** A time zone that says nothing but UTC: what an empty calendar holds, for it must hold one thing. */
const utc = [
  'BEGIN:VTIMEZONE',
  'TZID:Etc/UTC',
  'BEGIN:STANDARD',
  'DTSTART:19700101T000000',
  'TZOFFSETFROM:+0000',
  'TZOFFSETTO:+0000',
  'END:STANDARD',
  'END:VTIMEZONE',
  'END:VCALENDAR',
].join('\r\n')
const token = /^([0-9a-f]{48})\.ics$/

export async function GET(_request: Request, { params }: { params: Promise<{ token: string }> }): Promise<Response> {
  const given = token.exec((await params).token)?.[1]
  // the same answer to a wrong address and to a revoked one
  const calendar = given ? await actingWith(given, write).catch(orNone) : null
  return calendar ?? new Response('There is no calendar here.', { status: 404 })
}
const orNone = (error: unknown): null => {
  if (error instanceof SignedOut) return null
  throw error
}

/** The calendar of whoever's address it is. */
async function write(): Promise<Response> {
  const { studio, journeys, nowMs } = await loadWorkshop()
  const calendar = ical({ name: studio.name, timezone: null, prodId: { company: 'itinerum', product: 'windows' }, ttl: 900 })
  for (const { key, kind, at, tellMs, journey, part, step } of listReminders(journeys, nowMs)) {
    const where = `${journey.file.piece.name}, ${part.part.name.toLowerCase()}`
    const closes = part.window?.times.closes ?? null
    const start = new Date(at)
    const event = calendar.createEvent({
      id: `${createHash('sha256').update(key).digest('hex').slice(0, 32)}@itinerum`,
      start,
      end: new Date(start.getTime() + (kind === 'opens' ? step.minutes : 0) * 60_000),
      summary: kind === 'opens' ? `${stepTitle(step)}: ${where}` : `Closes: ${stepTitle(step).toLowerCase()}, ${where}`,
      description: closes && kind === 'opens' ? `Its window closes ${loggedWords(closes, studio, start.getTime())}.` : null,
    })
    event.createAlarm({ type: ICalAlarmType.display, trigger: Math.max(0, Math.round((start.getTime() - tellMs) / 1000)) })
  }
  const week = await readStudio(findWeek)
  const places = new Map(
    journeys.flatMap(({ file: { piece }, parts, whole }) =>
      lanesOf({ parts, whole }).flatMap(({ part, steps }) =>
        steps.filter(({ state }) => isAhead(state)).map(({ step }) => [step.id, { step, piece, part }] as const),
      ),
    ),
  )
  for (const { stepId, side, at } of week?.lines ?? []) {
    const place = places.get(stepId)
    if (!place || at < nowMs) continue
    const { step, piece, part } = place
    const minutes = side === null ? step.minutes : Math.ceil(step.minutes / 2)
    calendar.createEvent({
      id: `${createHash('sha256').update(`week ${stepId} ${side}`).digest('hex').slice(0, 32)}@itinerum`,
      start: new Date(at),
      end: new Date(at + minutes * 60_000),
      summary: `Planned: ${stepTitle(step)}, ${[piece.name, part.plan?.care === 'job' ? null : part.name.toLowerCase()].filter(Boolean).join(', ')}`,
    })
  }
  const text = calendar.toString()
  return new Response(calendar.length() === 0 ? text.replace('END:VCALENDAR', utc) : text, {
    headers: { 'content-type': 'text/calendar; charset=utf-8', 'cache-control': 'private, max-age=300' },
  })
}
