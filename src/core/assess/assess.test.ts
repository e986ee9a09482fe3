import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { assess, type Findings, sharesAfter, tellsBits } from './assess'
import { assessTestCodes, assessTests, getAssessTest, type KnownFinish, priors } from './tests'

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
    expect(Object.values(priors).reduce((sum, share) => sum + share, 0)).toBeCloseTo(1)
  })
})

describe('what is on it', () => {
  test('nothing tested: not known, and the first look tells most', () => {
    const { existing, next, likely } = after({})
    expect([existing, next, likely[0]?.finish]).toEqual(['unknown', 'look', 'varnish'])
  })
  test('wood under a shine that a drop of spirits smears is wax', () => {
    expect(after({ look: 'shiny-wood', spirits: 'smear' }).existing).toBe('wax')
  })
  test('wood under a shine that alcohol softens is shellac', () => {
    expect(after({ look: 'shiny-wood', alcohol: 'softens' }).existing).toBe('shellac')
  })
  test('what alcohol leaves and lacquer thinner softens is lacquer; what neither moves is varnish', () => {
    const shiny = { look: 'shiny-wood', spirits: 'clean', alcohol: 'nothing' }
    expect(after({ ...shiny, thinner: 'softens' }).existing).toBe('lacquer')
    expect(after({ ...shiny, thinner: 'nothing', 'oil-drop': 'beads' }).existing).toBe('varnish')
  })
  test('colour that alcohol lifts is water-based paint', () => {
    expect(after({ look: 'flat-colour', alcohol: 'colour' }).existing).toBe('water-paint')
  })
  test('flat colour that stains when wet is casein paint', () => {
    expect(after({ look: 'flat-colour', alcohol: 'nothing', 'water-drop': 'stains' }).existing).toBe('casein')
  })
  test('wood without shine that drinks oil and stains with water is bare', () => {
    expect(after({ look: 'flat-wood', 'oil-drop': 'soaks', 'water-drop': 'stains' }).existing).toBe('bare')
  })
  test('two tests out of seven are enough for shellac: nothing more is asked', () => {
    expect(after({ look: 'shiny-wood', alcohol: 'softens' }).next).toBeNull()
  })
  test('“I don’t know” changes nothing and is not asked again', () => {
    const { likely, next } = after({ look: 'unknown' })
    expect(likely).toEqual(after({}).likely)
    expect(next).not.toBe('look')
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
    expect(after({ look: 'shiny-wood', spirits: 'clean' }).risks).not.toContain('wax-left')
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

describe('any findings', () => {
  test('shares add to one, and the order of the tests does not matter', () => {
    fc.assert(
      fc.property(anyTests, (tests) => {
        const shares = sharesAfter(tests)
        expect([...shares.values()].reduce((sum, share) => sum + share, 0)).toBeCloseTo(1)
        const backwards = sharesAfter(Object.fromEntries(Object.entries(tests).reverse()))
        for (const [finish, share] of shares) expect(backwards.get(finish)).toBeCloseTo(share, 10)
      }),
    )
  })
  test('no test is expected to make it less sure', () => {
    fc.assert(
      fc.property(anyTests, (tests) => {
        for (const code of assessTestCodes) if (tests[code] === undefined) expect(tellsBits(code, tests)).toBeGreaterThan(-0.08)
      }),
    )
  })
})
