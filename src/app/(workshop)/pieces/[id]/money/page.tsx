/** What a piece costs, what to ask, the highest bid it would have stood, and what it earned. */
import { readDeal } from '@/app/_server/clientDeal'
import { getPieceView, loadProducts, type PieceView } from '@/app/_server/load'
import { loadPriceDesk } from '@/app/_server/priceDesk'
import { soldFor } from '@/app/_server/receipts'
import { readStudio } from '@/app/_server/session'
import { doLess } from '@/core/house/doLess'
import type { ChannelDesk, PriceDesk } from '@/core/house/priceDesk'
import { formatMoney } from '@/core/measure/money'
import { concernsOf } from '@/core/piece/leaving'
import { daysHere, ledgerSoFar, leftOutOf } from '@/core/piece/ledger'
import { usedUpOn } from '@/core/piece/usedUp'
import { netOf } from '@/core/price/priceFor'
import { unitPricesOf } from '@/core/stock/product'
import { Link } from '@/ui/frame/Link'
import { NotYours } from '@/ui/frame/NotYours'
import { Beside } from '@/ui/money/Beside'
import { DoLess } from '@/ui/money/DoLess'
import { Earned } from '@/ui/money/Earned'
import { Ledger, LeftOutLines, UsedUp } from '@/ui/money/Ledger'
import { Prices } from '@/ui/money/Prices'
import { Receipts } from '@/ui/money/Receipts'
import { EndingForm, ListingForm } from '@/ui/money/SaleForms'

export const metadata = { title: 'Money' }

interface Route {
  params: Promise<{ id: string }>
  searchParams: Promise<{ channel?: string; less?: string }>
}
export default async function MoneyPage({ params, searchParams }: Route) {
  const view = await getPieceView(params)
  const { channel, less } = await searchParams
  const { piece } = view.journey.file
  if (view.studio.hidesMoney) return <NotYours what="What a piece costs" back={`/pieces/${piece.id}`} to="To the piece" />
  return (
    <div className="pt-6">
      <p className="text-lg">
        <Link href={`/pieces/${piece.id}`}>{piece.name}</Link>
      </p>
      {view.journey.ending ? <Left view={view} /> : <Here view={view} asked={channel} isLess={less !== undefined} />}
    </div>
  )
}

/** It has left: what it earned. */
async function Left({ view: { studio, journey, channels, nowMs } }: { view: PieceView }) {
  const money = (minor: number) => formatMoney(minor, studio)
  const soFar = ledgerSoFar(journey, studio, daysHere(journey, nowMs))
  const { piece } = journey.file
  const { receipts } = await readStudio((client) => readDeal(client, piece.id, studio.zone, nowMs))
  const credited = receipts.reduce((sum, { kind, paper }) => sum + (kind === 'credit' ? paper.total : 0), 0)
  return (
    <>
      {journey.ending && <Earned {...{ ending: journey.ending, soFar, channels, money, credited }} terms={studio} />}
      {soldFor(journey) !== null && <Receipts pieceId={piece.id} receipts={receipts} />}
      <section aria-labelledby="costs" className="mt-10 max-w-2xl border-t-2 border-ink pt-4">
        <h2 id="costs" className="title mb-2 text-3xl">
          What it costs
        </h2>
        <Ledger soFar={soFar} whenDone={null} rate={studio.hourRate} writing={studio} money={money} />
        <UsedUp used={usedUpOn(journey)} writing={studio} />
        <LeftOutLines left={leftOutOf(journey, {})} />
      </section>
      <Beside {...{ journey, studio }} unitPrice={unitPricesOf(await loadProducts())} />
    </>
  )
}

/** It is here: what to ask. */
async function Here({ view, asked, isLess }: { view: PieceView; asked: string | undefined; isLess: boolean }) {
  const { studio, journey, channels } = view
  const { piece } = journey.file
  const { listing } = journey
  const [products, desk, { agreed }] = await Promise.all([
    loadProducts(),
    loadPriceDesk(view),
    readStudio((client) => readDeal(client, piece.id, studio.zone, view.nowMs)),
  ])
  const chosen = asked ?? listing?.channelId
  const at = desk.channels.find(({ channel }) => channel.id === chosen) ?? desk.channels[0]
  const money = (minor: number) => formatMoney(minor, studio)
  const ask = at?.price?.ask ?? null
  const forms = { pieceId: piece.id, channels, channelId: at?.channel.id ?? '', concerns: concernsOf(journey) }
  return (
    <>
      <Prices {...{ desk, at, journey, studio, money }} />
      {isLess ? (
        <Lessened {...{ view, desk, at }} unitPrice={unitPricesOf(products)} />
      ) : (
        <p className="mt-6">
          <Link
            href={`/pieces/${piece.id}/money?${new URLSearchParams({ ...(at && { channel: at.channel.id }), less: 'yes' }).toString()}`}
            className="press"
          >
            What it could do without
          </Link>
        </p>
      )}
      <div className="mt-10 grid gap-x-14 gap-y-10 lg:grid-cols-2">
        <section aria-labelledby="costs" className="border-t-2 border-ink pt-4">
          <h2 id="costs" className="title mb-2 text-3xl">
            What it costs
          </h2>
          <Ledger soFar={desk.soFar} whenDone={desk.whenDone} rate={studio.hourRate} writing={studio} money={money} />
          <UsedUp used={usedUpOn(journey)} writing={studio} />
          <LeftOutLines left={leftOutOf(journey, unitPricesOf(products))} />
        </section>
        {at && (
          <section aria-labelledby="leaves" className="border-t-2 border-ink pt-4">
            <h2 id="leaves" className="title mb-1 text-3xl">
              List it, or let it go
            </h2>
            <details open={!listing}>
              <summary className="tap text-lg underline">{listing ? 'List it anew' : 'List it'}</summary>
              <ListingForm key={`${at.channel.id}-${ask}`} {...forms} ask={ask} />
            </details>
            <details open={listing !== null} className="mt-3 border-t border-line pt-1">
              <summary className="tap text-lg underline">It leaves: sold, handed over, kept, given</summary>
              {agreed.total !== null && agreed.balance !== 0 && (
                <p className="border-l-4 border-late pl-4 text-lg font-semibold">
                  {agreed.balance > 0
                    ? `${money(agreed.balance)} of what was agreed is still to come.`
                    : `You owe them ${money(-agreed.balance)}.`}{' '}
                  <Link href={`/pieces/${piece.id}/offer`}>What was agreed and paid</Link>
                </p>
              )}
              <EndingForm key={at.channel.id} {...forms} ask={agreed.total ?? listing?.money ?? ask} />
            </details>
          </section>
        )}
      </div>
      <Beside {...{ journey, studio }} unitPrice={unitPricesOf(products)} />
    </>
  )
}

interface LessProps {
  view: PieceView
  desk: PriceDesk
  at: ChannelDesk | undefined
  unitPrice: ReturnType<typeof unitPricesOf>
}
function Lessened({ view: { studio, journey }, desk: { brings, tax, whenDone }, at, unitPrice }: LessProps) {
  // what is kept of what it should bring, all costs paid
  const net = brings && at ? Math.round(netOf(brings.price, at.fees, tax)) - whenDone.total : null
  const { hours } = whenDone
  return (
    <DoLess
      pieceId={journey.file.piece.id}
      all={doLess(journey, { terms: studio, unitPrice, method: studio.method, net, hours })}
      earned={net !== null && hours > 0 ? Math.round(net / hours) : null}
      studio={studio}
      money={(minor) => formatMoney(minor, studio)}
    />
  )
}
