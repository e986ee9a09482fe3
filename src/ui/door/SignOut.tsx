'use client'
/** Going out: what is not stored yet is sent first, or kept for the next time if so wished; all else goes from this device. */
import { useState } from 'react'
import { Trouble } from '@/ui/form/Field'
import { useTapGuard } from '@/ui/form/useTapGuard'
import { useOutbox } from '@/ui/outbox/useOutbox'
import { keptWords } from '@/words/kept'
import { askDoor, clearDevice, clearPages, openAnew } from './ask'

export function SignOut({ of }: { of: string }) {
  const { kept } = useOutbox()
  const [asks, setAsks] = useState(false)
  const { guard, stir } = useTapGuard()
  const [pending, setPending] = useState(false)
  const [issue, setIssue] = useState<string | null>(null)
  const go = async (keeps: boolean) => {
    setPending(true)
    const { ok } = await askDoor('/api/session', 'DELETE', {})
    if (!ok) {
      setPending(false)
      return setIssue('The server can’t be reached, so you are still in. Try again in a moment.')
    }
    await (keeps ? clearPages() : clearDevice(of))
    openAnew('/sign-in?out=self')
  }
  if (asks && kept.length > 0)
    return (
      <div className="mt-5 max-w-prose border-l-4 border-late pl-4">
        <p className="text-lg font-semibold">{keptWords(kept.length)}</p>
        <div className="mt-3 flex flex-wrap gap-3">
          <button type="button" className="press press-now" disabled={pending} {...guard(() => void go(true))}>
            Keep them here until I come back
          </button>
          <button type="button" className="press" disabled={pending} {...guard(() => void go(false))}>
            They are lost then: throw them away
          </button>
          <button type="button" className="press" {...guard(() => setAsks(false))}>
            Stay in
          </button>
        </div>
        <Trouble>{issue}</Trouble>
      </div>
    )
  return (
    <div className="mt-5">
      <button
        type="button"
        className="press min-h-14 px-8 text-lg"
        disabled={pending}
        onClick={() => {
          if (kept.length === 0) return void go(false)
          stir()
          setAsks(true)
        }}
      >
        {pending ? 'Going out…' : 'Sign out'}
      </button>
      <Trouble>{issue}</Trouble>
    </div>
  )
}
