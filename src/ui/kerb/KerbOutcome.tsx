'use client'
/** What became of it: bought and taken in with its photograph, gone to somebody else, or left. Kept on this device first. */
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { countedOn, type Reckoned } from '@/core/house/kerb'
import type { AwayText } from '@/core/input/away'
import type { BidOutcome } from '@/core/input/bid'
import type { House } from '@/core/input/fields'
import type { Answer } from '@/core/input/issues'
import { parseMoney } from '@/core/measure/money'
import { dayOf } from '@/core/measure/time'
import { getArticle } from '@/core/piece/articles'
import { TextField, Trouble } from '@/ui/form/Field'
import { useTapGuard } from '@/ui/form/useTapGuard'
import { useWrite } from '@/ui/form/useWrite'
import { useOutbox } from '@/ui/outbox/useOutbox'
import { PhotoPicker, usePhotos } from '@/ui/photo/PhotoPicker'
import { newPart } from '@/ui/piece/PartFields'
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

/** What was said of it, as it is kept. */
function bidOf(
  card: KeptCard,
  { brings, bid, hours }: Reckoned,
  { outcome, pieceId, sale, at }: { outcome: BidOutcome; pieceId: string | null; sale: string; at: string },
): AwayText<'keepBid'> {
  const name = card.name.trim() || getArticle(card.facts.article).words
  return {
    ...{ entryId: uuidv7(), lotId: card.id, at, sale, name, outcome, pieceId: pieceId ?? '', card: card.facts },
    ...{ hours: hours.middle, highest: bid?.highest ?? null, brings: brings?.price ?? null },
    wentFor: outcome === 'left' ? '' : card.wentFor,
  }
}
/** What is to be put right of the price before it can be said; null where nothing is. */
function unreadPrice(outcome: BidOutcome, wentFor: string, house: House): string | null {
  const isPriced = wentFor.trim() !== '' && parseMoney(wentFor, house) !== null
  if (outcome === 'bought' && !isPriced) return 'Write what you paid: 0 where it was free.'
  if (outcome === 'outbid' && wentFor.trim() !== '' && !isPriced) return 'Write what it went for, or leave it empty.'
  return null
}

export function KerbOutcome({ card, found, sale, house, mayTakeIn, change }: Props) {
  const { sendAway } = useOutbox()
  const photos = usePhotos()
  const { guard, stir } = useTapGuard()
  const [trouble, setTrouble] = useState<string | null>(null)
  const [isGone, setGone] = useState(false)
  /** it is taken in already: only the word of it is still to be kept */
  const [isTaken, setTaken] = useState(false)
  const keep = async (outcome: BidOutcome): Promise<Answer> => {
    const at = new Date().toISOString()
    // a card becomes one piece, however often it is said
    const pieceId = outcome === 'bought' ? card.id : null
    if (pieceId && !isTaken) {
      const answer = await sendAway('takeIn', intakeOf(card, pieceId, sale, house, at), `Taken in: ${card.name}`)
      if ('issue' in answer) return answer
      setTaken(true)
    }
    const answer = await sendAway('keepBid', bidOf(card, found, { outcome, pieceId, sale, at }), `At the kerb: ${card.name}`)
    if ('issue' in answer) return answer
    change({ ...card, outcome, pieceId })
    if (pieceId)
      await photos.send(photos.chosen, { pieceId, partId: null, stepId: null, moment: 'before', alt: `${card.name}, before` })
    return answer
  }
  const keeping = useWrite(keep)
  const say = (outcome: BidOutcome) => {
    stir()
    const unread = unreadPrice(outcome, card.wentFor, house)
    setTrouble(unread)
    if (unread === null) void keeping.send(outcome)
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
          <button type="button" className="press press-now min-h-14 text-lg" {...guard(() => say('bought'))}>
            It is mine
          </button>
        )}
        <button type="button" className="press min-h-14 text-lg" {...guard(() => say('outbid'))}>
          Somebody else has it
        </button>
        <button type="button" className="press min-h-14 text-lg" {...guard(() => (isGone ? say('left') : setGone(true)))}>
          {isGone ? 'Yes, leave it' : 'Leave it'}
        </button>
      </div>
      <Trouble>{trouble ?? Object.values(keeping.fields)[0] ?? keeping.issue}</Trouble>
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
