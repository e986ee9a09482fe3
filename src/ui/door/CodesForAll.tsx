'use client'
/** A code from an app asked of everybody here: by an owner who has one, and says again that it is them. */
import { useRouter } from 'next/navigation'
import { useRef, useState } from 'react'
import { Trouble } from '@/ui/form/Field'
import { useDoor } from './ask'
import { type Asks, notYourPassword, type Proof, Prove } from './Prove'

interface Props {
  asksCodes: boolean
  /** how many here have none */
  without: number
  asks: Asks
}
export function CodesForAll({ asksCodes, without, asks }: Props) {
  const router = useRouter()
  const [isAsking, setAsking] = useState(false)
  const opener = useRef<HTMLButtonElement>(null)
  const { send, issue, pending } = useDoor<object>('/api/codes-for-all', 'PUT', {
    ...notYourPassword,
    'own-first': 'Begin with yourself: a code from an app as well, at the top of this page.',
    'not-yours': 'That is the owner’s to say.',
  })
  const leave = () => {
    setAsking(false)
    opener.current?.focus()
  }
  const say = async (proof: Proof) => {
    if (!('ok' in (await send({ ...proof, ask: !asksCodes })))) return
    leave()
    router.refresh()
  }
  return (
    <div className="mt-6 border-t border-line pt-4">
      <h3 className="title text-xl">A code from an app, for everybody</h3>
      <p className="mt-1 max-w-prose text-soft">
        {asksCodes
          ? `Asked of everybody here. ${without === 0 ? 'All have one.' : `${howMany(without)} none yet: they set one up before they come any further.`}`
          : `Each chooses by themself now. Asked of everybody, ${without === 0 ? 'nothing changes today: all have one.' : `${howMany(without)} to set one up first.`}`}
      </p>
      {!asksCodes && !asks.code ? (
        <p className="mt-2 max-w-prose">Begin with yourself: a code from an app as well, at the top of this page.</p>
      ) : (
        <button
          type="button"
          ref={opener}
          className="press mt-3"
          disabled={pending}
          aria-expanded={isAsking}
          onClick={() => setAsking((before) => !before)}
        >
          {asksCodes ? 'Leave it to each' : 'Ask it of everybody'}
        </button>
      )}
      {isAsking && (
        <div className="mt-3 border-l-4 border-now pl-4">
          <Prove
            asks={asks}
            words={asksCodes ? 'Leave it to each from now on' : 'Ask everybody from now on'}
            pending={pending}
            prove={(proof) => void say(proof)}
            back={leave}
          />
        </div>
      )}
      <Trouble>{issue}</Trouble>
    </div>
  )
}
const howMany = (count: number) => (count === 1 ? 'one has' : `${count} have`)
