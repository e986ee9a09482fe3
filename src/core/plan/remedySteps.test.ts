import { expect, test } from 'vitest'
import { canShow, type RemedyCode, remedyCodes } from '@/core/craft/remedies'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import type { Act } from '@/core/stack/surface'
import { remedySteps } from './remedySteps'

const part: FinishablePart = { substrate: 'close-grained', existing: 'varnish', lead: 'unlikely', use: 'light', areaM2: 2 }
const wish = (over: Partial<FinishWish>): FinishWish => ({
  look: 'smooth-solid',
  paint: 'chalk-style',
  colours: { a: { name: 'Ferry Slate', hex: '#3d5661' }, b: { name: 'Oat Husk', hex: '#e3d7bd' } },
  ...over,
})

/** Dark, black or white wax as it was laid. */
const tinted = (family: 'dark-wax' | 'black-wax' | 'white-wax'): Act => ({
  operation: 'tinted-wax',
  family,
  colour: null,
  mix: null,
  grit: null,
  film: 'normal',
  check: null,
  cautions: [],
})

test('every mistake has steps that mend it, each with minutes and a reason', () => {
  expect(remedyCodes.length).toBeGreaterThanOrEqual(30)
  for (const code of remedyCodes) {
    const steps = remedySteps(code, { part, wish: wish({}), done: [] })
    expect([code, steps.length > 0]).toEqual([code, true])
    for (const step of steps) expect(step.minutes).toBeGreaterThan(0)
  }
})

test('touching in a run on two square metres takes minutes, not the coat’s half hour', () => {
  // a tenth of 2 m²: rub 3 + 0.2 × 6, coat 8 + 0.2 × 10
  expect(remedySteps('runs', { part, wish: wish({}), done: [] }).map(({ operation, minutes }) => [operation, minutes])).toEqual([
    ['smooth', 4],
    ['coat', 10],
  ])
})

test('what is noted of the ground is noted before anything lies on it, and a clear that is too old while it lies on top', () => {
  const acts = (...operations: Act['operation'][]) => operations.map((operation) => ({ operation }))
  const shown = (code: RemedyCode, ...operations: Act['operation'][]) => canShow(code, acts(...operations), acts('clear-coat'))
  expect([shown('still-shiny', 'clean', 'scuff'), shown('still-shiny', 'clean', 'scuff', 'coat')]).toEqual([true, false])
  expect(shown('still-shiny', 'scuff', 'dust-off')).toBe(true)
  expect([shown('still-dirty', 'clean'), shown('still-dirty', 'clean', 'coat')]).toEqual([true, false])
  expect([shown('clear-too-old', 'coat', 'seal-between'), shown('clear-too-old', 'seal-between', 'crackle-medium')]).toEqual([
    true,
    false,
  ])
})
test('veneer that still shines is not scuffed twice: primed under paint, stripped once more where it is kept', () => {
  const veneer = { ...part, substrate: 'veneer' } as const
  const scuffed = { ...tinted('dark-wax'), operation: 'scuff', family: null, grit: '220, one light hand pass' } as const
  const steps = (look: FinishWish['look'], paint: FinishWish['paint']) =>
    remedySteps('still-shiny', { part: veneer, wish: wish({ look, paint }), done: [scuffed] }).map(({ operation }) => operation)
  expect(steps('smooth-solid', 'chalk-style')).toEqual(['adhesion-prime'])
  expect(steps('stained-wood', 'stain')).toEqual(['strip', 'scrape', 'neutralise'])
})
test('clay that nothing seals yet is wiped barely damp, not washed', () => {
  const clay: Act = { ...tinted('dark-wax'), operation: 'coat', family: 'clay', colour: { name: 'Ferry Slate', hex: '#3d5661' } }
  const steps = (done: Act[]) =>
    remedySteps('residue-left', { part, wish: wish({ paint: 'clay' }), done }).map(({ operation, applicator }) => [
      operation,
      applicator,
    ])
  expect(steps([clay])).toEqual([['rinse', 'cloth wrung out to barely damp, dried at once']])
  // under a clear it takes water
  expect(steps([clay, { ...clay, operation: 'clear-coat', family: 'water-clear', colour: null }])).toEqual([['rinse', null]])
})
test('what was tinted is tinted again in its own wax', () => {
  for (const family of ['dark-wax', 'black-wax', 'white-wax'] as const) {
    const tint = tinted(family)
    const put = remedySteps('wax-murky', { part, wish: wish({}), done: [tint] })
    expect(put.filter(({ operation }) => operation === 'tinted-wax').map((step) => step.family)).toEqual([family])
    expect(put.at(-1)).toMatchObject({ operation: 'buff', family })
  }
})
