/** What a piece costs, what to ask, the highest bid it would have stood, and what it earned. */
import { getPieceView, loadProducts } from '@/app/_server/load'
import { formatMoney } from '@/core/measure/money'
import { concernsOf } from '@/core/piece/leaving'
import { ledgerSoFar, ledgerWhenDone, leftOutOf, pricesOfLedger } from '@/core/piece/ledger'
import { priceEach, setSize } from '@/core/piece/set'
import { usedUpOn } from '@/core/piece/usedUp'
import { unitPricesOf } from '@/core/stock/product'
import { Link } from '@/ui/frame/Link'
import { NotYours } from '@/ui/frame/NotYours'
import { Asking } from '@/ui/money/Asking'
import { EachOf } from '@/ui/money/EachOf'
import { Earned } from '@/ui/money/Earned'
import { Ledger, LeftOutLines, UsedUp } from '@/ui/money/Ledger'
import { EndingForm, ListingForm } from '@/ui/money/SaleForms'
import { dateWords } from '@/words/time'

export const metadata = { title: 'Money' }

export default async function MoneyPage({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>
  searchParams: Promise<{ channel?: string }>
}) {
  const { studio, journey, channels } = await getPieceView(params)
  if (studio.hidesMoney) return <NotYours what="What a piece costs" back={`/pieces/${journey.file.piece.id}`} to="To the piece" />
  const unitPrices = unitPricesOf(await loadProducts())
  const { piece } = journey.file
  const { ending, listing } = journey
  const asked = (await searchParams).channel ?? listing?.channelId
  const channel = channels.find(({ id }) => id === asked) ?? channels[0]
  const money = (minor: number) => formatMoney(minor, studio)
  const soFar = ledgerSoFar(journey, studio)
  const whenDone = ledgerWhenDone(journey, studio, unitPrices)
  const priced = channel ? pricesOfLedger(whenDone, studio, channel, { expected: piece.expected ?? undefined }) : null
  const price = priced && 'price' in priced ? priced.price : null
  const alike = setSize(journey.file.parts)
  const forms = { pieceId: piece.id, channels, channelId: channel?.id ?? '', concerns: concernsOf(journey) }
  return (
    <div className="pt-6">
      <p className="text-lg">
        <Link href={`/pieces/${piece.id}`}>{piece.name}</Link>
      </p>
      {ending ? (
        <Earned {...{ ending, soFar, channels, money }} terms={studio} />
      ) : (
        <>
          <h1 className="title text-5xl">What to ask</h1>
          {listing && (
            <p className="mt-1 text-lg">
              Listed at <strong>{money(listing.money)}</strong> since {dateWords(listing.at, studio)},{' '}
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
          {price && <Asking {...{ piece, price, whenDone, money }} terms={studio} />}
          {price && alike > 1 && <EachOf of={alike} price={priceEach(price, alike, studio.step)} money={money} />}
        </>
      )}
      <div className="mt-10 grid gap-x-14 gap-y-10 lg:grid-cols-2">
        <section aria-labelledby="costs" className="border-t-2 border-ink pt-4">
          <h2 id="costs" className="title mb-2 text-3xl">
            What it costs
          </h2>
          <Ledger soFar={soFar} whenDone={ending ? null : whenDone} rate={studio.hourRate} writing={studio} money={money} />
          <UsedUp used={usedUpOn(journey)} writing={studio} />
          <LeftOutLines left={leftOutOf(journey, ending ? {} : unitPrices)} />
        </section>
        {!ending && channel && (
          <section aria-labelledby="leaves" className="border-t-2 border-ink pt-4">
            <h2 id="leaves" className="title mb-1 text-3xl">
              List it, or let it go
            </h2>
            <details open={!listing}>
              <summary className="inline-flex min-h-12 cursor-pointer items-center text-lg font-semibold underline">
                {listing ? 'List it anew' : 'List it'}
              </summary>
              <ListingForm key={`${channel.id}-${price?.ask}`} {...forms} ask={price?.ask ?? null} />
            </details>
            <details open={listing !== null} className="mt-3 border-t border-line pt-1">
              <summary className="inline-flex min-h-12 cursor-pointer items-center text-lg font-semibold underline">
                It leaves: sold, handed over, kept, given
              </summary>
              <EndingForm key={channel.id} {...forms} ask={listing?.money ?? price?.ask ?? null} />
            </details>
          </section>
        )}
      </div>
    </div>
  )
}
