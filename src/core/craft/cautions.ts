/**
 * Where work can hurt somebody: what is said before a step for what it is done with, beside what the operation itself asks for.
 * The words stand beside the interface. Source: the craft, on harm; labels, local codes and licensed practice go first.
 */
import type { FamilyCode } from './families'

export const cautionCodes = ['dust', 'powder', 'mist', 'solvent', 'rags', 'blade', 'heat', 'lifting', 'lead'] as const
export type CautionCode = (typeof cautionCodes)[number]

/** What a product asks for wherever it is laid. */
export const familyCautions: Partial<Record<FamilyCode, readonly CautionCode[]>> = {
  alkyd: ['solvent', 'rags'],
  'metal-primer': ['solvent', 'rags'],
  'drying-oil': ['rags'],
  'oil-wax': ['rags'],
}
/** What is mixed dry is breathed in while it is mixed. */
const mixed: readonly [RegExp, CautionCode][] = [[/powder|plaster|\bsand\b/i, 'powder']]
/** What is laid through the air hangs in it. */
const applied: readonly [RegExp, CautionCode][] = [[/\bspray(er|ed)?\b|\bgun\b/i, 'mist']]

const read = (text: string | undefined, table: readonly [RegExp, CautionCode][]): CautionCode[] =>
  table.flatMap(([like, code]) => (text && like.test(text) ? [code] : []))

/** What product, mix and tool of a step ask to be said. */
export function materialCautions(step: {
  family?: FamilyCode | undefined
  mix?: string | undefined
  applicator?: string | undefined
}): readonly CautionCode[] {
  const own = step.family ? (familyCautions[step.family] ?? []) : []
  return [...own, ...read(step.mix, mixed), ...read(step.applicator, applied)]
}
