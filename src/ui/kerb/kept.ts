/** Cards as a device keeps them: what was tapped and typed, and what became of it. Pure. */
import { v7 as uuidv7 } from 'uuid'
import * as z from 'zod'
import { codesOf } from '@/core/craft/parts'
import { type KerbCard, wholeBid } from '@/core/house/kerb'
import { bidOutcomes, kerbFacts } from '@/core/input/bid'
import { type House, optionalMoney } from '@/core/input/fields'
import { minorDigits, parseMoney } from '@/core/measure/money'
import { type ArticleCode, getArticle } from '@/core/piece/articles'

const text = z.string().max(40)
const kept = z.object({
  id: z.uuid(),
  name: z.string().max(120),
  at: z.string(),
  facts: kerbFacts,
  fetching: text,
  brings: text,
  /** how high it may be bid for, as it was reckoned last; minor units */
  highest: z.number().nullable(),
  outcome: z.enum(codesOf(bidOutcomes)).nullable(),
  /** what it went for, as typed */
  wentFor: text,
  pieceId: z.string().nullable(),
})
export type KeptCard = z.output<typeof kept>
const keptAll = z.object({ sale: z.string().max(80), budget: text, cards: z.array(kept).max(60) })
export type KeptCards = z.output<typeof keptAll>

/** What a device kept; nothing of it where it can't be read. */
export function readCards(stored: string | null): KeptCards {
  try {
    const parsed = keptAll.safeParse(JSON.parse(stored ?? 'null'))
    if (parsed.success) return parsed.data
  } catch {
    // begun anew
  }
  return { sale: '', budget: '', cards: [] }
}

/** An article at the kerb as it usually is: nobody has looked at it yet. */
export function newCard(article: ArticleCode, at: string, before: KeptCard | undefined): KeptCard {
  const { size, of, words } = getArticle(article)
  return {
    ...{ id: uuidv7(), name: words, at, fetching: before?.fetching ?? '', brings: '', highest: null, outcome: null },
    ...{ wentFor: '', pieceId: null },
    facts: {
      ...{ article, facts: { ...size, of: { ...of } }, substrate: 'close-grained', existing: 'unknown', lead: 'unknown' },
      ...{ state: 'sound', look: before?.facts.look ?? 'smooth-solid' },
    },
  }
}
/** Another article in the place of this one: what was seen of it stays. */
export const asArticle = (card: KeptCard, article: ArticleCode): KeptCard => {
  const fresh = newCard(article, card.at, card)
  const isNamed = card.name !== getArticle(card.facts.article).words
  return {
    ...card,
    name: isNamed ? card.name : fresh.name,
    facts: { ...card.facts, article, facts: fresh.facts.facts },
  }
}

/** What is to be put right of money that was typed; undefined where nothing is. */
export function moneyTrouble(typed: string, house: House): string | undefined {
  const read = optionalMoney(house).safeParse(typed)
  return read.success ? undefined : read.error.issues[0]?.message
}

/** As it is reckoned; what can't be read of its money counts as not said. */
export const cardOf = ({ facts, fetching, brings }: KeptCard, house: House): KerbCard => ({
  ...facts,
  fetching: parseMoney(fetching, house) ?? 0,
  brings: brings.trim() === '' ? null : parseMoney(brings, house),
})

/** A sale's money: what was spent of the budget, what is left, and what is still open at its highest bid. Minor units. */
export function purse(
  { budget, cards }: KeptCards,
  house: House,
): { budget: number | null; spent: number; left: number | null; open: number } {
  const whole = budget.trim() === '' ? null : parseMoney(budget, house)
  const spent = cards.reduce(
    (sum, { outcome, wentFor }) => sum + (outcome === 'bought' ? (parseMoney(wentFor, house) ?? 0) : 0),
    0,
  )
  const open = cards.reduce(
    (sum, { outcome, highest }) => sum + (outcome === null ? wholeBid(highest ?? 0, minorDigits(house.currency)) : 0),
    0,
  )
  return { budget: whole, spent, left: whole === null ? null : whole - spent, open }
}
