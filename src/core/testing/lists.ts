/** Any list of touches that a painter might put together, for tests: sensible and senseless alike. */
import fc from 'fast-check'
import { familyCodes } from '@/core/craft/families'
import { laysColour, type OperationCode } from '@/core/craft/operations'
import { codesOf, existingFinishes, substrates, uses } from '@/core/craft/parts'
import { allFamiliesFor } from '@/core/craft/takes'
import { type Place, places, type Touch } from '@/core/finish/touch'
import { touchOperations } from '@/core/finish/touchList'
import type { FinishablePart } from '@/core/finish/wish'

const hexes = ['#3d5661', '#f1ece0', '#9a4b35', '#2c2f33', '#d9b25f', '#7fa3a0'] as const
/** What lays colour, and what is done between and after. */
const laying = touchOperations.filter(laysColour)
const others = [...touchOperations.filter((code) => !laysColour(code)), 'sand'] as const
const where = fc.option(
  fc.record({
    places: fc.option(fc.subarray<Place>([...places], { minLength: 1 }), { nil: undefined }),
    share: fc.option(fc.constantFrom(0.3, 0.6, 1), { nil: undefined }),
  }),
  { nil: undefined, freq: 2 },
)
const familyFor = (operation: OperationCode) => {
  const known = allFamiliesFor(operation)
  if (known.length === 0) return fc.constant(undefined)
  // seldom one that it does not take
  return fc.oneof({ weight: 12, arbitrary: fc.constantFrom(...known) }, { weight: 1, arbitrary: fc.constantFrom(...familyCodes) })
}
const touch = fc
  .oneof(
    { weight: 3, arbitrary: fc.constantFrom<OperationCode>(...laying) },
    { weight: 2, arbitrary: fc.constantFrom<OperationCode>(...others) },
  )
  .chain((operation) =>
    fc.record({
      operation: fc.constant(operation),
      family: familyFor(operation),
      colour: laysColour(operation)
        ? fc.constantFrom(...hexes).map((hex) => ({ name: `Colour ${hex}`, hex }))
        : fc.constant(undefined),
      where,
      film: fc.option(fc.constantFrom('thin' as const, 'normal' as const), { nil: undefined }),
      repeat: fc.constantFrom<Touch['repeat'][]>(undefined, 1, 2, 'as-it-covers'),
      keepApart: fc.boolean(),
    }),
  )

export const anyList: fc.Arbitrary<Touch[]> = fc.array(touch, { minLength: 1, maxLength: 7 }).map((list) =>
  list.map((each, k): Touch => ({
    ...each,
    id: `t${k}`,
    by: 'painter',
    ...(each.operation === 'wash' && each.family !== 'stain' && { mix: 'paint : water 1 : 1' }),
  })),
)
export const anyPart: fc.Arbitrary<FinishablePart> = fc.record({
  substrate: fc.constantFrom(...codesOf(substrates)),
  existing: fc.constantFrom(...codesOf(existingFinishes)),
  lead: fc.constantFrom('unlikely' as const, 'unlikely' as const, 'suspected' as const),
  use: fc.constantFrom(...codesOf(uses)),
  areaM2: fc.constantFrom(0.4, 1.2, 3),
})
