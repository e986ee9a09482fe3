'use client'
/** What can I make with what is here: looks and colours that the shelf alone gives this part, with formulas; one tap lays one on the desk. */
import { useState } from 'react'
import { getFamily } from '@/core/craft/families'
import { getLook } from '@/core/craft/looks'
import { getTopcoat } from '@/core/craft/topcoats'
import type { DeskTin } from '@/core/desk/state'
import { closeBy } from '@/core/finish/reachable'
import type { Colour, FinishWish } from '@/core/finish/wish'
import { formatAmount } from '@/core/measure/amount'
import type { HouseResources } from '@/core/plan/figures'
import type { Makeable } from '@/core/plan/fromShelf'
import { useHouse } from '@/ui/form/house'
import { NotReckoned } from '@/ui/time/NotReckoned'
import { nearWords } from '@/words/stock'
import { capital } from '@/words/text'
import { spanWords } from '@/words/time'
import type { PlanPart } from './planPart'
import type { Desk } from './useDesk'
import { useMakeable } from './useMakeable'

interface Props {
  part: PlanPart
  desk: Desk
  tins: readonly DeskTin[]
  means: HouseResources
}
const mostShown = 8

export function MakeFromShelf({ part, desk, tins, means }: Props) {
  const { facts, method, state, act } = desk
  const [open, setOpen] = useState(false)
  const [picked, setPicked] = useState<Colour | null>(null)
  const wanted = picked ?? { name: state.colours.a.name, hex: state.colours.a.hex }
  const { answer, isNewest, failed, again } = useMakeable(
    {
      ...{ part: facts, done: part.done, wanted: { a: wanted, b: state.colours.b } },
      ...{ method, sheen: state.sheen ?? undefined, means },
    },
    open,
  )
  const found = isNewest ? answer : null
  return (
    <details className="border-t-2 border-ink" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="flex min-h-12 cursor-pointer flex-wrap items-baseline gap-x-4 py-1.5 sm:min-h-16 sm:py-3">
        <h2 className="title text-2xl sm:text-3xl">With what is here</h2>
        <span className="hidden text-soft sm:inline">nothing bought, leftovers mixed</span>
      </summary>
      <Wanted wanted={wanted} tins={tins} pick={setPicked} />
      {failed ? (
        <NotReckoned again={again} />
      ) : (
        <p role="status" className="mt-4 min-h-7 text-soft">
          {found === null ? 'Trying every look in every tin and mix that stands here…' : saidOf(found)}
        </p>
      )}
      {found && <Found found={found} wanted={wanted} take={(wish) => act({ kind: 'wish', wish })} />}
    </details>
  )
}
const saidOf = (found: readonly Makeable[]) =>
  found.length === 0
    ? 'What stands here makes no whole finish for this part: too little paint, or nothing to protect it with.'
    : 'What uses up most stands first. What other pieces are waiting for is not set aside, and a mixed colour is a guess: try it on card.'

/** The colour that is looked for: one of the tins, or any. */
function Wanted({ wanted, tins, pick }: { wanted: Colour; tins: readonly DeskTin[]; pick: (colour: Colour) => void }) {
  return (
    <div className="mt-3 flex flex-wrap items-end gap-3">
      <label className="grow basis-56">
        <span className="mb-1 block font-semibold">The colour it should come near</span>
        <select
          className="field"
          value={tins.some(({ hex }) => hex === wanted.hex) ? wanted.hex : ''}
          onChange={({ target }) => {
            const tin = tins.find(({ hex }) => hex === target.value)
            if (tin) pick({ name: tin.name, hex: tin.hex })
          }}
        >
          <option value="">{wanted.name}</option>
          {[...new Map(tins.map((tin) => [tin.hex, tin])).values()].map(({ hex, name }) => (
            <option key={hex} value={hex}>
              {name}
            </option>
          ))}
        </select>
      </label>
      <input
        type="color"
        aria-label="The colour it should come near: value"
        value={wanted.hex}
        onChange={({ target }) => pick({ name: 'Another colour', hex: target.value })}
        className="field w-20 cursor-pointer p-1"
      />
    </div>
  )
}

function Found({ found, wanted, take }: { found: readonly Makeable[]; wanted: Colour; take: (wish: FinishWish) => void }) {
  const near = found.filter(({ distance }) => distance <= closeBy)
  const far = found.filter(({ distance }) => distance > closeBy)
  const [all, setAll] = useState(false)
  const shown = all ? [...near, ...far] : [...near, ...far].slice(0, mostShown)
  return (
    <>
      <ul className="mt-1">
        {shown.map((each) => (
          <MakeLine key={`${each.look} ${each.paint}`} made={each} wanted={wanted} take={() => take(each.wish)} />
        ))}
      </ul>
      {found.length > shown.length && (
        <button type="button" className="press mt-3" onClick={() => setAll(true)}>
          All {found.length} of them
        </button>
      )}
    </>
  )
}

function MakeLine({ made, wanted, take }: { made: Makeable; wanted: Colour; take: () => void }) {
  const house = useHouse()
  const { look, paint, wish, distance, draws, figures } = made
  const { a, b } = wish.colours
  const left = draws.map(({ name, left: over }) =>
    over < 1 ? `${name} used up` : `${formatAmount(over, 'ml', house)} of ${name} left`,
  )
  return (
    <li className="grid grid-cols-[4.5rem_1fr] items-center gap-x-4 gap-y-2 border-b border-line py-3 sm:grid-cols-[4.5rem_1fr_auto]">
      <Swatch colour={a} wanted={wanted} />
      <span className="min-w-0">
        <span className="font-semibold">{getLook(look).words}</span>{' '}
        <span className="text-soft">
          in {getFamily(paint).words}
          {wish.seal && `, ${getTopcoat(wish.seal).words}`} · {spanWords(figures.minutes)}
        </span>
        {a && (
          <span className="block">
            {capital(a.name)}
            {b && ` and ${b.name}`} <span className="text-soft">· {nearWords(distance)}</span>
          </span>
        )}
        {left.length > 0 && <span className="block text-soft">{left.join(' · ')}</span>}
      </span>
      <button
        type="button"
        className="press col-start-2 justify-self-start sm:col-start-auto"
        aria-label={`Take it: ${getLook(look).words} in ${getFamily(paint).words}`}
        onClick={take}
      >
        Take it
      </button>
    </li>
  )
}

/** What is wanted above, what comes out below; of a mix its tins between, as wide as their parts. */
function Swatch({ colour, wanted }: { colour: Colour | undefined; wanted: Colour }) {
  if (!colour) return <span aria-hidden className="h-14 border border-dashed border-ink/40" />
  return (
    <span aria-hidden className="flex h-14 flex-col overflow-hidden rounded-[0.7rem_0.1rem_0.1rem_0.1rem] border border-ink/30">
      <span className="grow" style={{ background: wanted.hex }} />
      {colour.parts && (
        <span className="flex h-3 border-y border-sheet">
          {colour.parts.map(({ hex, parts }) => (
            <span key={hex} style={{ background: hex, flexGrow: parts }} />
          ))}
        </span>
      )}
      <span className="grow" style={{ background: colour.hex }} />
    </span>
  )
}
