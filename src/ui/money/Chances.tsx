'use client'
/** Twenty jobs like this one, each a stroke from the price where its money is back to the one where its hours are paid. */
import { useId, useState } from 'react'
import { formatMoney } from '@/core/measure/money'
import type { LikePrices } from '@/core/price/likePieces'
import { type Channel, earnedRate, type Price, type Tax } from '@/core/price/priceFor'
import { chanceAt, outcomesOf, quantile, type Spread, type SpreadAsk } from '@/core/price/spread'
import { useHouse } from '@/ui/form/house'
import { NotReckoned } from '@/ui/time/NotReckoned'
import { ofTwenty } from '@/words/prices'
import { hoursWords } from '@/words/time'
import { type Mark, placeMarks, scaleOf } from './strokes'
import { useSpread } from './useSpread'

/** outcomes that are drawn: each as likely as the other */
const jobs = 20
const [wide, tall] = [1000, 15]

interface Props {
  ask: SpreadAsk
  channel: Channel
  tax: Tax
  price: Price
  expected: number | null
  like: LikePrices | null
  step: number
}
export function Chances({ ask, channel, tax, price, expected, like, step }: Props) {
  const { answer: spread, failed, again } = useSpread(ask)
  return (
    <section aria-labelledby="chances" className="mt-10 border-t-2 border-ink pt-4">
      <h2 id="chances" className="title text-3xl">
        Twenty jobs like this one
      </h2>
      {spread ? (
        <Drawn {...{ spread, channel, tax, price, expected, like, step }} />
      ) : failed ? (
        <NotReckoned again={again} />
      ) : (
        <p className="flex h-[26rem] items-center text-soft" role="status">
          Reckoning what it may come to…
        </p>
      )}
    </section>
  )
}

function Drawn({ spread, channel, tax, price, expected, like, step }: Omit<Props, 'ask'> & { spread: Spread }) {
  const house = useHouse()
  const money = (minor: number) => formatMoney(minor, house, { short: true })
  const [at, setAt] = useState(price.ask)
  const outcomes = outcomesOf(spread, jobs, channel, tax)
  const alike = like?.pieces ?? []
  const marks: Mark[] = [
    { key: 'floor', words: 'Floor', price: price.floor },
    { key: 'target', words: 'Target', price: price.target },
    { key: 'ask', words: 'Ask', price: price.ask },
    ...(expected === null ? [] : [{ key: 'expected', words: 'Should bring', price: expected }]),
  ]
  const {
    low,
    high,
    at: x,
  } = scaleOf([
    ...outcomes.flatMap(({ breakEven, floor }) => [breakEven ?? Infinity, floor ?? Infinity]),
    ...marks.map((mark) => mark.price),
    ...alike.map((each) => each.price),
  ])
  const { loses, underpays } = chanceAt(spread, at, channel, tax)
  const [cost, hours] = [quantile(spread.cost, 0.5), quantile(spread.hours, 0.5)]
  const earned = earnedRate(at, Math.round(cost), hours, channel, tax)
  const field = useId()
  const isCertain = quantile(spread.hours, 0.1) === quantile(spread.hours, 0.9) && spread.cost[0] === spread.cost.at(-1)
  return (
    <>
      <p className="mt-1 text-lg">
        {isCertain && 'All of it is behind: every one comes to the same. '}
        {hoursWords(quantile(spread.hours, 0.5), house)} in the middle one, {hoursWords(quantile(spread.hours, 0.8), house)} or
        less in four of five.
      </p>
      <Strokes {...{ outcomes, marks, alike, x, at, money }} />
      <label htmlFor={field} className="mt-4 block">
        <span className="text-lg font-semibold">Sold for </span>
        <output className="figure text-4xl text-now" data-figure="tried">
          {money(at)}
        </output>
      </label>
      <input
        id={field}
        type="range"
        min={Math.floor(low / step) * step}
        max={Math.ceil(high / step) * step}
        step={step}
        value={at}
        onChange={(event) => setAt(Number(event.target.value))}
        aria-valuetext={money(at)}
        className="h-10 w-full cursor-pointer accent-now"
      />
      <p className="text-xl" role="status" data-chances>
        {chanceWords(loses, 'loses money', 'lose money', 'None of them loses money')};{' '}
        {chanceWords(underpays, 'does not pay every hour', 'do not pay every hour', 'every one pays all of its hours')}.
        {earned !== null && ` In the middle one an hour earns ${money(earned)}.`}
      </p>
    </>
  )
}
/** A chance as so many of the jobs that are drawn; what lies below one of them is said so. */
function chanceWords(share: number, one: string, many: string, none: string): string {
  const count = ofTwenty(share)
  if (count === 'none') return none
  return count === 'few' ? `less than one of twenty ${one}` : `${count} of ${jobs} ${count === 1 ? one : many}`
}

interface StrokesProps {
  outcomes: ReturnType<typeof outcomesOf>
  marks: Mark[]
  alike: LikePrices['pieces']
  x: (price: number) => number
  at: number
  money: (minor: number) => string
}
/** Left of a stroke's first edge the job loses money, between the edges hours go unpaid, right of them all is paid. */
function Strokes({ outcomes, marks, alike, x, at, money }: StrokesProps) {
  const id = useId()
  const placed = placeMarks(marks, x, 0.2)
  const rows = Math.max(...placed.map(({ row }) => row)) + 1
  const edge = (price: number | null) => (price === null ? wide : x(price) * wide)
  return (
    <figure className="mt-3 overflow-x-clip">
      <div className="relative text-sm" style={{ height: `${rows * 2.6}rem` }} aria-hidden>
        {placed.map(({ key, words, price, x: share, row }) => (
          <span
            key={key}
            className={`absolute whitespace-nowrap leading-tight ${key === 'ask' ? 'font-bold text-now' : key === 'expected' ? 'text-late' : ''}`}
            style={{
              bottom: `${row * 2.6}rem`,
              ...(share > 0.7 ? { right: `${(1 - share) * 100}%` } : { left: `${share * 100}%` }),
            }}
          >
            {words}
            <span className="figure block text-lg">{money(price)}</span>
          </span>
        ))}
      </div>
      <svg
        viewBox={`0 0 ${wide} ${jobs * tall}`}
        preserveAspectRatio="none"
        className="h-72 w-full"
        role="img"
        aria-label={tableWords(outcomes, money)}
      >
        <defs>
          <pattern id={`${id}-lost`} width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(50)">
            <path d="M0 0V7" stroke="var(--late)" strokeWidth="3" />
          </pattern>
        </defs>
        {outcomes.map(({ breakEven, floor }, index) => {
          const y = index * tall + 1.5
          const [back, paid] = [edge(breakEven), edge(floor)]
          return (
            <g key={index}>
              <rect x="0" y={y} width={back} height={tall - 3} fill={`url(#${id}-lost)`} />
              <rect x={back} y={y} width={paid - back} height={tall - 3} fill="var(--line)" />
              <path
                d={`M${paid} ${y}H${wide}V${y + tall - 3}H${paid}Q${paid + 9} ${y + tall / 2 - 1.5} ${paid} ${y}Z`}
                fill="var(--now)"
              />
            </g>
          )
        })}
        {placed.map(({ key, x: share }) => (
          <path
            key={key}
            d={`M${share * wide} 0V${jobs * tall}`}
            stroke={key === 'expected' ? 'var(--late)' : 'var(--ink)'}
            strokeWidth={key === 'ask' ? 4 : 2}
            strokeDasharray={key === 'expected' ? '7 5' : undefined}
            vectorEffect="non-scaling-stroke"
          />
        ))}
        <path d={`M${x(at) * wide} 0V${jobs * tall}`} stroke="var(--sheet)" strokeWidth="6" vectorEffect="non-scaling-stroke" />
        <path d={`M${x(at) * wide} 0V${jobs * tall}`} stroke="var(--ink)" strokeWidth="2" vectorEffect="non-scaling-stroke" />
      </svg>
      {alike.length > 0 && (
        <div className="relative h-9 border-b border-line" aria-hidden>
          {alike.map(({ pieceId, price, weight }) => (
            <span
              key={pieceId}
              className="absolute top-2 size-4 -translate-x-1/2 rounded-full border-[3px] border-ink bg-ground"
              style={{ left: `${x(price) * 100}%`, opacity: 0.45 + weight * 0.55 }}
            />
          ))}
        </div>
      )}
      <figcaption className="mt-2 flex flex-wrap gap-x-6 gap-y-1 text-sm">
        <Key fill={`url(#${id}-key)`} words="loses money" hatch={`${id}-key`} />
        <Key fill="var(--line)" words="hours not all paid" />
        <Key fill="var(--now)" words="every hour paid" />
        {alike.length > 0 && (
          <span className="flex items-center gap-2">
            <span className="size-4 rounded-full border-[3px] border-ink" /> what like pieces brought
          </span>
        )}
      </figcaption>
    </figure>
  )
}
const tableWords = (outcomes: StrokesProps['outcomes'], money: (minor: number) => string): string => {
  const at = (index: number) => outcomes[index]
  const said = (price: number | null | undefined) => (price === null || price === undefined ? 'no price' : money(price))
  return `Of twenty such jobs the cheapest has its money back at ${said(at(0)?.breakEven)} and all hours paid at ${said(at(0)?.floor)}; the middle one at ${said(at(9)?.breakEven)} and ${said(at(9)?.floor)}; the dearest at ${said(at(19)?.breakEven)} and ${said(at(19)?.floor)}.`
}

function Key({ fill, words, hatch }: { fill: string; words: string; hatch?: string }) {
  return (
    <span className="flex items-center gap-2">
      <svg viewBox="0 0 28 12" className="h-3 w-7" aria-hidden>
        {hatch && (
          <defs>
            <pattern id={hatch} width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(50)">
              <path d="M0 0V7" stroke="var(--late)" strokeWidth="3" />
            </pattern>
          </defs>
        )}
        <rect width="28" height="12" fill={fill} />
      </svg>
      {words}
    </span>
  )
}
