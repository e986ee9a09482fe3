'use client'
/** What is on this device and not stored yet; nothing to see where all of it is. Refused entries wait for a decision. */
import { useState } from 'react'
import type { Kept } from '@/outbox/store'
import { later } from '@/ui/frame/later'
import { capital } from '@/words/text'
import { useOutboxState } from './outbox'

const KeptLine = later(async () => (await import('./KeptLine')).KeptLine)

export function OutboxLine() {
  const { kept, reachable } = useOutboxState()
  const [open, setOpen] = useState(false)
  const waiting = kept.filter(({ issue }) => issue === null)
  const refused = kept.filter(({ issue }) => issue !== null)
  // what is on its way for a moment only is no news
  const shown = !reachable || refused.length > 0
  if (!shown) return <div role="status" className="sr-only" />
  return (
    <div role="status" className="border-b-2 border-late bg-sheet">
      <div className="mx-auto flex max-w-[78rem] flex-wrap items-center gap-x-4 px-4 sm:px-6">
        <p className="py-2 font-semibold">
          {!reachable && 'No connection. '}
          {waiting.length > 0 && `${countWords(waiting)} ${waiting.length === 1 ? 'is' : 'are'} on this device, not stored yet.`}
          {!reachable && waiting.length === 0 && 'What you write is kept on this device until it is back.'}
          {refused.length > 0 && ` ${countWords(refused)} ${refused.length === 1 ? 'was' : 'were'} not taken.`}
        </p>
        {kept.length > 0 && (
          <button type="button" className="press my-1" aria-expanded={open} onClick={() => setOpen(!open)}>
            Which
          </button>
        )}
      </div>
      {open && (
        <ul className="mx-auto max-w-[78rem] px-4 pb-2 sm:px-6">
          {kept.map((each) => (
            <KeptLine key={each.seq} kept={each} />
          ))}
        </ul>
      )}
    </div>
  )
}

const counted = (count: number, one: string, many: string) => (count === 0 ? [] : [count === 1 ? one : `${count} ${many}`])
/** "3 entries and one photograph", "One entry". */
function countWords(some: readonly Kept[]): string {
  const photos = some.filter(({ action }) => action === 'addPhoto').length
  return capital(
    [...counted(some.length - photos, 'one entry', 'entries'), ...counted(photos, 'one photograph', 'photographs')].join(' and '),
  )
}
