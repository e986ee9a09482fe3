/** Count the shelf: each tin as full as it is seen to be, why what is gone is gone; what was counted last. */
import { whatMay } from '@/app/_server/may'
import { loadStudio, readStudio } from '@/app/_server/session'
import { countReasons } from '@/core/stock/count'
import { formatAmount } from '@/core/measure/amount'
import { formatMoney } from '@/core/measure/money'
import { listLots } from '@/db/stock'
import { listProducts } from '@/db/studio'
import { listCounts } from '@/db/tinCount'
import { Link } from '@/ui/frame/Link'
import { NotYours } from '@/ui/frame/NotYours'
import { CountShelf } from '@/ui/shelf/CountShelf'
import { momentWords } from '@/words/time'

export const metadata = { title: 'Count the shelf' }

const mostLooked = 30

export default async function CountPage() {
  const studio = await loadStudio()
  if (!(await whatMay())('product')) return <NotYours what="Counting the shelf" back="/shelf" to="To the shelf" />
  const { products, lots, counts } = await readStudio(async (client) => ({
    products: await listProducts(client),
    lots: await listLots(client),
    counts: await listCounts(client, mostLooked),
  }))
  const nowMs = Date.now()
  return (
    <div className="pt-6">
      <p className="text-lg">
        <Link href="/shelf">The shelf</Link>
      </p>
      <h1 className="title text-5xl">Count the shelf</h1>
      <p className="mt-2 max-w-prose text-lg text-soft">
        Pull each tin to what you see in it, or type what it holds. What you leave alone stays as the log has it.
      </p>
      <CountShelf products={products} lots={lots} />
      {counts.length > 0 && (
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
                    {formatAmount(found, unit, studio)} found, {countReasons[reason]}
                  </span>
                  <span className="block text-sm text-soft">
                    {[momentWords(at, studio, nowMs), by].filter(Boolean).join(', ')}
                  </span>
                </span>
                <span className="text-right">
                  <span className="figure text-2xl">
                    {gone > 0 ? '−' : gone < 0 ? '+' : ''}
                    {formatAmount(Math.abs(gone), unit, studio)}
                  </span>
                  {!studio.hidesMoney && money !== 0 && (
                    <span className="block text-sm text-soft">{formatMoney(-money, studio)}</span>
                  )}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  )
}
