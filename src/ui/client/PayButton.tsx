'use client'
/** Leads to where what is due is paid; however often it is pressed, it is one request. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'

interface Props {
  token: string
  what: 'deposit' | 'balance'
  words: Record<'pay' | 'going' | 'silent' | 'nothing' | 'tooMuch', string>
  amount: string
}
export function PayButton({ token, what, words, amount }: Props) {
  const router = useRouter()
  const [id] = useState(() => uuidv7())
  const [pending, setPending] = useState(false)
  const [told, setTold] = useState('')
  const pay = async () => {
    if (pending) return
    setPending(true)
    setTold('')
    const got = await fetch(`/for/${token}/pay`, {
      method: 'POST',
      body: JSON.stringify({ id, what }),
      headers: { 'content-type': 'application/json' },
      signal: AbortSignal.timeout(20_000),
    }).catch(() => null)
    const { page } = got?.ok ? ((await got.json()) as { page?: string }) : {}
    if (page) return location.assign(page)
    setPending(false)
    setTold(got?.status === 409 ? words.nothing : got?.status === 429 ? words.tooMuch : words.silent)
    if (got?.status === 409) router.refresh()
  }
  return (
    <div className="unprinted">
      <button type="button" aria-disabled={pending} className="press press-now min-h-14 px-8 text-lg" onClick={() => void pay()}>
        {pending ? words.going : `${words.pay}, ${amount}`}
      </button>
      <p role="status" className="mt-2 font-semibold text-late">
        {told}
      </p>
    </div>
  )
}
