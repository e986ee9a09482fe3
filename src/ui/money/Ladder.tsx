/** Where nobody buys: the ask by weeks, and what waiting has cost by then. */
import type { Rung } from '@/core/price/ways'

export function Ladder({ rungs, weekly, money }: { rungs: readonly Rung[]; weekly: number; money: (minor: number) => string }) {
  const top = Math.max(1, ...rungs.map(({ price }) => price))
  const last = rungs.at(-1)
  return (
    <section aria-labelledby="ladder" className="border-t-2 border-ink pt-4">
      <h2 id="ladder" className="title text-3xl">
        Where nobody buys
      </h2>
      <p className="mt-1 text-soft">
        {weekly > 0 ? `A week on sale costs ${money(weekly)}.` : 'A week on sale costs nothing here but the room it takes.'}
      </p>
      <ol className="mt-2">
        {rungs.map(({ week, price, keeps, waiting, loses }) => (
          <li key={week} className="border-b border-line py-2">
            <span className="flex items-baseline justify-between gap-4">
              <span className="text-lg">{week === 0 ? 'At first' : `After ${week} ${week === 1 ? 'week' : 'weeks'}`}</span>
              <span className="figure text-3xl" data-rung={week}>
                {money(price)}
              </span>
            </span>
            <span
              aria-hidden
              className={`mt-1 block h-2 ${loses ? 'bg-late' : 'bg-now'}`}
              style={{ width: `${(price / top) * 100}%` }}
            />
            <span className={loses ? 'font-semibold text-late' : 'text-soft'}>
              keeps {money(keeps)}
              {waiting > 0 && `, waiting of ${money(waiting)} paid`}
              {loses && ': less than it cost'}
            </span>
          </li>
        ))}
      </ol>
      {last && rungs.length > 1 && (
        <p className="mt-2 text-soft">
          {last.loses
            ? 'From there on it brings less than it cost: by then another place, or another use for it.'
            : 'It comes no lower than what brings the money back.'}
        </p>
      )}
    </section>
  )
}
