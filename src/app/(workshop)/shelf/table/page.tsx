/** Many tins at once, out of a table: looked at line by line before any of it stands on the shelf. */
import { whatMay } from '@/app/_server/may'
import { readStudio } from '@/app/_server/session'
import { listLots } from '@/db/stock'
import { listProducts } from '@/db/studio'
import { Link } from '@/ui/frame/Link'
import { NotYours } from '@/ui/frame/NotYours'
import { BringInShelf } from '@/ui/shelf/BringInShelf'

export const metadata = { title: 'A shelf brought in' }

export default async function ShelfTable() {
  if (!(await whatMay())('product')) return <NotYours what="Bringing in a shelf" back="/shelf" to="To the shelf" />
  const { products, lots } = await readStudio(async (client) => ({
    products: await listProducts(client),
    lots: await listLots(client),
  }))
  return (
    <div className="pt-6">
      <p className="text-lg">
        <Link href="/shelf">The shelf</Link>
      </p>
      <h1 className="title text-5xl">Many tins at once</h1>
      <BringInShelf products={products} lots={lots.map(({ productId, code }) => ({ productId, code }))} />
    </div>
  )
}
