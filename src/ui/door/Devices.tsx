'use client'
/** The devices somebody is signed in on; each is ended by a tap. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { Trouble } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { useNow } from '@/ui/time/now'
import { deviceWords } from '@/words/happened'
import { capital } from '@/words/text'
import { loggedWords } from '@/words/time'
import { askDoor } from './ask'

interface Device {
  id: string
  madeAt: string
  seenAt: string
  agent: string | null
  address: string | null
}

export function Devices({ sessions, own }: { sessions: readonly Device[]; own: string }) {
  const house = useHouse()
  const nowMs = useNow()
  const router = useRouter()
  const [pending, setPending] = useState(false)
  const [issue, setIssue] = useState<string | null>(null)
  const end = async (ids: string[]) => {
    setPending(true)
    const { ok } = await askDoor('/api/session', 'DELETE', { ids })
    setPending(false)
    setIssue(ok ? null : 'The server can’t be reached just now. Nothing was ended; try again in a moment.')
    if (ok) router.refresh()
  }
  const others = sessions.filter(({ id }) => id !== own)
  return (
    <>
      <ul className="mt-2">
        {sessions.map(({ id, madeAt, seenAt, agent, address }) => (
          <li key={id} className="flex min-h-16 flex-wrap items-center justify-between gap-x-6 border-b border-line py-2">
            <span>
              <strong className="text-lg">{capital(deviceWords(agent))}</strong>
              {id === own && <span className="ml-2 font-semibold text-now">this one</span>}
              <span className="block text-soft">
                since {loggedWords(madeAt, house, nowMs)}, seen {loggedWords(seenAt, house, nowMs)}
                {address && ` from ${address}`}
              </span>
            </span>
            {id !== own && (
              <button type="button" className="press" disabled={pending} onClick={() => void end([id])}>
                Sign it out
              </button>
            )}
          </li>
        ))}
      </ul>
      {others.length > 1 && (
        <button type="button" className="press mt-3" disabled={pending} onClick={() => void end(others.map(({ id }) => id))}>
          Sign out all the others
        </button>
      )}
      <Trouble>{issue}</Trouble>
    </>
  )
}
