/** A piece that has left: what it earned an hour, large, and the sum that comes to it. */
import type { SalesChannel } from '@/core/house/studio'
import { outcomes } from '@/core/log/entry'
import type { Ending } from '@/core/piece/journey'
import { boughtIn, earnedBy, type Ledger, type PricingTerms, taxFor } from '@/core/piece/ledger'
import { taxOf } from '@/core/price/priceFor'
import { capital } from '@/words/text'
import { dateWords, hoursWords, type Wall } from '@/words/time'

interface Props {
  ending: Ending
  soFar: Ledger
  terms: PricingTerms & Wall
  channels: readonly SalesChannel[]
  money: (minor: number) => string
  /** what credit notes took back of its price */
  credited: number
}

export function Earned({ ending, soFar, terms, channels, money, credited }: Props) {
  const { entry, outcome } = ending
  const paid = 'money' in entry ? entry : null
  const price = (paid?.money ?? 0) - credited
  const earned = paid && earnedBy(soFar, terms, price, paid.fees)
  return (
    <>
      <h1 className="title text-5xl">{paid ? 'What it earned' : `${capital(outcomes[outcome])}: what it cost`}</h1>
      <p className="mt-1 text-lg text-soft">
        {[
          capital(outcomes[outcome]),
          dateWords(entry.at, terms),
          paid && channels.find(({ id }) => id === paid.channelId)?.name,
          entry.note,
        ]
          .filter(Boolean)
          .join(' · ')}
      </p>
      {paid && earned && (
        <div className="mt-6 grid gap-8 sm:grid-cols-[auto_1fr] sm:gap-14">
          <p className={earned.left < 0 ? 'text-late' : 'text-now'}>
            <span className="figure block text-[5.5rem] sm:text-[8rem]" data-figure="perHour">
              {money(earned.perHour ?? earned.left)}
            </span>
            <span className="text-2xl font-semibold text-soft">
              {earned.perHour === null ? 'and no hours' : `an hour, for ${hoursWords(soFar.hours, terms)}`}
            </span>
          </p>
          <table className="w-full self-start text-lg">
            <tbody>
              {(
                [
                  ['Price', paid.money],
                  ...(credited > 0 ? ([['Taken back', -credited]] as const) : []),
                  ['Fees', -paid.fees],
                  ['Tax', -taxOf(price, taxFor(terms, boughtIn(soFar.lines)))],
                  ['What it cost', -soFar.total],
                ] as const
              ).map(([words, amount]) => (
                <tr key={words} className="border-b border-line">
                  <th scope="row" className="py-1 text-left font-normal">
                    {words}
                  </th>
                  <td className="text-right">{money(amount)}</td>
                </tr>
              ))}
              <tr>
                <th scope="row" className="py-1 text-left">
                  Left for the hours
                </th>
                <td className="text-right font-bold">{money(earned.left)}</td>
              </tr>
            </tbody>
          </table>
        </div>
      )}
    </>
  )
}
