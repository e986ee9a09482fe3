'use client'
/** A walk along the shelf: every tin pulled to what is in it, all of them written down at once. What is pulled waits on the device. */
import { useRouter } from 'next/navigation'
import { useMemo, useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { getFamily } from '@/core/craft/families'
import { countInput, type CountText } from '@/core/input/stock'
import { parseAmount } from '@/core/measure/amount'
import { type CountReason, countReasons } from '@/core/stock/count'
import { costSoFar } from '@/core/stock/drawFromLots'
import type { Product, ShelfLot } from '@/core/stock/product'
import { useActions } from '@/ui/form/actions'
import { ChoiceField, pairs, Trouble } from '@/ui/form/Field'
import { useHouse, useMoney } from '@/ui/form/house'
import { useStored } from '@/ui/form/useStored'
import { useWrite } from '@/ui/form/useWrite'
import { TinGauge } from './TinGauge'

interface Kept {
  reason: CountReason
  /** by tin, as it was typed */
  found: Record<string, string>
}
const nothing: Kept = { reason: 'counted', found: {} }
const read = (stored: string | null): Kept => {
  try {
    return { ...nothing, ...(JSON.parse(stored ?? '{}') as Partial<Kept>) }
  } catch {
    return nothing
  }
}

export function CountShelf({ products, lots }: { products: readonly Product[]; lots: readonly ShelfLot[] }) {
  const [stored, store] = useStored('count')
  const kept = useMemo(() => read(stored), [stored])
  const change = (over: Partial<Kept>) => store(JSON.stringify({ ...kept, ...over }))
  const rows = useMemo(() => inTurn(products, lots), [products, lots])
  if (rows.length === 0) return <p className="mt-6 text-xl">No tin stands there to be counted.</p>
  const counted = rows.filter(({ lot }) => kept.found[lot.id] !== undefined)
  return (
    <div className="mt-6">
      <ul className="grid gap-x-12 lg:grid-cols-2">
        {rows.map(({ lot, product }) => (
          <li key={lot.id} className="border-b border-line py-4">
            <TinGauge
              product={product}
              lot={lot}
              found={kept.found[lot.id]}
              set={(text) => {
                const { [lot.id]: _, ...rest } = kept.found
                change({ found: text === null ? rest : { ...rest, [lot.id]: text } })
              }}
            />
          </li>
        ))}
      </ul>
      <WriteDown counted={counted} kept={kept} change={change} done={() => store(null)} />
    </div>
  )
}

interface Row {
  lot: ShelfLot
  product: Product
}
/** As they stand on the shelf: by family, then by colour. */
const inTurn = (products: readonly Product[], lots: readonly ShelfLot[]): Row[] =>
  products
    .flatMap((product) => lots.filter(({ productId }) => productId === product.id).map((lot) => ({ lot, product })))
    .sort((one, other) => getFamily(one.product.family).words.localeCompare(getFamily(other.product.family).words))

interface FootProps {
  counted: readonly Row[]
  kept: Kept
  change: (over: Partial<Kept>) => void
  done: () => void
}
function WriteDown({ counted, kept, change, done }: FootProps) {
  const house = useHouse()
  const money = useMoney()
  const router = useRouter()
  const { countTins } = useActions()
  const { send, pending, issue, fields } = useWrite(countTins)
  // what is sent again because its answer was lost is the same walk; what was changed since is another
  const [sent, setSent] = useState<{ of: string; typed: CountText } | null>(null)
  const [said, setSaid] = useState<string | null>(null)
  const gone = counted.reduce((sum, { lot, product }) => {
    const found = parseAmount(kept.found[lot.id] ?? '', product.unit, house)
    return found === null ? sum : sum + costSoFar(lot, Math.min(found, lot.size)) - costSoFar(lot, lot.remaining)
  }, 0)
  const submit = async () => {
    const of = JSON.stringify([kept.reason, counted.map(({ lot }) => [lot.id, kept.found[lot.id]])])
    const typed = sent?.of === of ? sent.typed : walkOf(counted, kept)
    setSent({ of, typed })
    const checked = countInput(house).safeParse(typed)
    if (!checked.success) return setSaid(checked.error.issues[0]?.message ?? null)
    setSaid(null)
    if (!(await send(typed))) return
    done()
    setSent(null)
    setSaid(`${counted.length === 1 ? 'One tin' : `${counted.length} tins`} written down.`)
    router.refresh()
  }
  return (
    <div className="in-reach mt-6">
      <div className="flex flex-wrap items-end gap-x-6 gap-y-3">
        <ChoiceField
          label="Why it is another than thought"
          value={kept.reason}
          onChange={({ target }) => change({ reason: target.value as CountReason })}
          options={pairs(countReasons)}
          className="grow basis-56"
        />
        <p className="grow">
          <span className="figure text-4xl">{counted.length}</span>{' '}
          <span className="text-soft">
            {counted.length === 1 ? 'tin counted' : 'tins counted'}
            {gone !== 0 && !house.hidesMoney && `, ${money(Math.abs(gone))} ${gone > 0 ? 'gone' : 'more than thought'}`}
          </span>
        </p>
        <button
          type="button"
          disabled={pending || counted.length === 0}
          className="press press-now"
          onClick={() => void submit()}
        >
          Write it down
        </button>
      </div>
      <p role="status" className="mt-1 font-semibold empty:hidden">
        {said}
      </p>
      <Trouble>{Object.values(fields)[0] ?? issue}</Trouble>
    </div>
  )
}

const walkOf = (counted: readonly Row[], { reason, found }: Kept): CountText => ({
  ...{ entryId: uuidv7(), at: new Date().toISOString(), reason },
  tins: counted.map(({ lot, product }) => ({ id: uuidv7(), lotId: lot.id, unit: product.unit, found: found[lot.id] ?? '' })),
})
