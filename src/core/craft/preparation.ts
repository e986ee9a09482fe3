/**
 * What must happen before colour, by what is on the part and what it is made of. Source: the craft, sections on finding out,
 * preparation and harm.
 */
import type { ExistingFinishCode } from './parts'
import type { RecipeLine } from './recipe'

export const cleaned: readonly RecipeLine[] = [
  { phase: 'prep', operation: 'clean', family: 'degreaser', reason: 'grease-defeats-paint' },
  { phase: 'prep', operation: 'rinse', reason: 'degreaser-defeats-paint' },
]
export const spirits: RecipeLine = {
  phase: 'prep',
  operation: 'wipe-spirits',
  family: 'spirits',
  applicator: 'clean cloths',
  reason: 'wax-defeats-paint',
}
export const dewaxed: readonly RecipeLine[] = [
  { phase: 'prep', operation: 'dewax', family: 'spirits', applicator: 'fine wire wool', reason: 'wax-defeats-paint' },
  spirits,
]
const dusted: RecipeLine = { phase: 'prep', operation: 'dust-off', reason: 'dust-defeats-paint' }
const keyed: readonly RecipeLine[] = [{ phase: 'prep', operation: 'scuff', grit: '180–220', reason: 'key' }, dusted]
const oiled: RecipeLine = { ...spirits, reason: 'oil-defeats-paint' }

/** To a sound surface that paint grips, old finish kept. */
export const soundFrom: Record<ExistingFinishCode, readonly RecipeLine[]> = {
  bare: [...cleaned, { phase: 'prep', operation: 'sand', grit: '150 → 220', reason: 'even-wood', optional: true }, dusted],
  wax: [...dewaxed, ...cleaned, ...keyed],
  oil: [oiled, ...cleaned, ...keyed],
  'fresh-oil': [oiled, ...cleaned, ...keyed],
  shellac: [...cleaned, ...keyed],
  lacquer: [...cleaned, ...keyed],
  varnish: [...cleaned, ...keyed],
  'water-paint': [...cleaned, ...keyed],
  'oil-paint': [...cleaned, ...keyed],
  casein: [...cleaned, ...keyed],
  unknown: [...dewaxed, ...cleaned, ...keyed],
}

/** To bare wood, for looks through which the wood shows. */
export const strippedWood: readonly RecipeLine[] = [
  ...cleaned,
  { phase: 'prep', operation: 'strip', family: 'stripper', applicator: 'old brush', reason: 'bare-for-look' },
  { phase: 'prep', operation: 'scrape', applicator: 'scraper, then fine wire wool', reason: 'soften' },
  { phase: 'prep', operation: 'neutralise', reason: 'stripper-defeats-paint' },
  { phase: 'prep', operation: 'sand', grit: '150 → 220 → 320', reason: 'even-wood' },
  dusted,
]

/** Cloth and leather are cleaned and left to dry; nothing is abraded. */
export const softPrep: readonly RecipeLine[] = cleaned

/** What veneer stands in place of an abrasion: one light pass by hand. */
export const veneerPass = { operation: 'scuff', grit: '220, one light hand pass', reason: 'veneer-thin' } as const

export const primers = {
  knotty: { phase: 'prime', operation: 'knotting', family: 'knotting', applicator: 'small brush', reason: 'knots-bleed' },
  bleeding: {
    phase: 'prime',
    operation: 'block-prime',
    family: 'blocking-primer',
    applicator: 'synthetic brush',
    reason: 'tannin-bleeds',
  },
  unknown: {
    phase: 'prime',
    operation: 'block-prime',
    family: 'blocking-primer',
    applicator: 'synthetic brush',
    reason: 'unknown-safe',
  },
  slick: { phase: 'prime', operation: 'adhesion-prime', family: 'adhesion-primer', applicator: 'foam roller', reason: 'slick' },
  lead: {
    phase: 'prime',
    operation: 'adhesion-prime',
    family: 'adhesion-primer',
    applicator: 'foam roller',
    reason: 'lead-covered',
  },
} as const satisfies Record<string, RecipeLine>
