/** The price desk of a piece that is here: places to sell, the ask, the chances, the ways to a price, where it goes. */
import { type ChannelDesk, channelView, type PriceDesk } from '@/core/house/priceDesk'
import type { Studio } from '@/core/house/studio'
import { getArticle } from '@/core/piece/articles'
import type { Journey } from '@/core/piece/journey'
import { priceEach, setSize } from '@/core/piece/set'
import { Link } from '@/ui/frame/Link'
import { wishSentence } from '@/words/prices'
import { dateWords } from '@/words/time'
import { Asking } from './Asking'
import { Chances } from './Chances'
import { ChannelRows } from './ChannelRows'
import { EachOf } from './EachOf'
import { Ladder } from './Ladder'
import { Ways } from './Ways'
import { WhereItGoes } from './WhereItGoes'

interface Props {
  desk: PriceDesk & { learnedFrom: { pieces: number; steps: number } }
  /** the place that is looked at; there is none where the house sells nowhere yet */
  at: ChannelDesk | undefined
  journey: Journey
  studio: Studio
  money: (minor: number) => string
}
export function Prices({ desk, at, journey, studio, money }: Props) {
  const { piece, parts } = journey.file
  const { listing } = journey
  const alike = setSize(parts)
  return (
    <>
      <h1 className="title text-5xl">What to ask</h1>
      {listing && (
        <p className="mt-1 text-lg">
          Listed at <strong>{money(listing.money)}</strong> since {dateWords(listing.at, studio)},{' '}
          {desk.channels.find(({ channel }) => channel.id === listing.channelId)?.channel.name}.
        </p>
      )}
      {desk.channels.length === 0 ? (
        <p className="mt-4 text-lg">
          Say first where you sell: <Link href="/house">the house’s channels</Link>.
        </p>
      ) : (
        <ChannelRows pieceId={piece.id} channels={desk.channels} chosen={at?.channel.id} money={money} />
      )}
      {at && !at.price && (
        <p className="mt-6 max-w-prose border-l-4 border-late pl-4 text-lg font-semibold">
          No price can meet the wish here: fees, tax and the wanted margin take the whole of it. Lower one of them in the house,
          or choose another channel.
        </p>
      )}
      {at?.price && <Priced {...{ desk, at: { ...at, price: at.price }, journey, studio, money }} />}
      {at?.price && alike > 1 && <EachOf of={alike} price={priceEach(at.price, alike, studio.step)} money={money} />}
    </>
  )
}

type PricedProps = Omit<Props, 'at'> & { at: ChannelDesk & { price: NonNullable<ChannelDesk['price']> } }
function Priced({ desk, at, journey, studio, money }: PricedProps) {
  const { piece } = journey.file
  const { like, brings, whenDone, spread, tax, learnedFrom } = desk
  const { ways, goes, ladder } = channelView(desk, at, studio, piece.article)
  return (
    <>
      <Asking {...{ piece, desk: at, terms: studio, whenDone, brings, money }} />
      <Chances {...{ ask: spread, channel: at.fees, tax, price: at.price, expected: piece.expected, like, step: studio.step }} />
      <p className="mt-2 text-soft">
        {learnedFrom.pieces === 0
          ? 'The hours are the plan’s, and scatter as practice says; clocks that are ended at the bench teach this studio’s own.'
          : `The hours are as this studio works: learned from ${learnedFrom.steps} steps of ${learnedFrom.pieces === 1 ? 'one piece' : `${learnedFrom.pieces} pieces`}.`}
      </p>
      <Ways
        {...{ ways, like, money, writing: studio, pieceId: piece.id }}
        markup={studio.pricing.markup}
        wish={wishSentence(studio, money)}
        article={piece.article && getArticle(piece.article).words}
      />
      <div className="mt-10 grid gap-x-14 gap-y-10 lg:grid-cols-2">
        <WhereItGoes ask={at.price.ask} {...goes} money={money} />
        <Ladder rungs={ladder} weekly={at.weekly} money={money} />
      </div>
    </>
  )
}
