/** What may be entered of a measured face. */
import * as z from 'zod'
import { codesOf } from '@/core/craft/parts'
import { reliefs } from '@/core/measure/surfaceArea'
import { figure, type House, id, length } from './fields'

export const wholeCount = (what: string, high: number, low = 1) =>
  figure(what, low, high).refine((n) => Number.isInteger(n), 'A whole number.')

export const surface = (house: House) => {
  const common = { id, count: wholeCount('how many', 999), relief: z.enum(codesOf(reliefs)) }
  const mm = length(house)
  return z.discriminatedUnion('shape', [
    z.object({ ...common, shape: z.literal('panel'), width: mm, height: mm }),
    z.object({ ...common, shape: z.literal('squareLeg'), width: mm, length: mm }),
    z.object({ ...common, shape: z.literal('taperedLeg'), top: mm, foot: mm, length: mm }),
    z.object({ ...common, shape: z.literal('roundLeg'), diameter: mm, length: mm }),
    z.object({ ...common, shape: z.literal('turnedLeg'), diameter: mm, length: mm }),
  ])
}
