'use client'
/** Whoever does what a passer-by must not says again that it is them. */
import type { SyntheticEvent } from 'react'
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
}
export function Prove({ asks, words, pending, prove }: Props) {
  const submit = (event: SyntheticEvent<HTMLFormElement>) => {
    event.preventDefault()
    const typed = new FormData(event.currentTarget)
    const text = (name: string) => String(typed.get(name) ?? '')
    prove({ password: text('password'), code: text('code') })
  }
  return (
    <form method="post" noValidate onSubmit={submit} className="max-w-xl space-y-4">
      <TextField label="Your password" name="password" type="password" autoComplete="current-password" autoFocus />
      {asks.code && <CodeField name="code" />}
      <button type="submit" className="press press-now min-h-12" disabled={pending}>
        {words}
      </button>
    </form>
  )
}
export const notYourPassword = { wrong: 'That is not your password.' }
