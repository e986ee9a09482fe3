'use client'
/** Where else to go with a piece. */
import type { PieceId } from '@/core/measure/named'
import { Link } from '@/ui/frame/Link'

interface PieceLink {
  /** a page of the piece, or its tag, which is a file */
  to: string
  words: string
  /** it is the one thing to do now */
  isNow?: boolean
}
export interface PieceLinksProps {
  pieceId: PieceId
  links: readonly PieceLink[]
}
export function PieceLinks({ pieceId, links, className = '' }: PieceLinksProps & { className?: string }) {
  return (
    <nav aria-label="This piece" className={`unprinted flex-wrap gap-3 ${className}`}>
      {links.map(({ to, words, isNow }) =>
        to === 'tag' ? (
          <a key={to} href={`/api/tags?piece=${pieceId}`} className="press">
            {words}
          </a>
        ) : (
          <Link key={to} href={`/pieces/${pieceId}/${to}`} className={isNow ? 'press press-now' : 'press'}>
            {words}
          </Link>
        ),
      )}
    </nav>
  )
}
