/** One whole piece with a row in every table, for tests: ids are fresh each time. */
import { v7 as uuidv7 } from 'uuid'
import type { Piece, Plan } from '@/core/piece/piece'
import { accept } from '@/core/price/offer'
import { addForecasts } from '@/db/airAhead'
import { addBid, type NewBid } from '@/db/bid'
import { addCalendarFeed } from '@/db/calendarFeed'
import { addClientLink, addClientWord, saveClientPage } from '@/db/clientPage'
import { addReading, saveRoom } from '@/db/climate'
import { addDryingFigure } from '@/db/dryingFigures'
import { addEntries, type NewEntry } from '@/db/entry'
import { addInvitation } from '@/db/invitation'
import { addPayment, askForPayment } from '@/db/payment'
import { addPhoto } from '@/db/photo'
import { addParts, addPiece, addPlan, type NewPart } from '@/db/pieceWrite'
import type { Client } from '@/db/pool'
import { addQuote, addQuoteAnswer } from '@/db/quote'
import { addReceipt } from '@/db/receipt'
import { addRecipe } from '@/db/recipe'
import { freshSecret } from '@/db/secret'
import { digestOf, takeDelivery } from '@/db/sent'
import { addDraws, addLot } from '@/db/stock'
import { saveChannel, savePerson, saveProduct } from '@/db/studio'
import { addCounts } from '@/db/tinCount'
import { addOtherDays, addWeek } from '@/db/week'
import { at, everyEntry } from './everyEntry'
import { quoteRow, receiptRow } from './quoteRow'

export { at }

export function pieceRow(over: Partial<Piece> = {}): Piece {
  return {
    ...{ id: uuidv7(), name: 'Washstand', source: 'auction', sourceNote: null },
    client: null,
    promisedOn: '2026-06-01',
    takenInAt: at,
    expected: 24_500,
    condition: null,
    roomId: null,
    article: 'bedside',
    ...over,
  }
}

export function partRow(over: Partial<NewPart> = {}): NewPart {
  return {
    id: uuidv7(),
    name: 'Top',
    kind: 'top',
    count: 1,
    substrate: 'softwood',
    existing: 'varnish',
    lead: 'unlikely',
    use: 'light',
    bleeds: false,
    polish: 'none',
    slips: false,
    foundColour: null,
    knots: 3,
    surfaces: [{ id: uuidv7(), shape: 'panel', relief: 'flat', count: 2, width: 860.5, height: 420 }],
    ...over,
  }
}

export function planRow(): Plan {
  return {
    id: uuidv7(),
    look: 'smooth-solid',
    with: [],
    seal: null,
    departures: {},
    paint: 'clay',
    colours: { a: { name: 'Ferry Slate', hex: '#3d5661' } },
    madeAt: at,
    steps: [
      {
        id: uuidv7(),
        position: 0,
        operation: 'coat',
        family: 'clay',
        colour: { name: 'Ferry Slate', hex: '#3d5661' },
        mix: null,
        applicator: 'synthetic brush',
        grit: null,
        film: 'normal',
        minutes: 15,
        amount: 79,
        window: { clock: 'evaporation', opens: [60, 60], source: 'craft' },
        check: 'raking-light',
        cautions: ['dust'],
        reason: 'cover',
        coat: { number: 1, of: 2 },
        needed: true,
      },
    ],
  }
}

export const bidRow = (over: Partial<NewBid> = {}): NewBid => ({
  ...{ id: uuidv7(), lotId: uuidv7(), at, sale: 'Barn sale', name: 'Washstand', outcome: 'bought', pieceId: null, hours: 6.5 },
  ...{ highest: 8_800, brings: 24_500, wentFor: 6_200 },
  card: {
    ...{ article: 'chest', facts: { width: 950, depth: 480, height: 950, of: { drawers: 4 } }, substrate: 'softwood' },
    ...{ existing: 'varnish', lead: 'unlikely', state: 'sound', look: 'smooth-solid' },
  },
  ...over,
})

export interface Whole {
  piece: Piece
  part: NewPart
  plan: Plan
  channelId: string
  personId: string
  productId: string
  lotId: string
  readingId: string
  roomId: string
  figureId: string
  feedId: string
  recipeId: string
  photoId: string
  entries: NewEntry[]
}

export function wholePiece(): Whole {
  const piece = pieceRow()
  const part = partRow()
  const plan = planRow()
  const [channelId, personId, productId, lotId] = [uuidv7(), uuidv7(), uuidv7(), uuidv7()]
  const stepId = plan.steps[0]?.id ?? ''
  const entries = everyEntry({ pieceId: piece.id, partId: part.id, stepId, personId, productId, lotId, channelId })
  return {
    piece,
    part,
    plan,
    channelId,
    personId,
    productId,
    lotId,
    readingId: uuidv7(),
    roomId: uuidv7(),
    figureId: uuidv7(),
    feedId: uuidv7(),
    recipeId: uuidv7(),
    photoId: uuidv7(),
    entries,
  }
}

/** Writes all of it, as one delivery; sending it again must change nothing. */
export async function storeWhole(client: Client, studioId: string, whole: Whole): Promise<void> {
  if ((await takeDelivery(client, studioId, whole.piece.id, digestOf('whole', whole))) !== 'new') return
  const { piece, part, plan } = whole
  await savePerson(client, studioId, { id: whole.personId, name: 'Wenna' })
  await saveChannel(client, studioId, { id: whole.channelId, name: 'Booth', feeShare: 0.12, feeFixed: 0, rent: 4100 }, 0)
  await saveProduct(client, studioId, {
    id: whole.productId,
    name: 'Clay paint',
    family: 'clay',
    colourName: 'Ferry Slate',
    colourHex: '#3d5661',
    size: 500,
    unit: 'ml',
    price: 2100,
  })
  await addLot(client, studioId, {
    id: whole.lotId,
    productId: whole.productId,
    code: '4417',
    size: 500,
    price: 2100,
    boughtAt: at,
  })
  await addCounts(client, studioId, [{ id: whole.lotId, lotId: whole.lotId, found: 419.5, gone: 0, money: 77 }], {
    at,
    reason: 'counted',
  })
  await addRecipe(
    client,
    studioId,
    { id: whole.recipeId, name: 'Slate and husk', wish: { look: plan.look, paint: plan.paint, colours: plan.colours } },
    at,
  )
  await addOtherDays(client, studioId, [{ id: whole.roomId, day: at.slice(0, 10), personId: whole.personId, hours: null }])
  await addInvitation(client, studioId, { id: whole.roomId, secret: freshSecret(), role: 'helper', personId: null, hours: 1 })
  await addWeek(client, studioId, { id: whole.roomId, lines: [], pins: [] })
  await saveRoom(client, studioId, { id: whole.roomId, name: 'Loft', sensor: whole.roomId }, 0)
  const forecast = { from: at.slice(0, 10), to: at.slice(0, 10), air: { temperature: 14, humidity: 80 } }
  await addForecasts(client, studioId, [{ id: whole.roomId, roomId: whole.roomId, ...forecast }])
  await addReading(client, studioId, {
    id: whole.readingId,
    at,
    temperature: 19.5,
    humidity: 55,
    roomId: whole.roomId,
    source: 'sensor',
  })
  await addDryingFigure(client, studioId, {
    id: whole.figureId,
    family: 'clay',
    p50: 1.2,
    p80: 1.5,
    count: 3,
    at,
    personId: whole.personId,
  })
  await addCalendarFeed(client, studioId, { id: whole.feedId, madeAt: at, digest: whole.feedId.replaceAll('-', '').repeat(2) })
  await addPiece(client, studioId, piece)
  await addParts(client, studioId, piece.id, 0, [part])
  await addPlan(client, studioId, part.id, plan)
  const trouble = await addEntries(client, studioId, whole.entries)
  if (trouble) throw new Error(trouble.issue)
  const first = whole.entries.find(({ kind }) => kind === 'coat')
  await addDraws(client, studioId, first?.id ?? '', [{ lot: whole.lotId, amount: 80.5, cost: 338 }])
  const photo = {
    id: whole.photoId,
    partId: part.id,
    stepId: null,
    moment: 'before',
    takenAt: at,
    width: 4,
    height: 3,
    alt: '',
  } as const
  await addPhoto(client, studioId, piece.id, photo, { small: Buffer.from('small'), large: Buffer.from('large') })
  await addBid(client, studioId, bidRow({ pieceId: piece.id }))
  await saveClientPage(client, studioId, piece.id, { shows: ['photographs'], language: 'en', photoIds: [photo.id] })
  await addClientLink(client, studioId, { id: whole.photoId, pieceId: piece.id, secret: freshSecret(), days: 30 })
  const quote = quoteRow(piece.id)
  await addQuote(client, studioId, quote)
  const accepted = accept(quote.offer, { [quote.offer.options[0]?.id ?? '']: quote.offer.options[0]?.choices[1]?.id ?? '' }, at)
  await addQuoteAnswer(client, studioId, {
    ...{ id: uuidv7(), quoteId: quote.id, pieceId: piece.id, answer: 'accepted', name: null, reason: 'said at the door' },
    accepted: 'accepted' in accepted ? accepted.accepted : null,
  })
  const paid = { id: uuidv7(), pieceId: piece.id, at, what: 'deposit', way: 'cash', amount: 15_750, note: null } as const
  await addPayment(client, studioId, paid)
  await askForPayment(client, studioId, { ...paid, id: uuidv7(), what: 'balance', amount: 36_750, currency: 'GBP' })
  await addReceipt(client, studioId, receiptRow(piece.id))
  await addClientWord(client, studioId, { id: whole.photoId, pieceId: piece.id, words: 'It dries.' })
}
