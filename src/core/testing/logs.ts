/** Any log that a part might have: right work, wrong work, work begun and left, for tests. */
import fc from 'fast-check'
import { familyCodes } from '@/core/craft/families'
import { getOperation, laysColour, type OperationCode, operations } from '@/core/craft/operations'
import { codesOf } from '@/core/craft/parts'
import { allFamiliesFor } from '@/core/craft/takes'
import type { Act } from '@/core/stack/surface'

const hexes = ['#3d5661', '#f1ece0', '#9a4b35', '#2c2f33'] as const
const worked = codesOf(operations).filter((code) => !['rest', 'cure', 'upholster', 'hardware', 'photograph'].includes(code))

/** What was done, in whatever order. */
const act = (operation: OperationCode): fc.Arbitrary<Act> => {
  const known = allFamiliesFor(operation)
  const { layer, check, cautions } = getOperation(operation)
  const family = known.length > 0 ? fc.constantFrom(...known) : layer ? fc.constantFrom(...familyCodes) : fc.constant(null)
  return fc.record({
    operation: fc.constant(operation),
    family,
    colour: laysColour(operation) ? fc.constantFrom(...hexes).map((hex) => ({ name: `Colour ${hex}`, hex })) : fc.constant(null),
    mix: fc.constant(null),
    grit: fc.constantFrom(null, '220', 'wet, 320'),
    film: fc.constantFrom('thin' as const, 'normal' as const, 'heavy' as const),
    check: fc.constant(check ?? null),
    cautions: fc.constant(cautions ?? []),
  })
}
export const anyLog: fc.Arbitrary<Act[]> = fc.array(fc.constantFrom(...worked).chain(act), { maxLength: 12 })
