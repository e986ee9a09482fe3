'use client'
/** In by a passkey: a finger, a face or the lock of the device, instead of a name and a password. */
import { type PublicKeyCredentialRequestOptionsJSON, startAuthentication } from '@simplewebauthn/browser'
import { useState } from 'react'
import { Trouble } from '@/ui/form/Field'
import { askDoor, usualWords } from './ask'
import { notGiven, usePasskeysHere } from './passkeyHere'

interface Props {
  /** somebody comes in by another way just now */
  disabled: boolean
  /** in */
  come: () => Promise<void>
}
const notKnown =
  'The door doesn’t know that passkey, or not any more. Come in by your name and password; passkeys are made and ended in House, under Who comes in.'

export function ByPasskey({ disabled, come }: Props) {
  const here = usePasskeysHere()
  const [pending, setPending] = useState(false)
  const [issue, setIssue] = useState<string | null>(null)
  if (here !== 'yes') return null
  const tryIt = async (): Promise<string | null> => {
    const {
      ok,
      said,
      issue: trouble = '',
    } = await askDoor<PublicKeyCredentialRequestOptionsJSON>('/api/session/passkey', 'POST', {})
    if (!ok || !said) return usualWords[trouble] ?? usualWords.unreachable ?? ''
    const signed = await startAuthentication({ optionsJSON: said }).catch(() => null)
    if (!signed) return notGiven
    const answer = await askDoor('/api/session/passkey', 'PUT', signed)
    return answer.ok
      ? null
      : answer.issue === 'wrong'
        ? notKnown
        : (usualWords[answer.issue ?? ''] ?? usualWords.unreachable ?? '')
  }
  const press = async () => {
    setPending(true)
    setIssue(null)
    const trouble = await tryIt()
    if (trouble === null) return come()
    setIssue(trouble)
    setPending(false)
  }
  return (
    <div className="mt-6 space-y-3 border-t border-line pt-6">
      <button
        type="button"
        className="press min-h-14 w-full text-lg sm:w-auto sm:px-10"
        disabled={disabled || pending}
        onClick={() => void press()}
      >
        {pending ? 'Show your passkey…' : 'Come in with a passkey'}
      </button>
      <Trouble>{issue}</Trouble>
    </div>
  )
}
