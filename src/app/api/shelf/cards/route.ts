/** Cards for what stands on the shelf: PDF. */
import { shelfCardsPaper } from '@/app/_server/papers'
import { loadStudio, readStudio } from '@/app/_server/session'
import { whoIsIn } from '@/app/_server/whoIsIn'
import { listLots } from '@/db/stock'
import { listProducts } from '@/db/studio'

export async function GET(): Promise<Response> {
  if (!(await whoIsIn())) return Response.json({ issue: 'signed-out' }, { status: 401 })
  const studio = await loadStudio()
  const products = await readStudio(async (client) => {
    const standing = new Set((await listLots(client)).map(({ productId }) => productId))
    return (await listProducts(client)).filter(({ id }) => standing.has(id))
  })
  return products.length === 0 ? Response.json({ issue: 'not-found' }, { status: 404 }) : shelfCardsPaper(studio, products)
}
