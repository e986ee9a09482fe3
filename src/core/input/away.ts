/** What is written away from the bench and kept by a device like it: at the kerb, in the shop. */
import type * as z from 'zod'
import { codesOf } from '@/core/craft/parts'
import type { EntryId, Instant } from '@/core/measure/named'
import { bidInput } from './bid'
import { purchaseInput } from './house'
import { intakeInput } from './piece'

/** No entries of a log. */
export const awayWrites = { takeIn: intakeInput, keepBid: bidInput, buyTins: purchaseInput }
export type AwayAction = keyof typeof awayWrites
/** Beside what is typed, what a device keeps every writing by. */
export type AwayText<A extends AwayAction> = z.input<ReturnType<(typeof awayWrites)[A]>> & {
  entryId: EntryId
  at: Instant
}
export const awayActions = codesOf(awayWrites)
