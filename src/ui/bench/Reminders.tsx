'use client'
/** Told before a window opens and before it closes: on the page, as a sound, as a notification where the browser may. */
import { Toast } from 'radix-ui'
import { useEffect, useRef, useState, useSyncExternalStore } from 'react'
import { dueReminders, type Reminder } from '@/core/bench/reminders'
import type { Journey } from '@/core/piece/journey'
import { useHouse } from '@/ui/form/house'
import { useStored } from '@/ui/form/useStored'
import { chime } from '@/ui/time/chime'
import { useNow } from '@/ui/time/now'
import { stepTitle } from '@/words/craft'
import { clockTime, type Wall } from '@/words/time'

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
  const [told, tell] = useState<readonly { key: string; words: string }[]>([])
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
      <Toast.Provider duration={60_000} swipeDirection="up">
        {told.map(({ key, words }) => (
          <Toast.Root
            key={key}
            className="sheet flex items-center justify-between gap-4 p-3 pl-5"
            onOpenChange={(open) => open || tell((before) => before.filter((each) => each.key !== key))}
          >
            <Toast.Title className="text-lg font-semibold">{words}</Toast.Title>
            <Toast.Close className="press">Seen</Toast.Close>
          </Toast.Root>
        ))}
        <Toast.Viewport className="fixed inset-x-4 top-3 z-50 mx-auto grid max-w-xl gap-2" />
      </Toast.Provider>
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
