/**
 * A piece that is not bought yet, reckoned from what can be seen at the kerb: hours, days, materials, what it should bring, how high
 * to bid, and what would change that most. Everything that a piece in the workshop is reckoned by counts here too. Money in minor
 * units, lengths in mm; pure.
 */
import type { Counted } from '@/core/craft/job'
import type { LeadFinding } from '@/core/craft/lead'
import type { LookCode } from '@/core/craft/looks'
import type { HouseMethod } from '@/core/craft/method'
import type { ExistingFinishCode, SubstrateCode } from '@/core/craft/parts'
import { referenceAir } from '@/core/drying/air'
import { wholeEntry } from '@/core/log/entry'
import type { WorkingHours } from '@/core/measure/workingHours'
import type { ArticleFacts, PartTemplate } from '@/core/piece/article'
import { type ArticleCode, getArticle } from '@/core/piece/articles'
import { comesIn } from '@/core/piece/comesIn'
import { daysAhead } from '@/core/piece/daysAhead'
import { readPiece } from '@/core/piece/journey'
import type { Part, PieceFile } from '@/core/piece/piece'
import type { LikePrices } from '@/core/price/likePieces'
import { chanceOfLoss, quantile, spreadOf } from '@/core/price/spread'
import { type KerbState, toMend } from './kerbState'
import { type Brings, type DeskAround, priceDesk } from './priceDesk'

/** Nobody bids in small coins. */
export const wholeBid = (minor: number, digits: number): number => Math.floor(minor / 10 ** digits) * 10 ** digits

export interface KerbCard {
  article: ArticleCode
  facts: ArticleFacts
  substrate: SubstrateCode
  existing: ExistingFinishCode
  lead: LeadFinding
  state: KerbState
  look: LookCode
  fetching: number
  /** what it should bring; null: as like pieces brought, or the rate card */
  brings: number | null
}
export interface KerbAround extends Omit<DeskAround, 'daysAhead'> {
  method: HouseMethod
  hours: WorkingHours
  zone: string
}
/** As plain data, to go along on a phone. */
export type KerbData = Omit<KerbAround, 'standing' | 'nowMs'> & { standing: readonly [string, number][] }
export interface Reckoned {
  /** parts that can't take the look as they are */
  refused: string[]
  /** at the middle, and at most in four of five such jobs */
  hours: { middle: number; safe: number }
  /** in the workshop, from the first step to the last */
  days: number
  materials: number
  /** everything but the bid, hours unpaid */
  costs: number
  like: LikePrices | null
  /** what it is taken to bring, and by what; null where nobody knows */
  brings: Brings | null
  /** through the place where most may be bid; null where nothing is known of what it brings, a part can't take the look, or not even a gift would do */
  bid: { highest: number; channelId: string; ask: number; chance: number } | null
}
/** jobs drawn: enough to say one of twenty, quick on a phone */
const draws = 3_000

const partOf = (card: KerbCard, template: PartTemplate, index: number): Omit<Part, 'plan' | 'earlier'> => ({
  ...{ id: `part ${index}`, name: template.name, kind: template.kind, count: template.count },
  ...{ substrate: card.substrate, existing: card.existing, lead: card.lead, use: template.use ?? 'light' },
  ...{ bleeds: false, polish: 'unknown', slips: false, foundColour: null, knots: null, surfaces: [...template.surfaces] },
})
/** What is counted on it: what such an article has, and what there is to mend. */
export function countedOn({ article, facts, state }: Pick<KerbCard, 'article' | 'facts' | 'state'>): Counted {
  const counted: Partial<Record<keyof Counted, number>> = { ...getArticle(article).counted(facts) }
  for (const [code, times] of Object.entries(toMend[state]) as [keyof Counted, number][])
    counted[code] = (counted[code] ?? 0) + times
  return counted
}
function fileOf(card: KerbCard, { method, nowMs }: KerbAround): { file: PieceFile; refused: string[] } {
  const at = new Date(nowMs).toISOString()
  const parts = getArticle(card.article)
    .parts(card.facts)
    .map((template, index) => partOf(card, template, index))
  const { file, refused } = comesIn(
    { id: 'kerb', client: null, promisedOn: null, roomId: null, parts, counted: countedOn(card) },
    { look: card.look, method, at },
  )
  const fetching = wholeEntry({ id: 'fetching', pieceId: 'kerb', kind: 'cost', at, costKind: 'fetching', money: card.fetching })
  const piece = { ...file.piece, article: card.article, expected: card.brings }
  return { file: { ...file, piece, log: card.fetching > 0 ? [fetching] : [] }, refused }
}

/** The card at the price desk, and the place that bears the highest bid: nothing is drawn for it yet. */
function deskOf(card: KerbCard, around: KerbAround) {
  const { method, nowMs, zone, hours } = around
  const { file, refused } = fileOf(card, around)
  const journey = readPiece(file, { climate: [], nowMs, method })
  const { days } = daysAhead(journey, { nowMs, zone, hours, air: referenceAir, learned: {} })
  const desk = priceDesk(journey, { ...around, daysAhead: days })
  const [best] = desk.channels
    .flatMap(({ channel, fees, price }) =>
      price && price.highestBid !== null ? [{ channel, fees, ask: price.ask, highest: price.highestBid }] : [],
    )
    .sort((one, other) => other.highest - one.highest)
  // what can't take the look is no answer
  return { desk, days, refused, best: refused.length === 0 ? (best ?? null) : null }
}

export function reckonKerb(card: KerbCard, around: KerbAround): Reckoned {
  const { desk, days, refused, best } = deskOf(card, around)
  const { brings, like, tax, whenDone } = desk
  const spread = spreadOf({ ...desk.spread, draws })
  const inIt = whenDone.lines.filter(({ kind }) => kind === 'materials' || kind === 'consumables')
  return {
    ...{ refused, days, like, brings },
    bid: best &&
      brings && {
        ...{ highest: best.highest, channelId: best.channel.id, ask: best.ask },
        chance: chanceOfLoss(spread, {
          ...{ bid: best.highest, channel: best.fees, tax, seed: 7 },
          brings: { middle: brings.price, scatter: brings.scatter },
        }),
      },
    hours: { middle: quantile(spread.hours, 0.5), safe: quantile(spread.hours, 0.8) },
    materials: inIt.reduce((sum, { amount }) => sum + amount, 0),
    costs: whenDone.total,
  }
}

export type WhatIf = 'on-it' | 'look' | 'state' | 'brings'
export interface Change {
  kind: WhatIf
  /** the card as it would be */
  card: KerbCard
  /** how high to bid then; null: not even as a gift */
  highest: number | null
}
const others = {
  existing: ['oil-paint', 'wax', 'varnish', 'shellac', 'bare'],
  look: ['smooth-solid', 'two-colour-distress', 'whitewash', 'stained-wood'],
  state: ['sound', 'loose', 'broken'],
} as const satisfies { existing: ExistingFinishCode[]; look: LookCode[]; state: KerbState[] }

/** Cards that differ in one thing from this one, by what it is. */
export function whatIfs(card: KerbCard, brings: number | null): Omit<Change, 'highest'>[] {
  return [
    ...others.existing
      .filter((existing) => existing !== card.existing)
      // what was said of lead stays said: nobody has looked
      .map((existing) => ({ kind: 'on-it' as const, card: { ...card, existing } })),
    ...others.look.filter((look) => look !== card.look).map((look) => ({ kind: 'look' as const, card: { ...card, look } })),
    ...others.state
      .filter((state) => state !== card.state)
      .map((state) => ({ kind: 'state' as const, card: { ...card, state } })),
    ...(brings === null ? [] : [{ kind: 'brings' as const, card: { ...card, brings: Math.round(brings * 0.85) } }]),
  ]
}
/** How high to bid for another card; undefined where a part of it can't take the look. */
export function highestFor(card: KerbCard, around: KerbAround): number | null | undefined {
  const { best, refused } = deskOf(card, around)
  return refused.length > 0 ? undefined : (best?.highest ?? null)
}
/** The three things that would change the bid most, one of each kind, the strongest first. */
export function strongest(highest: number, changes: readonly Change[], count = 3): Change[] {
  const by = ({ highest: then }: Change) => Math.abs((then ?? 0) - highest)
  const kinds = [...new Set(changes.map(({ kind }) => kind))]
  return kinds
    .flatMap((kind) =>
      [...changes]
        .filter((change) => change.kind === kind)
        .sort((one, other) => by(other) - by(one))
        .slice(0, 1),
    )
    .filter((change) => by(change) > 0)
    .sort((one, other) => by(other) - by(one))
    .slice(0, count)
}
