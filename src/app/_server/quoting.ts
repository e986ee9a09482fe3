/** What is offered to a client: made of what was typed and of the piece as it stands; taken by the client, or for them at the desk. */
import 'server-only'
import type * as z from 'zod'
import { referenceAir } from '@/core/drying/air'
import { draftSections } from '@/core/house/quoteDraft'
import type { Studio } from '@/core/house/studio'
import type { answerQuoteInput, clientAnswerToQuote, quoteInput } from '@/core/input/quote'
import { readyOf } from '@/core/piece/clientView'
import { accept, type Accepted, type Offer } from '@/core/price/offer'
import { oneDealAtATime } from '@/db/payment'
import type { Client } from '@/db/pool'
import { addQuote, addQuoteAnswer, findQuote } from '@/db/quote'
import type { PieceView } from './load'
import { loadPriceDesk } from './priceDesk'
import { Refused } from './write'

/** When it is ready by its plan and its promise; a painter may say another day with an offer. */
export function readyFor({ studio, journey, nowMs, air, around }: PieceView): Offer['ready'] {
  const { zone, hours } = studio
  const ready = readyOf(journey, { nowMs, zone, hours, air: air ?? referenceAir, learned: around.learned ?? {} })
  return ready.is === 'promised' || ready.is === 'earliest' ? { is: ready.is, day: ready.day } : null
}

/** What a piece takes as it is planned now, and the target it makes at the place that takes least, rounded up as prices are. */
export interface Basis {
  hours: number
  cost: number
  price: number
}
export async function basisOf(view: PieceView): Promise<Basis> {
  const { whenDone, channels } = await loadPriceDesk(view)
  const targets = channels.flatMap(({ price }) => (price ? [price.target] : []))
  const { step } = view.studio
  const price = targets.length > 0 ? Math.ceil(Math.min(...targets) / step) * step : 0
  return { hours: whenDone.hours, cost: whenDone.total, price }
}

/** Puts an offer together, frozen as it stands now, and opens it to the client. */
export async function makeQuote(
  client: Client,
  studio: Studio,
  { id, pieceId, kind, deposit, validUntil, readyOn, ...typed }: z.output<ReturnType<typeof quoteInput>>,
  { view, basis }: { view: PieceView | null; basis: Basis | null },
): Promise<void> {
  if (!view) throw new Refused('not-found')
  await oneDealAtATime(client, pieceId)
  const offer: Offer = {
    ...{ piece: view.journey.file.piece.name, currency: studio.currency, ...typed, depositShare: deposit, validUntil },
    ready: readyOn && { is: view.journey.file.piece.promisedOn === readyOn ? 'promised' : 'earliest', day: readyOn },
    taxShare: studio.taxMode === 'inclusive' ? studio.taxShare : null,
    sections: draftSections(view.journey.parts.filter(({ part }) => part.plan !== null)),
  }
  await addQuote(client, studio.id, {
    id,
    pieceId,
    kind,
    validUntil,
    offer,
    hours: basis?.hours ?? null,
    worth: basis?.price ?? null,
  })
}

/** An answer at the desk: said there by the client, or that it goes on without one. */
export async function answerAtDesk(
  client: Client,
  studio: Studio,
  { id, quoteId, pieceId, answer, reason, chosen }: z.output<typeof answerQuoteInput>,
): Promise<void> {
  const quote = await findQuote(client, quoteId)
  if (quote?.pieceId !== pieceId) throw new Refused('not-found')
  const accepted = answer === 'accepted' ? acceptedOf(quote.offer, chosen) : null
  await addQuoteAnswer(client, studio.id, { id, quoteId, pieceId, answer, reason, name: null, accepted })
}
function acceptedOf(offer: Offer, chosen: Record<string, string>): Accepted {
  const taken = accept(offer, chosen, new Date().toISOString())
  if ('accepted' in taken) return taken.accepted
  throw new Refused('not-readable', {
    chosen: taken.issue === 'choose' ? 'Choose one of each.' : 'This is not among what can be chosen.',
  })
}
export type Answered = 'answered' | 'gone' | 'over' | 'choose'
/** As the client, by their link; `over`: it is not the offer that they saw. */
export async function answerByLink(
  client: Client,
  studioId: string,
  pieceId: string,
  { id, quoteId, digest, answer, name, chosen }: z.output<typeof clientAnswerToQuote>,
): Promise<Answered> {
  const quote = await findQuote(client, quoteId)
  if (quote?.pieceId !== pieceId) return 'gone'
  if (quote.digest !== digest) return 'over'
  const taken = answer === 'accepted' ? accept(quote.offer, chosen, new Date().toISOString()) : null
  if (taken && 'issue' in taken) return 'choose'
  await addQuoteAnswer(client, studioId, { id, quoteId, pieceId, answer, name, reason: null, accepted: taken?.accepted ?? null })
  return 'answered'
}
