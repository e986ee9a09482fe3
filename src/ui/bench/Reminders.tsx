'use client'
/** Told before a window opens and before it closes: on the page, as a sound, as a notification where the browser may. */
import { useEffect, useRef, useState, useSyncExternalStore } from 'react'
import { dueReminders, type Reminder } from '@/core/bench/reminders'
import type { Journey } from '@/core/piece/journey'
import { useHouse } from '@/ui/form/house'
import { useStored } from '@/ui/form/useStored'
import { later } from '@/ui/frame/later'
import { chime } from '@/ui/time/chime'
import { useNow } from '@/ui/time/now'
import { stepTitle } from '@/words/craft'
import { clockTime, type Wall } from '@/words/time'
import type { Told } from './Toasts'

const Toasts = later(async () => (await import('./Toasts')).Toasts)

const never = () => () => undefined
/** What the browser says of notifications; `none` where it has none. */
function usePermission(): [NotificationPermission | 'none', (answer: NotificationPermission) => void] {
  const [answered, setAnswered] = useState<NotificationPermission | null>(null)
  const before = useSyncExternalStore<NotificationPermission | 'none'>(
    never,
    () => ('Notification' in window ? Notification.permission : 'none'),
    () => 'none',
  )
  return [answered ?? before, setAnswered]
}

export function Reminders({ journeys }: { journeys: readonly Journey[] }) {
  const nowMs = useNow()
  const house = useHouse()
  const since = useRef<number | null>(null)
  const [told, tell] = useState<readonly Told[]>([])
  const [sound, setSound] = useStored('itinerum.sound')
  const loud = sound === 'on'
  const [allowed, setAllowed] = usePermission()
  useEffect(() => {
    const from = since.current ?? nowMs
    since.current = nowMs
    for (const reminder of dueReminders(journeys, from, nowMs)) {
      const words = reminderWords(reminder, house)
      tell((before) => [...before.filter(({ key }) => key !== reminder.key), { key: reminder.key, words }])
      if (loud) chime(reminder.kind === 'closes' ? 2 : 1)
      if (allowed === 'granted') void notify(words, reminder.key)
    }
  }, [journeys, nowMs, house, loud, allowed])
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
      {allowed === 'default' && (
        <button type="button" className="press px-3" onClick={() => void Notification.requestPermission().then(setAllowed)}>
          as a notification
        </button>
      )}
      {allowed === 'granted' && <span className="font-semibold">and as a notification</span>}
    </div>
  )
}

/** Phones show notifications of a service worker alone; a desk's browser takes either. */
async function notify(body: string, tag: string): Promise<void> {
  const installed = await navigator.serviceWorker?.getRegistration()
  if (installed) await installed.showNotification('Itinerum', { body, tag })
  else new Notification('Itinerum', { body, tag })
}

function reminderWords({ kind, at, journey, part, step }: Reminder, house: Wall): string {
  const where = `${journey.file.piece.name}, ${part.part.name.toLowerCase()}`
  const time = clockTime(at, house)
  return kind === 'opens'
    ? `${where}: ${stepTitle(step).toLowerCase()} from ${time}`
    : `${where}: closes at ${time}. ${stepTitle(step)}`
}
