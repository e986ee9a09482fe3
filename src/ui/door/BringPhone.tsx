'use client'
/** A phone is brought in: its camera is shown a picture, which is good once, for two minutes. */
import { useRouter } from 'next/navigation'
import { type SyntheticEvent, useEffect, useState } from 'react'
import { TextField, Trouble } from '@/ui/form/Field'
import { useDoor } from './ask'
import { CodeField } from './CodeField'
import { QrCode } from './QrCode'

interface Pairing {
  seconds: number
  address: string
  picture: { size: number; path: string }
}
interface Props {
  /** whether anything but this machine can come here */
  isReached: boolean
  /** the devices one is in on: another one among them is the phone */
  devices: readonly string[]
  /** whoever brings a phone in says again that it is them; nobody of the demo, who come in by one tap */
  asks: { password: boolean; code: boolean }
}
const issueWords = { wrong: 'That is not your password.' }
/** how often it is looked whether the phone is in */
const lookMs = 2_500

export function BringPhone({ isReached, devices, asks }: Props) {
  const router = useRouter()
  const [pairing, setPairing] = useState<(Pairing & { before: readonly string[] }) | null>(null)
  const [isAsking, setAsking] = useState(false)
  const { send, issue, pending } = useDoor<object, Pairing>('/api/pairing', 'POST', issueWords)
  const isIn = pairing !== null && devices.some((id) => !pairing.before.includes(id))
  useEffect(() => {
    if (!pairing || isIn) return
    const look = setInterval(() => router.refresh(), lookMs)
    const over = setTimeout(() => setPairing(null), pairing.seconds * 1000)
    return () => {
      clearInterval(look)
      clearTimeout(over)
    }
  }, [pairing, isIn, router])
  const make = async (typed: FormData | null) => {
    const answer = await send(typed ? { password: typed.get('password'), code: typed.get('code') ?? '' } : {})
    if (!('ok' in answer)) return
    setAsking(false)
    setPairing({ ...answer.said, before: devices })
  }
  const submit = (event: SyntheticEvent<HTMLFormElement>) => {
    event.preventDefault()
    void make(new FormData(event.currentTarget))
  }
  return (
    <div className="mt-4">
      {pairing && !isIn && <Picture {...pairing} />}
      <p role="status" className="text-lg font-semibold text-now">
        {isIn ? 'The phone is in.' : ''}
      </p>
      {!isReached && (
        <p className="mb-2 max-w-prose text-soft">
          This studio listens to this machine alone. Started with <code>./itinerum start --lan</code>, phones of the workshop’s
          network come in too.
        </p>
      )}
      {isAsking ? (
        <form method="post" noValidate onSubmit={submit} className="max-w-xl space-y-4">
          <TextField label="Your password" name="password" type="password" autoComplete="current-password" autoFocus />
          {asks.code && <CodeField name="code" />}
          <button type="submit" className="press press-now min-h-12" disabled={pending}>
            Show the picture
          </button>
        </form>
      ) : (
        <button
          type="button"
          className="press"
          disabled={pending}
          onClick={() => (asks.password ? setAsking(true) : void make(null))}
        >
          {pairing && !isIn ? 'Another picture' : 'Bring a phone in'}
        </button>
      )}
      <Trouble>{issue}</Trouble>
    </div>
  )
}

const Picture = ({ picture, address }: Pairing) => (
  <div className="mb-4 flex flex-wrap items-start gap-5 border-l-4 border-now pl-4">
    <QrCode {...picture} label="What the phone’s camera is shown" />
    <div className="min-w-0 flex-1 basis-64">
      <p className="text-lg font-semibold">Show this to the phone’s camera. It is good once, for two minutes.</p>
      <p className="mt-1 text-soft">Or open this address on it:</p>
      <code className="break-all" data-pairing>
        {address}
      </code>
    </div>
  </div>
)
