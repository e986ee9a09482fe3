/** What stands on the tins' own labels: it goes before the family's figures; shared as JSON, brought in as JSON. */
import { whatMay } from '@/app/_server/may'
import { readStudio } from '@/app/_server/session'
import { listProducts } from '@/db/studio'
import { Link } from '@/ui/frame/Link'
import { NotYours } from '@/ui/frame/NotYours'
import { BringInLabels } from '@/ui/shelf/BringInLabels'
import { LabelList } from '@/ui/shelf/LabelList'

export const metadata = { title: 'Labels' }

export default async function Labels() {
  if (!(await whatMay())('product')) return <NotYours what="What stands on labels" back="/shelf" to="To the shelf" />
  const products = (await readStudio(listProducts)).filter(({ formula }) => !formula)
  return (
    <div className="pt-6">
      <p className="text-lg">
        <Link href="/shelf">The shelf</Link>
      </p>
      <h1 className="title text-5xl">Labels</h1>
      <p className="mt-2 max-w-prose text-lg text-soft">
        What a tin says of itself goes before what is usual for its family; what you have seen it do here goes before both.
      </p>
      {products.length === 0 ? (
        <p className="mt-4 max-w-prose text-xl">
          Nothing stands on the shelf yet: put a tin on it, and what its label says here.
        </p>
      ) : (
        <>
          <LabelList products={products} />
          <BringInLabels products={products} />
        </>
      )}
    </div>
  )
}
