'use client'
/** Who comes in: one's own name and password; in the demo, anybody of it by one tap. */
import { useEffect, useState } from 'react'
import type { Role } from '@/core/house/roles'
import { TextField, Trouble } from '@/ui/form/Field'
import { roleWords } from '@/words/roles'
import { clearDevice, clearPages, openAnew, useDoor } from './ask'
import { ByPasskey } from './ByPasskey'
import { CodeField } from './CodeField'

interface Props {
  demo: readonly { id: string; personName: string; role: Role; studioName: string }[]
  /** where to go on to */
  to: string
  /** who was signed out from another device, by membership: what they kept on this one goes */
  revoked: string | null
}
const apart =
  'That name and password don’t belong together. Try again; capitals in the name don’t matter, in the password they do.'
/** what can't be read is no name or password of anybody */
const wrong = { wrong: apart, 'not-readable': apart }

export function SignIn({ demo, to, revoked }: Props) {
  const [pending, setPending] = useState<string | null>(null)
  const { send, issue, asksCode } = useDoor<object>('/api/session', 'POST', wrong)
  // where nobody is in, nothing that was seen by somebody is kept
  useEffect(() => void (revoked ? clearDevice(revoked) : clearPages()), [revoked])
  // what somebody else saw on this device is not read by who comes now
  const goOn = async () => {
    await clearPages()
    openAnew(to)
  }
  const come = async (sent: object, by: string) => {
    if (pending) return
    setPending(by)
    if (!('ok' in (await send(sent)))) return setPending(null)
    await goOn()
  }
  return (
    <>
      {demo.length > 0 && (
        <section aria-labelledby="demo" className="mt-8">
          <h2 id="demo" className="text-lg font-semibold">
            This is the demo: come in as anybody of {demo[0]?.studioName}
          </h2>
          <ul className="mt-2 border-t-2 border-ink">
            {demo.map(({ id, personName, role }) => (
              <li key={id} className="border-b border-line">
                <button
                  type="button"
                  disabled={pending !== null}
                  onClick={() => void come({ demo: id }, id)}
                  className="group flex min-h-16 w-full items-baseline justify-between gap-4 py-3 text-left disabled:opacity-55"
                >
                  <span className="title text-3xl group-hover:text-now">{personName}</span>
                  <span className="text-lg text-soft">{pending === id ? 'coming in…' : roleWords[role]}</span>
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
      <form
        method="post"
        noValidate
        className="mt-8 space-y-4"
        onSubmit={(event) => {
          event.preventDefault()
          const typed = new FormData(event.currentTarget)
          void come({ name: typed.get('name'), password: typed.get('password'), code: typed.get('code') ?? '' }, 'form')
        }}
      >
        {demo.length > 0 && <h2 className="text-lg font-semibold">Or by a name of your own</h2>}
        <TextField label="Your name here" name="name" autoComplete="username" autoCapitalize="none" spellCheck={false} />
        <TextField label="Password" name="password" type="password" autoComplete="current-password" />
        {asksCode && <CodeField name="code" autoFocus />}
        <Trouble>{issue}</Trouble>
        <button
          type="submit"
          disabled={pending !== null}
          className={`press min-h-14 w-full text-lg sm:w-auto sm:px-10 ${demo.length === 0 ? 'press-now' : ''}`}
        >
          {pending === 'form' ? 'Coming in…' : 'Come in'}
        </button>
      </form>
      <ByPasskey disabled={pending !== null} come={goOn} />
    </>
  )
}
