'use client'
/** The shelf as a shelf: tins on planks; a tap on one shows its tins one by one, below where it stands. */
import { useState } from 'react'
import { getFamily, unitOf } from '@/core/craft/families'
import { sheens } from '@/core/craft/sheen'
import { formatAmount } from '@/core/measure/amount'
import type { NeverHere } from '@/core/stock/ahead'
import { useHouse } from '@/ui/form/house'
import { useTapGuard } from '@/ui/form/useTapGuard'
import { later } from '@/ui/frame/later'
import { type Plank as PlankWords, plankOf, planks } from '@/words/shelf'
import { Bay, type BayOf, Stand } from './Bay'
import { NoTin } from './Tin'

const TinSheet = later(async () => (await import('./TinSheet')).TinSheet)

export function Planks({ bays, neverHere }: { bays: readonly BayOf[]; neverHere: readonly NeverHere[] }) {
  // each by itself: what is half typed in one outlives a look at another
  const [open, setOpen] = useState<readonly string[]>([])
  const { guard, stir } = useTapGuard()
  const onPlank = (words: PlankWords) => ({
    words,
    here: bays.filter(({ product }) => plankOf[getFamily(product.family).role] === words),
    wanted: neverHere.filter(({ family }) => plankOf[getFamily(family).role] === words),
  })
  return planks
    .map(onPlank)
    .filter(({ here, wanted }) => here.length + wanted.length > 0)
    .map(({ words, here, wanted }) => (
      <section key={words} aria-label={words} className="mt-4 gap-x-6 lg:grid lg:grid-cols-[10rem_minmax(0,1fr)]">
        <h2 className="title text-2xl leading-tight lg:pt-19">{words}</h2>
        <ul className="grid grid-flow-dense grid-cols-[repeat(auto-fill,minmax(9.5rem,1fr))] gap-x-0 overflow-x-clip">
          {here.map((bay) => {
            const { id } = bay.product
            const isOpen = open.includes(id)
            return (
              <li key={id} className="contents">
                <button
                  type="button"
                  aria-expanded={isOpen}
                  className={`group flex cursor-pointer flex-col -outline-offset-2 justify-start text-left ${bay.lots.length > 2 ? 'col-span-2' : ''}`}
                  {...guard(() => {
                    stir()
                    setOpen(isOpen ? open.filter((each) => each !== id) : [...open, id])
                  })}
                >
                  <Bay bay={bay} isOpen={isOpen} />
                </button>
                {isOpen && <TinSheet bay={bay} />}
              </li>
            )
          })}
          {wanted.map((each) => (
            <li key={`${each.family} ${each.hex} ${each.sheen}`}>
              <Wanted {...each} />
            </li>
          ))}
        </ul>
      </section>
    ))
}

/** What is planned and was never here: its place is kept. */
function Wanted({ family, hex, name, sheen, short }: NeverHere) {
  const house = useHouse()
  const { words } = getFamily(family)
  return (
    <Stand
      tins={<NoTin hex={hex} />}
      name={name ?? words}
      family={[name && words, sheen && sheens[sheen]].filter(Boolean).join(', ')}
    >
      <span className="mt-1 block font-semibold text-late">{formatAmount(short, unitOf(family), house)} wanted, none here</span>
    </Stand>
  )
}
