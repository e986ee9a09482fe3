import { describe, expect, test } from 'vitest'
import type { RemedyCode } from '@/core/craft/remedies'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { plannedSteps } from '@/core/testing/planned'
import { mend } from './mend'

const part: FinishablePart = { substrate: 'close-grained', existing: 'varnish', lead: 'unlikely', use: 'light', areaM2: 2 }
const wish: FinishWish = { look: 'smooth-solid', paint: 'chalk-style', colours: { a: { name: 'Kelp Jar', hex: '#4c5a3c' } } }

test('runs found after the second coat: two steps of mending, then the way as it was', () => {
  const steps = plannedSteps(part, wish)
  const ahead = steps.slice(7)
  const grown = mend('runs', { part, wish, done: steps.slice(0, 7) }, ahead)
  expect(grown.map(({ operation }) => operation)).toEqual(['smooth', 'coat', ...ahead.map(({ operation }) => operation)])
  expect(grown.slice(2)).toMatchObject(ahead)
  // touched in, the coat dries its hour or two before it is rubbed
  expect(grown[1]?.window?.opens).toEqual([60, 120])
})

test('at the very end the mending stands alone', () => {
  expect(mend('wax-prints', { part, wish, done: [] }, []).map(({ operation }) => operation)).toEqual(['buff'])
})

test('a run in the top colour is touched in with the top colour, not the one below it', () => {
  const two: FinishWish = {
    ...wish,
    look: 'two-colour-distress',
    colours: { ...wish.colours, b: { name: 'Oat Husk', hex: '#e3d7bd' } },
  }
  const steps = plannedSteps(part, two)
  const at = steps.findLastIndex(({ operation }) => operation === 'coat') + 1
  const grown = mend('runs', { part, wish: two, done: steps.slice(0, at) }, steps.slice(at))
  expect(grown[1]).toMatchObject({ operation: 'coat', colour: { name: 'Oat Husk' } })
  // and it is the touched-in coat that now waits to be worn back: touch dry, 30 minutes
  expect(grown[1]?.window?.opens).toEqual([30, 30])
})

test('what bled after the first of three coats is primed, and gets three coats in all: one of the mending, two that were ahead', () => {
  const red: FinishablePart = { ...part, substrate: 'red-wood' }
  const pale: FinishWish = { look: 'smooth-solid', paint: 'chalk-style', colours: { a: { name: 'Salt Ledger', hex: '#f1ece0' } } }
  const steps = plannedSteps(red, pale)
  const at = steps.findIndex(({ operation }) => operation === 'coat') + 1
  const grown = mend('bleed-through', { part: red, wish: pale, done: steps.slice(0, at) }, steps.slice(at), 'snag')
  expect(grown.filter(({ operation }) => operation === 'coat').map(({ mends }) => mends ?? null)).toEqual(['snag', null, null])
})

describe('what a repair covers comes back whole', () => {
  const husk = { name: 'Oat Husk', hex: '#e3d7bd' }
  const finished = (over: Partial<FinishWish>) => {
    const whole: FinishWish = { ...wish, colours: { ...wish.colours, b: husk }, ...over }
    return { whole, steps: plannedSteps(part, whole) }
  }
  /** What is laid, worn and masked by a repair when all was done. */
  const after = (code: RemedyCode, over: Partial<FinishWish>) => {
    const { whole, steps } = finished(over)
    return mend(code, { part, wish: whole, done: steps }, [], 'snag')
      .filter(({ operation }) => !['dust-off', 'de-lint', 'smooth', 'scuff'].includes(operation))
      .map(({ operation, family, colour }) => [operation, family, colour?.name.split(' ')[0]].filter(Boolean).join(' '))
  }
  const waxed = ['clear-wax clear-wax', 'wax-off clear-wax', 'buff clear-wax']
  const dewaxed = ['dewax spirits', 'wipe-spirits spirits']

  test('blocked under two colours, both are laid again, and worn', () =>
    expect(after('bleed-through', { look: 'two-colour-distress' })).toEqual([
      ...dewaxed,
      'block-prime blocking-primer',
      'coat chalk-style Kelp',
      'coat chalk-style Kelp',
      'coat chalk-style Oat',
      'coat chalk-style Oat',
      'coat chalk-style Oat',
      'dry-distress',
      ...waxed,
    ]))
  test('under a crackle, the medium and the colour over it come again', () =>
    expect(after('bleed-through', { look: 'crackle' })).toEqual([
      'block-prime blocking-primer',
      'coat chalk-style Kelp',
      'coat chalk-style Kelp',
      'crackle-medium crackle-medium',
      'crackle-coat chalk-style Oat',
      'clear-coat water-clear',
      'clear-coat water-clear',
    ]))
  test('wear that looks machine-made is painted, not waxed, before it is worn again', () =>
    expect(after('uniform-wear', { look: 'light-distress' })).toEqual([
      ...dewaxed,
      'coat chalk-style Kelp',
      'dry-distress',
      ...waxed,
    ]))
  test('lap marks of a glaze are opened with clear glaze under a seal that is renewed', () =>
    expect(after('lap-marks', { look: 'glaze-lift', paint: 'latex' })).toEqual([
      'glaze glaze',
      'clear-coat water-clear',
      'clear-coat water-clear',
    ]))
  test('tint and gilding come back with the wax that was taken off for a run', () =>
    expect(after('runs', { seal: 'wax', with: ['aged-wax', 'gilded-edges'] })).toEqual([
      ...dewaxed,
      'coat chalk-style Kelp',
      'clear-wax clear-wax',
      'tinted-wax dark-wax',
      'wax-off dark-wax',
      'buff dark-wax',
      'metallic-wax metallic-wax',
      'buff metallic-wax',
    ]))
  test('texture abraded through its seal is sealed again', () =>
    expect(after('too-rough', { with: ['texture'] })).toEqual(['sand', 'clear-coat water-clear', 'clear-coat water-clear']))
  test('a run below the tape is mended without it, and taped again; one within it is mended under it', () => {
    const { whole, steps } = finished({ look: 'stripes', paint: 'latex' })
    const tape = steps.findIndex(({ operation }) => operation === 'tape') + 1
    const mended = (at: number) =>
      mend('runs', { part, wish: whole, done: steps.slice(0, at) }, steps.slice(at), 'snag')
        .slice(0, 5)
        .map(({ operation, colour }) => [operation, colour?.name.split(' ')[0]].filter(Boolean).join(' '))
    expect(mended(tape)).toEqual(['pull-tape', 'smooth', 'coat Kelp', 'tape', 'coat Oat'])
    expect(mended(tape + 1)).toEqual(['smooth', 'coat Oat', 'coat Oat', 'coat Oat', 'pull-tape'])
  })
  test('before any colour lies, the primer and the colours that are ahead are the plan’s', () => {
    const { whole, steps } = finished({ look: 'smooth-solid' })
    const at = steps.findIndex(({ operation }) => operation === 'coat')
    const grown = mend('through-veneer', { part, wish: whole, done: steps.slice(0, at) }, steps.slice(at), 'snag')
    expect(grown.filter(({ mends }) => mends).map(({ operation }) => operation)).toEqual(['dust-off', 'block-prime'])
    expect(grown.filter(({ colour }) => colour).length).toBe(steps.filter(({ colour }) => colour).length)
  })
  test('what was touched in before is not laid anew with the rest', () => {
    const { whole, steps } = finished({})
    const painted = steps.slice(0, steps.findLastIndex(({ operation }) => operation === 'coat') + 1)
    const [rub, touched] = mend('runs', { part, wish: whole, done: painted }, [], 'one')
    if (!rub || !touched) throw new Error('nothing was touched in')
    const grown = mend('bleed-through', { part, wish: whole, done: [...painted, rub, touched] }, [], 'two')
    const coats = (all: readonly { operation: string }[]) => all.filter(({ operation }) => operation === 'coat').length
    expect([coats(painted), coats([touched]), coats(grown)]).toEqual([2, 1, 2])
  })
})
