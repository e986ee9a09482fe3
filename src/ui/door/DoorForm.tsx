'use client'
/** What is filled in at the door: sent, what anybody saw on this device before goes, and the app opens anew. */
import type { ReactNode, SyntheticEvent } from 'react'
import { Trouble } from '@/ui/form/Field'
import { clearPages, openAnew } from './ask'

interface Props {
  submit: (event: SyntheticEvent<HTMLFormElement>) => Promise<void>
  issue: string | null
  pending: boolean
  words: string
  busy: string
  children: ReactNode
}
export const DoorForm = ({ submit, issue, pending, words, busy, children }: Props) => (
  <form
    // sent before any script has run, a password must not stand in an address
    method="post"
    onSubmit={(event) => void submit(event)}
    noValidate
    className="mt-8 space-y-4"
  >
    {children}
    <Trouble>{issue}</Trouble>
    <button type="submit" disabled={pending} className="press press-now min-h-14 w-full text-lg sm:w-auto sm:px-10">
      {pending ? busy : words}
    </button>
  </form>
)

export async function openAfterDoor(): Promise<void> {
  await clearPages()
  openAnew('/')
}
