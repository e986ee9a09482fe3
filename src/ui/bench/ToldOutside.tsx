'use client'
/** By what else one is told: a notification while the app is open, and by the browser's own service while it is shut. */
import { useEffect, useState, useSyncExternalStore } from 'react'
import { useStored } from '@/ui/form/useStored'
import { beTold, beToldNoMore, canBeTold, type NotTold } from './toldHere'

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
const words: Record<NotTold, string> = {
  'no-service': 'This browser has no service for that just now. On a phone, put the app on the home screen first.',
  unreachable: 'The server can’t be reached just now. Try again in a moment.',
}
const toggle = 'press px-3 aria-pressed:outline-3 aria-pressed:outline-now'

export function ToldOutside() {
  const [allowed, setAllowed] = usePermission()
  const [shut, setShut] = useStored('itinerum.push')
  const can = useSyncExternalStore(never, canBeTold, () => false)
  const [wrong, setWrong] = useState<NotTold | null>(null)
  const isTold = shut === 'on' && allowed === 'granted'
  // the browser may have another address by now: said each time the bench is opened
  useEffect(() => {
    if (isTold) void beTold()
  }, [isTold])
  const change = async () => {
    const issue = await (isTold ? beToldNoMore() : beTold())
    setWrong(issue)
    if (issue === null) setShut(isTold ? 'off' : 'on')
  }
  return (
    <>
      {allowed === 'default' && (
        <button type="button" className="press px-3" onClick={() => void Notification.requestPermission().then(setAllowed)}>
          as a notification
        </button>
      )}
      {allowed === 'granted' && <span className="font-semibold">and as a notification</span>}
      {allowed === 'granted' && can && (
        <button type="button" className={toggle} aria-pressed={isTold} onClick={() => void change()}>
          while the app is shut, too
        </button>
      )}
      {wrong && (
        <p role="alert" className="basis-full">
          {words[wrong]}
        </p>
      )}
    </>
  )
}
