/** What may be entered about what stands on the shelf: counted, or brought in as a table. */
import * as z from 'zod'
import { codesOf } from '@/core/craft/parts'
import { countReasons } from '@/core/stock/count'
import { amountHint, type House, id, instant, readAmount } from './fields'

/** Tins counted on one walk along the shelf. What is found is no more than the tin holds. */
export const countInput = (house: House) =>
  z.object({
    entryId: id,
    at: instant,
    reason: z.enum(codesOf(countReasons)),
    tins: z
      .array(
        z.object({ id, lotId: id, unit: z.enum(['ml', 'g']), found: z.string() }).transform((typed, context) => {
          const found = readAmount(typed.found, typed.unit, house, 0)
          if (found !== null) return { ...typed, found }
          context.addIssue({ code: 'custom', path: ['found'], message: amountHint(typed.unit, house) })
          return z.NEVER
        }),
      )
      .min(1, 'Count at least one tin.')
      .max(200, 'Count at most 200 tins at a time.'),
  })
export type CountText = z.input<ReturnType<typeof countInput>>
