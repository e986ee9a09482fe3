'use client'
/** Told before a window opens and before it closes: on the page, as a sound, as a notification where the browser may. */
import { useEffect, useRef, useState } from 'react'
import { dueReminders } from '@/core/bench/reminders'
import type { Journey } from '@/core/piece/journey'
import { useHouse } from '@/ui/form/house'
import { useStored } from '@/ui/form/useStored'
import { later } from '@/ui/frame/later'
import { chime } from '@/ui/time/chime'
import { useNow } from '@/ui/time/now'
import { reminderWords } from '@/words/reminders'
import type { Told } from './Toasts'

const Toasts = later(async () => (await import('./Toasts')).Toasts)
const ToldOutside = later(async () => (await import('./ToldOutside')).ToldOutside)

export function Reminders({ journeys }: { journeys: readonly Journey[] }) {
  const nowMs = useNow()
  const house = useHouse()
  const since = useRef<number | null>(null)
  const [told, tell] = useState<readonly Told[]>([])
  const [sound, setSound] = useStored('itinerum.sound')
  const loud = sound === 'on'
  useEffect(() => {
    const from = since.current ?? nowMs
    since.current = nowMs
    for (const reminder of dueReminders(journeys, from, nowMs)) {
      const words = reminderWords(reminder, house)
      tell((before) => [...before.filter(({ key }) => key !== reminder.key), { key: reminder.key, words }])
      if (loud) chime(reminder.kind === 'closes' ? 2 : 1)
      if ('Notification' in window && Notification.permission === 'granted')
        void import('./toldHere').then(({ notify }) => notify(words, reminder.key)).catch(() => undefined)
    }
  }, [journeys, nowMs, house, loud])
  const toggle = () => {
    if (!loud) chime()
    setSound(loud ? 'off' : 'on')
  }
  return (
    <div className="mt-4 flex flex-wrap items-center gap-2">
      {told.length > 0 && <Toasts told={told} seen={(key) => tell((before) => before.filter((each) => each.key !== key))} />}
      <span className="text-soft">Told before a window opens and closes:</span>
      <button
        type="button"
        className="press px-3 aria-pressed:outline-3 aria-pressed:outline-now"
        aria-pressed={loud}
        onClick={toggle}
      >
        with a sound
      </button>
      <ToldOutside />
    </div>
  )
}
