/** To buy: what all planned pieces take, less what stands on the shelf, in the cheapest tins. Ticked off in the shop, without a connection. */
import { whatMay } from '@/app/_server/may'
import { loadStudio } from '@/app/_server/session'
import { loadToBuy } from '@/app/_server/toBuy'
import { type Chance, chances, usualChance } from '@/core/stock/chance'
import { Link } from '@/ui/frame/Link'
import { NotYours } from '@/ui/frame/NotYours'
import { type BuyLine, BuyList } from '@/ui/shelf/BuyList'
import { ofJobs } from '@/words/shelf'

export const metadata = { title: 'To buy' }

const isChance = (asked: string | undefined): asked is Chance => asked !== undefined && asked in chances

export default async function Buy({ searchParams }: { searchParams: Promise<{ be?: string }> }) {
  const studio = await loadStudio()
  const may = await whatMay()
  if (studio.hidesMoney || !may('product')) return <NotYours what="What has to be bought" back="/shelf" to="To the shelf" />
  const asked = (await searchParams).be
  const chosen = isChance(asked) ? asked : usualChance
  const { lines, readAt } = await loadToBuy(chances[chosen])
  return (
    <div className="pt-6">
      <p className="text-lg">
        <Link href="/shelf">The shelf</Link>
      </p>
      <h1 className="title text-5xl">To buy</h1>
      <nav aria-label="How sure" className="mt-4 flex flex-wrap gap-2">
        {(Object.keys(chances) as Chance[]).map((each) => (
          <Link
            key={each}
            href={`/shelf/buy?be=${each}`}
            aria-current={each === chosen ? 'true' : undefined}
            className={`press ${each === chosen ? 'press-now' : ''}`}
          >
            {each === 'half' ? 'just enough' : `enough in ${ofJobs[each]}`}
          </Link>
        ))}
      </nav>
      <BuyList
        readAt={readAt}
        lines={lines.map(({ need, ...line }): BuyLine => ({
          ...{
            family: need.family,
            hex: need.hex,
            colour: need.name,
            sheen: need.sheen ?? null,
            byMs: need.byMs,
            pieces: need.pieces,
            coats: need.uses.length,
          },
          ...line,
        }))}
      />
    </div>
  )
}
