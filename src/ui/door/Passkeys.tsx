'use client'
/** One's own passkeys: by each one comes in without a password. Made on this device, and ended from any. */
import { type PublicKeyCredentialCreationOptionsJSON, startRegistration } from '@simplewebauthn/browser'
import { useRouter } from 'next/navigation'
import { useRef, useState } from 'react'
import { TextField, Trouble } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { useNow } from '@/ui/time/now'
import { deviceWords } from '@/words/happened'
import { loggedWords } from '@/words/time'
import { useDoor } from './ask'
import { usePasskeysHere } from './passkeyHere'
import { type Asks, notYourPassword, type Proof, Prove } from './Prove'

interface Own {
  id: string
  name: string
  host: string
  madeAt: string
  usedAt: string | null
}
interface Props {
  passkeys: readonly Own[]
  asks: Asks
}
const issueWords = {
  ...notYourPassword,
  'made-already': 'You have that one already, or as many as one needs: end one first.',
  'not-signed': 'What the device made is no passkey for this address. Try again.',
  'bare-number': 'At an address that is a bare number no passkey can be made.',
}
const notMade = 'No passkey was made. It was broken off, or what you have here holds one of yours already.'

export function Passkeys({ passkeys, asks }: Props) {
  const router = useRouter()
  const here = usePasskeysHere()
  /** the id of one that is ended, or a new one's name */
  const [asked, setAsked] = useState<{ end: string } | { name: string } | null>(null)
  const [isOpen, setOpen] = useState(false)
  const [trouble, setTrouble] = useState<string | null>(null)
  const name = useRef<HTMLInputElement>(null)
  const beginning = useDoor<object, PublicKeyCredentialCreationOptionsJSON>('/api/passkeys', 'POST', issueWords)
  const keeping = useDoor<object>('/api/passkeys', 'PUT', issueWords)
  /** the device asks who is there */
  const [isMaking, setMaking] = useState(false)
  const pending = beginning.pending || keeping.pending || isMaking
  const opener = useRef<HTMLButtonElement>(null)
  const ask = (what: typeof asked, from: HTMLButtonElement) => {
    opener.current = from
    setAsked(what)
  }
  const leave = () => {
    setAsked(null)
    opener.current?.focus()
  }
  const make = async (proof: Proof) => {
    setTrouble(null)
    const called = name.current?.value ?? ''
    const answer = await beginning.send({ ...proof, name: called })
    if (!('ok' in answer)) return
    setMaking(true)
    const made = await startRegistration({ optionsJSON: answer.said }).catch(() => null)
    setMaking(false)
    if (!made) return setTrouble(notMade)
    if (!('ok' in (await keeping.send({ name: called, made })))) return
    setAsked(null)
    router.refresh()
  }
  const end = async (id: string, proof: Proof) => {
    setTrouble(null)
    if (!('ok' in (await keeping.send({ id, ...proof }, 'DELETE')))) return
    setAsked(null)
    router.refresh()
  }
  return (
    <details className="mt-2 max-w-xl" open={isOpen} onToggle={({ currentTarget }) => setOpen(currentTarget.open)}>
      <summary className="min-h-12 cursor-pointer py-2 text-lg font-semibold">
        {passkeys.length === 0 ? 'A passkey instead of a password' : `Your passkeys: ${passkeys.length}`}
      </summary>
      <p className="mb-3 text-soft">
        Your phone, this computer or a stick holds a key that it shows for your finger, your face or its lock. Nobody can guess
        it, and no false page gets it out of you. A lost one is ended here, from wherever you are in.
      </p>
      {passkeys.length > 0 && (
        <ul className="border-t border-line">
          {passkeys.map((each) => (
            <li key={each.id} className="flex min-h-16 flex-wrap items-center justify-between gap-x-6 border-b border-line py-2">
              <Told {...each} />
              <button
                type="button"
                className="press"
                disabled={pending}
                onClick={({ currentTarget }) => ask({ end: each.id }, currentTarget)}
              >
                End it
              </button>
              {asked && 'end' in asked && asked.end === each.id && (
                <div className="my-3 basis-full border-l-4 border-now pl-4">
                  <Prove
                    asks={asks}
                    words={`End ${each.name}`}
                    pending={pending}
                    prove={(proof) => void end(each.id, proof)}
                    back={leave}
                  />
                </div>
              )}
            </li>
          ))}
        </ul>
      )}
      {here === 'yes' && (
        <button
          type="button"
          className="press mt-3"
          disabled={pending}
          aria-expanded={asked !== null && 'name' in asked}
          onClick={({ currentTarget }) =>
            ask({ name: deviceWords(navigator.userAgent).replace(/^an? /, 'This ') }, currentTarget)
          }
        >
          Make one on this device
        </button>
      )}
      {here === 'bare-number' && (
        <p className="mt-3">
          This address is a bare number, and no passkey is for one. Open Itinerum by a name: on the machine itself by localhost,
          from elsewhere by the name that it was given.
        </p>
      )}
      {here === 'unknown-to-browser' && <p className="mt-3">This browser knows no passkeys.</p>}
      {asked && 'name' in asked && (
        <div className="mt-4 space-y-4 border-l-4 border-now pl-4">
          <TextField
            label="What you call it"
            name="passkey"
            defaultValue={asked.name}
            ref={name}
            trouble={beginning.fields.name}
          />
          <Prove asks={asks} words="Make the passkey" pending={pending} prove={(proof) => void make(proof)} back={leave} />
        </div>
      )}
      <Trouble>{trouble ?? beginning.issue ?? keeping.issue}</Trouble>
    </details>
  )
}

/** What it is called, for what it is, and since when. */
function Told({ name, host, madeAt, usedAt }: Own) {
  const house = useHouse()
  const nowMs = useNow()
  return (
    <span className="min-w-0">
      <strong className="break-words text-lg">{name}</strong>
      <span className="block text-soft">
        for {host}, made {loggedWords(madeAt, house, nowMs)},{' '}
        {usedAt ? `last used ${loggedWords(usedAt, house, nowMs)}` : 'not used yet'}
      </span>
    </span>
  )
}
