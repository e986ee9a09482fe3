'use client'
/** The devices somebody is signed in on; each is ended by a tap. */
import { useRouter } from 'next/navigation'
import { useRef, useState } from 'react'
import { Trouble } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { useNow } from '@/ui/time/now'
import { deviceWords } from '@/words/happened'
import { capital } from '@/words/text'
import { loggedWords } from '@/words/time'
import { useDoor } from './ask'
import { type Asks, notYourPassword, type Proof, Prove } from './Prove'

interface Device {
  id: string
  madeAt: string
  seenAt: string
  agent: string | null
  address: string | null
}

interface Props {
  sessions: readonly Device[]
  own: string
  asks: Asks
}
export function Devices({ sessions, own, asks }: Props) {
  const house = useHouse()
  const nowMs = useNow()
  const router = useRouter()
  const { send, issue, pending } = useDoor<object>('/api/session', 'DELETE', {
    ...notYourPassword,
    unreachable: 'The server can’t be reached just now. Nothing was ended; try again in a moment.',
  })
  const [asked, setAsked] = useState<string[] | null>(null)
  const end = async (ids: string[], proof: Proof | null) => {
    if (!('ok' in (await send({ ids, ...proof })))) return
    setAsked(null)
    router.refresh()
  }
  const opener = useRef<HTMLButtonElement>(null)
  const begin = (ids: string[], from: HTMLButtonElement) => {
    opener.current = from
    if (asks.password) setAsked(ids)
    else void end(ids, null)
  }
  const proving = (ids: string[], words: string) => (
    <div className="my-3 basis-full border-l-4 border-now pl-4">
      <Prove
        asks={asks}
        words={words}
        pending={pending}
        prove={(proof) => void end(ids, proof)}
        back={() => {
          setAsked(null)
          opener.current?.focus()
        }}
      />
    </div>
  )
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
              <button
                type="button"
                className="press"
                disabled={pending}
                onClick={({ currentTarget }) => begin([id], currentTarget)}
              >
                Sign it out
              </button>
            )}
            {asked?.length === 1 && asked[0] === id && proving(asked, 'Sign that device out')}
          </li>
        ))}
      </ul>
      {others.length > 1 && (
        <button
          type="button"
          className="press mt-3"
          disabled={pending}
          onClick={({ currentTarget }) =>
            begin(
              others.map(({ id }) => id),
              currentTarget,
            )
          }
        >
          Sign out all the others
        </button>
      )}
      {asked && asked.length > 1 && proving(asked, `Sign ${asked.length} devices out`)}
      <Trouble>{issue}</Trouble>
    </>
  )
}
