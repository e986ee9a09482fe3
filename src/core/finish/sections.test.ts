import { expect, test } from 'vitest'
import { plannedSteps } from '@/core/testing/planned'
import { sectionsOf } from './sections'
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
