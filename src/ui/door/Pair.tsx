'use client'
/** Comes in by the picture that was shown at the desk. */
import { useState } from 'react'
import { useDoor } from './ask'
import { DoorForm, openAfterDoor } from './DoorForm'

const issueWords = { gone: 'It was used meanwhile, or is older than two minutes. Make another one at the desk.' }

export function Pair({ token }: { token: string }) {
  const { send, issue } = useDoor<{ token: string }>('/api/pairing', 'PUT', issueWords)
  const [pending, setPending] = useState(false)
  return (
    <DoorForm
      {...{ issue, pending }}
      words="Come in on this device"
      busy="Coming in…"
      submit={async (event) => {
        event.preventDefault()
        setPending(true)
        if ('ok' in (await send({ token }))) return openAfterDoor()
        setPending(false)
      }}
    >
      {null}
    </DoorForm>
  )
}
