/** What a client is offered for a piece, what they said to it, what they paid. */
import { readDeal } from '@/app/_server/clientDeal'
import { getPieceView, loadProducts, type PieceView } from '@/app/_server/load'
import { whatMay } from '@/app/_server/may'
import { hasPaymentService } from '@/app/_server/paymentService'
import { loadPriceDesk } from '@/app/_server/priceDesk'
import { loadHouse, readStudio } from '@/app/_server/session'
import { draftLines, otherWays } from '@/core/house/quoteDraft'
import { payWays } from '@/core/input/quote'
import { formatMoney } from '@/core/measure/money'
import { dayAfter } from '@/core/measure/time'
import type { Agreed, QuoteKind } from '@/core/price/offer'
import { unitPricesOf } from '@/core/stock/product'
import type { MadePayment } from '@/db/quote'
import { Link } from '@/ui/frame/Link'
import { NotYours } from '@/ui/frame/NotYours'
import { MadeQuotes } from '@/ui/quote/MadeQuotes'
import { type PaidLine, Payments } from '@/ui/quote/Payments'
import { type Draft, QuoteForm } from '@/ui/quote/QuoteForm'
import { planWords } from '@/words/job'
import { loggedWords } from '@/words/time'

export const metadata = { title: 'Offer' }

/** usual in the trade; each is changed where it is offered */
const usual = { depositPercent: 30, days: 21 }

export default async function OfferPage({ params }: { params: Promise<{ id: string }> }) {
  const view = await getPieceView(params)
  const { studio, journey, nowMs } = view
  const { piece } = journey.file
  const may = await whatMay()
  if (studio.hidesMoney || !may('quote'))
    return <NotYours what="What a client is offered" back={`/pieces/${piece.id}`} to="To the piece" />
  const [deal, { people }] = await Promise.all([
    readStudio((client) => readDeal(client, piece.id, studio.zone, nowMs)),
    loadHouse(),
  ])
  const { quotes, payments, agreed, today } = deal
  const kind: QuoteKind = agreed.total === null ? 'quote' : 'change'
  const due =
    agreed.depositDue > 0
      ? { what: 'deposit' as const, amount: agreed.depositDue }
      : agreed.balance > 0
        ? { what: 'balance' as const, amount: agreed.balance }
        : null
  return (
    <div className="pt-6">
      <p className="text-lg">
        <Link href={`/pieces/${piece.id}`}>{piece.name}</Link>
      </p>
      <h1 className="title text-5xl">{piece.client ? `Offered to ${piece.client}` : 'Offer'}</h1>
      {agreed.waits && (
        <p className="mt-3 max-w-prose border-l-4 border-late pl-4 text-lg font-semibold" role="status">
          A change waits for their yes. What it changes is not worked on until they say it, or you write why it goes on.
        </p>
      )}
      {agreed.total !== null && <Figures agreed={agreed} money={(minor) => formatMoney(minor, studio)} />}
      <div className="mt-8 grid grid-cols-1 gap-x-14 gap-y-10 lg:grid-cols-2">
        <div className="space-y-10">
          {quotes.length > 0 && (
            <section aria-labelledby="offered" className="border-t-2 border-ink pt-4">
              <h2 id="offered" className="title text-3xl">
                What was offered
              </h2>
              <MadeQuotes
                {...{ quotes, studio, nowMs, today, pieceId: piece.id }}
                nameOf={(id) => people.find((each) => each.id === id)?.name ?? null}
              />
            </section>
          )}
          {agreed.total !== null && (
            <section aria-labelledby="paid" className="border-t-2 border-ink pt-4">
              <h2 id="paid" className="title text-3xl">
                What was paid
              </h2>
              <Payments
                pieceId={piece.id}
                lines={paidLines(payments, (at) => loggedWords(at, studio, nowMs))}
                due={due}
                canRefund={hasPaymentService()}
              />
            </section>
          )}
          <p>
            The client reads it on <Link href={`/pieces/${piece.id}/client`}>their page</Link>, by a link that you send.
          </p>
        </div>
        <section aria-labelledby="new" className={`border-t-2 border-ink pt-4 ${quotes.length === 0 ? 'lg:col-span-2' : ''}`}>
          <h2 id="new" className="title text-3xl">
            {kind === 'change' ? 'A change' : quotes.length > 0 ? 'Another offer' : 'What it will cost them'}
          </h2>
          <QuoteForm key={`${kind}-${quotes.length}`} {...{ kind, pieceId: piece.id }} draft={await draftOf(view, kind, today)} />
        </section>
      </div>
    </div>
  )
}

function Figures({ agreed, money }: { agreed: Agreed; money: (minor: number) => string }) {
  const figures = [
    { key: 'agreed', words: 'Agreed', value: agreed.total ?? 0 },
    { key: 'paid', words: 'Paid', value: agreed.paid },
    { key: 'balance', words: agreed.balance < 0 ? 'You owe them' : 'Still to come', value: Math.abs(agreed.balance) },
  ]
  return (
    <dl className="mt-6 flex flex-wrap gap-x-14 gap-y-4">
      {figures.map(({ key, words, value }) => (
        <div key={key}>
          <dt className="eyebrow">{words}</dt>
          <dd className={`figure text-5xl sm:text-6xl ${key === 'balance' && value > 0 ? 'text-now' : ''}`} data-figure={key}>
            {money(value)}
          </dd>
        </div>
      ))}
    </dl>
  )
}

/** What the plan makes of it: the target of the place that takes least, shared out over the parts. */
async function draftOf(view: PieceView, kind: QuoteKind, today: string): Promise<Draft> {
  const { journey, studio } = view
  const validUntil = dayAfter(today, usual.days)
  if (kind === 'change')
    return { lines: [{ partId: null, words: '', detail: '', money: 0 }], suggested: [], depositPercent: 0, validUntil }
  const [desk, products] = [await loadPriceDesk(view), await loadProducts()]
  const priced = desk.channels.flatMap(({ price }) => (price ? [price] : []))
  const price = Math.min(...priced.map(({ target }) => target))
  const around = { terms: studio, unitPrice: unitPricesOf(products), method: studio.method }
  const asked = Number.isFinite(price) ? price : 0
  const nameOf = new Map(journey.parts.map(({ part }) => [part.id, part.name]))
  return {
    lines: draftLines(journey, asked, studio.step, around).map(({ partId, words, topcoat, money }) => {
      const plan = journey.parts.find(({ part }) => part.id === partId)?.part.plan
      return { ...{ partId, words, money }, detail: [plan ? planWords(plan) : null, topcoat].filter(Boolean).join(', ') }
    }),
    suggested: otherWays(journey, asked, studio.step, around).map(({ partId, topcoats }) => ({
      words: `protection, ${nameOf.get(partId) ?? ''}`,
      choices: topcoats.map(({ words, extra }) => ({ words, extra })),
    })),
    depositPercent: usual.depositPercent,
    validUntil,
  }
}

function paidLines(payments: readonly MadePayment[], when: (at: string) => string): PaidLine[] {
  const struck = new Set(payments.flatMap(({ strikes }) => strikes ?? []))
  return payments
    .filter(({ strikes }) => strikes === null)
    .map(({ id, at, what, amount, way, note }) => ({
      ...{ id, when: when(at), what, amount, note, isService: way === 'service', isStruck: struck.has(id) },
      way: way === 'service' ? 'by their page' : payWays[way].toLowerCase(),
    }))
}
