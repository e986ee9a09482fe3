'use client'
/** The studios somebody belongs to; a tap goes over into another one. */
import { useState } from 'react'
import { Trouble } from '@/ui/form/Field'
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
            {id !== own && (
              <button type="button" className="press" disabled={going !== null} onClick={() => void go(id)}>
                {going === id ? 'Going over…' : 'Go over'}
              </button>
            )}
          </li>
        ))}
      </ul>
      <Trouble>{issue}</Trouble>
    </>
  )
}
