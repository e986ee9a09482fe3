/** The painter's own lists: whatever is asked for holds as it is planned, or is refused with a nearest that does. */
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { getLook, lookCodes } from '@/core/craft/looks'
import { defaultMethod } from '@/core/craft/method'
import type { Touch } from '@/core/finish/touch'
import { ownList } from '@/core/finish/touchList'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { checkStack } from '@/core/stack/checkStack'
import { anyList, anyPart } from '@/core/testing/lists'
import { plannedSteps } from '@/core/testing/planned'
import { planFinish } from './planFinish'
import { replan } from './replan'

const listed = (touches: readonly Touch[], over: Partial<FinishWish> = {}): FinishWish => ({
  look: 'smooth-solid',
  paint: 'chalk-style',
  colours: {},
  touches,
  ...over,
})
const stops = (part: FinishablePart, wish: FinishWish) => {
  const outcome = planFinish(part, wish)
  if ('refusal' in outcome) return `refused: ${outcome.refusal.code}`
  return checkStack({ part, wish, acts: outcome.plan.steps })
    .filter(({ severity }) => severity === 'stop')
    .map(({ code }) => code)
    .join()
}

describe('any list on any part', () => {
  test('is planned without a stop, or refused with a nearest that is', () => {
    fc.assert(
      fc.property(anyPart, anyList, (part, touches) => {
        const wish = listed(touches)
        const outcome = planFinish(part, wish)
        const { nearest } = 'refusal' in outcome ? outcome.refusal : { nearest: {} }
        if (nearest) expect(stops(part, { ...wish, ...nearest })).toBe('')
      }),
      { numRuns: 250 },
    )
  })
  test('keeps every touch that the painter set, as often, in its product and colour, in its order', () => {
    fc.assert(
      fc.property(anyPart, anyList, (part, touches) => {
        const outcome = planFinish(part, listed(touches))
        if ('refusal' in outcome) return
        const own = outcome.plan.steps.filter(
          ({ touch, operation }) => touch && (operation !== 'smooth' || touch.startsWith('t')),
        )
        const order = own.map(({ touch }) => touches.findIndex(({ id }) => id === touch)).filter((at) => at >= 0)
        expect(order).toEqual([...order].sort((a, b) => a - b))
        // what this material can't have worked, a scuff of cloth or bare glass, is left out
        const painted = touches.filter(({ colour }) => colour)
        for (const { id, family, colour, repeat } of painted) {
          const steps = own.filter(({ touch }) => touch === id)
          expect(steps.length).toBeGreaterThanOrEqual(typeof repeat === 'number' ? repeat : 1)
          for (const step of steps) expect([step.family, step.colour?.hex]).toEqual([family, colour?.hex])
        }
      }),
      { numRuns: 250 },
    )
  })
  test('goes on from any step of it without a stop, and gives the same rest', () => {
    fc.assert(
      fc.property(anyPart, anyList, fc.double({ min: 0, max: 1, noNaN: true }), (part, touches, share) => {
        const wish = listed(touches)
        const outcome = planFinish(part, wish)
        if ('refusal' in outcome) return
        const { steps } = outcome.plan
        const done = steps.slice(0, Math.floor(share * steps.length))
        const rest = replan(part, wish, done)
        if (!('steps' in rest)) throw new Error(`refused: ${rest.refusal.code} ${rest.refusal.rule}`)
        const found = checkStack({ part, wish, acts: [...done, ...rest.steps] }).filter(({ severity }) => severity === 'stop')
        expect(found).toEqual([])
      }),
      { numRuns: 150 },
    )
  })
})

const slate = { name: 'Ferry Slate', hex: '#3d5661' }
const husk = { name: 'Oat Husk', hex: '#e3d7bd' }
const dusk = { name: 'Kiln Dusk', hex: '#9a4b35' }
const lamp = { name: 'Barley Lamp', hex: '#d9b25f' }
const bare: FinishablePart = { substrate: 'close-grained', existing: 'bare', lead: 'unlikely', use: 'light', areaM2: 1 }
const touch = (id: string, operation: Touch['operation'], over: Partial<Touch> = {}): Touch => ({
  id,
  operation,
  by: 'painter',
  ...over,
})
/** What is laid and worn, without the preparation: "operation family place". */
const told = (part: FinishablePart, wish: FinishWish) =>
  plannedSteps(part, wish)
    .filter(({ operation }) => !['clean', 'rinse', 'sand', 'scuff', 'dust-off', 'de-lint', 'smooth'].includes(operation))
    .map(({ operation, family, where }) => [operation, family, where?.places?.join('+')].filter(Boolean).join(' '))

describe('layers that no look has', () => {
  test('a heavy base, two ragged coats that let it through, a third colour dry-brushed, worn, cleared twice, gilt on the edges', () => {
    const wish = listed([
      touch('base', 'coat', { family: 'clay', colour: slate, film: 'heavy' }),
      touch('ragged', 'coat', { family: 'clay', colour: husk, repeat: 2, where: { share: 0.6 }, keepApart: true }),
      touch('dry', 'dry-brush', { family: 'clay', colour: dusk }),
      touch('worn', 'wet-distress', { wearTo: 'base' }),
      touch('clear', 'clear-coat', { family: 'water-clear', repeat: 2 }),
      touch('gilt', 'metallic-wax', { where: { places: ['edges'] } }),
    ])
    expect(told(bare, wish)).toEqual([
      'coat clay',
      // clay re-wets, and the two are to stay apart; the ragged coat leaves the sealed base open, and lies over itself
      'seal-between water-clear',
      'coat clay',
      'coat clay',
      'dry-brush clay',
      'wet-distress',
      'clear-coat water-clear',
      'clear-coat water-clear',
      'metallic-wax metallic-wax edges',
      'buff metallic-wax edges',
    ])
  })
  test('crackle on the wear points alone: what is needed for it goes there and nowhere else', () => {
    const wish = listed([
      touch('base', 'coat', { family: 'clay', colour: dusk, repeat: 2 }),
      touch('crackle', 'crackle-coat', { family: 'clay', colour: husk, where: { places: ['edges'] } }),
      touch('top', 'coat', { family: 'clay', colour: husk, where: { places: ['field', 'recesses'] } }),
    ])
    expect(told(bare, wish).slice(0, 7)).toEqual([
      'coat clay',
      'coat clay',
      'seal-between water-clear edges',
      'crackle-medium crackle-medium edges',
      'crackle-coat clay edges',
      'seal-between water-clear field+recesses',
      'coat clay field+recesses',
    ])
    // an eighth of the part is edges: 1 m², 100 ml a coat
    const steps = plannedSteps(bare, wish)
    const at = (id: string) => steps.find((step) => step.touch === id)
    expect((at('crackle')?.amount ?? 0) / (at('base')?.amount ?? 1)).toBeCloseTo(0.12, 1)
  })
  test('a dark base sealed, two lighter colours worked wet into one another over it, worn damp to the seal', () => {
    const wish = listed([
      touch('base', 'coat', { family: 'chalk-mineral', colour: slate, repeat: 2 }),
      touch('seal', 'seal-between'),
      touch('one', 'coat', { family: 'chalk-mineral', colour: husk }),
      touch('other', 'blend', { family: 'chalk-mineral', colour: lamp }),
      touch('feet', 'coat', { family: 'chalk-mineral', colour: slate, where: { share: 0.1, words: 'the feet, faded up' } }),
      touch('worn', 'dry-distress', { wearTo: 'base' }),
    ])
    expect(told(bare, wish).slice(0, 7)).toEqual([
      'coat chalk-mineral',
      'coat chalk-mineral',
      'seal-between water-clear',
      'coat chalk-mineral',
      'blend chalk-mineral',
      'coat chalk-mineral',
      'dry-distress',
    ])
  })
  test('milk paint to chip over a clay undercoat: sealed between, without bonding agent', () => {
    const wish = listed([
      touch('under', 'undercoat', { family: 'clay', colour: slate }),
      touch('top', 'coat', { family: 'casein', colour: husk, mix: 'powder : water 1 : 1, no bonding agent', chips: true }),
      touch('heat', 'heat-gun'),
      touch('off', 'brush-off-flakes'),
    ])
    expect(told(bare, wish).slice(0, 5)).toEqual([
      'undercoat clay',
      'seal-between water-clear',
      'coat casein',
      'heat-gun',
      'brush-off-flakes',
    ])
  })
  test('a home-mixed coat over a trim acrylic, with soap between: keyed by the rules, the soap wiped off before it is sealed', () => {
    const wish = listed([
      touch('base', 'coat', { family: 'latex', colour: slate, repeat: 2 }),
      touch('soap', 'resist', { where: { places: ['edges'] } }),
      touch('top', 'coat', { family: 'home-chalky', colour: husk, repeat: 2 }),
      touch('worn', 'dry-distress', { where: { places: ['edges'] } }),
    ])
    const steps = told(bare, wish)
    expect(steps.slice(0, 6)).toEqual([
      'coat latex',
      'coat latex',
      'resist resist edges',
      'coat home-chalky',
      'coat home-chalky',
      'dry-distress edges',
    ])
    expect(steps[6]).toBe('remove-resist')
  })
  test('black wax in the recesses alone over a clear coat; white wax over a wash', () => {
    const black = listed([
      touch('one', 'coat', { family: 'clay', colour: husk, repeat: 2 }),
      touch('wax', 'clear-wax'),
      touch('black', 'tinted-wax', { family: 'black-wax', where: { places: ['recesses'] } }),
    ])
    expect(told(bare, black)).toEqual([
      'coat clay',
      'coat clay',
      'clear-wax clear-wax',
      'tinted-wax black-wax recesses',
      // both come off and are buffed in one go
      'wax-off clear-wax',
      'buff clear-wax',
    ])
    const white = listed([
      touch('base', 'coat', { family: 'chalk-style', colour: slate, repeat: 2 }),
      touch('wash', 'wash', { family: 'chalk-style', colour: husk }),
      touch('white', 'tinted-wax', { family: 'white-wax' }),
    ])
    expect(stops(bare, white)).toBe('')
  })
})

test('a look is a first list: taken as the painter’s own it plans the same', () => {
  for (const look of lookCodes)
    for (const paint of getLook(look).paints) {
      const wish: FinishWish = { look, paint, colours: { a: slate, b: husk } }
      if ('refusal' in planFinish(bare, wish)) continue
      const own = { ...wish, touches: ownList(wish, defaultMethod) }
      const steps = (of: FinishWish) =>
        plannedSteps(bare, of).map(({ operation, family, mix, colour, minutes, amount }) => [
          operation,
          family,
          mix,
          colour?.hex,
          minutes,
          amount,
        ])
      expect([look, paint, ...steps(own)]).toEqual([look, paint, ...steps(wish)])
    }
})
