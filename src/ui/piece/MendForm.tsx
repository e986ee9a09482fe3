'use client'
/** Something went wrong on a part, found when no check asked for it. */
import { useState } from 'react'
import { SnagForm, type SnagOn } from '@/ui/bench/SnagForm'
import { useUnfolded } from '@/ui/frame/useUnfolded'

export function MendForm({ on }: { on: SnagOn }) {
  const { open, unfolding, fold } = useUnfolded()
  // made once it is asked for; what was typed in it stays, folded away
  const [made, setMade] = useState(false)
  if (open && !made) setMade(true)
  return (
    <details className="unprinted mt-3" {...unfolding}>
      <summary className="tap underline">Something went wrong</summary>
      {made && (
        <div className="mt-2 max-w-2xl">
          <SnagForm on={on} done={fold} />
        </div>
      )}
    </details>
  )
}
