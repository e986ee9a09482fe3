/** Four ways to a price beside each other: what each asks, what an hour earns at it, and why it says so. */
import { formatNumber } from '@/core/measure/number'
import type { LikePrices } from '@/core/price/likePieces'
import type { PriceWay, WayCode } from '@/core/price/ways'
import { Link } from '@/ui/frame/Link'
import { dateWords, type Wall } from '@/words/time'

interface Props {
  ways: readonly PriceWay[]
  markup: number
  wish: string
  like: LikePrices | null
  /** null where the piece is of no kind that a card could name */
  article: string | null
  pieceId: string
  writing: Wall
  money: (minor: number) => string
}
const called: Record<WayCode, string> = {
  'cost-plus': 'Cost plus',
  wish: 'What you wish for',
  'like-pieces': 'Like pieces brought',
  'rate-card': 'Rate card',
}

export function Ways({ ways, markup, wish, like, article, pieceId, writing, money }: Props) {
  const why: Record<WayCode, React.ReactNode> = {
    'cost-plus': `costs and hours, and ${formatNumber(markup * 100, writing, 1)} % on top`,
    wish,
    'like-pieces': like ? (
      <>
        {like.pieces.length === 1 ? 'one of them' : `${like.pieces.length} of them, ${money(like.low)} to ${money(like.high)}`}
        <span className="block">
          {like.pieces
            .slice(0, 3)
            .map(({ name, price, at }) => `${name} ${money(price)}, ${dateWords(at, writing)}`)
            .join(' · ')}
        </span>
      </>
    ) : (
      'nothing like it was sold yet'
    ),
    'rate-card':
      article === null ? (
        <>
          say in <Link href={`/pieces/${pieceId}/facts`}>its facts</Link> what kind of article it is
        </>
      ) : (
        <>
          {ways.find(({ code }) => code === 'rate-card')?.price === null ? `no line for “${article}” on ` : `${article}, on `}
          <Link href="/house/prices">the house’s card</Link>
        </>
      ),
  }
  return (
    <section aria-labelledby="ways" className="mt-10 border-t-2 border-ink pt-4">
      <h2 id="ways" className="title text-3xl">
        Four ways to a price
      </h2>
      <dl className="mt-3 grid gap-x-10 gap-y-5 sm:grid-cols-2 xl:grid-cols-4">
        {ways.map(({ code, price, earned }) => (
          <div key={code}>
            <dt className="eyebrow">{called[code]}</dt>
            <dd>
              <span className="figure block text-4xl" data-way={code}>
                {price === null ? '—' : money(price)}
              </span>
              {earned !== null && <strong className={earned < 0 ? 'text-late' : ''}>{money(earned)} an hour</strong>}
              <span className="block text-soft">{why[code]}</span>
            </dd>
          </div>
        ))}
      </dl>
    </section>
  )
}
