'use client'
/** A new password, by an address that leads to it. */
import { useState } from 'react'
import { newPasswordInput, type NewPasswordText } from '@/core/input/door'
import { useEntryForm } from '@/ui/form/useEntryForm'
import { useDoor } from './ask'
import { CodeField } from './CodeField'
import { DoorForm, openAfterDoor } from './DoorForm'
import { NewPasswordField } from './NewPasswordField'

const issueWords = { gone: 'This link was used meanwhile. Ask for another one.' }

export function NewPassword({ token, name }: { token: string; name: string }) {
  const [defaults] = useState<NewPasswordText>({ token, password: '', code: '' })
  const { send, issue, asksCode } = useDoor<NewPasswordText>('/api/password', 'POST', issueWords)
  const { form, submit, pending, troubleOf } = useEntryForm<NewPasswordText>(newPasswordInput, defaults, send, openAfterDoor)
  return (
    <DoorForm {...{ submit, issue, pending }} words="Keep it and come in" busy="Keeping it…">
      <input type="text" autoComplete="username" value={name} readOnly hidden />
      <NewPasswordField label="A password" {...form.register('password')} trouble={troubleOf('password')} />
      {asksCode && <CodeField {...form.register('code')} trouble={troubleOf('code')} />}
    </DoorForm>
  )
}
