'use client'
/** The studios somebody belongs to; a tap goes over into another one. */
import { useState } from 'react'
import { Trouble } from '@/ui/form/Field'
import { useTapGuard } from '@/ui/form/useTapGuard'
import { useOutbox } from '@/ui/outbox/useOutbox'
import { keptWords } from '@/words/kept'
import { useDoor } from './ask'
import { openAfterDoor } from './DoorForm'

interface Props {
  studios: readonly { id: string; studioName: string; as: string }[]
  /** the one that is open */
  own: string
}
export function Studios({ studios, own }: Props) {
  const { send, issue } = useDoor<{ membership: string }>('/api/session', 'POST')
  const [going, setGoing] = useState<string | null>(null)
  const { kept } = useOutbox()
  const [asked, setAsked] = useState<string | null>(null)
  const { guard, stir } = useTapGuard()
  const go = async (membership: string) => {
    setGoing(membership)
    if ('ok' in (await send({ membership }))) return openAfterDoor()
    setGoing(null)
  }
  return (
    <>
      <ul className="mt-2">
        {studios.map(({ id, studioName, as }) => (
          <li key={id} className="flex min-h-16 flex-wrap items-center justify-between gap-x-6 border-b border-line py-2">
            <span>
              <strong className="text-lg">{studioName}</strong>, {as}
              {id === own && <span className="ml-2 font-semibold text-now">this one</span>}
            </span>
            {id !== own && asked !== id && (
              <button
                type="button"
                className="press"
                disabled={going !== null}
                onClick={() => {
                  if (kept.length === 0) return void go(id)
                  stir()
                  setAsked(id)
                }}
              >
                {going === id ? 'Going over…' : 'Go over'}
              </button>
            )}
            {asked === id && kept.length > 0 && (
              <span className="mt-2 w-full max-w-prose border-l-4 border-late pl-4">
                <strong className="block text-lg">{keptWords(kept.length)}</strong>
                They wait here, and are stored when you are back in this studio.
                <span className="mt-3 flex flex-wrap gap-3">
                  <button type="button" className="press press-now" disabled={going !== null} {...guard(() => void go(id))}>
                    Go over all the same
                  </button>
                  <button type="button" className="press" {...guard(() => setAsked(null))}>
                    Stay here
                  </button>
                </span>
              </span>
            )}
          </li>
        ))}
      </ul>
      <Trouble>{issue}</Trouble>
    </>
  )
}
