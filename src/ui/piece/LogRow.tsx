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
  return (
    <li className={beside === undefined ? 'log-line' : 'log-line log-drawn'}>
      <time dateTime={at} className="text-soft">
        {when}
      </time>
      {beside && <div>{beside}</div>}
      <p>
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
        <Link href={href} aria-label={`Put right: ${what}, ${when}`}>
          Put right
        </Link>
      )}
    </li>
  )
}
