import { expect, test } from 'vitest'
import { Moved } from './moved'

test('what is moved costs three tenths of the week, all of it; twice that within a day, half where it is only pushed', () => {
  const moved = new Moved({ start: [600, 2000, 3000, -1], painter: [0, 0, 0, 0] })
  expect([moved.isPriced, moved.of(1, 2400)]).toEqual([false, 0])
  // 4,000 for four steps: 300 each
  moved.priceBy(4000)
  expect(moved.isPriced).toBe(true)
  expect([moved.of(1, 2000), moved.of(1, 2060), moved.of(1, 2065), moved.of(1, 1000)]).toEqual([0, 150, 300, 300])
  expect([moved.of(0, 600), moved.of(0, 630), moved.of(0, 900)]).toEqual([0, 300, 600])
  // nobody knew when, or it is new: nowhere moved
  expect([moved.of(3, 500), moved.of(4, 500)]).toEqual([0, 0])
  expect(moved.ofAll([900, 2000, 3030, 500, 500])).toBe(600 + 150)
})
