'use client'
/** The list for the shop: each line a colour in its tins, ticked when it lies in the basket; then it is on the shelf. */
import { useMemo } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { z } from 'zod'
import { type FamilyCode, getFamily, unitOf } from '@/core/craft/families'
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
const keyOf = ({ family, hex }: BuyLine) => `${family} ${hex}`
/** What lies in the basket, by line: the list it was ticked on, and the tins that it became. */
const basketKey = 'itinerum.basket'
const basketOf = z.record(z.string(), z.object({ readAt: z.string(), tins: z.array(z.string()) }))
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
  const waiting = new Set(kept.map(({ typed }) => typed.entryId))
  // a list that was read anew knows of it, once its tins wait on this device no more
  const isIn = (line: BuyLine) => {
    const ticked = basket[keyOf(line)]
    return ticked !== undefined && (ticked.readAt === readAt || ticked.tins.some((tin) => waiting.has(tin)))
  }
  const short = lines.filter(({ short: lacks }) => lacks > 0)
  const open = short.filter((line) => !isIn(line))
  const there = lines.filter(({ short: lacks }) => lacks === 0)
  const put = (line: BuyLine, tins: readonly string[]) => store(JSON.stringify({ ...basket, [keyOf(line)]: { readAt, tins } }))
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
          <Line key={keyOf(line)} line={line} isIn={isIn(line)} put={(tins) => put(line, tins)} />
        ))}
      </ul>
      {there.length > 0 && (
        <details className="mt-8">
          <summary className="inline-flex min-h-12 cursor-pointer items-center text-lg font-semibold underline">
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

const nameOf = ({ family, colour }: BuyLine) => [colour, capital(getFamily(family).words)].filter(Boolean).join(', ')
function chanceWords(share: number): string {
  const count = ofTwenty(share)
  return count === 20 ? 'enough' : typeof count === 'number' ? `enough in ${count} of 20` : 'not enough'
}

function Line({ line, isIn, put }: { line: BuyLine; isIn: boolean; put: (tins: string[]) => void }) {
  const house = useHouse()
  const { buy, issue, pending } = useBuying(line, put)
  const unit = unitOf(line.family)
  const amount = (value: number) => formatAmount(value, unit, house)
  return (
    <li
      className={`grid items-center gap-x-6 gap-y-2 border-b border-line py-3 sm:grid-cols-[2fr_2fr_auto] ${isIn ? 'opacity-60' : ''}`}
      data-buy={keyOf(line)}
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
        <span className="figure block text-2xl" data-tins>
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

/** Every tin of a line onto the shelf, as it was sold; by the outbox, so that a shop without a connection does. */
function useBuying(line: BuyLine, put: (tins: string[]) => void) {
  const house = useHouse()
  const { sendAway } = useOutbox()
  const buying = useWrite(async () => {
    const at = new Date().toISOString()
    const unit = unitOf(line.family)
    const bought: string[] = []
    // a colour that was never bought comes onto the shelf with its first tin
    let productId = line.tins?.find(({ offer }) => offer.productId !== null)?.offer.productId ?? null
    for (const { offer, count } of line.tins ?? [])
      for (let tin = 0; tin < count; tin += 1) {
        const id = uuidv7()
        const said = { code: '', size: plainAmount(offer.size, unit), price: moneyText(offer.price, house), at }
        const about = `Bought: ${nameOf(line)}`
        const fresh = productId === null ? uuidv7() : null
        const answer = fresh
          ? await sendAway(
              'keepProduct',
              {
                ...{ ...said, id: fresh, lotId: id, entryId: fresh, family: line.family },
                ...{ name: nameOf(line), colourName: line.colour ?? '', colourHex: line.hex ?? '' },
              },
              about,
            )
          : await sendAway('keepLot', { ...said, id, entryId: id, productId: productId ?? '', unit }, about)
        if ('issue' in answer) return answer
        bought.push(fresh ?? id)
        productId ??= fresh
      }
    put(bought)
    return { ok: true as const }
  })
  return { buy: () => buying.send({}), issue: buying.issue, pending: buying.pending }
}
