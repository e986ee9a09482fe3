import { expect, test } from 'vitest'
import { plannedSteps } from '@/core/testing/planned'
import { sectionClock, sectionsOf } from './sections'
import type { FinishablePart, FinishWish } from './wish'

const part = (areaM2: number, over: Partial<FinishablePart> = {}): FinishablePart => ({
  substrate: 'close-grained',
  existing: 'varnish',
  lead: 'unlikely',
  use: 'light',
  areaM2,
  ...over,
})
const colours = { a: { name: 'Ferry Slate', hex: '#3d5661' }, b: { name: 'Oat Husk', hex: '#e3d7bd' } }
function sectionsIn(facts: FinishablePart, wish: Omit<FinishWish, 'colours'>) {
  const steps = plannedSteps(facts, { ...wish, colours })
  return Object.fromEntries(steps.map((step, k) => [step.operation, sectionsOf(step, steps[k + 1])]))
}

test('two square metres are stripped in four sections: 80 minutes of scraping, 20 in which it is soft', () => {
  expect(sectionsIn(part(2), { look: 'whitewash', paint: 'chalk-style' }).strip).toBe(4)
  // a drawer front, 0.2 m²: eight minutes of scraping
  expect(sectionsIn(part(0.2), { look: 'whitewash', paint: 'chalk-style' }).strip).toBe(1)
})
test('wax on three square metres: 24 minutes to lay it, 40 between its 20 and its hour', () => {
  expect(sectionsIn(part(3), { look: 'smooth-solid', paint: 'chalk-style', seal: 'wax' })['clear-wax']).toBe(1)
  // six: 48 minutes
  expect(sectionsIn(part(6), { look: 'smooth-solid', paint: 'chalk-style', seal: 'wax' })['clear-wax']).toBe(2)
})
test('oil on one and a half: nine minutes, fifteen between five and twenty; on four it is two', () => {
  const oiled = { look: 'light-distress', paint: 'casein', seal: 'oil' } as const
  expect(sectionsIn(part(1.5, { existing: 'bare' }), oiled).oil).toBe(1)
  expect(sectionsIn(part(4, { existing: 'bare' }), oiled).oil).toBe(2)
})
test('taped stripes: the tape comes off each before ten minutes are over', () => {
  expect(sectionsIn(part(2), { look: 'stripes', paint: 'latex' }).coat).toBe(2)
})
test('what waits for hours is worked in one go', () => {
  const found = sectionsIn(part(2), { look: 'smooth-solid', paint: 'chalk-mineral' })
  expect(Object.values(found).every((sections) => sections === 1)).toBe(true)
})

function clocksIn(facts: FinishablePart, wish: Omit<FinishWish, 'colours'>) {
  const steps = plannedSteps(facts, { ...wish, colours })
  return Object.fromEntries(steps.map((step, k) => [step.operation, sectionClock(step, steps[k + 1])]))
}
test('each section has until the careful end of its window: stripper 30 minutes, tape 10, oil 20; then what follows it up', () => {
  expect(clocksIn(part(2), { look: 'whitewash', paint: 'chalk-style' }).strip).toEqual({
    seconds: 1800,
    then: 'scrape',
    past: 're-apply',
  })
  expect(clocksIn(part(2), { look: 'stripes', paint: 'latex' }).coat).toEqual({
    seconds: 600,
    then: 'pull-tape',
    past: 'score-edge',
  })
  expect(clocksIn(part(4, { existing: 'bare' }), { look: 'light-distress', paint: 'casein', seal: 'oil' }).oil).toEqual({
    seconds: 1200,
    then: 'wipe-oil',
    past: 'rub-fresh-oil',
  })
})
test('wax has an hour: a clock where six metres outlast it, none where three do not', () => {
  const waxed = { look: 'smooth-solid', paint: 'chalk-style', seal: 'wax' } as const
  expect(clocksIn(part(6), waxed)['clear-wax']).toMatchObject({ seconds: 3600, then: 'wax-off' })
  expect(clocksIn(part(3), waxed)['clear-wax']).toBeNull()
})
test('a wash is wiped back in the same step, two minutes a section; what waits for hours has no clock', () => {
  expect(clocksIn(part(1), { look: 'colour-wash', paint: 'chalk-style' }).wash).toEqual({ seconds: 120, of: 'wash' })
  const plain = clocksIn(part(2), { look: 'smooth-solid', paint: 'chalk-mineral' })
  expect(Object.values(plain).every((clock) => clock === null)).toBe(true)
})
