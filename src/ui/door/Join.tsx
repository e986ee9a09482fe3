'use client'
/** An invitation taken up: a name to sign in with, a password, and whose hands they are. */
import { useState } from 'react'
import { joinInput, type JoinText } from '@/core/input/door'
import type { Answer } from '@/core/input/issues'
import { TextField, Trouble } from '@/ui/form/Field'
import { useEntryForm } from '@/ui/form/useEntryForm'
import { askDoor, clearPages, openAnew } from './ask'

const issueWords: Record<string, string> = {
  gone: 'This invitation was used or taken back meanwhile. Ask for another one.',
  taken: 'Somebody signs in by that name already. Choose another one.',
  busy: 'Too many come in at once. Try again in a moment.',
  unreachable: 'The server can’t be reached just now. Try again in a moment.',
}

export function Join({ token, called }: { token: string; called: string | null }) {
  const [issue, setIssue] = useState<string | null>(null)
  const send = async (typed: JoinText): Promise<Answer> => {
    setIssue(null)
    const { ok, issue: trouble = '', fields } = await askDoor('/api/join', 'POST', typed)
    if (ok) return { ok: true }
    if (fields) return { issue: 'not-readable', fields }
    setIssue(issueWords[trouble] ?? issueWords.unreachable ?? '')
    return { issue: 'not-readable' }
  }
  const [defaults] = useState<JoinText>({ token, name: '', called: called ?? '', password: '' })
  const { form, submit, pending, troubleOf } = useEntryForm<JoinText>(joinInput, defaults, send, async () => {
    await clearPages()
    openAnew('/')
  })
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="mt-8 space-y-4">
      {called === null && (
        <TextField
          label="You, as the log calls you"
          autoComplete="name"
          {...form.register('called')}
          trouble={troubleOf('called')}
        />
      )}
      <TextField
        label="The name you sign in with"
        autoComplete="username"
        autoCapitalize="none"
        spellCheck={false}
        {...form.register('name')}
        trouble={troubleOf('name')}
      />
      <TextField
        label="A password"
        type="password"
        autoComplete="new-password"
        hint="Three or four plain words are easy to keep and hard to guess."
        {...form.register('password')}
        trouble={troubleOf('password')}
      />
      <Trouble>{issue}</Trouble>
      <button type="submit" disabled={pending} className="press press-now min-h-14 w-full text-lg sm:w-auto sm:px-10">
        {pending ? 'Coming in…' : 'Come in'}
      </button>
    </form>
  )
}
