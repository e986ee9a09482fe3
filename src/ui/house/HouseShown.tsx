'use client'
/** What the house's choices do, beside them as they are typed: how things are written, what an hour comes to. */
import type * as z from 'zod'
import { exampleOf } from '@/core/house/example'
import type { studioInput } from '@/core/input/house'
import { formatAmount } from '@/core/measure/amount'
import { formatLength } from '@/core/measure/length'
import { formatMoney } from '@/core/measure/money'
import { dayOf } from '@/core/measure/time'
import type { Pricing } from '@/core/price/pricing'
import { SawnBoard, SawnRows } from '@/ui/money/SawnBoard'
import { useBeat } from '@/ui/time/now'
import { shareWords } from '@/words/piece'
import { clockTime, dayDateWords } from '@/words/time'

/** The house as it would be kept. */
export type HouseTyped = z.output<typeof studioInput>

const example = 123_450
/** A tag as it would hang on a piece. */
export function WrittenShown({ house }: { house: HouseTyped }) {
  const now = new Date(useBeat()).toISOString()
  return (
    <figure className="w-fit max-w-full self-start rounded-r-sm rounded-tl-[2.5rem] bg-sheet py-5 pl-12 pr-8 shadow-[inset_0_0_0_1px_var(--line)]">
      <p className="title text-3xl">Tea table</p>
      <p className="figure mt-1 text-5xl">{formatMoney(example, house)}</p>
      <p className="mt-2 text-soft">
        {formatLength(952, house)} wide · {formatAmount(250, 'ml', house)} of paint
      </p>
      <figcaption className="mt-2 font-semibold">
        {dayDateWords(dayOf(now, house.zone), house)}, {clockTime(now, house)}, in the workshop
      </figcaption>
    </figure>
  )
}

/** A piece of eight hours, and where what is asked for it goes. */
export function HourShown({ house, pricing }: { house: HouseTyped; pricing: Pricing }) {
  const { wishKind, wishValue, haggleShare, priceStep, ...rates } = house
  const wish =
    wishKind === 'margin' ? { margin: wishValue } : wishKind === 'profit' ? { profit: wishValue } : { earnedRate: wishValue }
  const { hours, bought, asked } = exampleOf({ ...rates, wish, haggle: haggleShare, step: priceStep, pricing })
  const money = (minor: number) => formatMoney(minor, house)
  return (
    <figure>
      <figcaption className="text-lg">
        A piece of {hours} hours, bought for {money(bought)}
      </figcaption>
      {asked ? (
        <>
          <p className="mt-1">
            <span className="figure text-6xl text-now">{money(asked.price.ask)}</span>{' '}
            <span className="ml-2 text-lg">to ask</span>
          </p>
          <SawnBoard whole={asked.price.ask} shares={asked.shares} className="mt-3 h-14" />
          <SawnRows
            shares={asked.shares}
            wordsOf={(kind) => (kind === 'left' ? leftWords : shareWords(kind))}
            money={money}
            className="mt-2"
          />
          {asked.price.ask < asked.price.floor ? (
            <p className="mt-2 border-l-4 border-late pl-3 font-semibold">
              That does not pay its hours: they are paid from {money(asked.price.floor)} on.
            </p>
          ) : (
            <p className="mt-2 text-soft">
              Its hours are paid from {money(asked.price.floor)} on, the wish from {money(asked.price.target)}.
            </p>
          )}
        </>
      ) : (
        <p className="mt-2 border-l-4 border-late pl-3 font-semibold">
          No price can bring that: tax and the wish take the whole of it. Lower one of them.
        </p>
      )}
    </figure>
  )
}
const leftWords = 'For the wish, and to haggle'
