/**
 * An offer to a client: its price by part, ways to choose from, what is left out, how long it stands; what of it was accepted, and what
 * is agreed and owed when changes and payments have come. Money in minor units, days as YYYY-MM-DD; pure.
 */
import type { LayerKind } from '@/core/craft/operations'
import type { Sheen } from '@/core/craft/sheen'
import type { TopcoatCode } from '@/core/craft/topcoats'
import { roundMoney } from '@/core/measure/money'
import type { Instant, PartId } from '@/core/measure/named'

export interface OfferLine {
  id: string
  /** null: of the piece as a whole */
  partId: PartId | null
  words: string
  /** how it will look: its look, its sheen */
  detail: string | null
  /** of a change: less than nothing where it costs less */
  money: number
}
/** How a way is planned: a part under a topcoat, or in a sheen. */
export interface ChoicePlans {
  partId: PartId
  seal?: TopcoatCode | undefined
  sheen?: Sheen | undefined
}
export interface OfferChoice {
  id: string
  words: string
  /** beside what the lines come to */
  extra: number
  /** absent where no plan knows of it */
  plans?: ChoicePlans | undefined
}
/** One way of several: the first is what the lines hold. */
export interface OfferOption {
  id: string
  words: string
  choices: OfferChoice[]
}
/** A part as it shall be, drawn with the offer; layers from the substrate up. */
export interface OfferSection {
  part: string
  wood: boolean
  layers: { kind: LayerKind | 'oldPaint' | 'oldClear'; tone: string; count: number }[]
}
export interface Offer {
  piece: string
  currency: string
  lines: OfferLine[]
  options: OfferOption[]
  /** what is not in it, in own words */
  excluded: string | null
  /** what else is said */
  words: string | null
  /** of the total, paid before work begins */
  depositShare: number
  validUntil: string
  /** when it is ready: as promised, or not before; null where nobody knows */
  ready: { is: 'promised' | 'earliest'; day: string } | null
  /** tax that the price holds; null where it is not said */
  taxShare: number | null
  sections: OfferSection[]
}

/** What was chosen, by option. */
export type Chosen = Readonly<Record<string, string>>
/** As it was accepted: frozen whole, so that nothing of it depends on what is changed later. */
export interface Accepted {
  offer: Offer
  chosen: Chosen
  total: number
  deposit: number
  at: Instant
}
export type Acceptance = { accepted: Accepted } | { issue: 'choose' | 'unknown' }

const choiceOf = ({ choices }: OfferOption, id: string | undefined): OfferChoice | undefined =>
  choices.find((choice) => choice.id === id)

/** What it comes to as chosen; an option that nothing was chosen for counts as its first way. */
export function totalOf({ lines, options }: Pick<Offer, 'lines' | 'options'>, chosen: Chosen): number {
  const extras = options.map((option) => (choiceOf(option, chosen[option.id]) ?? option.choices[0])?.extra ?? 0)
  return [...lines.map(({ money }) => money), ...extras].reduce((sum, money) => sum + money, 0)
}
/** Never more than the total, never less than nothing. */
export const depositOf = ({ depositShare }: Pick<Offer, 'depositShare'>, total: number): number =>
  Math.max(0, Math.min(total, roundMoney(total * depositShare)))

/** An offer taken as chosen: every option chosen from what it holds, nothing else. */
export function accept(offer: Offer, chosen: Chosen, at: Instant): Acceptance {
  if (offer.options.some(({ id }) => chosen[id] === undefined)) return { issue: 'choose' }
  const known = new Map(offer.options.map((option) => [option.id, option]))
  const isKnown = Object.entries(chosen).every(([id, choice]) => {
    const option = known.get(id)
    return option !== undefined && choiceOf(option, choice) !== undefined
  })
  if (!isKnown) return { issue: 'unknown' }
  const total = totalOf(offer, chosen)
  return { accepted: { offer, chosen, total, deposit: depositOf(offer, total), at } }
}

/**
 * A sum shared out by weights in steps of `step`, what a step leaves over going to the largest rests: the shares come to the sum. Weights
 * of nothing at all share alike.
 */
export function shareOut(sum: number, weights: readonly number[], step = 1): number[] {
  if (weights.length === 0) return []
  const all = weights.reduce((total, weight) => total + weight, 0)
  const exact = weights.map((weight) => (sum * (all > 0 ? weight : 1)) / (all > 0 ? all : weights.length))
  const shares = exact.map((share) => Math.floor(share / step) * step)
  let left = sum - shares.reduce((total, share) => total + share, 0)
  const inTurn = exact
    .map((share, index) => ({ index, rest: share - (shares[index] ?? 0) }))
    .sort((one, other) => other.rest - one.rest || one.index - other.index)
  for (let turn = 0; left > 0; turn += 1) {
    const index = inTurn[turn % inTurn.length]?.index ?? 0
    const given = Math.min(step, left)
    shares[index] = (shares[index] ?? 0) + given
    left -= given
  }
  return shares
}

export const quoteKinds = ['quote', 'change'] as const
export type QuoteKind = (typeof quoteKinds)[number]
export const answers = ['accepted', 'declined', 'overridden'] as const
export type AnswerKind = (typeof answers)[number]
/** An offer as it was made, and what was said to it. */
export interface Quote {
  id: string
  at: Instant
  kind: QuoteKind
  validUntil: string
  withdrawnAt: Instant | null
  answer: { answer: AnswerKind; total: number | null; deposit: number | null } | null
}
/** An offer to the letter, with what was said to it to the letter. */
export interface MadeQuote extends Quote {
  writtenBy: string | null
  /** SHA-256 of the offer's very bytes */
  digest: string
  /** what the plan took and asked for then; null for the client */
  hours: number | null
  worth: number | null
  offer: Offer
  answer: QuoteAnswer | null
}
export interface QuoteAnswer {
  answer: AnswerKind
  at: Instant
  /** null: by the client, on their page */
  personId: string | null
  name: string | null
  reason: string | null
  total: number | null
  deposit: number | null
  digest: string | null
  /** null: nothing was accepted */
  chosen: Chosen | null
}
export const paymentKinds = { deposit: 'Deposit', part: 'Part of it', balance: 'Balance', refund: 'Refund' } as const
export type PaymentKind = keyof typeof paymentKinds
/** Money that came, or went back. */
export interface Payment {
  id: string
  what: PaymentKind
  amount: number
  /** the one that it takes back as a mistake */
  strikes: string | null
}
/** Those that stand: what was struck, and what strikes, left out. */
export function standing<P extends Payment>(payments: readonly P[]): P[] {
  const struck = new Set(payments.flatMap(({ strikes }) => strikes ?? []))
  return payments.filter(({ id, strikes }) => strikes === null && !struck.has(id))
}
export const paidIn = (payments: readonly Payment[]): number =>
  standing(payments).reduce((sum, { what, amount }) => sum + (what === 'refund' ? -amount : amount), 0)

export interface Agreed {
  /** null: nothing was accepted yet */
  total: number | null
  deposit: number
  paid: number
  /** still to be paid; less than nothing: too much was */
  balance: number
  /** of the deposit */
  depositDue: number
  /** an offer that waits for an answer; a change first */
  open: string | null
  /** a change that nobody answered: work on it waits */
  waits: boolean
}
/**
 * What is agreed when all was said and paid. The first accepted quote counts, each accepted change beside it. `today` on the studio's wall,
 * `credited` what credit notes took back.
 */
export function agreedOf(quotes: readonly Quote[], payments: readonly Payment[], today: string, credited = 0): Agreed {
  const accepted = quotes.flatMap(({ kind, answer }) => (answer?.answer === 'accepted' ? [{ kind, ...answer }] : []))
  const isAgreed = accepted.some(({ kind }) => kind === 'quote')
  const total = isAgreed ? accepted.reduce((sum, each) => sum + (each.total ?? 0), 0) : null
  const deposit = accepted.find(({ kind }) => kind === 'quote')?.deposit ?? 0
  const paid = paidIn(payments)
  const open = quotes.filter(({ answer, withdrawnAt }) => answer === null && withdrawnAt === null)
  const change = open.find(({ kind }) => kind === 'change')
  const standingNow = [change, ...open].find((quote) => quote !== undefined && quote.validUntil >= today)
  return {
    ...{ total, deposit, paid },
    balance: (total ?? 0) - credited - paid,
    depositDue: Math.max(0, deposit - Math.max(0, paid)),
    open: standingNow?.id ?? null,
    waits: change !== undefined,
  }
}
