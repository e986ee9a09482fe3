'use client'
/** Private addresses of the calendar: made here, shown once, revoked with one tap. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { Instant } from '@/core/measure/named'
import { useActions } from '@/ui/form/actions'
import { Trouble } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { useWrite } from '@/ui/form/useWrite'
import { dateWords } from '@/words/time'

const fresh = () => [...crypto.getRandomValues(new Uint8Array(24))].map((byte) => byte.toString(16).padStart(2, '0')).join('')

export function CalendarForm({ feeds }: { feeds: readonly { id: string; madeAt: Instant }[] }) {
  const { makeCalendar, revokeCalendar } = useActions()
  const make = useWrite(makeCalendar)
  const revoke = useWrite(revokeCalendar)
  const router = useRouter()
  const house = useHouse()
  const [address, setAddress] = useState<string | null>(null)
  const begin = async () => {
    const token = fresh()
    if (!(await make.send({ id: uuidv7(), at: new Date().toISOString(), token }))) return
    setAddress(`${location.origin}/api/calendar/${token}.ics`)
    router.refresh()
  }
  const end = async (id: string) => {
    if (!(await revoke.send({ id, at: new Date().toISOString() }))) return
    setAddress(null)
    router.refresh()
  }
  return (
    <div>
      <ul>
        {feeds.map(({ id, madeAt }) => (
          <li key={id} className="flex min-h-14 flex-wrap items-center justify-between gap-x-4 border-b border-line py-1">
            <span className="text-lg">An address made on {dateWords(madeAt, house)}</span>
            <button type="button" className="press" disabled={revoke.pending} onClick={() => void end(id)}>
              Revoke it
            </button>
          </li>
        ))}
      </ul>
      {address && (
        <p className="mt-3 border-l-4 border-now pl-3">
          <strong className="block">Give this address to your calendar. It is shown this once.</strong>
          <code className="break-all" data-calendar>
            {address}
          </code>
        </p>
      )}
      <button type="button" className="press mt-3" disabled={make.pending} onClick={() => void begin()}>
        Make a private address
      </button>
      <Trouble>{make.issue ?? revoke.issue}</Trouble>
    </div>
  )
}
