'use client'
/** What was counted last: when, by whom, what was found, and what was gone. */
import { formatAmount } from '@/core/measure/amount'
import { formatMoney } from '@/core/measure/money'
import { type Count, countReasons } from '@/core/stock/count'
import { useHouse } from '@/ui/form/house'
import { useNow } from '@/ui/time/now'
import { momentWords } from '@/words/time'

export function CountedLately({ counts }: { counts: readonly Count[] }) {
  const house = useHouse()
  const nowMs = useNow()
  return (
    <section aria-labelledby="counted" className="mt-12 border-t-2 border-ink pt-3">
      <h2 id="counted" className="title text-3xl">
        Counted lately
      </h2>
      <ul className="mt-1">
        {counts.map(({ id, at, product, unit, code, reason, found, gone, money, by }) => (
          <li key={id} className="grid grid-cols-[1fr_auto] gap-x-4 border-b border-line py-2">
            <span>
              <span className="font-semibold">
                {product}
                {code && `, tin ${code}`}
              </span>{' '}
              <span className="text-soft">
                {formatAmount(found, unit, house)} found, {countReasons[reason]}
              </span>
              <span className="block text-sm text-soft">{[momentWords(at, house, nowMs), by].filter(Boolean).join(', ')}</span>
            </span>
            <span className="text-right">
              <span className="figure text-2xl">
                {gone > 0 ? '−' : gone < 0 ? '+' : ''}
                {formatAmount(Math.abs(gone), unit, house)}
              </span>
              {!house.hidesMoney && money !== 0 && <span className="block text-sm text-soft">{formatMoney(-money, house)}</span>}
            </span>
          </li>
        ))}
      </ul>
    </section>
  )
}
