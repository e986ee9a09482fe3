/** A piece still here: what to ask through a channel, the highest bid it would have stood, and why a price is odd. */
import { boughtIn, floorAbove, type Ledger, type PricingTerms } from '@/core/piece/ledger'
import type { Piece } from '@/core/piece/piece'
import type { Price } from '@/core/price/priceFor'
import { Link } from '@/ui/frame/Link'
import { PriceScale } from './PriceScale'

interface Props {
  piece: Pick<Piece, 'id' | 'expected'>
  price: Price
  terms: PricingTerms
  whenDone: Ledger
  money: (minor: number) => string
}

export function Asking({ piece, price, terms, whenDone, money }: Props) {
  const { expected } = piece
  const over = floorAbove(price)
  return (
    <div className="mt-4 grid gap-x-14 gap-y-8 lg:grid-cols-[1.4fr_1fr]">
      <PriceScale price={price} money={money} expected={expected} />
      <div>
        <p className="eyebrow">Highest bid it would have stood</p>
        <p className="figure text-6xl" data-figure="highestBid">
          {expected === null ? '—' : price.highestBid === null ? 'not even free' : money(price.highestBid)}
        </p>
        <p className="mt-2 text-soft">
          {expected === null ? (
            <>
              Say what it should bring in <Link href={`/pieces/${piece.id}/facts`}>its facts</Link>.
            </>
          ) : (
            `Bringing ${money(expected)}, with these costs and hours, your wish is still met at that buying price. It was bought for ${money(boughtIn(whenDone.lines))}.`
          )}
        </p>
        {over && (
          <p className="mt-3 border-l-4 border-late pl-3 font-semibold">
            The floor lies above the {over}: it pays every hour {money(terms.hourRate)}, and the wish asks for{' '}
            {'earnedRate' in terms.wish ? `${money(terms.wish.earnedRate)} an hour` : 'less'}. At the {over} somebody works for
            less than the house’s rate. <Link href="/house">The house</Link> says both.
          </p>
        )}
        {expected !== null && price.floor > expected && (
          <p className="mt-3 border-l-4 border-late pl-3 font-semibold">
            The floor lies above what it should bring: the hours are too many for this piece. A simpler look is an answer too.
          </p>
        )}
      </div>
    </div>
  )
}
