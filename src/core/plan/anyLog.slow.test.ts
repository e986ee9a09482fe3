/** From the middle of anything: whatever a part's log says, the rest is planned without a stop, or said to be out of reach. */
import fc from 'fast-check'
import { expect, test } from 'vitest'
import { getLook, lookCodes } from '@/core/craft/looks'
import type { FinishWish } from '@/core/finish/wish'
import { checkStack } from '@/core/stack/checkStack'
import { anyPart } from '@/core/testing/lists'
import { anyLog } from '@/core/testing/logs'
import { replan } from './replan'

const colours = { a: { name: 'Ferry Slate', hex: '#3d5661' }, b: { name: 'Salt Ledger', hex: '#f1ece0' } }

test('from every point of 1,000 random logs', { timeout: 300_000 }, () => {
  const tried = { planned: 0, refused: 0, byRule: 0 }
  const wished = fc
    .constantFrom(...lookCodes)
    .chain((look) => fc.record({ look: fc.constant(look), paint: fc.constantFrom(...getLook(look).paints) }))
  fc.assert(
    fc.property(anyPart, anyLog, wished, (part, log, choice) => {
      const wish: FinishWish = { ...choice, colours }
      for (let point = 0; point <= log.length; point += 1) {
        const done = log.slice(0, point)
        const outcome = replan(part, wish, done)
        if ('refusal' in outcome) {
          tried.refused += 1
          // refused by a rule only where the log itself stands in the way
          if (outcome.refusal.code === 'layers') {
            tried.byRule += 1
            expect(done.length).toBeGreaterThan(0)
          }
          continue
        }
        tried.planned += 1
        const ahead = checkStack({ part, wish, acts: [...done, ...outcome.steps] }).filter(
          ({ severity, acts }) => severity === 'stop' && (acts.length === 0 || (acts.at(-1) ?? 0) >= done.length),
        )
        expect(ahead).toEqual([])
      }
    }),
    { numRuns: 1000 },
  )
  expect(tried.planned).toBeGreaterThan(1000)
  expect(tried.byRule / tried.planned).toBeLessThan(0.06)
})
