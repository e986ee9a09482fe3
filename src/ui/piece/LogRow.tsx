'use client'
/** Lines of a log, as words. */
import type { ReactNode } from 'react'
import type { EntryId } from '@/core/measure/named'
import { Link } from '@/ui/frame/Link'

export interface Line {
  /** where it is put right; null where that is done elsewhere */
  href: string | null
  at: string
  when: string
  what: string
  /** the step and the part it was on */
  on: string
  said: string
  who: string
  /** what it said before it was put right */
  before: readonly string[]
}
/** The newest first. */
export const LogRows = ({ lines }: { lines: readonly (Line & { id: EntryId })[] }) => (
  <ol className="log border-t border-line">
    {lines.map(({ id, ...line }) => (
      <LogRow key={id} line={line} />
    ))}
  </ol>
)
export function LogRow({ line, beside }: { line: Line; beside?: ReactNode }) {
  const { href, at, when, what, on, said, who, before } = line
  const alone = beside === undefined
  return (
    <li className={`log-line ${alone ? '' : 'grid-cols-[4rem_1fr] sm:grid-cols-[5rem_5rem_1fr_auto]'}`}>
      <time dateTime={at} className="text-soft">
        {when}
      </time>
      {!alone && <div className="col-start-1 row-start-2 self-start sm:col-start-2 sm:row-start-1 sm:row-span-2">{beside}</div>}
      <p className={`min-w-0 ${alone ? '' : 'col-start-2 row-start-1 row-span-2 sm:col-start-3'}`}>
        <strong>{what}</strong> {on}
        {said && <span className="block">{said}</span>}
        {who && <span className="block text-soft">{who}</span>}
        {before.map((old, k) => (
          <span key={k} className="block text-soft">
            <span className="sr-only">Before that: </span>
            <s>{old}</s>
          </span>
        ))}
      </p>
      {href !== null && (
        <Link
          href={href}
          className={alone ? undefined : 'col-start-2 sm:col-start-4 sm:row-start-1'}
          aria-label={`Put right: ${what}, ${when}`}
        >
          Put right
        </Link>
      )}
    </li>
  )
}
