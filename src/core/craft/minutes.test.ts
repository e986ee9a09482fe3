import { expect, test } from 'vitest'
import { standardMinutes } from './minutes'

test('flat, by hand: set-up and cleaning, and the norm by the square metre', () => {
  // 6 min/m² and 4; 40 and 5; 10 and 8
  expect(standardMinutes('scuff', { areaM2: 2 })).toBe(16)
  expect(standardMinutes('scrape', { areaM2: 2 })).toBe(85)
  expect(standardMinutes('coat', { areaM2: 1.5 })).toBe(23)
})
test('turned work takes three times the scraping, half as much again of brushing and waxing, and no more rinsing', () => {
  expect(standardMinutes('scrape', { areaM2: 1, turned: 1 })).toBe(125)
  expect(standardMinutes('scrape', { areaM2: 1, turned: 0.5 })).toBe(85)
  expect(standardMinutes('coat', { areaM2: 1, turned: 1 })).toBe(23)
  expect(standardMinutes('clear-wax', { areaM2: 1, turned: 1 })).toBe(16)
  expect(standardMinutes('rinse', { areaM2: 1, turned: 1 })).toBe(standardMinutes('rinse', { areaM2: 1 }))
})
test('a power sander saves two thirds on flats and nothing on turned work', () => {
  const sander = 'power sander, light touch'
  // 10 min/m² on 3 m², and 6
  expect(standardMinutes('sand', { areaM2: 3 })).toBe(36)
  expect(standardMinutes('sand', { areaM2: 3, applicator: sander })).toBe(16)
  expect(standardMinutes('sand', { areaM2: 3, turned: 1, applicator: sander })).toBe(51)
})
test('sprayed, a coat takes a third of the brushing and a quarter of an hour of cleaning', () => {
  expect(standardMinutes('coat', { areaM2: 6 })).toBe(68)
  expect(standardMinutes('coat', { areaM2: 6, applicator: 'sprayed, two passes' })).toBe(43)
})
test('knots, taped metres: by the piece, turned or not', () => {
  expect(standardMinutes('knotting', { areaM2: 1, items: 9, turned: 1 })).toBe(14)
  expect(standardMinutes('tape', { areaM2: 1, metres: 8 })).toBe(18)
})
