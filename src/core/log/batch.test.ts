import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { coatsAhead } from '@/core/bench/coatsAhead'
import { componentsOf } from '@/core/craft/mixes'
import { parseMix, yieldOf } from '@/core/measure/mixParts'
import { readPiece } from '@/core/piece/journey'
import { at, coatFigures, entry, fileWith, ms, onStep, partWith, planStep } from '@/core/testing/piece'
import { batchesFor, batchesIn, goodUntilOf, isGood, shareOfBatch, volumeFor } from './batch'

describe('what a mix is made of', () => {
  test.each([
    ['paint : water 1 : 1', ['paint', 1, 'water', 1]],
    ['powder : water 1 : 1, with bonding agent', ['powder', 1, 'water', 1]],
    ['paint : plaster : water 10 : 2 : 1', ['paint', 10, 'plaster', 2, 'water', 1]],
    ['clear glaze : paint 4:1', ['clear glaze', 4, 'paint', 1]],
    ['paint : water 2,5 : 1', ['paint', 2.5, 'water', 1]],
    ['paint with 20 % water', ['paint', 100, 'water', 20]],
    ['1 part water to 1 part paint', ['water', 1, 'paint', 1]],
    ['one part plaster, three parts paint', ['plaster', 1, 'paint', 3]],
    ['a part of water and two parts of paint', ['water', 1, 'paint', 2]],
    ['half water, half paint', ['water', 1, 'paint', 1]],
    ['half and half with water', ['paint', 1, 'water', 1]],
    ['equal parts of paint and water', ['paint', 1, 'water', 1]],
    ['a third water', ['paint', 2, 'water', 1]],
    ['a quarter paint', ['paint', 1, 'water', 3]],
    ['50/50 paint and water', ['paint', 50, 'water', 50]],
    ['2:1 paint to water', ['paint', 2, 'water', 1]],
    ['1 : 1 with water', ['paint', 1, 'water', 1]],
    ['paint to water 2 to 1', ['paint', 2, 'water', 1]],
    ['thinned with about 30 % of water', ['thinned', 100, 'water', 30]],
    ['water 15 %', ['paint', 100, 'water', 15]],
  ])('%s', (mix, wanted) => expect(parseMix(mix)?.flatMap(({ name, parts }) => [name, parts])).toEqual(wanted))
  test.each(['', 'thick as cream', 'as it comes, the brush misted', 'paint : water 2', 'paint : water 0 : 1', '2 : 1'])(
    '“%s” tells no parts',
    (mix) => expect(parseMix(mix)).toBeNull(),
  )
  test('300 ml of two to one are 200 and 100; of powder and water it takes a third more than it gives', () => {
    expect(componentsOf('paint : water 2 : 1', 300, 'clay')).toEqual([
      { name: 'paint', parts: 2, amount: 200, family: 'clay' },
      { name: 'water', parts: 1, amount: 100, family: null },
    ])
    expect(componentsOf('powder : water 1 : 1', 300, 'casein')?.map(({ amount }) => amount)).toEqual([200, 200])
    // powder to thicken with stands on no shelf; 300 ml of one to one are 0.8 × 375
    expect(componentsOf('paint : powder 1 : 1 by volume', 300, 'chalk-style')).toEqual([
      { name: 'paint', parts: 1, amount: 187.5, family: 'chalk-style' },
      { name: 'powder', parts: 1, amount: 187.5, family: null },
    ])
    expect(componentsOf('thick as custard', 300, 'clay')).toBeNull()
    expect(componentsOf('paint : water 2 : 1', 0, 'clay')).toBeNull()
  })
  test('each component is of its own family: a glaze takes glaze and the paint of its plan', () => {
    expect(componentsOf('clear glaze : paint 4 : 1', 250, 'glaze', 'latex')).toEqual([
      { name: 'clear glaze', parts: 4, amount: 200, family: 'glaze' },
      { name: 'paint', parts: 1, amount: 50, family: 'latex' },
    ])
  })
  test('plaster keeps nine tenths of what goes in, texture powder eight, powder in water three quarters', () => {
    const sum = (mix: string) =>
      Math.round((componentsOf(mix, 100, 'latex') ?? []).reduce((all, { amount }) => all + amount, 0) * 10) / 10
    expect(sum('paint : plaster : water 10 : 2 : 1')).toBe(111.1)
    expect(sum('paint : texture powder 1 : 1')).toBe(125)
    expect(sum('powder : water 1 : 1')).toBe(133.3)
  })
  test('liquids give what goes in, whatever the parts', () =>
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 20 }), { minLength: 2, maxLength: 5 }),
        fc.integer({ min: 1, max: 5000 }),
        (parts, volume) => {
          const mix = `${parts.map((_, k) => `part ${String.fromCharCode(97 + k)}`).join(' : ')} ${parts.join(' : ')}`
          expect(yieldOf(parseMix(mix) ?? [])).toBe(1)
          const sum = componentsOf(mix, volume, 'clay')?.reduce((total, { amount }) => total + amount, 0)
          expect(sum).toBeCloseTo(volume, 6)
        },
      ),
    ))
})

describe('a batch', () => {
  const coat = (batchId: string, amount: number) =>
    entry('coat', at('10:00'), {
      ...onStep('one'),
      money: 0,
      coat: coatFigures({ batchId, family: 'casein', amount }),
    })
  const mixed = (id: string, when: string, family: 'casein' | 'chalk-style', volume = 300, stepIds: string[] = []) =>
    entry('mixed', when, {
      ...onStep('one'),
      id,
      money: 900,
      batch: {
        productId: null,
        lotId: null,
        family,
        mix: 'powder : water 1 : 1',
        volume,
        unit: 'ml',
        components: [],
        stepIds,
      },
    })

  test('is as full as the coats of every piece have left it, newest first', () => {
    const logs = [
      { log: [mixed('early', at('08:00'), 'casein'), coat('early', 120)], climate: [] },
      { log: [mixed('late', at('09:00'), 'chalk-style', 200), coat('early', 30), coat('late', 250)], climate: [] },
    ]
    expect(batchesIn(logs).map(({ id, left }) => [id, left])).toEqual([
      ['late', 0],
      ['early', 150],
    ])
  })
  test('made for a step is reached for first; then one of its product and mix, however it is written; never another', () => {
    const all = batchesIn([
      {
        log: [
          mixed('alike', at('08:00'), 'casein'),
          mixed('own', at('07:00'), 'casein', 300, ['two']),
          mixed('other', at('09:00'), 'chalk-style'),
        ],
        climate: [],
      },
    ])
    const for_ = (id: string, mix: string) => batchesFor(all, { id, family: 'casein', mix, productId: null }, ms('10:00'))
    expect(for_('two', 'powder : water 1 : 1').all.map(({ id }) => id)).toEqual(['own', 'alike'])
    expect(for_('two', 'powder : water 2 : 1').own?.id).toBe('own')
    expect(for_('nine', 'water : powder 2:2').own?.id).toBe('alike')
    expect(for_('nine', 'powder : water 3 : 1').own).toBeNull()
  })
  test('of casein keeps a day at 21 °C and 50 %, longer where it is cold; paint and water keeps as paint does', () => {
    expect(goodUntilOf('casein', at('08:00'), [])).toBe(at('08:00', 5))
    const cold = [{ at: at('00:00'), temperature: 14, humidity: 70 }]
    expect(Date.parse(goodUntilOf('casein', at('08:00'), cold) ?? '')).toBeGreaterThan(ms('08:00', 5))
    expect(goodUntilOf('chalk-style', at('08:00'), [])).toBeNull()
  })
  test('can be used while there is some and it is good', () => {
    const [batch] = batchesIn([{ log: [mixed('one', at('08:00'), 'casein')], climate: [] }])
    if (!batch) throw new Error('a mix is a batch')
    expect([isGood(batch, ms('07:59', 5)), isGood(batch, ms('08:00', 5)), isGood({ ...batch, left: 0 }, ms('09:00'))]).toEqual([
      true,
      false,
      false,
    ])
  })
  test('costs its coats what went in, to the last penny, and what it gave beyond that at the same rate', () => {
    expect([
      shareOfBatch({ volume: 300, left: 300, money: 1000 }, 100),
      shareOfBatch({ volume: 300, left: 200, money: 1000 }, 100),
      shareOfBatch({ volume: 300, left: 100, money: 1000 }, 100),
    ]).toEqual([333, 334, 333])
    expect(shareOfBatch({ volume: 300, left: 30, money: 1000 }, 60)).toBe(200)
  })
  test('shares always sum to what went in', () =>
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 400 }), { minLength: 1, maxLength: 12 }),
        fc.integer({ min: 0, max: 100_000 }),
        (amounts, money) => {
          const volume = amounts.reduce((sum, each) => sum + each, 0)
          let left = volume
          const paid = amounts.reduce((sum, amount) => {
            const share = shareOfBatch({ volume, left, money }, amount)
            left -= amount
            return sum + share
          }, 0)
          expect(paid).toBe(money)
        },
      ),
    ))
})

describe('how much to make up', () => {
  const wash = (id: string, amount: number) =>
    planStep(id, {
      mix: 'paint : water 1 : 1',
      amount,
      minutes: 20,
      window: { clock: 'evaporation', opens: [60, 100], source: 'craft' },
    })
  const rub = planStep('rub', { operation: 'smooth', family: null, amount: null, mix: null, minutes: 10, window: null })
  const piece = (id: string, steps: ReturnType<typeof planStep>[]) =>
    readPiece(fileWith([partWith(steps)], [], { id }), { climate: [], nowMs: ms('09:00') })

  test('all that is alike ahead, in this piece and the others, with when each falls', () => {
    const journeys = [piece('one', [wash('a', 80), rub, wash('b', 50)]), piece('two', [rub, wash('c', 40), planStep('d')])]
    // b: 20 + 100 of the first, 10 of the rub; c: 10 of the rub
    expect(coatsAhead(journeys, wash('a', 80))).toEqual([
      { stepId: 'a', ml: 80, atMinute: 0 },
      { stepId: 'c', ml: 40, atMinute: 10 },
      { stepId: 'b', ml: 50, atMinute: 130 },
    ])
  })
  test('another colour is another mix', () => {
    const other = { ...wash('b', 50), colour: { name: 'Oat Husk', hex: '#e3d7bd' } }
    expect(coatsAhead([piece('one', [wash('a', 80), other])], wash('a', 80))).toHaveLength(1)
  })
  test('what does not keep is made for the coats within its time only', () => {
    const coats = [
      { ml: 100, atMinute: 0 },
      { ml: 60, atMinute: 1440 },
      { ml: 60, atMinute: 1441 },
    ]
    expect(volumeFor('casein', coats)).toBe(160)
    expect(volumeFor('chalk-style', coats)).toBe(220)
    expect(volumeFor('casein', [])).toBe(0)
  })
})
