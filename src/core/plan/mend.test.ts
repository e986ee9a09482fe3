import { expect, test } from 'vitest'
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
