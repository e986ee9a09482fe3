/** Risks found on a part, in words. */
import type { RiskCode } from '@/core/assess/assess'

export const riskWords: Record<RiskCode, string> = {
  'wax-left': 'Wax may be on it: all of it must come off.',
  'fresh-oil': 'Oil that has not cured: wipe with spirits first.',
  lead: 'Lead is possible: no dry abrasion, no heat, no blade. A test kit or a laboratory tells; licensed people remove it.',
  veneer: 'Veneer: one light hand pass, and no more.',
  bleed: 'It will bleed through pale colours: block it.',
  slick: 'Slick: an adhesion primer, whatever the paint promises.',
  thirsty: 'Thirsty: the first coat soaks in.',
  beetle: 'Beetle may be alive in it: quarantine it, away from other pieces.',
  mould: 'Mould: quarantine, gloves and mask, and dry it out before anything else.',
}
