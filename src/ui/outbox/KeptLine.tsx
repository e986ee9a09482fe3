'use client'
/** One thing that waits on this device: what it is, since when, and what to do with it. */
import { useState } from 'react'
import type { Kept } from '@/outbox/store'
import { useHouse } from '@/ui/form/house'
import { useNow } from '@/ui/time/now'
import { issueWords } from '@/words/issues'
import { loggedWords } from '@/words/time'
import { useOutboxState } from './outbox'

/** It can be sent again where it was refused, and let go always, in two taps. */
export function KeptLine({ kept }: { kept: Kept }) {
  const { sendAgain, letGo } = useOutboxState()
  const house = useHouse()
  const nowMs = useNow()
  const [sure, setSure] = useState(false)
  return (
    <li className="flex min-h-12 flex-wrap items-center gap-x-4 border-t border-line">
      <span className="text-soft">{loggedWords(kept.typed.at, house, nowMs)}</span>
      <span className="font-semibold">{kept.about}</span>
      {kept.issue && <span className="text-late">{kept.fields?.photo ?? issueWords[kept.issue]}</span>}
      {kept.issue && (
        <button type="button" className="press" onClick={() => void sendAgain(kept)}>
          Send again
        </button>
      )}
      {kept.issue || sure ? (
        <button type="button" className="press" onClick={() => void letGo(kept)}>
          {kept.issue ? 'Let it go' : 'It is lost then: let it go'}
        </button>
      ) : (
        <button type="button" className="press" onClick={() => setSure(true)}>
          Let it go…
        </button>
      )}
    </li>
  )
}
