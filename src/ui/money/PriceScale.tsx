/** Prices on one line from nothing to the ask: what each one pays for, and where the expected price falls. */
import type { Price } from '@/core/price/priceFor'

const rungs = [
  { key: 'breakEven', words: 'Break-even', tells: 'cash back, hours unpaid' },
  { key: 'floor', words: 'Floor', tells: 'costs and hours paid' },
  { key: 'target', words: 'Target', tells: 'what you wish for' },
  { key: 'ask', words: 'Ask', tells: 'target and room to haggle' },
] as const

export function PriceScale({
  price,
  money,
  expected,
}: {
  price: Price
  money: (minor: number) => string
  expected: number | null
}) {
  const top = Math.max(price.ask, expected ?? 0, 1) * 1.02
  return (
    <div>
      <dl>
        {rungs.map(({ key, words, tells }) => (
          <div
            key={key}
            className="grid grid-cols-[1fr_auto] items-end gap-x-4 border-b border-line py-2 sm:grid-cols-[9rem_1fr_11rem]"
          >
            <dt>
              <span className="block text-lg font-semibold leading-tight">{words}</span>
              <span className="text-sm text-soft">{tells}</span>
            </dt>
            <dd className="order-3 col-span-2 h-4 self-center sm:order-none sm:col-span-1" aria-hidden>
              <svg viewBox="0 0 1000 20" preserveAspectRatio="none" className="size-full">
                <path
                  d={`M0 ${key === 'ask' ? 2 : 6}H${(price[key] / top) * 1000 - 14}L${(price[key] / top) * 1000} 10L${(price[key] / top) * 1000 - 14} ${key === 'ask' ? 18 : 14}H0Z`}
                  fill={key === 'ask' ? 'var(--now)' : 'var(--soft)'}
                />
                {expected !== null && (
                  <path
                    d={`M${(expected / top) * 1000} 0V20`}
                    stroke="var(--late)"
                    strokeWidth="3"
                    strokeDasharray="4 3"
                    vectorEffect="non-scaling-stroke"
                  />
                )}
              </svg>
            </dd>
            <dd className={`figure text-right ${key === 'ask' ? 'text-6xl text-now' : 'text-4xl'}`} data-figure={key}>
              {money(price[key])}
            </dd>
          </div>
        ))}
      </dl>
      {expected !== null && <p className="mt-2 text-sm text-soft">The broken line is {money(expected)}, what it should bring.</p>}
    </div>
  )
}
