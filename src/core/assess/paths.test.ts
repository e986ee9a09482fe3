/** Every path that the guided tests can take, walked by the tables' own shares: how often the end would harm. */
import { expect, test } from 'vitest'
import type { SubstrateCode } from '@/core/craft/parts'
import { assess, type Assessment, isFreshlyOiled, isWaxed, priorOf, shownBy, states } from './assess'
import { type AssessTestCode, getAssessTest } from './tests'

type State = (typeof states)[number]
type Answers = Partial<Record<AssessTestCode, string>>

/** Ends that would cost a stripped job or a health; all others cost nothing or a needless wipe. */
const harms: Record<string, (found: Assessment, there: State) => boolean> = {
  wax: ({ existing, polish }, there) => isWaxed(there) && !['wax', 'unknown'].includes(existing) && polish === 'none',
  'fresh oil': ({ polish }, there) => isFreshlyOiled(there) && polish === 'none',
  oil: ({ existing }, { finish }) => finish === 'oil' && existing === 'bare',
  gloss: ({ existing }, { finish }) => finish === 'oil-paint' && !['oil-paint', 'lacquer', 'unknown'].includes(existing),
  lead: ({ existing }, { finish }) => !['bare', 'fresh-oil'].includes(finish) && ['bare', 'fresh-oil'].includes(existing),
}
const harmful = (found: Assessment, there: State) => Object.values(harms).some((harm) => harm(found, there))

function walksOn(substrate: SubstrateCode) {
  const seen = new Map<string, Assessment>()
  const after = (tests: Answers): Assessment => {
    const key = JSON.stringify(Object.entries(tests).sort())
    const known = seen.get(key) ?? assess({ tests, signs: {} }, { substrate, existing: 'unknown', lead: 'clear' })
    seen.set(key, known)
    return known
  }
  const resultsOf = (code: AssessTestCode) => Object.keys(getAssessTest(code).results)
  /** every path with how likely it is, the tests it took and where it ends */
  function paths(there: State, tests: Answers = {}, chance = 1): { chance: number; tests: number; found: Assessment }[] {
    const found = after(tests)
    const { next } = found
    if (!next) return [{ chance, tests: Object.keys(tests).length, found }]
    return resultsOf(next).flatMap((result) => paths(there, { ...tests, [next]: result }, chance * shownBy(next, result, there)))
  }
  /** the ends of the likeliest path with exactly one answer another */
  function slips(there: State, tests: Answers = {}, slipped = false): Assessment[] {
    const found = after(tests)
    const { next } = found
    if (!next) return slipped ? [found] : []
    const usual = resultsOf(next).reduce((best, result) =>
      shownBy(next, result, there) > shownBy(next, best, there) ? result : best,
    )
    return resultsOf(next)
      .filter((result) => result === usual || !slipped)
      .flatMap((result) => slips(there, { ...tests, [next]: result }, slipped || result !== usual))
  }
  return { paths, slips }
}

test.each(['close-grained', 'open-grained', 'board', 'laminate', 'metal', 'glass', 'cane'] as const)(
  'on %s: at most 4 tests, at most 1 % of the ends would harm, at most 5 % with one answer wrong',
  (substrate) => {
    const { paths, slips } = walksOn(substrate)
    const sums = states.reduce(
      (sum, there) => {
        const prior = priorOf(there, substrate)
        const all = paths(there)
        const off = slips(there)
        return {
          tests: sum.tests + prior * all.reduce((n, { chance, tests }) => n + chance * tests, 0),
          harm: sum.harm + prior * all.reduce((n, { chance, found }) => n + (harmful(found, there) ? chance : 0), 0),
          slipped: sum.slipped + (prior * off.filter((found) => harmful(found, there)).length) / Math.max(1, off.length),
        }
      },
      { tests: 0, harm: 0, slipped: 0 },
    )
    expect(sums.tests).toBeLessThanOrEqual(4)
    expect(sums.harm).toBeLessThanOrEqual(0.01)
    expect(sums.slipped).toBeLessThanOrEqual(0.05)
  },
)

test('what was found to be oiled is said to be oiled or wiped, never taken for bare or sound', () => {
  const { paths } = walksOn('close-grained')
  const oiled = states.filter(({ finish }) => finish === 'oil' || finish === 'fresh-oil')
  const right = oiled.map((there) =>
    paths(there)
      .filter(({ found }) => ['oil', 'fresh-oil', 'unknown'].includes(found.existing) || found.polish !== 'none')
      .reduce((sum, { chance }) => sum + chance, 0),
  )
  right.forEach((share) => expect(share).toBeGreaterThan(0.9))
})
