import { expect, test } from 'vitest'
import { factorFor, learnPace, type WorkedStep } from './estimate'

test('a painter, an article and a relief tell apart what the operation alone can’t', () => {
  const worked = (piece: string, painter: string, relief: 'flat' | 'carved', actual: number): WorkedStep[] =>
    Array.from({ length: 6 }, () => ({ piece, operation: 'coat', painter, relief, planned: 10, actual }))
  // whoever is slow takes twice, what is carved twice again
  const estimator = learnPace([
    ...worked('1', 'quick', 'flat', 10),
    ...worked('2', 'slow', 'flat', 20),
    ...worked('3', 'quick', 'carved', 20),
    ...worked('4', 'slow', 'carved', 40),
  ])
  const of = (painter: string, relief: 'flat' | 'carved') => factorFor(estimator, { operation: 'coat', painter, relief })
  expect(of('slow', 'flat') / of('quick', 'flat')).toBeGreaterThan(1.5)
  expect(of('slow', 'carved') / of('slow', 'flat')).toBeGreaterThan(1.5)
  expect(of('slow', 'carved') / of('quick', 'flat')).toBeCloseTo(
    (of('slow', 'flat') / of('quick', 'flat')) * (of('quick', 'carved') / of('quick', 'flat')),
  )
})
test('nothing worked: the plan’s minutes, and the usual spread', () => {
  const estimator = learnPace([])
  expect(factorFor(estimator, { operation: 'coat' })).toBe(1)
  expect(estimator.whole).toMatchObject({ middle: 0, freedom: 5, pieces: 0 })
  expect(estimator.whole.scale).toBeCloseTo(0.35 * Math.sqrt(1.25))
})
test('minutes that are none are refused', () =>
  expect(() => learnPace([{ piece: '1', operation: 'coat', planned: 10, actual: 0 }])).toThrow(/above nothing/))
