/**
 * How much a finish shines, from dead flat to gloss. The last coat decides it. What a family can be had in is the craft's where it
 * says so (clears, all-in-one, wax), and practice's for the paints that it does not speak of.
 */
import type { FamilyCode } from './families'

/** From the dullest up. */
export const sheens = { flat: 'dead flat', matt: 'matt', satin: 'satin', gloss: 'gloss' } as const
export type Sheen = keyof typeof sheens
export const sheenCodes = Object.keys(sheens) as [Sheen, ...Sheen[]]

const flat = ['flat'] as const
const satin = ['satin'] as const
/** By family, the usual one first. Where there are several, the tin says which; where there is one, the work gives it: wax is buffed. */
const had: Partial<Record<FamilyCode, readonly [Sheen, ...Sheen[]]>> = {
  clay: flat,
  'chalk-style': flat,
  casein: flat,
  'home-chalky': flat,
  stain: flat,
  'chalk-mineral': ['matt'],
  'all-in-one': ['matt', 'satin'],
  latex: ['satin', 'matt', 'gloss'],
  alkyd: ['gloss', 'satin', 'matt'],
  'water-clear': ['matt', 'flat', 'satin', 'gloss'],
  'hard-clear': ['satin', 'matt', 'gloss'],
  'clear-wax': satin,
  'dark-wax': satin,
  'black-wax': satin,
  'white-wax': satin,
  'drying-oil': ['matt'],
  'oil-wax': satin,
  salve: ['matt'],
}

/** What a family that may lie last can be had in, its usual one first; none for what never does. */
export const sheensOf = (family: FamilyCode): readonly Sheen[] => had[family] ?? []
/** Whether it is sold in several, so that its tin says which it is. */
export const saidByTin = (family: FamilyCode): boolean => sheensOf(family).length > 1

/** Whether a tin serves where a sheen is wanted: it says that one, or none. */
export const shines = ({ sheen }: { sheen?: Sheen | null | undefined }, wanted: Sheen | null | undefined): boolean =>
  !wanted || (sheen ?? wanted) === wanted

/** The one nearest to what is wanted, the duller of two as near; null of none. */
export function nearestSheen(wanted: Sheen, of: readonly Sheen[]): Sheen | null {
  const at = (sheen: Sheen) => sheenCodes.indexOf(sheen)
  const off = (sheen: Sheen) => Math.abs(at(sheen) - at(wanted))
  return [...of].sort((one, other) => off(one) - off(other) || at(one) - at(other))[0] ?? null
}
