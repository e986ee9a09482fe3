import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { type CostKind, costKinds, type Entry } from '@/core/log/entry'
import { at, coatFigures, entry, fileWith, ms, onStep, partWith, planStep, worked } from '@/core/testing/piece'
import { readPiece } from './journey'
import { boughtIn, earnedBy, ledgerSoFar, ledgerWhenDone, pricesOfLedger, type PricingTerms, taxFor } from './ledger'

const terms: PricingTerms = {
  hourRate: 1800,
  overheadRate: 240,
  taxMode: 'none',
  taxShare: 0,
  wish: { profit: 3000 },
  haggle: 0.1,
  step: 500,
}
const cost = (costKind: CostKind, money: number) => entry('cost', at('08:00'), { costKind, money })
const coat = (stepId: string, money: number): Entry =>
  entry('coat', at('10:00'), {
    ...onStep(stepId),
    money,
    coat: coatFigures(),
  })
const journey = (log: Entry[], steps = [planStep('one'), planStep('two')]) =>
  readPiece(fileWith([partWith(steps)], log), { climate: [], nowMs: ms('20:00') })

describe('what a piece has cost', () => {
  const log = [cost('bought', 4000), cost('fetching', 600), ...worked('one', '09:30', '10:00'), coat('one', 320)]

  test('spent, and half an hour’s overhead: 40.00, 6.00, 3.20, 1.20', () => {
    expect(ledgerSoFar(journey(log), terms)).toEqual({
      lines: [
        { kind: 'bought', amount: 4000 },
        { kind: 'fetching', amount: 600 },
        { kind: 'materials', amount: 320 },
        { kind: 'overhead', amount: 120 },
      ],
      hours: 0.5,
      total: 5040,
    })
  })
  test('when it is done: the coat ahead at the shelf’s price, and its twenty minutes', () => {
    const book = ledgerWhenDone(journey(log), terms, { 'chalk-style': 4 })
    // 100 ml at 4 pence; 50 min are 0.83 h, overhead 1.99
    expect(book).toMatchObject({ hours: 0.83, total: 4000 + 600 + 320 + 400 + 199 })
  })
  test('a mix is not paid twice: what went into it is in its coats', () => {
    const mixed = entry('mixed', at('09:00'), {
      ...onStep('one'),
      money: 900,
      batch: {
        productId: null,
        lotId: null,
        family: 'chalk-style',
        mix: 'paint : water 1 : 1',
        volume: 300,
        unit: 'ml',
        components: [],
        stepIds: ['one'],
      },
    })
    expect(ledgerSoFar(journey([...log, mixed]), terms).total).toBe(5040)
  })
  test('a struck cost is none, a corrected one the new', () => {
    const wrong = cost('hardware', 9900)
    const right = { ...cost('hardware', 990), corrects: wrong.id }
    expect(ledgerSoFar(journey([wrong, right]), terms).total).toBe(990)
    expect(ledgerSoFar(journey([wrong, entry('struck', at('11:00'), { corrects: wrong.id })]), terms).total).toBe(0)
  })
  test('lines always sum to the total, whatever was spent', () =>
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom(...(Object.keys(costKinds) as CostKind[])), fc.nat(50_000)), { maxLength: 20 }),
        (costs) => {
          const { lines, total } = ledgerSoFar(journey(costs.map(([kind, money]) => cost(kind, money))), terms)
          expect(total).toBe(costs.reduce((sum, [, money]) => sum + money, 0))
          expect(lines.reduce((sum, { amount }) => sum + amount, 0)).toBe(total)
          expect(new Set(lines.map(({ kind }) => kind)).size).toBe(lines.length)
        },
      ),
    ))
})

describe('prices of a ledger', () => {
  const book = ledgerSoFar(journey([cost('bought', 4000)]), terms)

  test('what it was bought for is what the margin scheme taxes from', () => {
    expect(boughtIn(book.lines)).toBe(4000)
    expect(taxFor({ ...terms, taxMode: 'margin', taxShare: 0.2 }, 4000)).toEqual({ mode: 'margin', share: 0.2, bought: 4000 })
    expect(taxFor({ ...terms, taxMode: 'inclusive', taxShare: 0.2 }, 4000)).toEqual({ mode: 'inclusive', share: 0.2 })
  })
  test('a channel that takes all leaves no price', () => {
    expect(pricesOfLedger(book, { ...terms, wish: { margin: 0.5 } }, { feeShare: 0.6, feeFixed: 0 }, {})).toEqual({
      issue: 'no-price-meets-it',
    })
  })
  test('sold for 100.00 with 10.00 fees: 50.00 are left; without hours nothing an hour', () => {
    expect(earnedBy(book, terms, 10_000, 1000)).toEqual({ left: 5000, perHour: null })
    const hours = ledgerSoFar(journey([cost('bought', 4000), ...worked('one', '08:00', '10:00')]), terms)
    // 4.80 of overhead for two hours
    expect(earnedBy(hours, terms, 10_000, 1000)).toEqual({ left: 4520, perHour: 2260 })
  })
})
