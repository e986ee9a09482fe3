'use client'
/** Something went wrong on a part, found when no check asked for it. */
import { useState } from 'react'
import { SnagForm, type SnagOn } from '@/ui/bench/SnagForm'

export function MendForm({ on }: { on: SnagOn }) {
  const [open, setOpen] = useState(false)
  // made once it is asked for; what was typed in it stays, folded away
  const [made, setMade] = useState(false)
  const toggled = (now: boolean) => {
    setOpen(now)
    if (now) setMade(true)
  }
  return (
    <details className="unprinted mt-3" open={open} onToggle={(event) => toggled(event.currentTarget.open)}>
      <summary className="inline-flex min-h-12 cursor-pointer items-center font-semibold underline">Something went wrong</summary>
      {made && (
        <div className="mt-2 max-w-2xl">
          <SnagForm on={on} done={() => setOpen(false)} />
        </div>
      )}
    </details>
  )
}
