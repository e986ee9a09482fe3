/** What was looked at and bid for: what it would have borne, what it went for, and whether that was the right word. */
import type { Studio } from '@/core/house/studio'
import type { BidOutcome } from '@/core/input/bid'
import { formatMoney } from '@/core/measure/money'
import { Link } from '@/ui/frame/Link'
import { dateWords } from '@/words/time'

export interface ToldBid {
  id: string
  at: string
  sale: string | null
  name: string
  outcome: BidOutcome
  pieceId: string | null
  highest: number | null
  wentFor: number | null
}
/** How what it went for lies to what it would have borne. */
function lessonOf({ outcome, highest, wentFor }: ToldBid, money: (minor: number) => string): string {
  if (wentFor === null) return highest === null ? 'nothing was to be bid for it' : `would have borne ${money(highest)}`
  if (highest === null) return `went for ${money(wentFor)}; nothing was to be bid for it`
  const by = money(Math.abs(highest - wentFor))
  if (outcome === 'bought') return wentFor > highest ? `${by} more than it bears` : `${by} under what it bears`
  return wentFor > highest
    ? `went for ${money(wentFor)}, ${by} more than it would have borne`
    : `went for ${money(wentFor)}: ${by} more could have been bid`
}

export function BidList({ bids, studio }: { bids: readonly ToldBid[]; studio: Studio }) {
  const money = (minor: number) => formatMoney(minor, studio, { short: true })
  const bought = bids.filter(({ outcome }) => outcome === 'bought').length
  return (
    <section aria-labelledby="bids" className="mt-10 border-t-2 border-ink pt-4">
      <h2 id="bids" className="title text-3xl">
        What was bid for
      </h2>
      <p className="mt-1 text-soft">
        Of the last {bids.length} that were looked at, {bought === 0 ? 'none was' : bought === 1 ? 'one was' : `${bought} were`}{' '}
        bought.
      </p>
      <ul className="mt-2">
        {bids.map((bid) => (
          <li key={bid.id} className="flex flex-wrap items-baseline justify-between gap-x-6 border-b border-line py-2">
            <span>
              <strong className="text-lg">
                {bid.pieceId ? <Link href={`/pieces/${bid.pieceId}`}>{bid.name}</Link> : bid.name}
              </strong>{' '}
              <span className="text-soft">{[bid.sale, dateWords(bid.at, studio)].filter(Boolean).join(', ')}</span>
            </span>
            <span className={bid.outcome === 'bought' ? 'font-semibold' : ''}>
              {bid.outcome === 'bought' ? 'bought, ' : bid.outcome === 'left' ? 'left, ' : ''}
              {lessonOf(bid, money)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  )
}
