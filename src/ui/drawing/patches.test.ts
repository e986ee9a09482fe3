import { expect, test } from 'vitest'
import { patchesOf } from './patches'

const [side, bend] = [100, 60]
const painted = (dashes: string | null) =>
  (dashes ?? '')
    .split(' ')
    .map(Number)
    .reduce((sum, length, k) => (k % 2 === 0 ? sum + length : sum), 0)
const all = (dashes: string | null) =>
  (dashes ?? '')
    .split(' ')
    .map(Number)
    .reduce((sum, length) => sum + length, 0)

test('all over is no dash at all', () => {
  expect(patchesOf(undefined, side, bend)).toBeNull()
  expect(patchesOf({ places: ['field', 'edges', 'recesses'] }, side, bend)).toBeNull()
})
test('the edges are the bend, and nothing else', () => {
  // 28 of a recess, 72 of a flat, the bend, and the same back
  expect(patchesOf({ places: ['edges'] }, side, bend)).toBe('0 100 60 100')
})
test('here and there: its share of the outline, whatever the places, and never longer than it', () => {
  expect(painted(patchesOf({ share: 0.5 }, side, bend)) / 260).toBeCloseTo(0.55, 1)
  expect(all(patchesOf({ share: 0.33 }, side, bend))).toBeCloseTo(260, 0)
  expect(painted(patchesOf({ places: ['field'], share: 0.5 }, side, bend)) / 144).toBeCloseTo(0.55, 1)
})
