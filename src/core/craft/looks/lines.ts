/** Lines and lists that several looks are made of. */
import type { FamilyCode } from '@/core/craft/families'
import type { SubstrateKind } from '@/core/craft/parts'
import type { RecipeLine, Slot } from '@/core/craft/recipe'

export const hard: readonly SubstrateKind[] = ['wood', 'board', 'slick', 'cane']
export const chalky: readonly FamilyCode[] = ['clay', 'chalk-style', 'chalk-mineral', 'casein', 'home-chalky']
export const rewetting: readonly FamilyCode[] = ['clay', 'casein']
export const thinnable: readonly FamilyCode[] = ['clay', 'chalk-style', 'chalk-mineral']
export const covering: readonly FamilyCode[] = [
  'clay',
  'chalk-style',
  'chalk-mineral',
  'all-in-one',
  'casein',
  'latex',
  'home-chalky',
  'alkyd',
]

export const smoothing: RecipeLine = {
  phase: 'base',
  operation: 'smooth',
  grit: '220',
  reason: 'smooth-between',
  optional: true,
  school: { between: ['smooth'] },
}
export const smoothBase: RecipeLine = {
  phase: 'base',
  operation: 'coat',
  times: 'by-colour',
  paint: 'a',
  applicator: 'synthetic brush',
  reason: 'cover',
  between: [smoothing],
}
/** A base under an effect: what covers, brushed as it comes. */
export const base: RecipeLine = { ...smoothBase, applicator: 'bristle brush', between: [] }
/** Worn back by the house's school: damp where water still moves the paint, else by hand or sander. */
const byHand = { phase: 'wear', operation: 'dry-distress', grit: '220', applicator: 'abrasive by hand' } as const
export const wornBack = (reason: RecipeLine['reason']): RecipeLine[] => [
  {
    phase: 'wear',
    operation: 'wet-distress',
    onlyFor: rewetting,
    school: { distress: ['damp'] },
    applicator: 'damp cloth',
    reason,
  },
  { phase: 'wear', operation: 'scrape-distress', school: { distress: ['blade'] }, applicator: 'blade, held flat', reason },
  { ...byHand, onlyFor: rewetting, school: { distress: ['hand'] }, reason },
  { ...byHand, notFor: rewetting, school: { distress: ['damp', 'hand'] }, reason },
  {
    phase: 'wear',
    operation: 'dry-distress',
    school: { distress: ['sander'] },
    grit: '180',
    applicator: 'power sander, light touch',
    reason,
  },
  { phase: 'wear', operation: 'dust-off', reason: 'no-dust-under-clear' },
]
export const topB: RecipeLine = {
  phase: 'top',
  operation: 'coat',
  times: 'by-colour',
  paint: 'b',
  applicator: 'bristle brush',
  reason: 'cover',
}
/** A thin wash, wiped back a section at a time. */
export const softWash = (paint: Slot, mix: string, applicator: string): RecipeLine => ({
  phase: 'over',
  operation: 'wash',
  paint,
  mix,
  applicator,
  reason: 'wash-soft',
})
/** A thinned second colour over a dry base, which is sealed first where water would lift it. */
export const washedOver = (mix: string, applicator: string): readonly RecipeLine[] => [
  { ...base, times: 2 },
  softWash('b', mix, applicator),
]
/** The high points of a crackle, rubbed through when it is dry. */
export const highPoints: RecipeLine = {
  phase: 'finish',
  operation: 'smooth',
  grit: '220–320',
  reason: 'high-points',
  optional: true,
}
/** Crackle: the medium, then the colour over it, once. */
export const crackled: readonly RecipeLine[] = [
  {
    phase: 'medium',
    operation: 'crackle-medium',
    family: 'crackle-medium',
    applicator: 'soft brush',
    reason: 'crackle-shrinks',
  },
  { phase: 'top', operation: 'crackle-coat', paint: 'b', applicator: 'wide full brush', reason: 'crackle-once' },
]
