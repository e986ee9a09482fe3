import { describe, expect, test } from 'vitest'
import { coatVolumes, priceFor, surfaceArea, windowFor } from '@/core'
import coatVolumesCases from './coatVolumes.json'
import priceForCases from './priceFor.json'
import surfaceAreaCases from './surfaceArea.json'
import windowForCases from './windowFor.json'

interface Worked {
  name: string
  input: unknown
  expect: Record<string, unknown> & { error?: boolean }
}
const functions = { coatVolumes, priceFor, surfaceArea, windowFor } as unknown as Record<
  string,
  (input: unknown) => Record<string, unknown>
>
/** Figures where a millionth either way is allowed: everything but money and instants. */
const measured = new Set(['area', 'ml', 'total'])

function agree(field: string, actual: unknown, wanted: unknown) {
  if (Array.isArray(wanted)) {
    expect(actual).toHaveLength(wanted.length)
    wanted.forEach((each, k) => agree(field, (actual as unknown[])[k], each))
  } else if (measured.has(field) && typeof wanted === 'number') {
    expect(Math.abs((actual as number) - wanted)).toBeLessThanOrEqual(Math.abs(wanted) * 1e-6)
  } else expect(actual).toEqual(wanted)
}

for (const file of [coatVolumesCases, priceForCases, surfaceAreaCases, windowForCases]) {
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
