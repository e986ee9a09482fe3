import { expect, test } from 'vitest'
import { changeOf } from './change'

const before = { name: 'Top', count: 2, knots: null, bleeds: false }
test('what differs is told before and after, as text; what nobody knew is nothing', () =>
  expect(changeOf(['name', 'count', 'knots', 'bleeds'], before, { name: 'Top', count: 3, knots: 4, bleeds: true })).toEqual({
    count: ['2', '3'],
    knots: [null, '4'],
    bleeds: ['false', 'true'],
  }))
test('what is as it was, or not asked for, is not told', () => {
  expect(changeOf(['name', 'count'], before, before)).toEqual({})
  const after = { ...before, count: 9 }
  expect(changeOf(['name'], before, after)).toEqual({})
})
