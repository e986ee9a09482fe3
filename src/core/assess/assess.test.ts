import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { assess, type Findings, sharesAfter, states, worthOf } from './assess'
import {
  type AssessTestCode,
  assessTestCodes,
  assessTests,
  getAssessTest,
  type KnownFinish,
  overPriors,
  priors,
  priorsOf,
  signsOn,
  testsOn,
} from './tests'

const part = { substrate: 'close-grained', existing: 'varnish', lead: 'unlikely' } as const
const after = (tests: Findings['tests'], signs: Findings['signs'] = {}) => assess({ tests, signs }, part)

describe('the tables', () => {
  test('the shares of each finish over a test’s results add to one', () => {
    for (const code of assessTestCodes) {
      const { results, shows } = getAssessTest(code)
      expect(Object.keys(shows)).toEqual(Object.keys(results))
      for (const finish of Object.keys(priors) as KnownFinish[]) {
        const sum = Object.values(shows).reduce((total, shown) => total + (shown[finish] ?? shown.other), 0)
        expect([code, finish, Math.abs(sum - 1) < 0.08]).toEqual([code, finish, true])
      }
    }
    for (const kind of ['wood', 'slick'] as const)
      expect(Object.values(priorsOf(kind)).reduce((sum, share) => sum + share, 0)).toBeCloseTo(1)
    for (const { wax, oil } of Object.values(overPriors)) expect(wax + oil).toBeLessThan(1)
  })
})

describe('what is on it', () => {
  test('nothing tested: not known, and wax is asked first', () => {
    const { existing, next, likely, polish } = after({})
    expect([existing, next, likely[0]?.finish, polish]).toEqual(['unknown', 'spirits', 'varnish', 'unknown'])
  })
  test('wax is asked before anything else, whatever was found already; then comes a look', () => {
    expect(after({ look: 'shiny-wood', alcohol: 'softens' }).next).toBe('spirits')
    expect(after({ spirits: 'smear' }).next).toBe('look')
  })
  test('polish over shellac is found besides the shellac', () => {
    const { existing, polish, risks } = after({ spirits: 'smear', look: 'shiny-wood', alcohol: 'softens' })
    expect([existing, polish]).toEqual(['shellac', 'wax'])
    expect(risks).toContain('wax-left')
  })
  test('wood under a shine that smears and that nothing else moves: what holds the wax is not known, the wax is', () => {
    const { existing, over } = after({ spirits: 'smear', look: 'shiny-wood', alcohol: 'nothing', thinner: 'nothing' })
    expect(['wax', 'varnish', 'unknown']).toContain(existing)
    expect(over.wax).toBeGreaterThan(0.85)
  })
  test('what alcohol leaves and lacquer thinner softens is lacquer; what neither moves is varnish', () => {
    const shiny = { spirits: 'clean', look: 'shiny-wood', alcohol: 'nothing' }
    expect(after({ ...shiny, thinner: 'softens' }).existing).toBe('lacquer')
    expect(after({ ...shiny, thinner: 'nothing' }).existing).toBe('varnish')
  })
  test('one clean cloth does not rule polish out on shellac: a wipe is still planned for', () => {
    expect(after({ spirits: 'clean', look: 'shiny-wood', alcohol: 'softens' })).toMatchObject({
      existing: 'shellac',
      polish: 'possible',
    })
  })
  test('colour that alcohol lifts is water-based paint', () => {
    expect(after({ spirits: 'clean', look: 'flat-colour', alcohol: 'colour' }).existing).toBe('water-paint')
  })
  test('flat colour that stains when wet is casein paint', () => {
    expect(after({ spirits: 'clean', look: 'flat-colour', alcohol: 'nothing', 'water-drop': 'stains' }).existing).toBe('casein')
  })
  test('wood without shine that drinks oil: stained by water it is bare, beading water it is oiled', () => {
    const dull = { spirits: 'clean', look: 'flat-wood', 'oil-drop': 'soaks', smell: 'nothing' }
    expect(after({ ...dull, 'water-drop': 'stains' }).existing).toBe('bare')
    expect(after({ ...dull, 'water-drop': 'beads' }).existing).toBe('oil')
  })
  test('oil that stays on the hand is wiped off, whatever it lies on', () => {
    const { polish, risks } = after({ spirits: 'clean', look: 'flat-wood', smell: 'oily', 'oil-drop': 'beads' })
    expect(['oil', 'possible']).toContain(polish)
    expect(risks).toContain('fresh-oil')
  })
  test('“I don’t know” changes nothing and is not asked again', () => {
    const { likely, next, existing } = after({ spirits: 'unknown' })
    expect([likely, existing]).toEqual([after({}).likely, 'unknown'])
    expect(next).toBe('look')
  })
  test('cloth knows none of the tests; plastic is spared alcohol and thinner', () => {
    const on = (substrate: 'fabric' | 'plastic') => assess({ tests: {}, signs: {} }, { ...part, substrate })
    expect(on('fabric')).toMatchObject({ next: null, likely: [], existing: 'unknown', risks: [] })
    expect(testsOn('plastic')).toEqual(['look', 'spirits', 'smell'])
    expect(signsOn('leather')).toEqual(['bleed', 'grip', 'mould'])
  })
})

describe('risks', () => {
  test('painted before about 1980 counts as lead until a test says otherwise', () => {
    expect(after({}, { age: 'old' })).toMatchObject({ lead: 'suspected', risks: expect.arrayContaining(['lead']) as unknown })
    expect(after({}, { age: 'unknown' }).lead).toBe('suspected')
    expect(after({}, { age: 'old', lead: 'none' }).lead).toBe('clear')
  })
  test('a thin sheet at the end grain makes it veneer', () => {
    expect(after({}, { veneer: 'veneer' })).toMatchObject({
      substrate: 'veneer',
      risks: expect.arrayContaining(['veneer']) as unknown,
    })
  })
  test('a patch that bled overnight bleeds; one that held does not', () => {
    expect(after({}, { bleed: 'bled' }).bleeds).toBe(true)
    expect(
      assess({ tests: {}, signs: { bleed: 'held' } }, { substrate: 'red-wood', existing: 'unknown', lead: 'clear' }).risks,
    ).not.toContain('bleed')
  })
  test('wax that is not ruled out stays a risk', () => {
    expect(after({ look: 'shiny-wood' }).risks).toContain('wax-left')
    expect(after({ look: 'flat-wood', spirits: 'clean', 'water-drop': 'stains', 'oil-drop': 'soaks' }).risks).not.toContain(
      'wax-left',
    )
  })
  test('a patch of paint that came off is kept on the part until one holds', () => {
    expect(after({}, { grip: 'peels' })).toMatchObject({ slips: true, risks: expect.arrayContaining(['slick']) as unknown })
    expect(assess({ tests: {}, signs: {} }, { ...part, slips: true }).slips).toBe(true)
    expect(assess({ tests: {}, signs: { grip: 'holds' } }, { ...part, slips: true }).slips).toBe(false)
  })
})

const anyTests: fc.Arbitrary<Findings['tests']> = fc
  .record(
    Object.fromEntries(
      assessTestCodes.map((code) => [
        code,
        fc.option(fc.constantFrom('unknown', ...Object.keys(assessTests[code].results)), { nil: undefined }),
      ]),
    ),
  )
  .map((tests) => Object.fromEntries(Object.entries(tests).filter(([, result]) => result !== undefined)))

/** What a test saves, less the trouble that it is. */
const saves = (test: AssessTestCode, tests: Findings['tests']) =>
  worthOf(test, tests, 'close-grained') - (getAssessTest(test).trouble ?? 0)

describe('any findings', () => {
  test('shares add to one, and the order of the tests does not matter', () => {
    fc.assert(
      fc.property(anyTests, (tests) => {
        const shares = sharesAfter(tests, 'close-grained')
        expect(shares.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1)
        sharesAfter(Object.fromEntries(Object.entries(tests).reverse()), 'close-grained').forEach((share, k) =>
          expect(share).toBeCloseTo(shares[k] ?? NaN, 10),
        )
        expect(shares).toHaveLength(states.length)
      }),
    )
  })
  test('what is worth asking is asked, and nothing twice', () => {
    fc.assert(
      fc.property(anyTests, (tests) => {
        const { next } = after(tests)
        if (next !== null) expect(tests[next]).toBeUndefined()
        if (next !== null && next !== 'spirits' && next !== 'look')
          for (const code of assessTestCodes)
            if (tests[code] === undefined) expect(saves(next, tests)).toBeGreaterThanOrEqual(saves(code, tests))
      }),
    )
  })
})
