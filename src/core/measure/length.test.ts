import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import type { Measuring } from '@/core/measure/units'
import { formatArea, formatLength, lengthText, parseLength } from './length'

const metric: Measuring = { units: 'metric', locale: 'en-GB' }
const imperial: Measuring = { units: 'imperial', locale: 'en-GB' }

describe('lengths as they are typed', () => {
  test.each([
    ['82', 'metric', 820],
    ['82,5 cm', 'metric', 825],
    ['825 mm', 'metric', 825],
    ['1 m 20 cm', 'metric', 1200],
    ['32 1/2', 'imperial', 825.5],
    ['32½', 'imperial', 825.5],
    ['2 ft 8 1/2 in', 'imperial', 825.5],
    ['5′ 3½″', 'imperial', 1612.9],
    ['3/4', 'imperial', 19.05],
    ['32 in', 'metric', 812.8],
    ['1,200 mm', 'metric', 1200],
  ] as const)('%s (%s) is %d mm', (text, units, mm) => {
    expect(parseLength(text, { units, locale: 'en-GB' })).toBeCloseTo(mm, 6)
  })
  test.each(['', 'wide', '0', '-4', '1/0', '20 m', '8 parsecs'])('“%s” is none', (text) => {
    expect(parseLength(text, metric)).toBeNull()
  })
  test('a mark that is not the country’s own parts thousands', () => {
    expect(parseLength('1.200 mm', { units: 'metric', locale: 'de-DE' })).toBe(1200)
    expect(parseLength('82,5', { units: 'metric', locale: 'de-DE' })).toBe(825)
    expect(parseLength('1.2 m', { units: 'metric', locale: 'de-DE' })).toBe(1200)
  })
  test('what is written in cm is read back to the tenth', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 9999 }), (mm) => {
        expect(parseLength(lengthText(mm, metric), metric)).toBeCloseTo(mm, 6)
      }),
    )
  })
  test('what is written in eighths is read back to the eighth', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 3000 }), (eighths) => {
        const mm = (eighths * 25.4) / 8
        expect(parseLength(formatLength(mm, imperial), imperial)).toBeCloseTo(mm, 6)
      }),
    )
  })
  test('areas in the house’s units, as its country writes them', () => {
    expect([formatArea(1.236, metric), formatArea(1, imperial)]).toEqual(['1.24 m²', '10.8 sq ft'])
    expect([formatArea(1.236, { ...metric, locale: 'de-DE' }), formatLength(825, { ...metric, locale: 'fr-FR' })]).toEqual([
      '1,24 m²',
      '82,5 cm',
    ])
  })
})
