/** Where the ask goes: the price as one board, sawn into what takes it; widths are money. */
import type { PriceShare } from '@/core/price/ways'
import { shareWords } from '@/words/piece'

interface Props {
  ask: number
  shares: readonly PriceShare[]
  short: number
  money: (minor: number) => string
}
const [wide, tall, slant] = [1000, 120, 10]
/** What goes to others, what went into the piece, what is one's own. */
const tones: Record<string, string> = { fees: 'var(--soft)', tax: 'var(--soft)', hours: 'var(--now)', left: 'var(--now)' }

export function WhereItGoes({ ask, shares, short, money }: Props) {
  const starts = shares.map((_, index) => shares.slice(0, index).reduce((sum, { amount }) => sum + amount, 0))
  const x = (minor: number) => (minor / Math.max(1, ask)) * wide
  return (
    <section aria-labelledby="goes" className="border-t-2 border-ink pt-4">
      <h2 id="goes" className="title text-3xl">
        Where {money(ask)} goes
      </h2>
      <svg viewBox={`0 0 ${wide} ${tall}`} preserveAspectRatio="none" className="mt-3 h-20 w-full" aria-hidden>
        {shares.map(({ kind, amount }, index) => {
          const [from, to] = [x(starts[index] ?? 0), x((starts[index] ?? 0) + amount)]
          // sawn aslant, but where the saw would eat all of it
          const cut = Math.min(slant, (to - from) / 2)
          return (
            <path
              key={kind}
              d={`M${from + cut} 0H${to + (index === shares.length - 1 ? 0 : cut)}L${to - (index === shares.length - 1 ? 0 : cut)} ${tall}H${from - (index === 0 ? 0 : cut)}Z`}
              fill={tones[kind] ?? 'var(--line)'}
              fillOpacity={kind === 'hours' ? 0.55 : 1}
              stroke="var(--ground)"
              strokeWidth="2"
              vectorEffect="non-scaling-stroke"
            />
          )
        })}
      </svg>
      <table className="mt-3 w-full text-lg">
        <tbody>
          {shares.map(({ kind, amount }) => (
            <tr key={kind} className="border-b border-line">
              <td className="w-8">
                <span
                  aria-hidden
                  className="block size-4"
                  style={{ background: tones[kind] ?? 'var(--line)', opacity: kind === 'hours' ? 0.55 : 1 }}
                />
              </td>
              <th scope="row" className="py-1 text-left font-normal">
                {shareWords(kind)}
              </th>
              <td className="text-right" data-goes={kind}>
                {money(amount)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {short > 0 && (
        <p className="mt-2 border-l-4 border-late pl-3 font-semibold">{money(short)} of it is not paid by this price.</p>
      )}
    </section>
  )
}
