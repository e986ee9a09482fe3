/** What clients asked and said, before the list of pieces: each leads to where it is answered. */
import type { Studio } from '@/core/house/studio'
import { formatMoney } from '@/core/measure/money'
import type { Instant } from '@/core/measure/named'
import type { AnswerKind, QuoteKind } from '@/core/price/offer'
import { Link } from '@/ui/frame/Link'
import { loggedWords } from '@/words/time'

interface Named {
  pieceId: string
  name: string
}
interface Props {
  unanswered: readonly (Named & { words: string; at: Instant })[]
  answered: readonly (Named & { at: Instant; answer: AnswerKind; kind: QuoteKind; total: number | null })[]
  waiting: readonly Named[]
  studio: Studio
  nowMs: number
}
export function ClientsTell({ unanswered, answered, waiting, studio, nowMs }: Props) {
  if (unanswered.length + answered.length + waiting.length === 0) return null
  return (
    <div role="group" aria-label="Clients ask" className="mb-6 border-l-4 border-now pl-4">
      {unanswered.map(({ pieceId, name, words, at }) => (
        <Link key={pieceId} href={`/pieces/${pieceId}/client`} className="block min-h-12 py-1 no-underline">
          <strong className="text-lg">{name}: a question</strong>{' '}
          <span className="text-soft">{loggedWords(at, studio, nowMs)}</span>
          <span className="block truncate text-lg">{words}</span>
        </Link>
      ))}
      {answered.map(({ pieceId, name, at, answer, kind, total }) => (
        <Link key={`${pieceId} ${at}`} href={`/pieces/${pieceId}/offer`} className="block min-h-12 py-1 no-underline">
          <strong className="text-lg">
            {name}: they {answer === 'accepted' ? 'accepted' : 'declined'} {kind === 'quote' ? 'the offer' : 'the change'}
            {total !== null && `, ${formatMoney(total, studio)}`}
          </strong>{' '}
          <span className="text-soft">{loggedWords(at, studio, nowMs)}</span>
        </Link>
      ))}
      {waiting.map(({ pieceId, name }) => (
        <Link key={pieceId} href={`/pieces/${pieceId}/offer`} className="block min-h-12 py-1 no-underline">
          <strong className="text-lg">{name}: a change waits for their yes</strong>
        </Link>
      ))}
    </div>
  )
}
