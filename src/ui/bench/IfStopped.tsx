'use client'
/** What it would cost to stop now: each window that would be gone by the time work begins again. */
import { useState } from 'react'
import { ifStopped, nextMorning } from '@/core/bench/ifStopped'
import { getRemedy } from '@/core/craft/remedies'
import { dayAfter, dayOf, instantOf, minuteOfDay, wallTimeOf, weekdayOf } from '@/core/measure/time'
import type { WorkingHours } from '@/core/measure/workingHours'
import type { Journey } from '@/core/piece/journey'
import { TextField } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { stepTitle } from '@/words/craft'
import { minuteText, momentWords, spanWords } from '@/words/time'

export function IfStopped({ journeys, hours, nowMs }: { journeys: readonly Journey[]; hours: WorkingHours; nowMs: number }) {
  const house = useHouse()
  const { zone } = house
  const now = new Date(nowMs).toISOString()
  const next = nextMorning(minuteOfDay(now, zone), weekdayOf(dayOf(now, zone)), hours)
  const [until, setUntil] = useState<string | null>(null)
  const shown = until ?? `${dayAfter(dayOf(now, zone), next.days)}T${minuteText(next.minute)}`
  const untilAt = instantOf(shown, zone)
  const missed = untilAt ? ifStopped(journeys, nowMs, Date.parse(untilAt)) : []
  const minutes = missed.reduce((sum, each) => sum + each.minutes, 0)
  return (
    <details className="mt-8 border-t border-line pt-1">
      <summary className="tap underline">What if I stop until {untilAt ? momentWords(untilAt, house, nowMs) : 'then'}?</summary>
      <TextField
        label="Back at work"
        type="datetime-local"
        value={shown}
        min={wallTimeOf(now, zone)}
        onChange={(event) => setUntil(event.target.value)}
        className="max-w-64"
      />
      {missed.length === 0 ? (
        <p className="mt-3 font-semibold">No window closes by then. Put the tools down.</p>
      ) : (
        <>
          <p className="mt-3 text-lg font-semibold text-late">
            {missed.length === 1 ? 'One window' : `${missed.length} windows`} would be gone: {spanWords(minutes)} more work.
          </p>
          <ul className="mt-1">
            {missed.map(({ journey, part, step, closes, minutes: more, remedy }) => (
              <li key={step.id} className="border-b border-line py-2">
                <span className="flex justify-between gap-4">
                  <span>
                    <strong>{stepTitle(step)}</strong>{' '}
                    <span className="text-soft">
                      {journey.file.piece.name}, {part.part.name.toLowerCase()}
                    </span>
                  </span>
                  <span className="shrink-0 font-semibold">+{spanWords(more)}</span>
                </span>
                <span className="block text-soft">
                  closes {momentWords(closes, house, nowMs)}. {remedy && getRemedy(remedy).remedy}
                </span>
              </li>
            ))}
          </ul>
        </>
      )}
    </details>
  )
}
