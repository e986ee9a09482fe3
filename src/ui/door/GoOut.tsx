'use client'
/** Out again, from where one came no further: what waits on the device stays for the next time. */
import { useState } from 'react'
import { Trouble } from '@/ui/form/Field'
import { askDoor, clearPages, openAnew } from './ask'

export function GoOut() {
  const [issue, setIssue] = useState<string | null>(null)
  const go = async () => {
    const { ok } = await askDoor('/api/session', 'DELETE', {})
    if (!ok) return setIssue('The server can’t be reached, so you are still in. Try again in a moment.')
    await clearPages()
    openAnew('/sign-in?out=self')
  }
  return (
    <div className="mt-6">
      <button type="button" className="press min-h-12" onClick={() => void go()}>
        Sign out
      </button>
      <Trouble>{issue}</Trouble>
    </div>
  )
}
