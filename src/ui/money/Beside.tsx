/** What was planned beside what it took: the steps that moved most first, and what made the difference. */
import type { Studio } from '@/core/house/studio'
import { formatMoney } from '@/core/measure/money'
import { type Beside as Line, besidesOf, sumBesides, weightOf } from '@/core/piece/beside'
import type { Journey } from '@/core/piece/journey'
import { stepTitle } from '@/words/craft'
import { spanWords } from '@/words/time'

const most = 8
const whys = { hands: 'hands', amount: 'amount', price: 'price of the tin', later: 'mending a snag' } as const
interface Props {
  journey: Journey
  studio: Studio
  unitPrice: Parameters<typeof besidesOf>[1]['unitPrice']
}
export function Beside({ journey, studio, unitPrice }: Props) {
  const all = besidesOf(journey, { hourRate: studio.hourRate, unitPrice })
  if (all.length === 0) return null
  const sum = sumBesides(all)
  // the sign and its figure stay on one line
  const signed = (minor: number) => `${minor > 0 ? '+' : ''}${formatMoney(minor, studio)}`.replace(/^[+−]/, '$&\u2060')
  const whole = sum.because.hands + sum.because.amount + sum.because.price + sum.because.later
  const lines = [...all].sort((one, other) => weightOf(other) - weightOf(one))
  const because = (of: Line['because']) =>
    (Object.keys(whys) as (keyof typeof whys)[])
      // what rounding makes is no reason
      .filter((why) => Math.abs(of[why]) > 1)
      .map((why) => `${whys[why]} ${signed(of[why])}`)
      .join(', ')
  return (
    <section aria-labelledby="beside" className="mt-10 border-t-2 border-ink pt-4">
      <h2 id="beside" className="title text-3xl">
        Planned, and what it took
      </h2>
      <p className="mt-1 text-lg">
        <strong data-figure="beside">
          {whole === 0
            ? 'As planned so far.'
            : `${formatMoney(Math.abs(whole), studio)} ${whole > 0 ? 'more' : 'less'} than planned so far`}
        </strong>
        {whole !== 0 && `: ${because(sum.because)}.`}
      </p>
      <table className="mt-3 w-full">
        <thead>
          <tr className="border-b border-ink text-left text-sm">
            <th scope="col">Step</th>
            <th scope="col" className="pl-3 text-right">
              Planned
            </th>
            <th scope="col" className="pl-3 text-right">
              It took
            </th>
            <th scope="col" className="hidden pl-6 sm:table-cell">
              Because
            </th>
          </tr>
        </thead>
        <tbody>
          {lines.slice(0, most).map((line) => (
            <Row key={line.step.id} line={line} studio={studio} because={because(line.because)} />
          ))}
          <tr className="font-bold">
            <th scope="row" className="py-1 pr-3 text-left">
              {all.length > most ? `All ${all.length} steps behind` : 'Together'}
            </th>
            {[sum.planned, sum.actual].map(({ minutes, material }, k) => (
              <td key={k} className="whitespace-nowrap py-1 pl-3 text-right">
                {spanWords(minutes)}
                <span className="block">{formatMoney(material, studio)}</span>
              </td>
            ))}
            <td className="hidden pl-6 sm:table-cell">{because(sum.because)}</td>
          </tr>
        </tbody>
      </table>
    </section>
  )
}

function Row({ line, studio, because }: { line: Line; studio: Studio; because: string }) {
  const { part, step, planned, actual, isUnpriced } = line
  return (
    <tr className="border-b border-line align-top">
      <th scope="row" className="py-1 pr-3 text-left font-normal">
        {stepTitle(step)} <span className="text-soft">{part}</span>
        <span className="block text-sm text-soft sm:hidden">{because}</span>
      </th>
      {[planned, actual].map(({ minutes, material }, k) => (
        <td key={k} className="whitespace-nowrap py-1 pl-3 text-right">
          {spanWords(minutes)}
          {material > 0 && <span className="block text-soft">{formatMoney(material, studio)}</span>}
        </td>
      ))}
      <td className="hidden py-1 pl-6 sm:table-cell">{isUnpriced ? 'from no tin: its price is not known' : because}</td>
    </tr>
  )
}
