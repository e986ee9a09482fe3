/** How much coats take here, against what was planned, by product family. Ratios without unit; pure. */
import type { FamilyCode } from '@/core/craft/families'
import type { Take } from '@/core/stock/buy'
import { calibrate, scatterOf } from './calibrate'

export interface Taken {
  family: FamilyCode
  planned: number
  actual: number
}
/** how far a single coat comes to lie off its plan before anything was seen, in logarithms. Practice. */
const usualScatter = 0.2
export type Takes = Partial<Record<FamilyCode, Take & { count: number }>>

export function takesBy(all: readonly Taken[]): Takes {
  const ratios = new Map<FamilyCode, number[]>()
  for (const { family, planned, actual } of all)
    if (planned > 0 && actual > 0) ratios.set(family, [...(ratios.get(family) ?? []), actual / planned])
  return Object.fromEntries(
    [...ratios].map(([family, own]) => {
      const found = calibrate({ ratios: own })
      return [family, { factor: found.p50, scatter: scatterOf(found), count: found.count }]
    }),
  )
}
export const takeOf = (takes: Takes, family: FamilyCode): Take => takes[family] ?? { factor: 1, scatter: usualScatter }
