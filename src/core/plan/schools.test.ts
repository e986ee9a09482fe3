/** Where good people disagree: each side of each school is a plan of its own. */
import { expect, test } from 'vitest'
import { defaultMethod, type HouseMethod, schoolCodes, schools } from '@/core/craft/method'
import { curingOf } from '@/core/craft/windows'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { checkStack } from '@/core/stack/checkStack'
import { atTheirTimes } from '@/core/testing/damages'
import { plannedSteps } from '@/core/testing/planned'

const part: FinishablePart = { substrate: 'close-grained', existing: 'varnish', lead: 'unlikely', use: 'light', areaM2: 1 }
const colours = { a: { name: 'Ferry Slate', hex: '#3d5661' }, b: { name: 'Oat Husk', hex: '#e3d7bd' } }
const wish = (look: FinishWish['look'], paint: FinishWish['paint']): FinishWish => ({ look, paint, colours })
const steps = (wished: FinishWish, over: Partial<HouseMethod> = {}) => plannedSteps(part, wished, { ...defaultMethod, ...over })
const told = (wished: FinishWish, over: Partial<HouseMethod> = {}) =>
  steps(wished, over).map(({ operation, family, mix, minutes, window, check }) => [
    operation,
    family,
    mix,
    minutes,
    window?.opens,
    check,
  ])

const shown: { [K in Exclude<keyof HouseMethod, 'fullUse'>]: FinishWish } = {
  key: wish('smooth-solid', 'chalk-mineral'),
  between: wish('smooth-solid', 'chalk-mineral'),
  topcoat: wish('light-distress', 'casein'),
  layers: wish('two-colour-distress', 'clay'),
  distress: wish('light-distress', 'clay'),
  waxRest: wish('light-distress', 'chalk-style'),
  drying: wish('smooth-solid', 'chalk-mineral'),
  chalky: wish('smooth-solid', 'chalk-style'),
  thinning: wish('smooth-solid', 'chalk-style'),
  mixing: wish('colour-wash', 'chalk-style'),
  cleaner: wish('smooth-solid', 'chalk-mineral'),
}

test.each(Object.entries(shown) as [keyof typeof shown, FinishWish][])('%s: no two sides plan the same', (code, wished) => {
  const sides = Object.keys(schools[code]).filter((side) => side !== 'none' && side !== 'by-look')
  const plans = sides.map((side) => JSON.stringify(told(wished, { [code]: side })))
  expect(new Set(plans).size).toBe(sides.length)
})
test('full use is after the house’s days', () => {
  expect(curingOf('water-clear', 21).use.opens[0]).toBeLessThan(curingOf('water-clear', 30).use.opens[0])
})
test('each side of each school, worked as it says and at its times, is never spoken of', () => {
  for (const code of schoolCodes)
    for (const side of Object.keys(schools[code])) {
      const method = { ...defaultMethod, [code]: side }
      for (const wished of Object.values(shown)) {
        const planned = plannedSteps(part, wished, method)
        const found = checkStack({ part, wish: wished, method, acts: atTheirTimes(planned, part, method) })
        expect(found.filter(({ severity }) => severity !== 'advice').map((each) => `${code} ${side}: ${each.code}`)).toEqual([])
      }
    }
})

test('a fan: what gives off water is ready in two thirds of its time; wax is not', () => {
  const window = (over: Partial<HouseMethod>, operation: string) =>
    steps(wish('two-colour-distress', 'chalk-style'), over).find((step) => step.operation === operation)?.window?.opens
  expect([window({}, 'coat'), window({ drying: 'fan' }, 'coat')]).toEqual([
    [60, 120],
    [40, 80],
  ])
  expect(window({ drying: 'fan' }, 'clear-wax')).toEqual(window({}, 'clear-wax'))
})
test('mixed at home: eight minutes to make it up, once; of latex, plaster and water', () => {
  const coats = (over: Partial<HouseMethod>) =>
    steps(wish('smooth-solid', 'chalk-style'), over).filter(({ operation }) => operation === 'coat')
  const [first, second] = coats({ chalky: 'mix' })
  expect([first?.family, first?.mix]).toEqual(['home-chalky', 'latex paint : plaster : water 10 : 2 : 1'])
  expect((first?.minutes ?? 0) - (second?.minutes ?? 0)).toBe(8)
  // by eye it takes 0.4 of that, rounded with the 18 of the coat
  expect(coats({ chalky: 'mix', mixing: 'eye' })[0]?.minutes).toBe(21)
})
test('paint that drags: a tenth of water in it, never in the all-in-one', () => {
  const mixes = (paint: FinishWish['paint']) =>
    steps(wish('smooth-solid', paint), { thinning: 'thin' }).flatMap(({ operation, mix }) => (operation === 'coat' ? [mix] : []))
  expect(mixes('chalk-mineral')).toEqual(['paint with 10 % water', 'paint with 10 % water'])
  expect(mixes('all-in-one').every((mix) => mix === null)).toBe(true)
})
test('a blade wears wood; veneer is worn by hand all the same', () => {
  const worn = (substrate: FinishablePart['substrate']) =>
    plannedSteps({ ...part, substrate }, wish('light-distress', 'clay'), { ...defaultMethod, distress: 'blade' }).find(
      ({ operation }) => operation.endsWith('distress'),
    )
  expect(worn('close-grained')?.operation).toBe('scrape-distress')
  expect([worn('veneer')?.operation, worn('veneer')?.grit]).toEqual(['dry-distress', '220'])
})
