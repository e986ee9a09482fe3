'use client'
/** Where else to go with a piece. */
import type { PieceId } from '@/core/measure/named'
import { Link } from '@/ui/frame/Link'

interface PieceLink {
  /** a page of the piece, or its tag, which is a file */
  to: string
  words: string
}
export function PieceLinks({ pieceId, links }: { pieceId: PieceId; links: readonly PieceLink[] }) {
  return (
    <nav aria-label="This piece" className="unprinted flex flex-wrap gap-3">
      {links.map(({ to, words }) =>
        to === 'tag' ? (
          <a key={to} href={`/api/tags?piece=${pieceId}`} className="press">
            {words}
          </a>
        ) : (
          <Link key={to} href={`/pieces/${pieceId}/${to}`} className={to === 'money' ? 'press press-now' : 'press'}>
            {words}
          </Link>
        ),
      )}
    </nav>
  )
}
