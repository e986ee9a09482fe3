/**
 * What an operation asks of the hand, and what goes wrong with it. Skill: 1 anybody with care, 2 practised, 3 a sure hand.
 * Source: the craft, what goes wrong with each look; the skill figures are practice.
 */
import type { OperationCode } from '@/core/craft/operations'
import type { PlannedStep } from './step'

export type Skill = 1 | 2 | 3
export type RiskCode =
  | 'lap-marks'
  | 'no-second-pass'
  | 'peaks-harden'
  | 'mud'
  | 'runs-spread'
  | 'ragged-edges'
  | 'chips-at-will'
  | 'through-to-wood'
  | 'blade-digs'
  | 'scorched'
  | 'murky-wax'
  | 'through-veneer'
  | 'stripper-fumes'
  | 'stiff-cloth'

const demands: Partial<Record<OperationCode, { skill: 2 | 3; risk?: RiskCode }>> = {
  dewax: { skill: 2 },
  strip: { skill: 2, risk: 'stripper-fumes' },
  scrape: { skill: 2, risk: 'blade-digs' },
  'texture-coat': { skill: 2 },
  'knock-down': { skill: 2, risk: 'peaks-harden' },
  'crackle-coat': { skill: 3, risk: 'no-second-pass' },
  wash: { skill: 3, risk: 'lap-marks' },
  glaze: { skill: 3, risk: 'lap-marks' },
  'dry-brush': { skill: 2 },
  blend: { skill: 3, risk: 'mud' },
  'spray-runs': { skill: 2, risk: 'runs-spread' },
  'pull-tape': { skill: 2, risk: 'ragged-edges' },
  'fabric-coat': { skill: 2, risk: 'stiff-cloth' },
  'wet-distress': { skill: 2, risk: 'through-to-wood' },
  'dry-distress': { skill: 2, risk: 'through-to-wood' },
  'scrape-distress': { skill: 3, risk: 'blade-digs' },
  'heat-gun': { skill: 3, risk: 'scorched' },
  'brush-off-flakes': { skill: 2, risk: 'chips-at-will' },
  'clear-coat': { skill: 2 },
  'tinted-wax': { skill: 2, risk: 'murky-wax' },
  'metallic-wax': { skill: 2 },
}

/** The surest hand that any of the steps asks for, and every risk once, in the order it comes. */
export function demandsOf(steps: readonly PlannedStep[]): { skill: Skill; risks: RiskCode[] } {
  const asked = steps.flatMap(({ operation }) => demands[operation] ?? [])
  const thin = steps.some(({ reason }) => reason === 'veneer-thin')
  const risks = asked.flatMap(({ risk }) => risk ?? [])
  return {
    skill: asked.reduce<Skill>((most, { skill }) => (skill > most ? skill : most), 1),
    risks: [...new Set<RiskCode>([...(thin ? (['through-veneer'] as const) : []), ...risks])],
  }
}
