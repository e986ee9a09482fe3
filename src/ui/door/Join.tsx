'use client'
/** An invitation taken up: a name to sign in with, a password, and whose hands they are. */
import { useState } from 'react'
import { joinInput, type JoinText } from '@/core/input/door'
import { TextField } from '@/ui/form/Field'
import { useEntryForm } from '@/ui/form/useEntryForm'
import { useDoor } from './ask'
import { CodeField } from './CodeField'
import { DoorForm, openAfterDoor } from './DoorForm'
import { NewPasswordField } from './NewPasswordField'

const issueWords = {
  gone: 'This invitation was used or taken back meanwhile. Ask for another one.',
  taken:
    'Somebody signs in by that name already. If that is you, the password is the one you come in by; if not, choose another name.',
  member: 'You come into this studio already: sign in by this name and password.',
}

export function Join({ token, called }: { token: string; called: string | null }) {
  const { send, issue, asksCode } = useDoor<JoinText>('/api/join', 'POST', issueWords)
  const [defaults] = useState<JoinText>({ token, name: '', called: called ?? '', password: '', code: '' })
  const { form, submit, pending, troubleOf } = useEntryForm<JoinText>(joinInput, defaults, send, openAfterDoor)
  return (
    <DoorForm {...{ submit, issue, pending }} words="Come in" busy="Coming in…">
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
      {asksCode && <CodeField {...form.register('code')} trouble={troubleOf('code')} />}
    </DoorForm>
  )
}
