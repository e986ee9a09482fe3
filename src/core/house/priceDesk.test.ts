import { describe, expect, test } from 'vitest'
import { learnPace } from '@/core/learn/estimate'
import { readPiece } from '@/core/piece/journey'
import type { PricingTerms } from '@/core/piece/ledger'
import { usualPricing } from '@/core/price/pricing'
import { quantile, spreadOf } from '@/core/price/spread'
import { at, entry, fileWith, ms, partWith, planStep, worked } from '@/core/testing/piece'
import { channelView, type DeskAround, priceDesk } from './priceDesk'

const terms: PricingTerms = {
  ...{ hourRate: 1800, overheadRate: 240, taxMode: 'none', taxShare: 0, wish: { earnedRate: 2200 }, haggle: 0.1, step: 500 },
  pricing: usualPricing,
}
const booth = { id: 'booth', name: 'Booth', feeShare: 0.12, feeFixed: 0, rent: 1_800 }
const door = { id: 'door', name: 'Door', feeShare: 0, feeFixed: 0, rent: 0 }
const around: DeskAround = {
  ...{ terms, unitPrice: { 'chalk-style': 4 }, estimator: learnPace([]), channels: [booth, door], sold: [], isCut: false },
  ...{ standing: new Map(), nowMs: ms('20:00'), daysAhead: 2 },
}
const cost = entry('cost', at('08:00'), { costKind: 'bought', money: 4000 })
const journey = readPiece(fileWith([partWith([planStep('one'), planStep('two')])], [cost, ...worked('one', '09:30', '10:00')]), {
  climate: [],
  nowMs: ms('20:00'),
})

describe('a piece at the price desk', () => {
  test('each place asks what it takes: the booth its share and the month’s rent', () => {
    const { channels, whenDone } = priceDesk(journey, around)
    const [atBooth, atDoor] = channels
    // 40.00 bought, 50 min are 0.83 h: overhead 1.99; the coat of the step ahead is 100 ml at 4
    expect(whenDone).toMatchObject({ hours: 0.83, total: 4000 + 199 + 400 })
    expect(atBooth?.rentShare).toBe(1_800)
    expect(atDoor?.price?.breakEven).toBe(whenDone.total)
    expect(atBooth?.price?.breakEven).toBe(Math.ceil((whenDone.total + 1_800) / 0.88))
  })
  test('what is kept of the ask, its fees and its tax are the ask', () => {
    for (const { price, kept } of priceDesk(journey, { ...around, terms: { ...terms, taxMode: 'inclusive', taxShare: 0.2 } })
      .channels)
      expect((kept?.fees ?? 0) + (kept?.tax ?? 0) + (kept?.net ?? 0)).toBe(price?.ask)
  })
  test('the middle of the drawn jobs is the ledger, whatever rule overhead goes by', () => {
    for (const overheadPer of ['hour', 'day', 'share'] as const) {
      const own = { ...terms, pricing: { ...usualPricing, overheadPer, overheadDay: 130, overheadShare: 0.15 } }
      const { spread, whenDone } = priceDesk(journey, { ...around, terms: own })
      const { cost: drawn, hours } = spreadOf({
        ...spread,
        whole: { scale: 0 },
        moneyAhead: spread.moneyAhead.map((line) => ({ ...line, scale: 0 })),
      })
      expect(quantile(hours, 0.5)).toBeCloseTo(whenDone.hours, 2)
      expect(Math.abs(quantile(drawn, 0.5) - whenDone.total)).toBeLessThan(3)
    }
  })
  test('a studio that works twice as long as planned is priced so, and the step that was written by hand stands', () => {
    const slow = learnPace(
      Array.from({ length: 40 }, (_, index) => ({ piece: `p${index % 8}`, operation: 'coat' as const, planned: 20, actual: 40 })),
    )
    const hours = priceDesk(journey, { ...around, estimator: slow }).whenDone.hours
    // half an hour behind; of the twenty minutes ahead nearly twice
    expect(hours).toBeGreaterThan(1.1)
    expect(hours).toBeLessThan(1.2)
    const own = readPiece(fileWith([partWith([planStep('two', { changed: true })])], [cost]), { climate: [], nowMs: ms('20:00') })
    expect(priceDesk(own, { ...around, estimator: slow }).whenDone.hours).toBe(0.33)
  })
  test('the place looked at: four ways, where its ask goes to the last coin, the ladder by the weeks it stands there', () => {
    const desk = priceDesk(journey, around)
    const [atBooth] = desk.channels
    if (!atBooth?.price) throw new Error('no price')
    const { ways, goes, ladder } = channelView(desk, atBooth, terms, null)
    expect(ways.find(({ code }) => code === 'wish')?.price).toBe(atBooth.price.target)
    expect(goes.shares.reduce((sum, { amount }) => sum + amount, 0)).toBe(atBooth.price.ask)
    // at first nothing was waited for: what the sale itself leaves
    expect(ladder[0]?.keeps).toBe(Math.round(atBooth.price.ask * 0.88))
    expect(atBooth.weekly).toBe(Math.round(1_800 / 4.348))
  })
})
