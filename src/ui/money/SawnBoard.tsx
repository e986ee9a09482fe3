/** A sum of money as one board, sawn into what takes it; widths are money. */
import type { PriceShare } from '@/core/price/ways'

const [wide, tall, slant] = [1000, 120, 10]
/** What goes to others, what went into the piece, what is one's own. */
const tones: Record<string, string> = { fees: 'var(--soft)', tax: 'var(--soft)', hours: 'var(--now)', left: 'var(--now)' }

interface Board {
  shares: readonly PriceShare[]
  className: string
}
export function SawnBoard({ whole, shares, className }: Board & { whole: number }) {
  const starts = shares.map((_, index) => shares.slice(0, index).reduce((sum, { amount }) => sum + amount, 0))
  const x = (minor: number) => (minor / Math.max(1, whole)) * wide
  return (
    <svg viewBox={`0 0 ${wide} ${tall}`} preserveAspectRatio="none" className={`w-full ${className}`} aria-hidden>
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
  )
}
/** What each piece of the board is. */
interface Rows extends Board {
  wordsOf: (kind: string) => string
  money: (minor: number) => string
}
export function SawnRows({ shares, wordsOf, money, className }: Rows) {
  return (
    <table className={`w-full ${className}`}>
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
              {wordsOf(kind)}
            </th>
            <td className="text-right" data-goes={kind}>
              {money(amount)}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
