import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { coatVolumes } from './coatVolumes'
import type { Film } from './film'

const film = fc.constantFrom<Film>('thin', 'normal', 'heavy')
const area = fc.double({ min: 0.01, max: 60, noNaN: true })
const coverage = fc.double({ min: 2, max: 40, noNaN: true })

describe('what coats take', () => {
  test('2 m² at 10 m²/l: 200 ml, then 120 ml', () => {
    expect(coatVolumes({ area: 2, coverage: 10, coats: ['normal', 'normal'] }).ml).toEqual([200, 120])
  })
  test('a heavy first coat with a tenth lost: 440 ml', () => {
    expect(coatVolumes({ area: 2, coverage: 10, coats: ['heavy'], waste: 0.1 }).total).toBeCloseTo(440, 9)
  })
  test('a coverage of nothing is refused and quoted', () => {
    expect(() => coatVolumes({ area: 2, coverage: 0, coats: ['thin'] })).toThrow('got 0')
  })
  test('the total is the sum, a coat more never takes less, and a later coat never more than the first of its film', () => {
    fc.assert(
      fc.property(area, coverage, fc.array(film, { minLength: 1, maxLength: 6 }), film, (m2, spread, coats, more) => {
        const some = coatVolumes({ area: m2, coverage: spread, coats })
        const longer = coatVolumes({ area: m2, coverage: spread, coats: [...coats, more] })
        expect(some.ml.reduce((sum, ml) => sum + ml, 0)).toBeCloseTo(some.total, 6)
        expect(longer.total).toBeGreaterThan(some.total)
        const alone = coatVolumes({ area: m2, coverage: spread, coats: [more] }).total
        expect(longer.ml.at(-1)).toBeLessThanOrEqual(alone)
      }),
    )
  })
})
