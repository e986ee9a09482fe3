'use client'
/** Cards side by side, one of them at hand: how high to bid for it, what was seen of it, what became of it; and the purse of the sale. */
import { useEffect, useMemo, useState, useSyncExternalStore } from 'react'
import type { KerbData } from '@/core/house/kerb'
import { formatMoney } from '@/core/measure/money'
import { articles } from '@/core/piece/articles'
import { pairs, TextField } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { useStored } from '@/ui/form/useStored'
import { cardOf, type KeptCard, type KeptCards, moneyTrouble, newCard, purse, readCards } from './kept'
import { BidLine, bidWords, KerbAnswer } from './KerbAnswer'
import { Chips, KerbFields } from './KerbFields'
import { KerbOutcome } from './KerbOutcome'
import { useReckoned } from './useReckoned'

const key = 'itinerum.kerb'
const never = () => () => undefined
/** What a device keeps is not known where the page is made. */
const useIsHere = () =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  )

export function KerbView({ data, mayTakeIn }: { data: KerbData; mayTakeIn: boolean }) {
  const isHere = useIsHere()
  const [stored, store] = useStored(key)
  const all = useMemo(() => readCards(stored), [stored])
  const [chosen, setChosen] = useState<string | null>(null)
  const keep = (next: KeptCards) => store(JSON.stringify(next))
  const card = all.cards.find(({ id }) => id === chosen) ?? all.cards.at(-1)
  const begin = (article: keyof typeof articles) => {
    const fresh = newCard(article, new Date().toISOString(), all.cards.at(-1))
    keep({ ...all, cards: [...all.cards, fresh] })
    setChosen(fresh.id)
  }
  const change = (next: KeptCard) => keep({ ...all, cards: all.cards.map((each) => (each.id === next.id ? next : each)) })
  const isNew = chosen === 'new' || !card
  if (!isHere) return <h1 className="title pt-6 text-5xl">At the kerb</h1>
  return (
    <div className="max-w-4xl space-y-4 pt-6">
      <div className="flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
        <h1 className="title text-4xl sm:text-5xl">At the kerb</h1>
        {card && !isNew && (
          <button type="button" className="press min-h-12" onClick={() => setChosen('new')}>
            Another one
          </button>
        )}
      </div>
      {all.cards.length > 0 && <CardStrip all={all} chosen={isNew ? null : card.id} choose={setChosen} keep={keep} />}
      {isNew ? (
        <div className="border-t-2 border-ink pt-3">
          <p className="mb-3 text-lg">One tap says what it is; the rest is put right below the answer.</p>
          <Chips label="What it is" chosen={null} options={pairs(articles)} choose={begin} />
        </div>
      ) : (
        <Card key={card.id} {...{ card, data, change, mayTakeIn }} sale={all.sale} />
      )}
    </div>
  )
}

interface CardProps {
  card: KeptCard
  data: KerbData
  sale: string
  change: (card: KeptCard) => void
  mayTakeIn: boolean
}
function Card({ card, data, sale, change, mayTakeIn }: CardProps) {
  const house = useHouse()
  const [nowMs] = useState(() => Date.now())
  const around = useMemo(() => ({ ...data, standing: new Map(data.standing), nowMs }), [data, nowMs])
  const { found, changes } = useReckoned(cardOf(card, house), around)
  const highest = found.bid?.highest ?? null
  // the strip of cards and the purse tell it too
  useEffect(() => {
    if (card.outcome === null && card.highest !== highest) change({ ...card, highest })
  }, [card, highest, change])
  return (
    <div className="space-y-5">
      <BidLine found={found} house={house} />
      <KerbAnswer {...{ found, changes, house }} channels={data.channels} />
      {card.outcome === null && <KerbFields card={card} change={change} house={house} />}
      <KerbOutcome {...{ card, found, sale, house, mayTakeIn, change }} />
    </div>
  )
}

interface StripProps {
  all: KeptCards
  chosen: string | null
  choose: (id: string) => void
  keep: (all: KeptCards) => void
}
/** Every card of the sale with its highest bid, and what is left of the budget. */
function CardStrip({ all, chosen, choose, keep }: StripProps) {
  const house = useHouse()
  const money = (minor: number) => formatMoney(minor, house, { short: true })
  const { spent, left, open } = purse(all, house)
  const sayOf = ({ outcome, highest, wentFor }: KeptCard) =>
    outcome === 'bought'
      ? `mine, ${wentFor}`
      : outcome === 'outbid'
        ? 'gone'
        : outcome === 'left'
          ? 'left'
          : bidWords(highest, house)
  return (
    <section aria-label="This sale">
      <ul className="-mx-4 flex gap-2 overflow-x-auto px-4 pb-2 pt-1">
        {all.cards.map((card) => (
          <li key={card.id}>
            <button
              type="button"
              aria-pressed={card.id === chosen}
              className={`press min-h-14 min-w-32 flex-col items-start whitespace-nowrap px-3 text-left leading-tight aria-pressed:outline-3 aria-pressed:outline-now ${card.outcome ? 'text-soft' : ''}`}
              onClick={() => choose(card.id)}
            >
              <span className="block max-w-40 overflow-hidden text-ellipsis">{card.name}</span>
              <span className="figure block text-xl">{sayOf(card)}</span>
            </button>
          </li>
        ))}
      </ul>
      <details className="mt-1">
        <summary className="tap underline">
          {left === null
            ? `Spent ${money(spent)}, ${money(open)} open`
            : `${money(left)} left of the budget, ${money(open)} open`}
        </summary>
        <div className="mt-2 grid grid-cols-2 items-end gap-4">
          <TextField
            label="The sale"
            value={all.sale}
            onChange={(event) => keep({ ...all, sale: event.target.value.slice(0, 80) })}
          />
          <TextField
            label={`Budget, ${house.currency}`}
            inputMode="decimal"
            value={all.budget}
            trouble={moneyTrouble(all.budget, house)}
            onChange={(event) => keep({ ...all, budget: event.target.value.slice(0, 40) })}
          />
          <button
            type="button"
            className="press min-h-12"
            onClick={() => keep({ ...all, cards: all.cards.filter(({ outcome }) => outcome === null) })}
          >
            Put away what is settled
          </button>
        </div>
        {left !== null && left < open && (
          <p className="mt-2 border-l-4 border-late pl-3 font-semibold">
            All open bids together are more than what is left: {money(open - left)} too much.
          </p>
        )}
      </details>
    </section>
  )
}
