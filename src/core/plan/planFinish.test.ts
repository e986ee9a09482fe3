import { describe, expect, test } from 'vitest'
import { defaultMethod } from '@/core/craft/method'
import { findRefusal } from '@/core/finish/refusals'
import { type PlannedStep, withWindows } from '@/core/finish/step'
import { chooseTopcoat } from '@/core/finish/topcoat'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { plannedSteps } from '@/core/testing/planned'
import { planFinish } from './planFinish'

const part: FinishablePart = { substrate: 'close-grained', existing: 'varnish', lead: 'unlikely', use: 'light', areaM2: 1 }
const wish = (over: Partial<FinishWish> = {}): FinishWish => ({
  look: 'smooth-solid',
  paint: 'chalk-mineral',
  colours: { a: { name: 'Ferry Slate', hex: '#3d5661' }, b: { name: 'Oat Husk', hex: '#e3d7bd' } },
  ...over,
})

describe('the window after a step is the one to what follows it', () => {
  test('with the rub between them left out, a second clear coat has a day and no more', () => {
    const steps = plannedSteps(part, wish())
    const clears = steps.filter(({ operation }) => operation === 'clear-coat')
    expect(steps.find(({ operation }) => operation === 'clear-coat')?.window?.closes).toBeUndefined()
    const [first, second] = withWindows(clears, part, defaultMethod)
    expect(first?.window).toMatchObject({ opens: [120, 120], closes: [1440, 1440], past: 'scuff-first' })
    expect(second?.window?.closes).toBeUndefined()
  })
  test('the same coat waits an hour for the next and half an hour for wear', () => {
    const [coat] = plannedSteps(part, wish({ look: 'light-distress' })).filter(({ operation }) => operation === 'coat')
    if (!coat) throw new Error('no coat')
    const before = (operation: 'coat' | 'dry-distress') =>
      withWindows([coat, { ...coat, operation }], part, defaultMethod)[0]?.window
    expect(before('coat')?.opens).toEqual([60, 60])
    expect(before('dry-distress')).toMatchObject({ opens: [30, 60], closes: [150, 180] })
  })
})

test('a dark colour has its night before water is laid over it; a pale one an hour, and what is waxed or laid again none', () => {
  const before = (hex: string, next: PlannedStep['operation']) => {
    const [coat] = plannedSteps(part, wish({ colours: { a: { name: 'Any', hex } } }))
      .filter(({ operation }) => operation === 'coat')
      .slice(-1)
    return coat && withWindows([coat, { ...coat, operation: next }], part, defaultMethod)[0]?.window?.opens
  }
  expect(before('#26282b', 'clear-coat')).toEqual([720, 720])
  expect(before('#e3d7bd', 'clear-coat')).toEqual([60, 60])
  expect(before('#26282b', 'coat')).toEqual([60, 60])
  expect(before('#26282b', 'clear-wax')).toEqual([60, 60])
})

test('a pattern covers what it lies on: pale stripes on black take four coats, black ones on pale two, and the tape comes off after the last', () => {
  const striped = (a: string, b: string) =>
    plannedSteps(part, wish({ look: 'stripes', colours: { a: { name: 'Ground', hex: a }, b: { name: 'Stripe', hex: b } } }))
  const coats = (steps: readonly PlannedStep[]) => steps.filter(({ colour }) => colour?.name === 'Stripe').length
  expect(coats(striped('#26282b', '#f4f2ec'))).toBe(4)
  const dark = striped('#f4f2ec', '#26282b')
  expect(coats(dark)).toBe(2)
  const pulled = dark.findIndex(({ operation }) => operation === 'pull-tape')
  expect(dark[pulled - 1]?.window).toMatchObject({ opens: [0, 0], closes: [10, 10] })
  expect(dark[pulled - 2]?.window?.closes).toBeUndefined()
})

test('what a step is done with asks for its own care', () => {
  const said = (operation: string, over: Partial<FinishWish>) =>
    plannedSteps(part, wish(over)).find((step) => step.operation === operation)?.cautions
  expect(said('coat', { paint: 'alkyd' })).toEqual(['solvent', 'rags'])
  expect(said('coat', { paint: 'home-chalky' })).toEqual(['powder'])
  expect(said('coat', { look: 'light-distress', paint: 'casein' })).toEqual(['powder'])
  expect(said('texture-coat', { look: 'texture', paint: 'chalk-style' })).toEqual(['powder'])
  expect(said('spray-runs', { look: 'spray-runs', paint: 'clay' })).toEqual(['mist'])
  expect(said('coat', { paint: 'latex' })).toEqual([])
})

describe('the topcoat', () => {
  const seal = (use: FinishablePart['use'], over: Partial<FinishWish> = {}, topcoat = defaultMethod.topcoat) =>
    chooseTopcoat({ ...part, use }, wish(over), { ...defaultMethod, topcoat })
  test.each([
    ['light', 'clear'],
    ['heavy', 'clear'],
    ['damp', 'hard'],
    ['outdoors', 'hard'],
  ] as const)('of one even colour, %s: %s', (use, expected) => expect(seal(use)).toBe(expected))
  test('wax where the house waxes, but never on a table top', () => {
    expect(seal('light', {}, 'wax')).toBe('wax')
    expect(seal('heavy', {}, 'wax')).toBe('clear')
  })
  test('none only where the paint seals itself', () => {
    expect(seal('display', { paint: 'all-in-one' }, 'none')).toBe('none')
    expect(seal('display', { paint: 'clay' }, 'none')).toBe('wax')
  })
  test('what is for show is waxed or left; oil enamel is left as it is anywhere, outdoors too', () => {
    expect(seal('display', { paint: 'chalk-style' })).toBe('wax')
    expect(seal('display', { paint: 'latex' })).toBe('none')
    for (const use of ['light', 'heavy', 'heat', 'damp', 'outdoors'] as const) expect(seal(use, { paint: 'alkyd' })).toBe('none')
  })
  test('a paint with a finish of its own is left so for light use; where it gets wear that counts as one of the clears, and both others are a choice', () => {
    expect(seal('light', { paint: 'all-in-one' })).toBe('none')
    for (const use of ['heavy', 'heat'] as const) expect(seal(use, { paint: 'all-in-one' })).toBe('clear')
    for (const use of ['damp', 'outdoors'] as const) expect(seal(use, { paint: 'all-in-one' })).toBe('hard')
    const clearsOf = (use: FinishablePart['use'], paint: FinishWish['paint']) =>
      plannedSteps({ ...part, use }, wish({ paint })).filter(({ operation }) => operation === 'clear-coat')
    // three are usual on a table top, two outdoors
    expect(clearsOf('heavy', 'all-in-one').map(({ needed }) => needed)).toEqual([false, false])
    expect(clearsOf('outdoors', 'all-in-one').map(({ needed }) => needed)).toEqual([false])
    expect(clearsOf('heavy', 'latex').map(({ needed }) => needed)).toEqual([true, true, false])
  })
  test('what was wished by hand is kept, or refused with what stands up to it', () => {
    expect(seal('light', { seal: 'wax' })).toBe('wax')
    expect(findRefusal({ ...part, use: 'outdoors' }, wish({ seal: 'wax' }))).toEqual({
      code: 'seal-use',
      nearest: { seal: 'hard' },
    })
  })
})

describe('what can’t be had says what can', () => {
  test.each([
    ['high pile', { substrate: 'pile-fabric' }, {}, { code: 'pile', nearest: null }],
    [
      'whitewash on laminate',
      { substrate: 'laminate' },
      { look: 'whitewash', paint: 'chalk-style' },
      { code: 'material', nearest: { look: 'smooth-solid', paint: 'chalk-style', with: [] } },
    ],
    ['chips in clay', {}, { look: 'chippy-casein', paint: 'clay' }, { code: 'paint', nearest: { paint: 'casein' } }],
    [
      'painted cloth for a kitchen',
      { substrate: 'fabric', use: 'heavy' },
      { look: 'painted-fabric' },
      { code: 'soft-use', nearest: null },
    ],
    ['crackle laid over stripes', {}, { look: 'stripes', with: ['crackle'] }, { code: 'not-combinable', nearest: { with: [] } }],
  ] as const)('%s', (_, facts, over, expected) => {
    expect(findRefusal({ ...part, ...facts }, wish(over))).toEqual(expected)
  })
})

describe('milk paint in one even colour', () => {
  const milk = (facts: Partial<FinishablePart>, over: Partial<FinishWish> = {}) =>
    plannedSteps({ ...part, ...facts }, wish({ paint: 'casein', ...over }))
  test('soaks into bare wood as it is, and takes its bonding agent over a finish', () => {
    const mixes = (facts: Partial<FinishablePart>) =>
      milk(facts).flatMap(({ operation, mix }) => (operation === 'coat' ? [mix] : []))
    expect(new Set(mixes({ existing: 'bare' }))).toEqual(new Set(['powder : water 1 : 1']))
    expect(new Set(mixes({}))).toEqual(new Set(['powder : water 1 : 1, with bonding agent']))
  })
  test('is sealed with oil where that is wished, and never in a kitchen', () => {
    expect(milk({ existing: 'bare' }, { seal: 'oil' }).map(({ operation }) => operation)).toContain('wipe-oil')
    expect(findRefusal({ ...part, use: 'heavy' }, wish({ paint: 'casein', seal: 'oil' }))?.code).toBe('seal-use')
  })
})

test('who wears one colour down to what lies below is told where that is a primer', () => {
  const adviceOf = (facts: Partial<FinishablePart>) => {
    const outcome = planFinish({ ...part, ...facts }, wish({ look: 'light-distress', paint: 'chalk-style' }))
    return 'plan' in outcome && outcome.plan.advice.includes('wears-to-primer')
  }
  expect(adviceOf({})).toBe(false)
  expect(adviceOf({ substrate: 'laminate', existing: 'bare' })).toBe(true)
  expect(adviceOf({ slips: true })).toBe(true)
})

test('texture under crackle under dark wax fall into one order', () => {
  const operations = plannedSteps(
    part,
    wish({ look: 'crackle', paint: 'chalk-style', with: ['texture', 'aged-wax'], seal: 'wax' }),
  ).map(({ operation }) => operation)
  const wanted = ['texture-coat', 'coat', 'crackle-medium', 'crackle-coat', 'clear-wax', 'tinted-wax', 'wax-off', 'buff'] as const
  expect(
    operations.filter((operation, k) => (wanted as readonly string[]).includes(operation) && operations.indexOf(operation) === k),
  ).toEqual(wanted)
})
