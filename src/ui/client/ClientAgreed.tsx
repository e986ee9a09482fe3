/** What was agreed with a client and what is paid: each offer that was answered, kept to the letter, and what is still due. */
import type { Studio } from '@/core/house/studio'
import { formatMoney } from '@/core/measure/money'
import type { Agreed, MadeQuote } from '@/core/price/offer'
import type { MadeReceipt } from '@/core/price/receipt'
import { clientDate, type ClientWords } from '@/words/client'
import { PayButton } from './PayButton'

interface Props {
  words: ClientWords
  studio: Pick<Studio, 'zone'>
  token: string
  quotes: readonly MadeQuote[]
  agreed: Agreed
  receipts: readonly Pick<MadeReceipt, 'id' | 'number' | 'kind' | 'paper'>[]
  /** there is a service that takes money */
  canPay: boolean
  currency: string
}
export function ClientAgreed({ words, studio, token, quotes, agreed, receipts, canPay, currency }: Props) {
  const { deal } = words
  const money = (minor: number) => formatMoney(minor, { currency, locale: words.locale })
  const answered = quotes.flatMap(({ answer, ...quote }) =>
    answer && answer.answer !== 'overridden' ? [{ ...quote, answer }] : [],
  )
  const due = agreed.depositDue > 0 ? 'deposit' : agreed.balance > 0 ? 'balance' : null
  const figures = [
    { key: 'agreed', label: deal.agreed, value: agreed.total ?? 0 },
    { key: 'paid', label: deal.paid, value: agreed.paid },
    { key: 'balance', label: agreed.balance < 0 ? deal.back : deal.balance, value: Math.abs(agreed.balance) },
  ]
  return (
    <section aria-labelledby="agreed" className="lg:col-span-2">
      <h2 id="agreed" className="title border-t-2 border-ink pt-3 text-3xl">
        {deal.agreed}
      </h2>
      <ul className="mt-2">
        {answered.map(({ id, kind, answer }) => {
          const day = clientDate(answer.at, words, studio)
          const isYes = answer.answer === 'accepted'
          return (
            <li key={id} className="border-b border-line py-3 text-lg">
              <span className="flex flex-wrap items-baseline justify-between gap-x-6">
                <span>
                  <strong>{kind === 'quote' ? deal.offer : deal.change}</strong>{' '}
                  {!isYes ? deal.declined(day) : answer.name ? deal.accepted(answer.name, day) : deal.acceptedAtDesk(day)}
                </span>
                {isYes && <span className="figure text-2xl">{money(answer.total ?? 0)}</span>}
              </span>
              {isYes && (
                <span className="block text-base text-soft [overflow-wrap:anywhere]">
                  {deal.seal}: <code className="text-sm">{answer.digest}</code>{' '}
                  <a className="unprinted underline" href={`/for/${token}/agreed/${id}`}>
                    {deal.file}
                  </a>{' '}
                  <a className="unprinted underline" href={`/for/${token}/offer/${id}`}>
                    PDF
                  </a>
                </span>
              )}
            </li>
          )
        })}
      </ul>
      {receipts.length > 0 && (
        <ul className="mt-2">
          {receipts.map(({ id, number, kind, paper }) => (
            <li key={id} className="flex flex-wrap items-baseline justify-between gap-x-6 border-b border-line py-3 text-lg">
              <a className="font-semibold underline" href={`/for/${token}/receipt/${id}`}>
                {kind === 'invoice' ? words.papers.invoice(number) : words.papers.creditNote(number)}
              </a>
              <span className="figure text-2xl">{money(kind === 'credit' ? -paper.total : paper.total)}</span>
            </li>
          ))}
        </ul>
      )}
      {agreed.total !== null && (
        <div className="mt-4 flex flex-wrap items-end justify-between gap-6">
          <dl className="flex flex-wrap gap-x-10 gap-y-3">
            {figures.map(({ key, label, value }) => (
              <div key={key}>
                <dt className="font-semibold">{label}</dt>
                <dd className={`figure text-4xl ${key === 'balance' ? 'text-now' : ''}`} data-figure={key}>
                  {money(value)}
                </dd>
              </div>
            ))}
          </dl>
          {canPay && due && (
            <PayButton
              key={`${due}-${agreed.paid}`}
              token={token}
              what={due}
              words={{
                pay: due === 'deposit' ? deal.payDeposit : deal.payBalance,
                going: deal.accepting,
                silent: deal.silent,
                nothing: deal.nothingDue,
                tooMuch: words.tooMuch,
              }}
              amount={money(due === 'deposit' ? agreed.depositDue : agreed.balance)}
            />
          )}
        </div>
      )}
    </section>
  )
}
