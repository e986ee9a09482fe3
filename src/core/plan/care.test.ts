/** Parts that stay as they are: cleaned as the house cleans, waxed where wax may be. */
import { expect, test } from 'vitest'
import { defaultMethod } from '@/core/craft/method'
import type { FinishablePart } from '@/core/finish/wish'
import { careFits, careSteps } from './care'

const part: FinishablePart = { substrate: 'close-grained', existing: 'shellac', lead: 'clear', use: 'light', areaM2: 1 }
const names = (over: Partial<FinishablePart>, care: 'untouched' | 'cleaned' | 'waxed', cleaner = defaultMethod.cleaner) =>
  careSteps({ ...part, ...over }, care, { ...defaultMethod, cleaner }).map(({ operation, family }) => [operation, family])

test('nothing, a clean, or a clean and a wax', () => {
  expect(names({}, 'untouched')).toEqual([])
  expect(names({}, 'cleaned')).toEqual([
    ['clean', 'degreaser'],
    ['rinse', null],
  ])
  expect(names({}, 'waxed').map(([operation]) => operation)).toEqual(['clean', 'rinse', 'clear-wax', 'wax-off', 'buff'])
})
test('with spirits alone there is nothing to rinse; cloth and leather know no degreaser', () => {
  expect(names({}, 'cleaned', 'spirits')).toEqual([['wipe-spirits', 'spirits']])
  expect(names({ substrate: 'leather' }, 'cleaned')[0]).toEqual(['clean', 'soap'])
})
test('wax is not for heat, damp or weather', () => {
  expect(
    (['display', 'light', 'heavy', 'heat', 'damp', 'outdoors'] as const).filter((use) => careFits('waxed', { ...part, use })),
  ).toEqual(['display', 'light', 'heavy'])
})
test('what was done is not asked for again', () => {
  const steps = careSteps(part, 'waxed', defaultMethod)
  expect(careSteps(part, 'waxed', defaultMethod, steps.slice(0, 2)).map(({ operation }) => operation)).toEqual([
    'clear-wax',
    'wax-off',
    'buff',
  ])
})
