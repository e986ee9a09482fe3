'use client'
/** What became of it: bought and taken in with its photograph, gone to somebody else, or left. Kept on this device first. */
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { countedOn, type Reckoned } from '@/core/house/kerb'
import type { AwayText } from '@/core/input/away'
import type { BidOutcome } from '@/core/input/bid'
import type { House } from '@/core/input/fields'
import { parseMoney } from '@/core/measure/money'
import { dayOf } from '@/core/measure/time'
import { getArticle } from '@/core/piece/articles'
import { TextField, Trouble } from '@/ui/form/Field'
import { useTapGuard } from '@/ui/form/useTapGuard'
import { useOutbox } from '@/ui/outbox/useOutbox'
import { PhotoPicker, usePhotos } from '@/ui/photo/PhotoPicker'
import { newPart } from '@/ui/piece/PartFields'
import { issueWords } from '@/words/issues'
import { cardOf, type KeptCard } from './kept'

interface Props {
  card: KeptCard
  found: Reckoned
  sale: string
  house: House
  mayTakeIn: boolean
  change: (card: KeptCard) => void
}
/** The piece that a card becomes: its parts as such an article has them, to be put right in the workshop. */
function intakeOf(card: KeptCard, pieceId: string, sale: string, house: House, at: string): AwayText<'takeIn'> {
  const { article, facts, existing, substrate, lead } = card.facts
  return {
    ...{ id: pieceId, entryId: pieceId, pieceId, at, boughtEntryId: uuidv7(), fetchingEntryId: uuidv7() },
    ...{ takenInOn: dayOf(at, house.zone), name: card.name.trim() || getArticle(article).words, article },
    ...{ source: sale.trim() ? 'auction' : 'kerb', sourceNote: sale, client: '', promisedOn: '', condition: '' },
    ...{ bought: card.wentFor, fetching: card.fetching, expected: card.brings },
    parts: getArticle(article)
      .parts(facts)
      .map((template) => ({ ...newPart(template, house), existing, substrate, lead })),
    counted: countedOn(cardOf(card, house)),
  }
}

export function KerbOutcome({ card, found, sale, house, mayTakeIn, change }: Props) {
  const { sendAway } = useOutbox()
  const photos = usePhotos()
  const { guard, stir } = useTapGuard()
  const [trouble, setTrouble] = useState<string | null>(null)
  const [isGone, setGone] = useState(false)
  const say = async (outcome: BidOutcome) => {
    stir()
    const at = new Date().toISOString()
    const isPriced = card.wentFor.trim() !== '' && parseMoney(card.wentFor, house) !== null
    if (outcome === 'bought' && !isPriced) return setTrouble('Write what you paid: 0 where it was free.')
    if (outcome === 'outbid' && card.wentFor.trim() !== '' && !isPriced)
      return setTrouble('Write what it went for, or leave it empty.')
    setTrouble(null)
    const pieceId = outcome === 'bought' ? uuidv7() : null
    if (pieceId) {
      const answer = await sendAway('takeIn', intakeOf(card, pieceId, sale, house, at), `Taken in: ${card.name}`)
      if ('issue' in answer) return setTrouble(Object.values(answer.fields ?? {})[0] ?? issueWords[answer.issue])
    }
    const { brings, bid, hours } = found
    const answer = await sendAway(
      'keepBid',
      {
        ...{
          entryId: uuidv7(),
          lotId: card.id,
          at,
          sale,
          name: card.name.trim() || getArticle(card.facts.article).words,
          outcome,
        },
        ...{ pieceId: pieceId ?? '', card: card.facts, hours: hours.middle, highest: bid?.highest ?? null },
        ...{ brings: brings?.price ?? null, wentFor: outcome === 'left' ? '' : card.wentFor },
      },
      `At the kerb: ${card.name}`,
    )
    if ('issue' in answer) return setTrouble(Object.values(answer.fields ?? {})[0] ?? issueWords[answer.issue])
    change({ ...card, outcome, pieceId })
    if (pieceId)
      await photos.send(photos.chosen, { pieceId, partId: null, stepId: null, moment: 'before', alt: `${card.name}, before` })
  }
  if (card.outcome) return <Said card={card} />
  return (
    <section aria-label="What became of it" className="space-y-3 border-t-2 border-ink pt-3">
      <div className="flex flex-wrap items-end gap-4">
        <TextField
          label={`It went for, ${house.currency}`}
          inputMode="decimal"
          value={card.wentFor}
          onChange={(event) => change({ ...card, wentFor: event.target.value })}
          className="w-40"
        />
        {mayTakeIn && (
          <PhotoPicker label="Its photograph" chosen={photos.chosen} states={photos.states} add={photos.add} camera />
        )}
      </div>
      <div className="grid gap-2 sm:grid-cols-3">
        {mayTakeIn && (
          <button type="button" className="press press-now min-h-14 text-lg" {...guard(() => void say('bought'))}>
            It is mine
          </button>
        )}
        <button type="button" className="press min-h-14 text-lg" {...guard(() => void say('outbid'))}>
          Somebody else has it
        </button>
        <button type="button" className="press min-h-14 text-lg" {...guard(() => (isGone ? void say('left') : setGone(true)))}>
          {isGone ? 'Yes, leave it' : 'Leave it'}
        </button>
      </div>
      <Trouble>{trouble}</Trouble>
    </section>
  )
}

function Said({ card }: { card: KeptCard }) {
  const { kept } = useOutbox()
  const waits = kept.some(({ typed }) => typed.pieceId === card.pieceId || (typed as { lotId?: string }).lotId === card.id)
  const words: Record<BidOutcome, string> = {
    bought: 'It is yours, and taken in as such an article is: put it right in the workshop.',
    outbid: 'Somebody else has it. What it went for teaches the next bid.',
    left: 'Left where it stood.',
  }
  return (
    <p className="border-l-4 border-now py-2 pl-4 text-lg font-semibold" role="status">
      {card.outcome && words[card.outcome]}{' '}
      {waits ? (
        <span className="font-normal text-soft">Kept on this device until there is a connection.</span>
      ) : (
        card.pieceId && <a href={`/pieces/${card.pieceId}`}>To the piece</a>
      )}
    </p>
  )
}
