'use client'
/** An invitation taken up: a name to sign in with, a password, and whose hands they are. */
import { useState } from 'react'
import { joinInput, type JoinText } from '@/core/input/door'
import { TextField } from '@/ui/form/Field'
import { useEntryForm } from '@/ui/form/useEntryForm'
import { clearPages, openAnew, useDoor } from './ask'
import { DoorFoot, NewPasswordField } from './NewPasswordField'

const issueWords = {
  gone: 'This invitation was used or taken back meanwhile. Ask for another one.',
  taken: 'Somebody signs in by that name already. Choose another one.',
}

export function Join({ token, called }: { token: string; called: string | null }) {
  const { send, issue } = useDoor<JoinText>('/api/join', 'POST', issueWords)
  const [defaults] = useState<JoinText>({ token, name: '', called: called ?? '', password: '' })
  const { form, submit, pending, troubleOf } = useEntryForm<JoinText>(joinInput, defaults, send, async () => {
    await clearPages()
    openAnew('/')
  })
  return (
    <form
      // sent before any script has run, a password must not stand in an address
      method="post"
      onSubmit={(event) => void submit(event)}
      noValidate
      className="mt-8 space-y-4"
    >
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
      <NewPasswordField label="A password" {...form.register('password')} trouble={troubleOf('password')} />
      <DoorFoot issue={issue} pending={pending} words="Come in" busy="Coming in…" />
    </form>
  )
}
