import { expect, test } from 'vitest'
import { makeIds } from './makeIds'

test('the same numbers however often and however many are asked for, no two alike', () => {
  const ids = makeIds()
  const [three, five] = [ids(3), ids(5)]
  expect(five.slice(0, 3)).toEqual(three)
  expect(ids(2)).toEqual(three.slice(0, 2))
  expect(new Set([...five, ...makeIds()(5)]).size).toBe(10)
  expect(ids(0)).toEqual([])
})
