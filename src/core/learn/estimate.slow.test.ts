import { describe, expect, test } from 'vitest'
import { quantile, spreadOf } from '@/core/price/spread'
import { simulatedPieces, type StudioTruth } from '@/core/testing/simulatedStudio'
import { type Estimator, factorFor, learnPace, type WorkedStep } from './estimate'

const truths: Record<string, StudioTruth> = {
  'plain studio': { operations: 0.4, painters: 0.2, articles: 0.2, piece: 0.15, step: 0.3, slow: 1.2 },
  'even studio': { operations: 0.4, painters: 0, articles: 0, piece: 0, step: 0.35, slow: 1.4 },
  'wild studio': { operations: 0.6, painters: 0.4, articles: 0.3, piece: 0.4, step: 0.6, slow: 1.8 },
  'tight studio': { operations: 0.2, painters: 0, articles: 0, piece: 0.05, step: 0.15, slow: 1 },
}
const sum = (steps: readonly WorkedStep[], of: (step: WorkedStep) => number) => steps.reduce((all, step) => all + of(step), 0)
/** The eight in ten of a piece's minutes. */
function eightInTen(estimator: Estimator, steps: readonly WorkedStep[], seed: number): [number, number] {
  const { hours } = spreadOf({
    ...{ spent: 0, hoursDone: 0, moneyAhead: [], rate: 0, overheadRate: 0, draws: 400, seed },
    hoursAhead: steps.map((step) => ({ hours: step.planned * factorFor(estimator, step), scale: 0 })),
    whole: estimator.whole,
  })
  return [quantile(hours, 0.1), quantile(hours, 0.9)]
}
interface Tried {
  held: number
  learned: number
  norm: number
}
/** Many studios of one truth, each with so many pieces behind it: how the next three pieces come out. */
function tried(truth: StudioTruth, behind: number, studios: number): Tried {
  const found: Tried = { held: 0, learned: 0, norm: 0 }
  for (let seed = 1; seed <= studios; seed += 1) {
    const pieces = simulatedPieces(truth, seed * 7919 + behind)
    const estimator = learnPace(Array.from({ length: behind }, () => pieces.next().value).flat())
    for (let next = 0; next < 3; next += 1) {
      const steps = pieces.next().value
      const actual = sum(steps, (step) => step.actual)
      const [low, high] = eightInTen(estimator, steps, next + 1)
      if (actual >= low && actual <= high) found.held += 1 / (3 * studios)
      found.learned += Math.abs(Math.log(actual / sum(steps, (step) => step.planned * factorFor(estimator, step))))
      found.norm += Math.abs(Math.log(actual / sum(steps, (step) => step.planned)))
    }
  }
  return found
}

describe('what a studio’s own work teaches, where its truth is known', () => {
  test('eight in ten pieces come out within the range that says so, at 10 to 200 pieces', () => {
    for (const [name, truth] of Object.entries(truths)) {
      const held = [10, 20, 40, 80, 200].map((behind) => tried(truth, behind, behind > 50 ? 20 : 60).held)
      const mean = held.reduce((all, each) => all + each) / held.length
      expect(mean, name).toBeGreaterThan(0.75)
      expect(mean, name).toBeLessThan(0.85)
    }
  }, 60_000)
  test('by the tenth piece it comes nearer than the norm', () => {
    for (const [name, truth] of Object.entries(truths)) {
      const { learned, norm } = tried(truth, 10, 60)
      expect(learned, name).toBeLessThan(norm)
    }
  })
})
