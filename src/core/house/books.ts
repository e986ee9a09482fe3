/**
 * The books: what was bought, worked up, sold and lost as postings, each of which takes from one account what it gives to another, so
 * that they balance. What a piece has cost stands in stock until it leaves. Money in minor units; pure.
 */
import type { CostKind, Outcome } from '@/core/log/entry'
import { compareText } from '@/core/measure/compareText'
import type { Instant, PieceId } from '@/core/measure/named'
import { dayOf } from '@/core/measure/time'
import { type PricingTerms, taxFor } from '@/core/piece/ledger'
import { taxOf } from '@/core/price/priceFor'

export const accounts = {
  money: 'Money',
  clients: 'Clients: paid ahead, or still to pay',
  shelf: 'Stock: tins on the shelf',
  mixes: 'Stock: mixes in hand',
  pieces: 'Stock: pieces in work',
  sales: 'Sales',
  tax: 'Tax owed',
  fees: 'Fees of places to sell',
  sold: 'What sold pieces cost',
  drawn: 'Kept and given',
  lost: 'Scrapped and thrown away',
  small: 'Small things used up',
  found: 'More in a tin than was thought',
} as const
export type Account = keyof typeof accounts

/** A line of the log that moves money, corrections applied. */
export interface Movement {
  id: string
  at: Instant
  pieceId: PieceId
  kind: 'cost' | 'coat' | 'mixed' | 'put-by' | 'ended' | 'split' | Outcome
  stepId: string | null
  costKind: CostKind | null
  money: number
  fees: number
  /** of a coat: the mix that it was laid of */
  batchId: string | null
  /** of what was put by: the tin that it became */
  lotId: string | null
  /** what tins gave for it */
  drawn: number
  /** of a set that was split: what came here (1) or went from here (-1) */
  split: { sign: 1 | -1; costs: Partial<Record<CostKind, number>> } | null
}
export interface TinMoved {
  at: Instant
  /** what was left of a mix is no purchase */
  isBought: boolean
  price: number
  /** thrown away with something in it: when, and what that had cost; null where it was not */
  thrown: { at: Instant; value: number } | null
  /** what was gone of it when it was counted, and what that had cost; below nothing where more was found */
  counted: readonly { at: Instant; value: number }[]
}
/** Money of a client's: above nothing came, below nothing went back or was a mistake. */
export interface PaymentMoved {
  at: Instant
  pieceId: PieceId
  amount: number
}
/** What goes through the clients' accounts: their payments, and the sales of pieces that something was agreed of. */
export interface Dealt {
  payments: readonly PaymentMoved[]
  /** what was taken back of a sale: `tax` is within the amount */
  credits: readonly (PaymentMoved & { tax: number })[]
  agreed: ReadonlySet<PieceId>
}
export type PostingKind =
  | 'payment'
  | 'credit'
  | 'tin'
  | 'thrown'
  | 'counted'
  | 'cost'
  | 'material'
  | 'mix'
  | 'rest'
  | 'small'
  | 'sale'
  | 'fees'
  | 'tax'
  | 'leaves'
  | 'late'
export interface Posting {
  at: Instant
  kind: PostingKind
  pieceId: PieceId | null
  debit: Account
  credit: Account
  amount: number
}

const leavesFor: Record<Outcome, Account> = {
  sold: 'sold',
  'handed-over': 'sold',
  kept: 'drawn',
  given: 'drawn',
  scrapped: 'lost',
}
const isOutcome = (kind: Movement['kind']): kind is Outcome => kind in leavesFor

/** Every posting, in order of time. A posting of less than nothing is one the other way round. */
export function postingsOf(
  movements: readonly Movement[],
  tins: readonly TinMoved[],
  terms: PricingTerms,
  { payments, credits, agreed }: Dealt = { payments: [], credits: [], agreed: new Set() },
): Posting[] {
  const postings: Posting[] = []
  const post = (at: Instant, kind: PostingKind, pieceId: PieceId | null, [debit, credit]: [Account, Account], amount: number) => {
    if (amount > 0) postings.push({ at, kind, pieceId, debit, credit, amount })
    if (amount < 0) postings.push({ at, kind, pieceId, debit: credit, credit: debit, amount: -amount })
  }
  for (const { at, isBought, price, thrown, counted } of tins) {
    if (isBought) post(at, 'tin', null, ['shelf', 'money'], price)
    if (thrown) post(thrown.at, 'thrown', null, ['lost', 'shelf'], thrown.value)
    for (const each of counted) post(each.at, 'counted', null, [each.value > 0 ? 'lost' : 'found', 'shelf'], each.value)
  }
  for (const { at, pieceId, amount } of payments) post(at, 'payment', pieceId, ['money', 'clients'], amount)
  for (const { at, pieceId, amount, tax } of credits) {
    post(at, 'credit', pieceId, ['sales', agreed.has(pieceId) ? 'clients' : 'money'], amount)
    post(at, 'credit', pieceId, ['tax', 'sales'], tax)
  }
  const book = new Pieces(post)
  const ended = new Set<string>()
  for (const each of [...movements].sort((a, b) => compareText(a.at, b.at) || compareText(a.id, b.id))) {
    const { at, pieceId, kind, money, drawn } = each
    if (kind === 'split' && each.split) book.move(pieceId, each.split)
    else if (kind === 'cost') book.put(each, 'cost', 'money', money)
    else if (kind === 'coat' && each.batchId) book.put(each, 'material', 'mixes', money)
    else if (kind === 'coat') {
      book.put(each, 'material', 'shelf', drawn)
      book.put(each, 'material', 'found', money - drawn)
    } else if (kind === 'mixed') {
      post(at, 'mix', pieceId, ['mixes', 'shelf'], drawn)
      post(at, 'mix', pieceId, ['mixes', 'found'], money - drawn)
    } else if (kind === 'put-by') {
      if (each.lotId) post(at, 'rest', pieceId, ['shelf', 'mixes'], money)
      else book.put(each, 'rest', 'mixes', money)
    } else if (kind === 'ended' && !ended.has(each.stepId ?? each.id)) {
      // two who ended one step used it up once
      ended.add(each.stepId ?? each.id)
      book.put(each, 'small', 'small', money)
    } else if (isOutcome(kind)) {
      const tax = taxOf(money, taxFor(terms, book.boughtFor(pieceId)))
      post(at, 'sale', pieceId, [agreed.has(pieceId) ? 'clients' : 'money', 'sales'], money)
      post(at, 'fees', pieceId, ['fees', 'money'], each.fees)
      post(at, 'tax', pieceId, ['sales', 'tax'], tax)
      book.leave(each, leavesFor[kind])
    }
  }
  return postings.sort((a, b) => compareText(a.at, b.at))
}

type Post = (at: Instant, kind: PostingKind, pieceId: PieceId | null, accounts: [Account, Account], amount: number) => void
/** What each piece has cost so far, and where what comes after it has left goes. */
class Pieces {
  private readonly worth = new Map<PieceId, number>()
  private readonly bought = new Map<PieceId, number>()
  private readonly gone = new Map<PieceId, Account>()
  constructor(private readonly post: Post) {}

  put({ at, pieceId, costKind }: Movement, kind: PostingKind, from: Account, amount: number): void {
    const left = this.gone.get(pieceId)
    this.post(at, left ? 'late' : kind, pieceId, [left ?? 'pieces', from], amount)
    if (left) return
    this.add(this.worth, pieceId, amount)
    if (costKind === 'bought') this.add(this.bought, pieceId, amount)
  }
  /** What goes from one piece of a set to another stays in stock. */
  move(pieceId: PieceId, { sign, costs }: NonNullable<Movement['split']>): void {
    for (const [kind, money] of Object.entries(costs)) {
      this.add(this.worth, pieceId, sign * money)
      if (kind === 'bought') this.add(this.bought, pieceId, sign * money)
    }
  }
  leave({ at, pieceId }: Movement, to: Account): void {
    this.post(at, 'leaves', pieceId, [to, 'pieces'], this.worth.get(pieceId) ?? 0)
    this.worth.delete(pieceId)
    this.gone.set(pieceId, to)
  }
  boughtFor = (pieceId: PieceId): number => this.bought.get(pieceId) ?? 0
  private add(sums: Map<PieceId, number>, pieceId: PieceId, amount: number): void {
    sums.set(pieceId, (sums.get(pieceId) ?? 0) + amount)
  }
}

export interface MonthLine {
  /** YYYY-MM on the studio's wall */
  month: string
  account: Account
  opening: number
  debit: number
  credit: number
  closing: number
}
/** A year month by month, account by account; what lies before it is in the first opening. Debits are above nothing. */
export function monthsOf(postings: readonly Posting[], year: number, zone: string): MonthLine[] {
  const codes = Object.keys(accounts) as Account[]
  const months = Array.from({ length: 12 }, (_, index) => `${year}-${String(index + 1).padStart(2, '0')}`)
  const first = months[0] ?? ''
  const balance = new Map<Account, number>(codes.map((code) => [code, 0]))
  const turns = new Map<string, { debit: number; credit: number }>()
  const turn = (month: string, account: Account) => {
    const key = `${month} ${account}`
    const known = turns.get(key) ?? { debit: 0, credit: 0 }
    turns.set(key, known)
    return known
  }
  for (const { at, debit, credit, amount } of postings) {
    const month = dayOf(at, zone).slice(0, 7)
    if (month < first) {
      balance.set(debit, (balance.get(debit) ?? 0) + amount)
      balance.set(credit, (balance.get(credit) ?? 0) - amount)
    } else {
      turn(month, debit).debit += amount
      turn(month, credit).credit += amount
    }
  }
  return months.flatMap((month) =>
    codes.flatMap((account): MonthLine[] => {
      const opening = balance.get(account) ?? 0
      const { debit, credit } = turns.get(`${month} ${account}`) ?? { debit: 0, credit: 0 }
      const closing = opening + debit - credit
      balance.set(account, closing)
      return opening === 0 && debit === 0 && credit === 0 ? [] : [{ month, account, opening, debit, credit, closing }]
    }),
  )
}
