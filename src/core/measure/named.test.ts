import { expectTypeOf, test } from 'vitest'
import type { Day, EntryId, Instant, LotId, PartId, PieceId, ProductId, StepId, WallTime } from './named'
import { dayOf, instantOf, wallTimeOf } from './time'

test('what names one thing may not name another; what was just typed may become any of them', () => {
  expectTypeOf<PieceId>().not.toExtend<PartId>()
  expectTypeOf<StepId>().not.toExtend<EntryId>()
  expectTypeOf<ProductId>().not.toExtend<LotId>()
  expectTypeOf<Day>().not.toExtend<Instant>()
  expectTypeOf<WallTime>().not.toExtend<Instant>()
  expectTypeOf<Instant>().not.toExtend<Day>()
  expectTypeOf<string>().toExtend<PieceId>()
})
test('the three kinds of time come apart where they are made', () => {
  expectTypeOf(dayOf).returns.toEqualTypeOf<Day>()
  expectTypeOf(wallTimeOf).returns.toEqualTypeOf<WallTime>()
  expectTypeOf(instantOf).returns.toEqualTypeOf<Instant | null>()
})
