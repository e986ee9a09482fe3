/** What to ask through a place to sell: the ask large, what stands under it, the highest bid, and why a price is odd. */
import type { Brings, ChannelDesk } from '@/core/house/priceDesk'
import { boughtIn, floorAbove, type Ledger, type PricingTerms, taxFor } from '@/core/piece/ledger'
import type { Piece } from '@/core/piece/piece'
import { earnedRate, type Price } from '@/core/price/priceFor'
import { Link } from '@/ui/frame/Link'
import { bringsWords } from '@/words/prices'

const rungs = [
  { key: 'breakEven', words: 'Break-even', tells: 'cash back, hours unpaid' },
  { key: 'floor', words: 'Floor', tells: 'costs and hours paid' },
  { key: 'target', words: 'Target', tells: 'what you wish for' },
] as const

interface Props {
  piece: Pick<Piece, 'id'>
  desk: ChannelDesk & { price: Price }
  terms: PricingTerms
  whenDone: Ledger
  brings: Brings | null
  money: (minor: number) => string
}
export function Asking({ piece, desk, terms, whenDone, brings: known, money }: Props) {
  const { price } = desk
  const brings = known?.price ?? null
  return (
    <div className="mt-6 grid gap-x-14 gap-y-6 lg:grid-cols-[auto_1fr_auto]">
      <div>
        <p className="eyebrow">Ask</p>
        <p className="figure text-[5rem] text-now sm:text-[7rem]" data-figure="ask">
          {money(price.ask)}
        </p>
      </div>
      <dl className="grid grid-cols-3 content-end gap-x-6 gap-y-2">
        {rungs.map(({ key, words, tells }) => (
          <div key={key}>
            <dt className="font-semibold">{words}</dt>
            <dd>
              <span className="figure block text-2xl sm:text-3xl" data-figure={key}>
                {money(price[key])}
              </span>
              <span className="text-sm text-soft">{tells}</span>
            </dd>
          </div>
        ))}
      </dl>
      <div className="lg:max-w-72">
        <p className="eyebrow">Highest bid it would have stood</p>
        <p className="figure text-4xl" data-figure="highestBid">
          {brings === null ? '—' : price.highestBid === null ? 'not even free' : money(price.highestBid)}
        </p>
        <p className="mt-1 text-sm text-soft">
          {brings === null ? (
            <>
              Say what it should bring in <Link href={`/pieces/${piece.id}/facts`}>its facts</Link>.
            </>
          ) : (
            `At ${money(brings)}, ${known ? bringsWords[known.by] : ''}. Bought for ${money(boughtIn(whenDone.lines))}.`
          )}
        </p>
      </div>
      <Odd {...{ piece, desk, terms, whenDone, brings, money }} />
    </div>
  )
}

/** What can't be missed: a floor above the wish, a market that will not bear the hours. */
function Odd({
  piece,
  desk: { price, fees },
  terms,
  whenDone,
  brings,
  money,
}: Omit<Props, 'brings'> & { brings: number | null }) {
  const over = floorAbove(price)
  const tooDear = brings === null || price.target <= brings ? null : price.floor > brings ? 'floor' : 'target'
  if (!over && !tooDear) return null
  const tax = taxFor(terms, boughtIn(whenDone.lines))
  const earned = brings === null ? null : earnedRate(brings, whenDone.total, whenDone.hours, fees, tax)
  return (
    <div className="space-y-2 border-l-4 border-late pl-3 font-semibold lg:col-span-3">
      {over && (
        <p>
          The floor lies above the {over}: it pays every hour {money(terms.hourRate)}, and the wish asks for{' '}
          {'earnedRate' in terms.wish ? `${money(terms.wish.earnedRate)} an hour` : 'less'}. At the {over} somebody works for less
          than the house’s rate. <Link href="/house">The house</Link> says both.
        </p>
      )}
      {tooDear && brings !== null && (
        <p>
          The {tooDear} lies above the {money(brings)} that it should bring
          {earned !== null && `, at which an hour earns ${money(earned)}`}:{' '}
          {tooDear === 'floor' ? 'the market will not bear these hours. ' : 'the market will not bear the whole of the wish. '}
          <Link href={`/pieces/${piece.id}/money?less=yes`}>What it could do without</Link>, or let it go: a simpler look is an
          answer too.
        </p>
      )}
    </div>
  )
}
