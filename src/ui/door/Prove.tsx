'use client'
/** Whoever does what a passer-by must not says again that it is them. */
import type { KeyboardEvent, SyntheticEvent } from 'react'
import { TextField } from '@/ui/form/Field'
import { CodeField } from './CodeField'

/** What is asked for; nobody of the demo is asked for anything, who come in by one tap. */
export interface Asks {
  password: boolean
  code: boolean
}
export interface Proof {
  password: string
  code: string
}
interface Props {
  asks: Asks
  words: string
  pending: boolean
  prove: (proof: Proof) => void
  /** nothing of the sort */
  back: () => void
}
export function Prove({ asks, words, pending, prove, back }: Props) {
  const submit = (event: SyntheticEvent<HTMLFormElement>) => {
    event.preventDefault()
    const typed = new FormData(event.currentTarget)
    const text = (name: string) => String(typed.get(name) ?? '')
    prove({ password: text('password'), code: text('code') })
  }
  const leave = (event: KeyboardEvent) => {
    if (event.key === 'Escape') back()
  }
  return (
    <form method="post" noValidate onSubmit={submit} onKeyDown={leave} className="max-w-xl space-y-4">
      <TextField label="Your password" name="password" type="password" autoComplete="current-password" autoFocus />
      {asks.code && <CodeField name="code" />}
      <div className="flex flex-wrap gap-3">
        <button type="submit" className="press press-now min-h-12" disabled={pending}>
          {words}
        </button>
        <button type="button" className="press min-h-12" onClick={back}>
          Leave it
        </button>
      </div>
    </form>
  )
}
export const notYourPassword = { wrong: 'That is not your password.' }
