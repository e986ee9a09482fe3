import { describe, expect, test } from 'vitest'
import { calibrate, coatVolumes, drawFromLots, mixBatch, priceFor, surfaceArea, windowFor } from '@/core'
import calibrateCases from './calibrate.json'
import coatVolumesCases from './coatVolumes.json'
import drawFromLotsCases from './drawFromLots.json'
import mixBatchCases from './mixBatch.json'
import priceForCases from './priceFor.json'
import surfaceAreaCases from './surfaceArea.json'
import windowForCases from './windowFor.json'

interface Worked {
  name: string
  input: unknown
  expect: Record<string, unknown> & { error?: boolean }
}
const functions = { calibrate, coatVolumes, drawFromLots, mixBatch, priceFor, surfaceArea, windowFor } as unknown as Record<
  string,
  (input: unknown) => Record<string, unknown>
>
/** Figures where a millionth either way is allowed: everything but money and instants. */
const measured = new Set(['area', 'ml', 'total', 'p50', 'p80', 'amount', 'shortBy'])

function agree(field: string, actual: unknown, wanted: unknown) {
  if (Array.isArray(wanted)) {
    expect(actual).toHaveLength(wanted.length)
    wanted.forEach((each, k) => agree(field, (actual as unknown[])[k], each))
  } else if (measured.has(field) && typeof wanted === 'number') {
    expect(Math.abs((actual as number) - wanted)).toBeLessThanOrEqual(Math.abs(wanted) * 1e-6)
  } else if (typeof wanted === 'object' && wanted !== null) {
    for (const [name, value] of Object.entries(wanted)) agree(name, (actual as Record<string, unknown>)[name], value)
  } else expect(actual).toEqual(wanted)
}

const files = [
  calibrateCases,
  coatVolumesCases,
  drawFromLotsCases,
  mixBatchCases,
  priceForCases,
  surfaceAreaCases,
  windowForCases,
]
for (const file of files) {
  describe(`worked cases of ${file.function}`, () => {
    test.each(file.cases as unknown as Worked[])('$name', ({ input, expect: wanted }) => {
      const run = functions[file.function]
      if (!run) throw new Error(`no function ${file.function}`)
      if (wanted.error) return void expect(() => run(input)).toThrow()
      const actual = run(input)
      for (const [field, value] of Object.entries(wanted)) agree(field, actual[field], value)
    })
  })
}
