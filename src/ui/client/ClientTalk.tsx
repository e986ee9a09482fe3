'use client'
/** Questions of a client's and the studio's answers, kept with the piece. What is typed stays until it got through. */
import { useRouter } from 'next/navigation'
import { type SyntheticEvent, useId, useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { mostWordLetters } from '@/core/house/clientPage'

interface Props {
  words: Record<
    'talk' | 'talkHint' | 'you' | 'ask' | 'send' | 'sending' | 'sent' | 'notSent' | 'empty' | 'tooMuch' | 'studio',
    string
  >
  token: string
  said: readonly { id: string; at: string; isClient: boolean; text: string }[]
}
export function ClientTalk({ words, token, said }: Props) {
  const router = useRouter()
  const field = useId()
  // the same number until it got through: sent twice it is kept once
  const [id, setId] = useState(() => uuidv7())
  const [text, setText] = useState('')
  const [told, setTold] = useState<{ is: 'good' | 'bad'; words: string } | null>(null)
  const [pending, setPending] = useState(false)
  const ask = async (event: SyntheticEvent) => {
    event.preventDefault()
    if (pending) return
    if (text.trim() === '') return setTold({ is: 'bad', words: words.empty })
    setPending(true)
    const answer = await fetch(`/for/${token}/word`, {
      method: 'POST',
      body: JSON.stringify({ id, words: text }),
      headers: { 'content-type': 'application/json' },
      signal: AbortSignal.timeout(15_000),
    }).catch(() => null)
    setPending(false)
    if (!answer?.ok) return setTold({ is: 'bad', words: answer?.status === 429 ? words.tooMuch : words.notSent })
    setText('')
    setId(uuidv7())
    setTold({ is: 'good', words: words.sent })
    router.refresh()
  }
  return (
    <section aria-labelledby="talk" className="lg:col-span-2">
      <h2 id="talk" className="title border-t-2 border-ink pt-3 text-3xl">
        {words.talk}
      </h2>
      <p className="unprinted mt-1 font-serif text-lg text-soft">{words.talkHint}</p>
      <ol className="mt-4 max-w-prose space-y-4">
        {said.map(({ id: key, at, isClient, text: words_ }) => (
          <li key={key} className={isClient ? 'border-l-4 border-line pl-4' : 'border-l-4 border-now pl-4'}>
            <p className="text-soft">
              <strong className="text-ink">{isClient ? words.you : words.studio}</strong> · {at}
            </p>
            <p className="whitespace-pre-line text-lg [overflow-wrap:anywhere]">{words_}</p>
          </li>
        ))}
      </ol>
      <form method="post" noValidate onSubmit={(event) => void ask(event)} className="unprinted mt-5 max-w-prose">
        <label htmlFor={field} className="mb-1 block font-semibold">
          {words.ask}
        </label>
        <textarea
          id={field}
          rows={3}
          maxLength={mostWordLetters}
          value={text}
          onChange={(event) => {
            setText(event.target.value)
            setTold(null)
          }}
          className="field text-lg"
        />
        <div className="mt-3 flex flex-wrap items-center gap-4">
          <button type="submit" aria-disabled={pending} className="press press-now min-h-14 px-8 text-lg">
            {pending ? words.sending : words.send}
          </button>
          <p role="status" className={`flex-1 font-semibold ${told?.is === 'bad' ? 'text-late' : 'text-now'}`}>
            {told?.words}
          </p>
        </div>
      </form>
    </section>
  )
}
