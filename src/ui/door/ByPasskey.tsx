'use client'
/** In by a passkey: a finger, a face or the lock of the device, instead of a name and a password. */
import { type PublicKeyCredentialRequestOptionsJSON, startAuthentication } from '@simplewebauthn/browser'
import { useState } from 'react'
import { Trouble } from '@/ui/form/Field'
import { useDoor } from './ask'
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
  const asking = useDoor<object, PublicKeyCredentialRequestOptionsJSON>('/api/session/passkey', 'POST')
  const coming = useDoor<object>('/api/session/passkey', 'PUT', { wrong: notKnown, 'not-readable': notKnown })
  const [pending, setPending] = useState(false)
  const [trouble, setTrouble] = useState<string | null>(null)
  if (here !== 'yes') return null
  const isIn = async (): Promise<boolean> => {
    const asked = await asking.send({})
    if (!('ok' in asked)) return false
    const signed = await startAuthentication({ optionsJSON: asked.said }).catch(() => null)
    if (!signed) setTrouble(notGiven)
    return signed !== null && 'ok' in (await coming.send(signed))
  }
  const press = async () => {
    setPending(true)
    setTrouble(null)
    if (await isIn()) return come()
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
      <Trouble>{pending ? null : (trouble ?? asking.issue ?? coming.issue)}</Trouble>
    </div>
  )
}
