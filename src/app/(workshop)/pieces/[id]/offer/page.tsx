/** What a client is offered for a piece, what they said to it, what they paid. */
import { readDeal } from '@/app/_server/clientDeal'
import { getPieceView, loadProducts, type PieceView } from '@/app/_server/load'
import { whatMay } from '@/app/_server/may'
import { hasPaymentService } from '@/app/_server/paymentService'
import { type Basis, basisOf, readyFor } from '@/app/_server/quoting'
import { loadHouse, readStudio } from '@/app/_server/session'
import { chosenWays } from '@/core/house/chosenWay'
import { draftLines, otherSheens, otherWays } from '@/core/house/quoteDraft'
import { payWays } from '@/core/input/quote'
import { formatMoney } from '@/core/measure/money'
import { dayAfter } from '@/core/measure/time'
import type { Agreed, MadeQuote, QuoteKind } from '@/core/price/offer'
import { unitPricesOf } from '@/core/stock/product'
import { listRefusedRefunds, type MadePayment } from '@/db/payment'
import { Link } from '@/ui/frame/Link'
import { NotYours } from '@/ui/frame/NotYours'
import { MadeQuotes } from '@/ui/quote/MadeQuotes'
import { type PaidLine, Payments } from '@/ui/quote/Payments'
import { PlanChosen } from '@/ui/quote/PlanChosen'
import { type Draft, QuoteForm } from '@/ui/quote/QuoteForm'
import { planWords } from '@/words/job'
import { dayDateWords, hoursWords, loggedWords } from '@/words/time'

export const metadata = { title: 'Offer' }

/** usual in the trade; each is changed where it is offered */
const usual = { depositPercent: 30, days: 21 }

export default async function OfferPage({ params }: { params: Promise<{ id: string }> }) {
  const [view, may] = await Promise.all([getPieceView(params), whatMay()])
  const { studio, journey, nowMs } = view
  const { piece } = journey.file
  if (studio.hidesMoney || !may('quote'))
    return <NotYours what="What a client is offered" back={`/pieces/${piece.id}`} to="To the piece" />
  const [[deal, refused], basis, products, { people }] = await Promise.all([
    readStudio((client) => Promise.all([readDeal(client, piece.id, studio.zone, nowMs), listRefusedRefunds(client, piece.id)])),
    basisOf(view),
    loadProducts(),
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
  const chosen = journey.ending ? [] : chosenWays(quotes, journey.parts)
  const asked: Asked = { view, kind, today, quotes, basis, unitPrice: unitPricesOf(products) }
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
      {chosen.length > 0 && <PlanChosen pieceId={piece.id} ways={chosen} />}
      {agreed.total !== null && <Figures agreed={agreed} money={(minor) => formatMoney(minor, studio)} />}
      {quotes.length > 0 && (
        <div className="mt-8 grid grid-cols-1 gap-x-14 gap-y-10 lg:grid-cols-2">
          <section aria-labelledby="offered" className="border-t-2 border-ink pt-4">
            <h2 id="offered" className="title text-3xl">
              What was offered
            </h2>
            <MadeQuotes
              {...{ quotes, studio, nowMs, today, pieceId: piece.id }}
              nameOf={(id) => people.find((each) => each.id === id)?.name ?? null}
            />
            <p className="mt-4">
              The client reads it on <Link href={`/pieces/${piece.id}/client`}>their page</Link>, by a link that you send.
            </p>
          </section>
          {agreed.total !== null && (
            <section aria-labelledby="paid" className="border-t-2 border-ink pt-4">
              <h2 id="paid" className="title text-3xl">
                What was paid
              </h2>
              <Payments
                pieceId={piece.id}
                lines={paidLines(payments, (at) => loggedWords(at, studio, nowMs))}
                due={due}
                refused={refused.map(({ id, refusedAt, amount }) => ({
                  id,
                  amount,
                  when: loggedWords(refusedAt, studio, nowMs),
                }))}
                canRefund={hasPaymentService()}
              />
            </section>
          )}
        </div>
      )}
      <details open={quotes.length === 0} className="mt-10 border-t-2 border-ink pt-2" key={`${kind}-${quotes.length}`}>
        <summary className="inline-flex min-h-14 cursor-pointer items-center">
          <h2 className="title text-3xl underline decoration-2 underline-offset-4">
            {kind === 'change' ? 'A change of what was agreed' : quotes.length > 0 ? 'Another offer' : 'What it will cost them'}
          </h2>
        </summary>
        <WhatItTakes {...asked} />
        <QuoteForm {...{ kind, pieceId: piece.id }} draft={draftOf(asked)} />
      </details>
    </div>
  )
}

interface Asked {
  view: PieceView
  kind: QuoteKind
  today: string
  quotes: readonly MadeQuote[]
  basis: Basis
  unitPrice: ReturnType<typeof unitPricesOf>
}
/** What the figures are made of, so that nobody has to believe them; of a change, hours and day beside what was agreed. */
function WhatItTakes({ view: { studio }, kind, quotes, basis: { hours, cost, price } }: Asked) {
  const money = (minor: number) => formatMoney(minor, studio)
  const last = quotes.findLast(({ answer }) => answer?.answer === 'accepted')
  if (kind === 'quote' || !last)
    return (
      <p className="mt-1 text-soft">
        As planned it costs you {money(cost)} and takes {hoursWords(hours, studio)}; your target is {money(price)}.
      </p>
    )
  const more = last.hours === null ? 0 : Math.round((hours - last.hours) * 100) / 100
  return (
    <p className="mt-1 text-soft">
      {more === 0
        ? 'The plan takes as long as when it was agreed.'
        : `The plan takes ${hoursWords(Math.abs(more), studio)} ${more > 0 ? 'longer' : 'less'} than when it was agreed.`}
      {last.worth !== null && price !== last.worth && ` Your target is ${money(price)}, then ${money(last.worth)}.`}
      {last.offer.ready && ` They were told ${dayDateWords(last.offer.ready.day, studio)}.`}
    </p>
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

/** What the plan makes of it, shared out over the parts; of a change, what the plan asks beside what it asked when the last was agreed. */
function draftOf({ view, kind, today, quotes, basis, unitPrice }: Asked): Draft {
  const { journey, studio } = view
  const validUntil = dayAfter(today, usual.days)
  const readyOn = readyFor(view)?.day ?? ''
  if (kind === 'change') {
    const last = quotes.findLast(({ answer }) => answer?.answer === 'accepted')
    const more = basis.price - (last?.worth ?? basis.price)
    const words = more === 0 ? '' : 'What the plan has come to since'
    return { lines: [{ partId: null, words, detail: '', money: more }], suggested: [], depositPercent: 0, validUntil, readyOn }
  }
  const around = { terms: studio, unitPrice, method: studio.method }
  const partOf = new Map(journey.parts.map((part) => [part.part.id, part.part]))
  return {
    lines: draftLines(journey, basis.price, studio.step, around).map(({ partId, words, protection, money }) => {
      const plan = partOf.get(partId)?.plan
      return { ...{ partId, words, money }, detail: [plan ? planWords(plan) : null, protection].filter(Boolean).join(', ') }
    }),
    suggested: [
      ...otherWays(journey, basis.price, studio.step, around).map((each) => ({ what: 'protection', ...each })),
      ...otherSheens(journey, studio.method).map((each) => ({ what: 'sheen', ...each })),
    ].map(({ what, partId, ways }) => ({ words: `${what}, ${partOf.get(partId)?.name ?? ''}`, choices: ways })),
    depositPercent: usual.depositPercent,
    validUntil,
    readyOn,
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
