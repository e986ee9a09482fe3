import { expect, test } from 'vitest'
import { seenContrast } from './seen'
import type { Touch } from './touch'
import type { FinishablePart } from './wish'

const part: FinishablePart = { substrate: 'close-grained', existing: 'varnish', lead: 'unlikely', use: 'light', areaM2: 1 }
const slate = { name: 'Ferry Slate', hex: '#3d5661' }
const pale = { name: 'Salt Ledger', hex: '#f1ece0' }
const contrastOf = (...touches: Omit<Touch, 'id' | 'by'>[]) =>
  seenContrast(
    part,
    touches.map((touch, k): Touch => ({ ...touch, id: `t${k}`, by: 'painter' })),
  )

test('an effect in the colour of its coat is seen by nobody', () => {
  for (const operation of ['crackle-coat', 'wash', 'dry-brush', 'glaze'] as const)
    expect(contrastOf({ operation: 'coat', colour: slate }, { operation, colour: slate })).toBe(0)
})
test('in another it is, and a second layer of it is no second colour', () => {
  const washed = contrastOf({ operation: 'coat', colour: slate }, { operation: 'wash', colour: pale })
  expect(washed).toBeGreaterThan(0.3)
  expect(
    contrastOf({ operation: 'coat', colour: slate }, { operation: 'wash', colour: pale }, { operation: 'wash', colour: pale }),
  ).toBe(washed)
})
test('on bare wood it lies on no colour', () =>
  expect(contrastOf({ operation: 'wash', colour: slate }, { operation: 'wash', colour: slate })).toBe(Infinity))
