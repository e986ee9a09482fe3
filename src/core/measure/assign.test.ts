import fc from 'fast-check'
import { expect, test } from 'vitest'
import { assign } from './assign'

const permutations = (all: readonly number[]): number[][] =>
  all.length < 2 ? [[...all]] : all.flatMap((one, k) => permutations(all.toSpliced(k, 1)).map((rest) => [one, ...rest]))

test('three to three: 1 + 2 + 2', () =>
  expect(
    assign([
      [1, 4, 5],
      [5, 7, 2],
      [5, 2, 8],
    ]),
  ).toBe(5))
test('nothing to nobody costs nothing', () => expect(assign([])).toBe(0))
test('never more than any way there is, and one of them costs it', () =>
  fc.assert(
    fc.property(
      fc
        .integer({ min: 1, max: 6 })
        .chain((n) => fc.array(fc.array(fc.nat(50), { minLength: n, maxLength: n }), { minLength: n, maxLength: n })),
      (table) => {
        const costs = permutations(table.map((_, k) => k)).map((order) =>
          order.reduce((sum, column, k) => sum + (table[k]?.[column] ?? 0), 0),
        )
        expect(assign(table)).toBe(Math.min(...costs))
      },
    ),
  ))
