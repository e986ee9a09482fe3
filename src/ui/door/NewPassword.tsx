'use client'
/** A new password, by an address that leads to it. */
import { useState } from 'react'
import { newPasswordInput, type NewPasswordText } from '@/core/input/door'
import { useEntryForm } from '@/ui/form/useEntryForm'
import { clearPages, openAnew, useDoor } from './ask'
import { DoorFoot, NewPasswordField } from './NewPasswordField'

const issueWords = { gone: 'This link was used meanwhile. Ask for another one.' }

export function NewPassword({ token, name }: { token: string; name: string }) {
  const [defaults] = useState<NewPasswordText>({ token, password: '' })
  const { send, issue } = useDoor<NewPasswordText>('/api/password', 'POST', issueWords)
  const { form, submit, pending, troubleOf } = useEntryForm<NewPasswordText>(newPasswordInput, defaults, send, async () => {
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
      <input type="text" autoComplete="username" value={name} readOnly hidden />
      <NewPasswordField label="A password" {...form.register('password')} trouble={troubleOf('password')} />
      <DoorFoot issue={issue} pending={pending} words="Keep it and come in" busy="Keeping it…" />
    </form>
  )
}
