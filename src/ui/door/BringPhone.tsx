'use client'
/** A phone is brought in: its camera is shown a picture, which is good once, for two minutes. */
import { useEffect, useState } from 'react'
import { Trouble } from '@/ui/form/Field'
import { askDoor, usualWords } from './ask'
import { QrCode } from './QrCode'

interface Pairing {
  seconds: number
  address: string
  picture: { size: number; path: string }
}

/** `isReached`: whether anything but this machine can come here. */
export function BringPhone({ isReached }: { isReached: boolean }) {
  const [pairing, setPairing] = useState<Pairing | null>(null)
  const [issue, setIssue] = useState<string | null>(null)
  const [pending, setPending] = useState(false)
  useEffect(() => {
    if (!pairing) return
    const over = setTimeout(() => setPairing(null), pairing.seconds * 1000)
    return () => clearTimeout(over)
  }, [pairing])
  const make = async () => {
    setPending(true)
    const { ok, issue: trouble = '', said } = await askDoor<Pairing>('/api/pairing', 'POST', {})
    setPending(false)
    setIssue(ok ? null : (usualWords[trouble] ?? usualWords.unreachable ?? ''))
    if (ok && said) setPairing(said)
  }
  return (
    <div className="mt-4">
      {pairing && (
        <div className="mb-4 flex flex-wrap items-start gap-5 border-l-4 border-now pl-4">
          <QrCode {...pairing.picture} label="What the phone’s camera is shown" />
          <div className="min-w-0 flex-1 basis-64">
            <p className="text-lg font-semibold">Show this to the phone’s camera. It is good once, for two minutes.</p>
            <p className="mt-1 text-soft">Or open this address on it:</p>
            <code className="break-all" data-pairing>
              {pairing.address}
            </code>
          </div>
        </div>
      )}
      {!isReached && (
        <p className="mb-2 max-w-prose text-soft">
          This studio listens to this machine alone. Started with <code>./itinerum start --lan</code>, phones of the workshop’s
          network come in too.
        </p>
      )}
      <button type="button" className="press" disabled={pending} onClick={() => void make()}>
        {pairing ? 'Another picture' : 'Bring a phone in'}
      </button>
      <Trouble>{issue}</Trouble>
    </div>
  )
}
