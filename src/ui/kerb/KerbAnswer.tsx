/** How high to bid, in figures that are read at arm's length; what it rests on; and what would change it. */
import { getLook } from '@/core/craft/looks'
import { getExistingFinish } from '@/core/craft/parts'
import { type Change, type Reckoned, wholeBid } from '@/core/house/kerb'
import { kerbStates } from '@/core/house/kerbState'
import type { SalesChannel } from '@/core/house/studio'
import type { House } from '@/core/input/fields'
import { formatMoney, minorDigits } from '@/core/measure/money'
import { bringsWords, ofTwenty } from '@/words/prices'
import { capital } from '@/words/text'
import { hoursWords } from '@/words/time'

interface Props {
  found: Reckoned
  changes: Change[] | null
  channels: readonly SalesChannel[]
  house: House
}
export const bidWords = (highest: number | null, house: House): string =>
  highest === null ? 'nothing' : formatMoney(wholeBid(highest, minorDigits(house.currency)), house, { short: true })

/** How high to bid, in sight while the thumb is below. */
export function BidLine({ found: { bid, brings, refused }, house }: Pick<Props, 'found' | 'house'>) {
  return (
    <p
      aria-label="How high to bid"
      role="group"
      className="sticky top-0 z-10 flex items-baseline justify-between gap-4 border-y-2 border-ink bg-ground py-1"
    >
      <span className="text-lg font-semibold">Bid up to</span>
      <span className={`figure text-[4.5rem] leading-none sm:text-[6rem] ${bid ? 'text-now' : 'text-late'}`} data-figure="bid">
        {brings && refused.length === 0 ? bidWords(bid?.highest ?? null, house) : '—'}
      </span>
    </p>
  )
}

export function KerbAnswer({ found, changes, channels, house }: Props) {
  const money = (minor: number) => formatMoney(minor, house, { short: true })
  const { brings, hours, days, materials } = found
  return (
    <section aria-label="What it rests on">
      <p className="text-lg">{whyWords(found, channels, money)}</p>
      <dl className="mt-3 grid grid-cols-3 gap-x-4">
        {(
          [
            ['Hours', hoursWords(hours.middle, house), `${hoursWords(hours.safe, house)} or less, four of five`],
            ['Days', String(days), 'from first step to last'],
            ['Material', money(materials), 'and small things'],
          ] as const
        ).map(([words, figure, tells]) => (
          <div key={words}>
            <dt className="font-semibold">{words}</dt>
            <dd>
              <span className="figure block text-3xl">{figure}</span>
              <span className="text-sm text-soft">{tells}</span>
            </dd>
          </div>
        ))}
      </dl>
      {brings && (
        <div className="mt-3 min-h-28">
          <p className="eyebrow">What would change it</p>
          <ul data-changes>
            {(changes ?? []).map((change) => (
              <li key={change.kind} className="flex items-baseline justify-between gap-4 border-b border-line py-1 text-lg">
                <span>{changeWords(change, money)}</span>
                <span className="figure">{bidWords(change.highest, house)}</span>
              </li>
            ))}
          </ul>
        </div>
      )}
    </section>
  )
}

/** What the bid rests on, or why there is none. */
function whyWords({ bid, brings, refused }: Reckoned, channels: Props['channels'], money: (minor: number) => string): string {
  if (channels.length === 0) return 'Say first where you sell: the house’s channels.'
  if (refused.length > 0)
    return `${capital(refused.join(', ').toLowerCase())} can’t take this look as it is: choose another, or say more of what is on it.`
  if (!brings) return 'Nothing like it was sold yet, and the rate card has no line: say below what it should bring.'
  const said = `It brings ${money(brings.price)}, ${bringsWords[brings.by]}`
  if (!bid) return `${said}: its hours and costs leave nothing for a bid.`
  const place = channels.find(({ id }) => id === bid.channelId)?.name ?? ''
  return `${chanceWords(bid.chance)} at that bid. ${said}; sold: ${place}.`
}
function chanceWords(share: number): string {
  const count = ofTwenty(share)
  if (count === 'none') return 'Hardly one loses money'
  if (count === 'few') return 'Less than one of twenty loses money'
  return count === 1 ? 'One of twenty loses money' : `${count} of twenty lose money`
}
function changeWords({ kind, card }: Change, money: (minor: number) => string): string {
  const words = {
    'on-it': () => `with ${getExistingFinish(card.existing).words} on it`,
    look: () => `as ${getLook(card.look).words.toLowerCase()}`,
    state: () => `if it is ${kerbStates[card.state]}`,
    brings: () => `if it brings ${money(card.brings ?? 0)}`,
  }
  return words[kind]()
}
