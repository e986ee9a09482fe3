'use client'
/** Keys for other programs: made for what each may, shown once, taken back by a tap. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { keyDays, type KeyMay, keyMay } from '@/core/house/keys'
import { freshSecret, useDoor } from '@/ui/door/ask'
import { type Asks, notYourPassword, type Proof, Prove } from '@/ui/door/Prove'
import { ChoiceField, TextField, Trouble } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { useTapGuard } from '@/ui/form/useTapGuard'
import { useNow } from '@/ui/time/now'
import { loggedWords, momentWords } from '@/words/time'

interface Key {
  id: string
  name: string
  may: readonly KeyMay[]
  seenAt: string
  madeAt: string
  expiresAt: string
}
interface KeyAsked {
  id: string
  token: string
  name: string
  may: readonly KeyMay[]
  days: string
  password?: string
  code?: string
}
const empty = { name: '', days: '90' }
const mayWords: Record<KeyMay, string> = { read: 'reads', write: 'writes clocks, coats, notes and the air', money: 'sees money' }
const dayWords: Record<(typeof keyDays)[number], string> = { 30: 'a month', 90: 'three months', 365: 'a year' }

export function ApiKeys({ keys, asks }: { keys: readonly Key[]; asks: Asks }) {
  const router = useRouter()
  const { guard, stir } = useTapGuard()
  const [may, setMay] = useState<KeyMay[]>(['read'])
  const [typed, setTyped] = useState(empty)
  const [isAsking, setAsking] = useState(false)
  const [isLeft, setLeft] = useState(false)
  const [made, setMade] = useState<{ id: string; token: string } | null>(null)
  const making = useDoor<KeyAsked>('/api/keys', 'POST', notYourPassword)
  const ending = useDoor<object>('/api/keys', 'DELETE')
  const make = async ({ name, days }: { name: string; days: string }, proof: Proof | null) => {
    const [id, token] = [uuidv7(), freshSecret()]
    if (!('ok' in (await making.send({ id, token, name, may, days, ...proof })))) return
    setMade({ id, token })
    setAsking(false)
    setLeft(false)
    setTyped(empty)
    router.refresh()
  }
  const end = async (id: string) => {
    if (!('ok' in (await ending.send({ id })))) return
    stir()
    if (made?.id === id) setMade(null)
    router.refresh()
  }
  return (
    <div className="mt-4">
      {made && (
        <div className="mb-4 border-l-4 border-now pl-4">
          <strong className="block">Put this into the other program. It is shown this once.</strong>
          <code className="figure block break-all text-lg" data-token>
            {made.token}
          </code>
        </div>
      )}
      <ul>
        {keys.map((key) => (
          <li key={key.id} className="flex min-h-14 flex-wrap items-center justify-between gap-x-6 border-b border-line py-2">
            <KeyFacts {...key} />
            <button type="button" className="press" disabled={ending.pending} {...guard(() => void end(key.id))}>
              Take it back
            </button>
          </li>
        ))}
      </ul>
      {keys.length === 0 && <p className="text-soft">There is none yet.</p>}
      {isAsking ? (
        <div className="mt-5 border-l-4 border-now pl-4">
          <Prove
            asks={asks}
            words="Make the key"
            pending={making.pending}
            prove={(proof) => void make(typed, proof)}
            back={() => {
              setAsking(false)
              setLeft(true)
            }}
          />
        </div>
      ) : (
        <form
          // begun anew when one was made
          key={made?.id}
          method="post"
          noValidate
          className="mt-5 max-w-2xl space-y-4"
          onSubmit={(event) => {
            event.preventDefault()
            const form = new FormData(event.currentTarget)
            const wanted = { name: String(form.get('name')), days: String(form.get('days')) }
            setTyped(wanted)
            if (asks.password && wanted.name.trim() !== '') setAsking(true)
            else void make(wanted, null)
          }}
        >
          <TextField
            label="What it is for"
            name="name"
            defaultValue={typed.name}
            autoFocus={isLeft}
            trouble={making.fields.name}
          />
          <fieldset className="flex flex-wrap gap-x-6">
            <legend className="font-semibold">What it may</legend>
            {keyMay.map((each) => (
              <label key={each} className="flex min-h-12 cursor-pointer items-center gap-3">
                <input
                  type="checkbox"
                  className="size-6 accent-now"
                  checked={may.includes(each)}
                  disabled={each === 'read'}
                  onChange={() => setMay((all) => (all.includes(each) ? all.filter((one) => one !== each) : [...all, each]))}
                />
                {mayWords[each]}
              </label>
            ))}
          </fieldset>
          <div className="flex flex-wrap items-end gap-4">
            <ChoiceField
              label="Good for"
              name="days"
              defaultValue={typed.days}
              options={keyDays.map((each) => [String(each), dayWords[each]])}
            />
            <button type="submit" className="press press-now min-h-12" disabled={making.pending}>
              Make a key
            </button>
          </div>
        </form>
      )}
      <Trouble>{making.issue ?? ending.issue}</Trouble>
    </div>
  )
}

function KeyFacts({ name, may, seenAt, madeAt, expiresAt }: Key) {
  const house = useHouse()
  const nowMs = useNow()
  return (
    <span>
      <strong className="text-lg">{name}</strong>
      <span className="block text-soft">
        {may.map((each) => mayWords[each]).join(', ')} · until {momentWords(expiresAt, house, nowMs)},{' '}
        {seenAt === madeAt ? 'not used yet' : `last used ${loggedWords(seenAt, house, nowMs)}`}
      </span>
    </span>
  )
}
