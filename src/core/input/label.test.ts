import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import type { Product } from '@/core/stock/product'
import { coverageUnit, labelInput, labelText, readLabels, readTimes, shareLabels, timesText } from './label'

const house = { units: 'metric', locale: 'en-GB', currency: 'GBP', zone: 'Europe/London' } as const
const german = { ...house, locale: 'de-DE' } as const
const american = { ...house, units: 'us', locale: 'en-US' } as const
const productId = '0190b2a0-0000-7000-8000-000000000001'
const product = (name: string, over: Partial<Product> = {}): Product => ({
  ...{ id: productId, name, family: 'clay', colourName: null, colourHex: null, size: 500, unit: 'ml', price: 2000 },
  ...over,
})
const typed = (over: object, as: Parameters<typeof labelInput>[0] = house) =>
  labelInput(as).safeParse({
    labels: [{ productId, unit: 'ml', touchDry: '', recoat: '', cure: '', coverage: '', ...over }],
  })

describe('a label as it is typed', () => {
  test('times in any of the usual ways', () => {
    expect(readTimes('30 min', 1, house)).toEqual([30, 30])
    expect(readTimes('30-60', 1, house)).toEqual([30, 60])
    expect(readTimes('1 – 2 h', 1, house)).toEqual([60, 120])
    expect(readTimes('1.5 hours', 1, house)).toEqual([90, 90])
    expect(readTimes('1,5 h', 1, german)).toEqual([90, 90])
    expect(readTimes('2', 60, house)).toEqual([120, 120])
    expect(readTimes('21 to 30 days', 60, house)).toEqual([21 * 1440, 30 * 1440])
    for (const no of ['', 'soon', '2 weeks', '60-30 min', '0 min', '0.3 min', '-3 h', '1-2-3 h'])
      expect(readTimes(no, 60, house)).toBeNull()
  })
  test('what is empty is as its family, and nothing said is no label', () => {
    expect(typed({}).data?.labels).toEqual([{ productId, label: null }])
    expect(typed({ recoat: '4 h', cure: '14', coverage: '12–14' }).data?.labels[0]?.label).toEqual({
      ...{ recoat: [240, 240], cureDays: [14, 14], coverage: [12, 14] },
    })
  })
  test('what can’t be meant is said with what to write', () => {
    const said = (over: object) => typed(over).error?.issues.map(({ message }) => message)
    expect(said({ touchDry: 'soon' })).toEqual(['Write a time like 30 min or 1–2 h, or leave it empty.'])
    expect(said({ recoat: '40 days' })).toEqual(['Write a time like 2 h or 30–60 min, or leave it empty.'])
    expect(said({ cure: '2 h' })).toEqual(['Write days, like 21 or 21–30, or leave it empty.'])
    expect(said({ coverage: '0.01' })).toEqual(['Write how many m² a litre, like 10–13, or leave it empty.'])
    expect(said({ coverage: 'far' })).toEqual(['Write how many m² a litre, like 10–13, or leave it empty.'])
  })
  test('in square feet a quart where that is how one measures: 10 m² a litre are 101.9', () => {
    expect(coverageUnit('ml', american).words).toBe('sq ft a quart')
    const text = labelText(product('x', { label: { coverage: [10, 10] } }), american)
    expect(text.coverage).toBe('101.9')
    expect(typed(text, american).data?.labels[0]?.label?.coverage?.[0]).toBeCloseTo(10, 2)
  })
  test('typed again as it is shown, it is the same', () => {
    const range = (most: number) =>
      fc
        .tuple(fc.integer({ min: 1, max: most }), fc.integer({ min: 0, max: most }))
        .map(([low, more]) => [low, Math.min(most, low + more)] as const)
    fc.assert(
      fc.property(
        range(2000),
        range(10_000),
        range(300),
        range(300),
        fc.constantFrom(house, german),
        (touchDry, recoat, cureDays, coverage, as) => {
          const label = { touchDry, recoat, cureDays, coverage }
          expect(typed(labelText(product('x', { label }), as), as).data?.labels[0]?.label).toEqual(label)
          expect(readTimes(timesText(recoat, as), 1, as)).toEqual([...recoat])
        },
      ),
    )
  })
})

describe('labels that are shared', () => {
  const slate = product('Clay paint, Ferry Slate', { label: { recoat: [90, 120], coverage: [9, 11] } })
  const oat = product('Clay paint, Oat Husk', { id: '0190b2a0-0000-7000-8000-000000000002' })
  const text = JSON.stringify(shareLabels([slate, oat]))
  test('say their units, and are found by name, else as another colour of the line', () => {
    expect(JSON.parse(text)).toEqual({
      ...{ what: 'labels of products', version: 1 },
      labels: [{ name: 'Clay paint, Ferry Slate', family: 'clay', recoatMinutes: [90, 120], coverageM2: [9, 11] }],
    })
    const read = readLabels(text, [
      product('clay paint, ferry slate'),
      oat,
      product('Clay paint, Oat Husk', { family: 'casein' }),
    ])
    expect('found' in read && read.found.map(({ product: { name }, by, label }) => [name, by, label])).toEqual([
      ['clay paint, ferry slate', 'name', { recoat: [90, 120], coverage: [9, 11] }],
      ['Clay paint, Oat Husk', 'line', { recoat: [90, 120], coverage: [9, 11] }],
    ])
    expect(readLabels(text, [product('Quince varnish')])).toEqual({ found: [], unknown: ['Clay paint, Ferry Slate'] })
  })
  test('what is damaged is told, whatever it is', () => {
    expect(readLabels('name;family', [oat])).toEqual({ trouble: 'This is no JSON. Choose the file as it was shared.' })
    for (const bad of [
      '{}',
      '[]',
      'null',
      text.replace('[90,120]', '[120,90]'),
      text.replace('"clay"', '"lead"'),
      text.replace('1,', '2,'),
    ])
      expect(readLabels(bad, [oat])).toHaveProperty('trouble')
    // what could be shared and not be kept is no label
    for (const bad of ['"cureDays":[0.5,1],', '"touchDryMinutes":[0.2,1],'])
      expect(readLabels(text.replace('"recoatMinutes"', `${bad}"recoatMinutes"`), [oat])).toHaveProperty('trouble')
    fc.assert(
      fc.property(fc.json(), (any) => {
        expect(readLabels(any, [oat])).toHaveProperty('trouble')
      }),
    )
  })
})
