import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { defaultMethod } from '@/core/craft/method'
import { learnPace } from '@/core/learn/estimate'
import { usualHours } from '@/core/measure/workingHours'
import { type ArticleCode, articles, getArticle } from '@/core/piece/articles'
import { usualPricing } from '@/core/price/pricing'
import type { Sold } from '@/core/price/sold'
import { type Change, countedOn, type KerbAround, type KerbCard, reckonKerb, strongest, whatIfs, wholeBid } from './kerb'

const nowMs = Date.parse('2026-06-01T10:00:00.000Z')
const door = { id: 'door', name: 'Door', feeShare: 0, feeFixed: 0, rent: 0 }
const booth = { id: 'booth', name: 'Booth', feeShare: 0.12, feeFixed: 0, rent: 0 }
const around: KerbAround = {
  terms: {
    ...{ hourRate: 1800, overheadRate: 0, taxMode: 'none', taxShare: 0, wish: { earnedRate: 1800 }, haggle: 0.1, step: 500 },
    pricing: usualPricing,
  },
  ...{ unitPrice: { 'chalk-style': 4 }, estimator: learnPace([]), channels: [booth, door], sold: [], isCut: false },
  ...{ standing: new Map(), nowMs, method: defaultMethod, hours: usualHours, zone: 'UTC' },
}
const cardOf = (article: ArticleCode, over: Partial<KerbCard> = {}): KerbCard => ({
  ...{ article, facts: { ...getArticle(article).size, of: getArticle(article).of }, substrate: 'close-grained' },
  ...{ existing: 'varnish', lead: 'unlikely', state: 'sound', look: 'smooth-solid', fetching: 0, brings: 30_000 },
  ...over,
})

describe('a piece at the kerb', () => {
  test('every article gives hours, days and a bid, with every look that it can take', () => {
    for (const article of Object.keys(articles) as ArticleCode[]) {
      const found = reckonKerb(cardOf(article, { brings: 90_000 }), around)
      expect(found.hours.middle, article).toBeGreaterThan(0.5)
      expect(found.hours.safe, article).toBeGreaterThan(found.hours.middle)
      expect(found.days, article).toBeGreaterThan(0)
      expect(found.bid?.highest, article).toBeGreaterThan(0)
    }
  })
  test('what may be bid is what is left of what it brings: without its costs and its hours at the wish', () => {
    const { bid, costs, hours } = reckonKerb(cardOf('chest'), around)
    // through the door nothing is taken off; hours of the ledger are the plan's
    expect(bid?.channelId).toBe('door')
    expect(Math.abs((bid?.highest ?? 0) - (30_000 - costs - hours.middle * 1_800))).toBeLessThan(900)
  })
  test('fetching it and lower prices lower the bid; a piece that brings too little is not even a gift', () => {
    const bid = (over: Partial<KerbCard>) => reckonKerb(cardOf('chest', over), around).bid?.highest ?? null
    expect((bid({}) ?? 0) - (bid({ fetching: 2_000 }) ?? 0)).toBe(2_000)
    expect((bid({}) ?? 0) - (bid({ brings: 28_000 }) ?? 0)).toBe(2_000)
    expect(bid({ brings: 3_000 })).toBeNull()
  })
  test('old paint that may hold lead, and joints to mend, take longer', () => {
    const hours = (over: Partial<KerbCard>) => reckonKerb(cardOf('chest', over), around).hours.middle
    expect(hours({ existing: 'oil-paint', lead: 'suspected' })).toBeGreaterThan(
      hours({ existing: 'water-paint', lead: 'unlikely' }),
    )
    expect(hours({ state: 'broken' })).toBeGreaterThan(hours({ state: 'loose' }))
    expect(hours({ state: 'loose' })).toBeGreaterThan(hours({}))
    expect(countedOn(cardOf('chest', { state: 'broken' }))).toMatchObject({ holes: 4 + 8 })
  })
  test('where nothing is said of what it brings: like pieces, then the rate card, then nothing is bid', () => {
    const unsaid = cardOf('chest', { brings: null })
    expect(reckonKerb(unsaid, around)).toMatchObject({ brings: null, bid: null })
    const rates = [{ article: 'chest', upToM2: null, price: 28_000 }]
    const carded = { ...around, terms: { ...around.terms, pricing: { ...usualPricing, rates } } }
    expect(reckonKerb(unsaid, carded).brings).toMatchObject({ price: 28_000, by: 'rate-card' })
    const sold: Sold[] = [
      {
        ...{ pieceId: '1', name: 'Tallboy', article: 'chest', areaM2: 6, looks: ['smooth-solid'], price: 33_000 },
        ...{ channelId: 'door', at: '2026-05-01T10:00:00.000Z', daysOnSale: 9 },
      },
    ]
    expect(reckonKerb(unsaid, { ...carded, sold }).brings).toMatchObject({ price: 33_000, by: 'like-pieces' })
  })
  test('a look that a part can’t take is no answer: nothing is bid by it', () => {
    // nothing that may hold lead is worn through
    const found = reckonKerb(cardOf('chest', { existing: 'varnish', lead: 'unknown', look: 'two-colour-distress' }), around)
    expect(found.refused.length).toBeGreaterThan(0)
    expect(found.bid).toBeNull()
    expect(reckonKerb(cardOf('chest', { look: 'two-colour-distress' }), around).bid).not.toBeNull()
  })
  test('the chance of a loss at the bid grows with it: the less an hour is to earn, the more may be bid', () => {
    const at = (earnedRate: number) =>
      reckonKerb(cardOf('chest'), { ...around, terms: { ...around.terms, wish: { earnedRate } } }).bid
    const [modest, greedy] = [at(200), at(2_500)]
    expect(modest?.highest).toBeGreaterThan(greedy?.highest ?? Infinity)
    expect(modest?.chance).toBeGreaterThan(greedy?.chance ?? 1)
  })
})

test('nobody bids in small coins, whatever the currency', () =>
  expect([wholeBid(4_891, 2), wholeBid(4_891, 0), wholeBid(4_891, 3)]).toEqual([4_800, 4_891, 4_000]))

describe('what would change the answer', () => {
  test('each differs from the card in one thing, and nobody’s lead is ruled out by it', () => {
    const card = cardOf('chest', { lead: 'unknown' })
    for (const { kind, card: other } of whatIfs(card, 30_000)) {
      const changed = (Object.keys(card) as (keyof KerbCard)[]).filter((key) => card[key] !== other[key])
      expect([kind, changed.length]).toEqual([kind, 1])
      expect(other.lead).toBe('unknown')
    }
  })
  test('the strongest of each kind, at most three, and none that changes nothing', () =>
    fc.assert(
      fc.property(
        fc.array(fc.record({ kind: fc.constantFrom('on-it', 'look', 'state', 'brings'), highest: fc.option(fc.nat(40_000)) })),
        fc.nat(40_000),
        (all, highest) => {
          const changes = all.map((each) => ({ ...each, card: cardOf('chest') }))
          const found = strongest(highest, changes)
          expect(found.length).toBeLessThanOrEqual(3)
          expect(new Set(found.map(({ kind }) => kind)).size).toBe(found.length)
          const by = (change: Change) => Math.abs((change.highest ?? 0) - highest)
          for (const change of found) {
            expect(by(change)).toBeGreaterThan(0)
            for (const other of changes) if (other.kind === change.kind) expect(by(other)).toBeLessThanOrEqual(by(change))
          }
        },
      ),
    ))
})
