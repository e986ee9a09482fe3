/** What a plan asks of the hand, and what may go wrong, in words. */
import type { RiskCode, Skill } from '@/core/finish/demands'

export const skillWords: Record<Skill, string> = {
  1: 'anybody with care',
  2: 'a practised hand',
  3: 'a sure hand',
}
export const riskWords: Record<RiskCode, string> = {
  'lap-marks': 'lap marks where an edge dries',
  'no-second-pass': 'crackle brushed twice is lost',
  'peaks-harden': 'peaks that dry before they are laid down',
  mud: 'two colours worked into mud',
  'runs-spread': 'one spot worn too far by the water',
  'ragged-edges': 'ragged edges under the tape',
  'chips-at-will': 'chips where it likes, or not at all',
  'through-to-wood': 'worn through to the wood',
  'blade-digs': 'the blade digs in at corners',
  scorched: 'scorched paint',
  'murky-wax': 'waxes that mix if hurried',
  'through-veneer': 'sanded through the veneer',
  'stripper-fumes': 'stripper: gloves, goggles, moving air',
  'stiff-cloth': 'cloth that goes stiff',
}
