'use client'
/** The list for the shop: each line a colour in its tins, ticked when it lies in the basket; then it is on the shelf. */
import { useMemo } from 'react'
import { v7 as uuidv7 } from 'uuid'
import * as z from 'zod'
import { type FamilyCode, getFamily, unitOf } from '@/core/craft/families'
import { type Sheen, sheens } from '@/core/craft/sheen'
import { formatAmount, plainAmount } from '@/core/measure/amount'
import { formatMoney, moneyText } from '@/core/measure/money'
import type { PieceId } from '@/core/measure/named'
import type { Tins } from '@/core/stock/buy'
import { Trouble } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { useStored } from '@/ui/form/useStored'
import { useWrite } from '@/ui/form/useWrite'
import { Link } from '@/ui/frame/Link'
import { useOutbox } from '@/ui/outbox/useOutbox'
import { ofTwenty } from '@/words/prices'
import { capital } from '@/words/text'
import { dateWords } from '@/words/time'

export interface BuyLine {
  family: FamilyCode
  hex: string | null
  colour: string | null
  sheen: Sheen | null
  byMs: number | null
  pieces: { id: PieceId; name: string }[]
  coats: number
  wanted: number
  there: number
  short: number
  tins: Tins<{ size: number; price: number; productId: string | null; name: string }>[] | null
  cost: number
  enough: number
}
const keyOf = ({ family, hex, sheen }: BuyLine) => `${family} ${hex} ${sheen}`
/** What lies in the basket, by line: when the list was read that it was ticked on. */
const basketKey = 'itinerum.basket'
const basketOf = z.record(z.string(), z.string())
type Basket = z.output<typeof basketOf>
function readBasket(stored: string | null): Basket {
  try {
    return basketOf.parse(JSON.parse(stored ?? '{}'))
  } catch {
    return {}
  }
}

export function BuyList({ lines, readAt }: { lines: readonly BuyLine[]; readAt: string }) {
  const house = useHouse()
  const [stored, store] = useStored(basketKey)
  const basket = useMemo(() => readBasket(stored), [stored])
  const money = (minor: number) => formatMoney(minor, house)
  const { kept } = useOutbox()
  // what waits on this device says itself what was bought; once it is sent, a list that was read anew knows of it
  const waiting = new Set(
    kept.flatMap(({ action, typed }) =>
      action === 'buyTins' ? [`${typed.family} ${typed.colourHex || null} ${typed.sheen || null}`] : [],
    ),
  )
  const isIn = (line: BuyLine) => waiting.has(keyOf(line)) || basket[keyOf(line)] === readAt
  const short = lines.filter(({ short: lacks }) => lacks > 0)
  const open = short.filter((line) => !isIn(line))
  const there = lines.filter(({ short: lacks }) => lacks === 0)
  const put = (line: BuyLine) => store(JSON.stringify({ ...basket, [keyOf(line)]: readAt }))
  return (
    <>
      <p className="mt-5 text-2xl" role="status">
        {open.length === 0 ? (
          <strong>
            {short.length === 0 ? 'Nothing: all that is planned stands on the shelf.' : 'All of it lies in the basket.'}
          </strong>
        ) : (
          <>
            <span className="figure text-5xl text-now" data-figure="toPay">
              {money(open.reduce((sum, { cost }) => sum + cost, 0))}
            </span>{' '}
            for {open.length === 1 ? 'one thing' : `${open.length} things`}
          </>
        )}
      </p>
      <ul className="mt-3 border-t-2 border-ink">
        {short.map((line) => (
          <Line key={keyOf(line)} line={line} isIn={isIn(line)} put={() => put(line)} />
        ))}
      </ul>
      {there.length > 0 && (
        <details className="mt-8">
          <summary className="tap text-lg underline">
            {there.length === 1 ? 'One stands' : `${there.length} stand`} on the shelf already
          </summary>
          <ul>
            {there.map((line) => (
              <li key={keyOf(line)} className="flex flex-wrap justify-between gap-x-6 border-b border-line py-2">
                <span>{nameOf(line)}</span>
                <span className="text-soft">
                  {formatAmount(line.wanted, unitOf(line.family), house)} wanted, {chanceWords(line.enough)}
                </span>
              </li>
            ))}
          </ul>
        </details>
      )}
    </>
  )
}

const nameOf = ({ family, colour, sheen }: BuyLine) =>
  [colour, capital(getFamily(family).words), sheen && sheens[sheen]].filter(Boolean).join(', ')
function chanceWords(share: number): string {
  const count = ofTwenty(share)
  return count === 20 ? 'enough' : typeof count === 'number' ? `enough in ${count} of 20` : 'not enough'
}

function Line({ line, isIn, put }: { line: BuyLine; isIn: boolean; put: () => void }) {
  const house = useHouse()
  const { buy, issue, pending } = useBuying(line, put)
  const unit = unitOf(line.family)
  const amount = (value: number) => formatAmount(value, unit, house)
  return (
    <li
      className={`grid items-center gap-x-6 gap-y-2 border-b border-line py-3 sm:grid-cols-[2fr_2fr_auto] ${isIn ? 'opacity-60' : ''}`}
      data-buy={keyOf(line)}
      data-there={line.there}
    >
      <span className="flex items-center gap-3">
        <span
          aria-hidden
          className="size-10 shrink-0 rounded-[0.8rem_0.15rem_0.15rem] border border-line"
          style={{ background: line.hex ?? 'transparent' }}
        />
        <span>
          <strong className="block text-lg leading-tight">{nameOf(line)}</strong>
          <span className="text-soft">
            {amount(line.wanted)} wanted, {amount(line.there)} there
            {line.byMs !== null && `; from ${dateWords(new Date(line.byMs).toISOString(), house)}`}
          </span>
        </span>
      </span>
      <span>
        <span
          className="figure block text-2xl"
          data-tins={(line.tins ?? []).reduce((sum, { offer, count }) => sum + offer.size * count, 0)}
        >
          {line.tins === null
            ? `${amount(line.short)} short`
            : line.tins.map(({ offer, count }) => `${count} × ${amount(offer.size)}`).join(' + ')}
        </span>
        <span className="text-soft">
          {line.tins === null
            ? 'nothing of its kind was ever bought: no size, no price'
            : `${formatMoney(line.cost, house)}, ${chanceWords(line.enough)}`}
          {' · '}
          {line.pieces.slice(0, 3).map(({ id, name }, index) => (
            <span key={id}>
              {index > 0 && ', '}
              <Link href={`/pieces/${id}`}>{name}</Link>
            </span>
          ))}
          {line.pieces.length > 3 && ` and ${line.pieces.length - 3} more`}
        </span>
      </span>
      {isIn ? (
        <strong className="text-now">In the basket</strong>
      ) : (
        line.tins && (
          <button type="button" className="press press-now min-h-14" disabled={pending} onClick={() => void buy()}>
            It is in the basket
          </button>
        )
      )}
      <Trouble>{issue}</Trouble>
    </li>
  )
}

/** All tins of a line onto the shelf in one, as they were sold; by the outbox, so that a shop without a connection does. */
function useBuying(line: BuyLine, put: () => void) {
  const house = useHouse()
  const { sendAway } = useOutbox()
  const buying = useWrite(async () => {
    const entryId = uuidv7()
    const tins = (line.tins ?? []).flatMap(({ offer, count }) => Array.from({ length: count }, () => offer))
    const said = {
      ...{ entryId, at: new Date().toISOString(), family: line.family, name: nameOf(line) },
      // a colour that was never bought comes onto the shelf with its first tin
      productId: tins.find(({ productId }) => productId !== null)?.productId ?? '',
      ...{ colourName: line.colour ?? '', colourHex: line.hex ?? '', sheen: line.sheen ?? ('' as const) },
      tins: tins.map(({ size, price }) => ({
        ...{ id: uuidv7(), size: plainAmount(size, unitOf(line.family)), price: moneyText(price, house) },
      })),
    }
    const answer = await sendAway('buyTins', said, `Bought: ${nameOf(line)}`)
    if ('ok' in answer) put()
    return answer
  })
  return { buy: () => buying.send({}), issue: buying.issue, pending: buying.pending }
}
