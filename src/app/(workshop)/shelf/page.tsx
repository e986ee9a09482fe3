/** The shelf: what stands there, how full each tin is, what plans ahead take of it, and what a coat of it costs. */
import { whatMay } from '@/app/_server/may'
import { loadStudio } from '@/app/_server/session'
import { loadShelf } from '@/app/_server/toBuy'
import { safeCoverage } from '@/core/craft/families'
import { coatVolumes } from '@/core/measure/coatVolumes'
import { sqFtPerM2 } from '@/core/measure/length'
import { formatMoney } from '@/core/measure/money'
import type { UnitSystem } from '@/core/measure/units'
import { chances, usualChance } from '@/core/stock/chance'
import { compareLots } from '@/core/stock/drawFromLots'
import type { Product } from '@/core/stock/product'
import { Link } from '@/ui/frame/Link'
import { ProductForm } from '@/ui/house/ProductForm'
import { Planks } from '@/ui/shelf/Planks'

export const metadata = { title: 'Shelf' }

/** a coat's cost is told for a piece of board one can picture: 1 m², or 10 sq ft */
const costedAreaM2 = (units: UnitSystem) => (units === 'metric' ? 1 : 10 / sqFtPerM2)
const costedWords = (units: UnitSystem) => (units === 'metric' ? '1 m²' : '10 sq ft')

export default async function Shelf() {
  const studio = await loadStudio()
  const may = await whatMay()
  const { products, lots, ahead } = await loadShelf(chances[usualChance])
  const coatCost = ({ family, price, size }: Product) =>
    formatMoney(
      Math.round(
        (coatVolumes({ area: costedAreaM2(studio.units), coverage: safeCoverage(family), coats: ['normal'] }).total * price) /
          size,
      ),
      studio,
    )
  return (
    <div className="pt-6">
      <h1 className="title text-5xl">Shelf</h1>
      <p className="mt-4 flex flex-wrap items-center gap-x-3 gap-y-2">
        {may('product') && !studio.hidesMoney && (
          <Link href="/shelf/buy" className="press">
            To buy
          </Link>
        )}
        {may('product') && lots.length > 0 && (
          <Link href="/shelf/count" className="press">
            Count it
          </Link>
        )}
        {may('product') && products.length > 0 && (
          <Link href="/shelf/labels" className="press">
            Labels
          </Link>
        )}
        {lots.length > 0 && (
          <a href="/api/shelf/cards" className="press">
            Cards (PDF)
          </a>
        )}
        <Link href="/learned" className="inline-flex sm:ml-3 min-h-12 items-center text-lg">
          How these really dry here, and what goes wrong
        </Link>
      </p>
      {products.length === 0 && (
        <p className="mt-4 max-w-prose text-xl">
          Nothing stands here yet. Put the tins you have on it: plans then know their colours, and every coat its cost.
        </p>
      )}
      <Planks
        bays={products.map((product) => ({
          product,
          lots: lots.filter(({ productId }) => productId === product.id).sort(compareLots),
          coatCost: studio.hidesMoney ? null : `${coatCost(product)} a coat of ${costedWords(studio.units)}`,
          ahead: ahead.byProduct[product.id] ?? null,
        }))}
        neverHere={ahead.neverHere}
      />
      {may('product') && (
        <section aria-labelledby="add" className="mt-12 border-t-2 border-ink pt-4">
          <h2 id="add" className="title text-3xl">
            Another tin
          </h2>
          <ProductForm />
          <p className="mt-4">
            <Link href="/shelf/table" className="tap text-lg">
              Many at once, from a table (CSV)
            </Link>
          </p>
        </section>
      )}
    </div>
  )
}
