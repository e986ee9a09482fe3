/** Count the shelf: each tin as full as it is seen to be, why what is gone is gone; what was counted last. */
import { whatMay } from '@/app/_server/may'
import { readStudio } from '@/app/_server/session'
import { listLots } from '@/db/stock'
import { listProducts } from '@/db/studio'
import { listCounts } from '@/db/tinCount'
import { Link } from '@/ui/frame/Link'
import { NotYours } from '@/ui/frame/NotYours'
import { CountedLately } from '@/ui/shelf/CountedLately'
import { CountShelf } from '@/ui/shelf/CountShelf'

export const metadata = { title: 'Count the shelf' }

const mostLooked = 30

export default async function CountPage() {
  if (!(await whatMay())('product')) return <NotYours what="Counting the shelf" back="/shelf" to="To the shelf" />
  const { products, lots, counts } = await readStudio(async (client) => ({
    products: await listProducts(client),
    lots: await listLots(client),
    counts: await listCounts(client, mostLooked),
  }))
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
      {counts.length > 0 && <CountedLately counts={counts} />}
    </div>
  )
}
