/**
 * What each operation may be done with, and on: the families that it lays, the first the usual one, and the materials. Source: the
 * craft, sections on families, looks and sealing.
 */
import { type FamilyCode, familyCodes, getFamily } from './families'
import { getOperation, type OperationCode } from './operations'
import type { SubstrateKind } from './parts'

interface Takes {
  families?: readonly FamilyCode[]
  /** any but pile unless given */
  on?: readonly SubstrateKind[]
  /** mixed and laid on so, where nothing else is said */
  mix?: string
  applicator?: string
}
const hard: readonly SubstrateKind[] = ['wood', 'board', 'slick', 'cane']
const paints = familyCodes.filter((code) => getFamily(code).role === 'paint')
const chalky: readonly FamilyCode[] = ['chalk-style', 'chalk-mineral', 'clay', 'home-chalky']
/** What stays supple on cloth and leather. */
const supple: readonly FamilyCode[] = [
  'chalk-style',
  'chalk-mineral',
  'clay',
  'clear-wax',
  'dark-wax',
  'black-wax',
  'white-wax',
  'metallic-wax',
  'salve',
]

const brush = 'bristle brush'
const takes: Partial<Record<OperationCode, Takes>> = {
  strip: { on: ['wood', 'board', 'slick'] },
  knotting: { families: ['knotting'], on: ['wood'] },
  'block-prime': { families: ['blocking-primer'], on: hard },
  'adhesion-prime': { families: ['adhesion-primer', 'metal-primer'], on: hard },
  undercoat: { families: paints, on: hard, applicator: brush },
  coat: { families: paints, applicator: brush },
  'fabric-coat': {
    families: ['chalk-style', 'chalk-mineral', 'clay'],
    on: ['fabric'],
    mix: 'paint with 20 % water',
    applicator: 'synthetic brush',
  },
  'mist-fabric': { on: ['fabric'], applicator: 'mister' },
  'texture-coat': { families: [...chalky, 'latex'], on: hard, mix: 'paint : texture powder 2 : 1', applicator: 'old brush' },
  'knock-down': { on: hard },
  'crackle-medium': { families: ['crackle-medium'], on: hard, applicator: 'soft brush' },
  'crackle-coat': { families: [...chalky, 'latex'], on: hard, applicator: 'wide full brush' },
  resist: { families: ['resist'], on: hard, applicator: 'candle, soap or finger' },
  wash: { families: [...chalky, 'latex', 'casein', 'stain'], mix: 'paint : water 1 : 1', applicator: 'wide brush and cloths' },
  glaze: { families: ['glaze'], on: hard, mix: 'clear glaze : paint 4 : 1', applicator: 'brush and crumpled paper' },
  'dry-brush': { families: paints.filter((code) => code !== 'alkyd'), applicator: 'stencil brush, off-loaded on paper' },
  blend: {
    families: ['clay', 'chalk-mineral', 'chalk-style'],
    on: hard,
    mix: 'as it comes, the brush misted',
    applicator: 'two brushes and a mister',
  },
  'spray-runs': {
    families: ['chalk-style', 'chalk-mineral', 'clay'],
    on: hard,
    mix: 'paint : water 1 : 1',
    applicator: 'mister and damp cloth',
  },
  'seal-between': { families: ['water-clear', 'hard-clear'], on: hard, applicator: 'foam brush' },
  'wet-distress': { on: hard, applicator: 'damp cloth' },
  'dry-distress': { on: hard, applicator: 'abrasive by hand' },
  'scrape-distress': { on: ['wood', 'board'], applicator: 'blade, held flat' },
  'heat-gun': { on: ['wood', 'board', 'cane'] },
  'brush-off-flakes': { on: hard },
  'clear-coat': { families: ['water-clear', 'hard-clear'], on: hard, applicator: 'foam brush' },
  'clear-wax': { families: ['clear-wax'], applicator: 'wax brush' },
  'tinted-wax': { families: ['dark-wax', 'black-wax', 'white-wax'], applicator: 'wax brush, off-loaded on card' },
  'metallic-wax': { families: ['metallic-wax'], applicator: 'finger' },
  oil: { families: ['drying-oil', 'oil-wax'], on: ['wood', 'board', 'cane'], applicator: 'fine pad' },
  salve: { families: ['salve'], on: ['wood', 'board', 'cane', 'leather'] },
}

/** The families that an operation lays here, the usual one first; empty where it lays none. */
export function familiesFor(operation: OperationCode, kind: SubstrateKind): readonly FamilyCode[] {
  const all = takes[operation]?.families ?? []
  const soft = (kind === 'fabric' || kind === 'leather') && getOperation(operation).layer !== undefined
  return soft ? all.filter((code) => supple.includes(code)) : all
}
/** Whether it can be done on this material at all. */
export const canBeOn = (operation: OperationCode, kind: SubstrateKind): boolean =>
  kind !== 'pile' && (takes[operation]?.on?.includes(kind) ?? true)
/** The families of an operation, whatever it is done on. */
export const allFamiliesFor = (operation: OperationCode): readonly FamilyCode[] => takes[operation]?.families ?? []
/** How an operation is worked where nothing else is said: stain goes on as it comes. */
export const usualWay = (operation: OperationCode, family: FamilyCode | undefined): Pick<Takes, 'mix' | 'applicator'> => {
  const { mix: usual, applicator } = takes[operation] ?? {}
  const mix = family === 'stain' ? undefined : family === 'casein' && usual !== undefined ? 'powder : water 1 : 2' : usual
  return { ...(mix !== undefined && { mix }), ...(applicator !== undefined && { applicator }) }
}
/** What an operation is laid with where nothing else is said: the finish's own paint, where it takes it. */
export function usualFamily(operation: OperationCode, paint: FamilyCode): FamilyCode | undefined {
  const families = allFamiliesFor(operation)
  return families.includes(paint) ? paint : families[0]
}
