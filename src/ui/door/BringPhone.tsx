'use client'
/** A phone is brought in: its camera is shown a picture, which is good once, for two minutes. */
import { useRouter } from 'next/navigation'
import { useEffect, useState } from 'react'
import { Trouble } from '@/ui/form/Field'
import { useDoor } from './ask'
import { type Asks, notYourPassword, type Proof, Prove } from './Prove'
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
  asks: Asks
}
/** how often it is looked whether the phone is in */
const lookMs = 2_500

export function BringPhone({ isReached, devices, asks }: Props) {
  const router = useRouter()
  const [pairing, setPairing] = useState<(Pairing & { before: readonly string[] }) | null>(null)
  const [isAsking, setAsking] = useState(false)
  const { send, issue, pending } = useDoor<object, Pairing>('/api/pairing', 'POST', notYourPassword)
  const [isLeft, setLeft] = useState(false)
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
  const make = async (proof: Proof | null) => {
    const answer = await send(proof ?? {})
    if (!('ok' in answer)) return
    setAsking(false)
    setPairing({ ...answer.said, before: devices })
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
        <Prove
          asks={asks}
          words="Show the picture"
          pending={pending}
          prove={(proof) => void make(proof)}
          back={() => {
            setAsking(false)
            setLeft(true)
          }}
        />
      ) : (
        <button
          type="button"
          // who left the question is where they were
          autoFocus={isLeft}
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
