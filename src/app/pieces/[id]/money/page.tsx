/** What a piece costs, what to ask, the highest bid it would have stood, and what it earned. */
import Link from 'next/link'
import { formatMoney } from '../../../../core/money/money'
import { outcomes } from '../../../../core/log/entry'
import { earnedBy, ledgerSoFar, ledgerWhenDone, pricesFor, taxFor, boughtIn, type Ledger } from '../../../../core/piece/ledger'
import { taxOf } from '../../../../core/price/priceFor'
import { FareLine } from '../../../../ui/money/FareLine'
import { EndingForm, ListingForm } from '../../../../ui/money/SaleForms'
import { capital } from '../../../../ui/words/craft'
import { ledgerWords } from '../../../../ui/words/piece'
import { dateWords, hoursWords } from '../../../../ui/words/time'
import { unitPricesOf } from '../../../../core/stock/product'
import { getPieceView, loadProducts } from '../../../_server/load'

export const metadata = { title: 'Money' }

export default async function MoneyPage({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>
  searchParams: Promise<{ channel?: string }>
}) {
  const { studio, journey, channels } = await getPieceView(params)
  const products = await loadProducts()
  const { piece } = journey.file
  const { ending, listing } = journey
  const asked = (await searchParams).channel ?? listing?.channelId
  const channel = channels.find(({ id }) => id === asked) ?? channels[0]
  const money = (minor: number) => formatMoney(minor, studio.currency)
  const soFar = ledgerSoFar(journey, studio)
  const whenDone = ledgerWhenDone(journey, studio, unitPricesOf(products))
  const priced = channel ? pricesFor(whenDone, studio, channel, { expected: piece.expected ?? undefined }) : null
  const price = priced && 'price' in priced ? priced.price : null
  const sale = ending?.entry.money ?? null
  const earned = ending && sale !== null ? earnedBy(soFar, studio, sale, ending.entry.fees ?? 0) : null
  const forms = { pieceId: piece.id, channels, channelId: channel?.id ?? '' }
  return (
    <div className="pt-6">
      <p className="text-lg">
        <Link href={`/pieces/${piece.id}`}>{piece.name}</Link>
      </p>
      {ending ? (
        <>
          <h1 className="title text-5xl">
            {sale === null ? `${capital(outcomes[ending.outcome])}: what it cost` : 'What it earned'}
          </h1>
          <p className="mt-1 text-lg text-soft">
            {[
              capital(outcomes[ending.outcome]),
              dateWords(ending.entry.at, studio.zone),
              channels.find(({ id }) => id === ending.entry.channelId)?.name,
              ending.entry.note,
            ]
              .filter(Boolean)
              .join(' · ')}
          </p>
          {earned && sale !== null && (
            <div className="mt-6 grid gap-8 sm:grid-cols-[auto_1fr] sm:gap-14">
              <p className={earned.left < 0 ? 'text-late' : 'text-now'}>
                <span className="figure block text-[5.5rem] sm:text-[8rem]" data-figure="perHour">
                  {earned.perHour === null ? money(earned.left) : money(earned.perHour)}
                </span>
                <span className="text-2xl font-semibold text-soft">
                  {earned.perHour === null ? 'and no hours' : `an hour, for ${hoursWords(soFar.hours)}`}
                </span>
              </p>
              <Sum
                lines={[
                  ['Price', sale, ''],
                  ['Fees', -(ending.entry.fees ?? 0), ''],
                  ['Tax', -taxOf(sale, taxFor(studio, boughtIn(soFar.lines))), ''],
                  ['What it cost', -soFar.total, ''],
                ]}
                total={['Left for the hours', earned.left]}
                money={money}
              />
            </div>
          )}
        </>
      ) : (
        <>
          <h1 className="title text-5xl">What to ask</h1>
          {listing && listing.money !== null && (
            <p className="mt-1 text-lg">
              Listed at <strong>{money(listing.money)}</strong> since {dateWords(listing.at, studio.zone)},{' '}
              {channels.find(({ id }) => id === listing.channelId)?.name}.
            </p>
          )}
          <nav aria-label="Sold through" className="mt-4 flex flex-wrap gap-2">
            {channels.map(({ id, name }) => (
              <Link
                key={id}
                href={`/pieces/${piece.id}/money?channel=${id}`}
                aria-current={id === channel?.id ? 'true' : undefined}
                className={`press ${id === channel?.id ? 'press-now' : ''}`}
              >
                {name}
              </Link>
            ))}
          </nav>
          {channels.length === 0 && (
            <p className="mt-4 text-lg">
              Say first where you sell: <Link href="/house">the house’s channels</Link>.
            </p>
          )}
          {priced && 'issue' in priced && (
            <p className="mt-6 max-w-prose border-l-4 border-late pl-4 text-lg font-semibold">
              No price can meet the wish here: fees, tax and the wanted margin take the whole of it. Lower one of them in the
              house, or choose another channel.
            </p>
          )}
          {price && (
            <div className="mt-4 grid gap-x-14 gap-y-8 lg:grid-cols-[1.4fr_1fr]">
              <FareLine price={price} money={money} expected={piece.expected} />
              <div>
                <p className="eyebrow">Highest bid it would have stood</p>
                <p className="figure text-6xl" data-figure="highestBid">
                  {piece.expected === null ? '—' : price.highestBid === null ? 'not even free' : money(price.highestBid)}
                </p>
                <p className="mt-2 text-soft">
                  {piece.expected === null ? (
                    <>
                      Say what it should bring in <Link href={`/pieces/${piece.id}/facts`}>its facts</Link>.
                    </>
                  ) : (
                    `Bringing ${money(piece.expected)}, with these costs and hours, your wish is still met at that buying price. It was bought for ${money(boughtIn(whenDone.lines))}.`
                  )}
                </p>
                {piece.expected !== null && price.floor > piece.expected && (
                  <p className="mt-3 border-l-4 border-late pl-3 font-semibold">
                    The floor lies above what it should bring: the hours are too many for this piece. A simpler look is an answer
                    too.
                  </p>
                )}
              </div>
            </div>
          )}
        </>
      )}
      <div className="mt-10 grid gap-x-14 gap-y-10 lg:grid-cols-2">
        <LedgerTable title="So far" book={soFar} rate={studio.hourRate} money={money} />
        {!ending && <LedgerTable title="When the plan is done" book={whenDone} rate={studio.hourRate} money={money} />}
        {!ending && channel && (
          <>
            <section aria-labelledby="list" className="border-t-2 border-ink pt-4">
              <h2 id="list" className="title mb-3 text-3xl">
                {listing ? 'List it anew' : 'List it'}
              </h2>
              <ListingForm key={`${channel.id}-${price?.ask}`} {...forms} ask={price?.ask ?? null} />
            </section>
            <section aria-labelledby="end" className="border-t-2 border-ink pt-4">
              <h2 id="end" className="title mb-3 text-3xl">
                It has left
              </h2>
              <EndingForm key={channel.id} {...forms} ask={listing?.money ?? price?.ask ?? null} />
            </section>
          </>
        )}
      </div>
    </div>
  )
}

function LedgerTable({
  title,
  book,
  rate,
  money,
}: {
  title: string
  book: Ledger
  rate: number
  money: (minor: number) => string
}) {
  return (
    <section className="border-t-2 border-ink pt-4">
      <h2 className="title mb-2 text-3xl">{title}</h2>
      <Sum
        lines={book.lines.map(({ kind, amount }) => [ledgerWords[kind], amount, kind])}
        total={['Costs', book.total]}
        money={money}
      />
      <p className="mt-2 text-lg">
        <strong>{hoursWords(book.hours)}</strong> <span className="text-soft">of work, {money(rate)} an hour</span>
      </p>
    </section>
  )
}

function Sum({
  lines,
  total,
  money,
}: {
  lines: [words: string, amount: number, key: string][]
  total: [string, number]
  money: (minor: number) => string
}) {
  return (
    <table className="w-full text-lg">
      <tbody>
        {lines.map(([words, amount, key]) => (
          <tr key={words} className="border-b border-line">
            <th scope="row" className="py-1 text-left font-normal">
              {words}
            </th>
            <td className="text-right" data-line={key}>
              {money(amount)}
            </td>
          </tr>
        ))}
        <tr>
          <th scope="row" className="py-1 text-left">
            {total[0]}
          </th>
          <td className="text-right font-bold">{money(total[1])}</td>
        </tr>
      </tbody>
    </table>
  )
}
