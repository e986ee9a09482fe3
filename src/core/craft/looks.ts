/**
 * Looks as recipes: each a list of steps over operations, which the planner puts on a part; looks combine, phase by phase.
 * Source: the craft, section on looks. A look is added to one of the tables beside this file, and nowhere else.
 */
import { effectLooks } from '@/core/craft/looks/effects'
import { layeredLooks } from '@/core/craft/looks/layered'
import { hard } from '@/core/craft/looks/lines'
import type { Look } from '@/core/craft/looks/look'
import { materialLooks } from '@/core/craft/looks/materials'
import { overLooks } from '@/core/craft/looks/over'
import type { FamilyCode } from './families'
import type { SubstrateKind } from './parts'

export type { Look } from '@/core/craft/looks/look'
export const looks = { ...layeredLooks, ...effectLooks, ...materialLooks, ...overLooks } as const

export type LookCode = keyof typeof looks
export const lookCodes = Object.keys(looks) as [LookCode, ...LookCode[]]
export const addOnCodes = lookCodes.filter((code) => getLook(code).addOn)
export function getLook(code: LookCode): Look {
  return looks[code]
}
export const materialsOf = (look: Look): readonly SubstrateKind[] => look.on ?? hard

/** The paint as a look takes it. */
export const paintFor = (look: LookCode, paint: FamilyCode): FamilyCode => {
  const { paints } = getLook(look)
  return paints.includes(paint) ? paint : (paints[0] ?? 'chalk-style')
}
