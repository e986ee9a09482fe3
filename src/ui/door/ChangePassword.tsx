'use client'
/** One's own password for another. */
import { useState } from 'react'
import { changePasswordInput, type ChangePasswordText } from '@/core/input/door'
import { TextField, Trouble } from '@/ui/form/Field'
import { useEntryForm } from '@/ui/form/useEntryForm'
import { useDoor } from './ask'
import { NewPasswordField } from './NewPasswordField'

const issueWords = { wrong: 'The old password is another one. Nothing was changed.' }
const nothing: ChangePasswordText = { old: '', password: '' }

export function ChangePassword() {
  const [kept, setKept] = useState(false)
  const { send, issue } = useDoor<ChangePasswordText>('/api/password', 'PUT', issueWords)
  const { form, submit, pending, troubleOf } = useEntryForm<ChangePasswordText>(changePasswordInput, nothing, send, (_, made) => {
    setKept(true)
    made.reset(nothing)
  })
  return (
    <details className="mt-6 max-w-xl">
      <summary className="min-h-12 cursor-pointer py-2 text-lg font-semibold">Another password</summary>
      <form
        // sent before any script has run, a password must not stand in an address
        method="post"
        onSubmit={(event) => void submit(event)}
        onChange={() => setKept(false)}
        noValidate
        className="mt-2 space-y-4"
      >
        <TextField
          label="The old one"
          type="password"
          autoComplete="current-password"
          {...form.register('old')}
          trouble={troubleOf('old')}
        />
        <NewPasswordField label="The new one" {...form.register('password')} trouble={troubleOf('password')} />
        <Trouble>{issue}</Trouble>
        <button type="submit" disabled={pending} className="press min-h-12">
          {pending ? 'Keeping it…' : 'Keep the new one'}
        </button>
        <span role="status" className="ml-4 font-semibold text-now">
          {kept ? 'Kept. Every other device is signed out.' : ''}
        </span>
      </form>
    </details>
  )
}
