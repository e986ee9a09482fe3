/**
 * What must happen before colour, by what is on the part and what it is made of. Source: the craft, sections 4, 5, 13.
 */
import type { OperationCode } from '../labour/operations'
import type { FamilyCode } from './families'
import type { ExistingFinishCode } from './parts'

export type PrepReasonCode =
  | 'grease-defeats-paint'
  | 'degreaser-defeats-paint'
  | 'wax-defeats-paint'
  | 'key'
  | 'bare-for-look'
  | 'soften'
  | 'stripper-defeats-paint'
  | 'even-wood'
  | 'veneer-thin'
  | 'dust-defeats-paint'
  | 'knots-bleed'
  | 'tannin-bleeds'
  | 'unknown-safe'
  | 'slick'
  | 'lead-covered'

export interface PrepLine {
  operation: OperationCode
  family?: FamilyCode
  grit?: string
  applicator?: string
  reason: PrepReasonCode
}

const cleaned: readonly PrepLine[] = [
  { operation: 'clean', family: 'degreaser', reason: 'grease-defeats-paint' },
  { operation: 'rinse', reason: 'degreaser-defeats-paint' },
]
const dewaxed: readonly PrepLine[] = [
  { operation: 'dewax', family: 'spirits', applicator: 'fine wire wool', reason: 'wax-defeats-paint' },
  { operation: 'wipe-spirits', family: 'spirits', applicator: 'clean cloths', reason: 'wax-defeats-paint' },
]
const dusted: PrepLine = { operation: 'dust-off', reason: 'dust-defeats-paint' }
const keyed: readonly PrepLine[] = [{ operation: 'scuff', grit: '180–220', reason: 'key' }, dusted]

/** To a sound surface that paint grips, old finish kept. */
export const soundFrom: Record<ExistingFinishCode, readonly PrepLine[]> = {
  bare: [...cleaned, { operation: 'sand', grit: '150 → 220', reason: 'even-wood' }, dusted],
  wax: [...dewaxed, ...cleaned, ...keyed],
  oil: [{ operation: 'wipe-spirits', family: 'spirits', reason: 'wax-defeats-paint' }, ...cleaned, ...keyed],
  shellac: [...cleaned, ...keyed],
  lacquer: [...cleaned, ...keyed],
  varnish: [...cleaned, ...keyed],
  'water-paint': [...cleaned, ...keyed],
  'oil-paint': [...cleaned, ...keyed],
  casein: [...cleaned, ...keyed],
  unknown: [...dewaxed, ...cleaned, ...keyed],
}

/** To bare wood, for looks through which the wood shows. */
export const strippedWood: readonly PrepLine[] = [
  ...cleaned,
  { operation: 'strip', family: 'stripper', applicator: 'old brush', reason: 'bare-for-look' },
  { operation: 'scrape', applicator: 'scraper, then fine wire wool', reason: 'soften' },
  { operation: 'neutralise', reason: 'stripper-defeats-paint' },
  { operation: 'sand', grit: '150 → 220 → 320', reason: 'even-wood' },
  dusted,
]

/** What veneer stands in place of an abrasion: one light pass by hand. */
export const veneerPass = { grit: '220, one light hand pass', reason: 'veneer-thin' } as const

export const primers = {
  knotty: { operation: 'knotting', family: 'knotting', applicator: 'small brush', reason: 'knots-bleed' },
  bleeding: { operation: 'block-prime', family: 'blocking-primer', applicator: 'synthetic brush', reason: 'tannin-bleeds' },
  unknown: { operation: 'block-prime', family: 'blocking-primer', applicator: 'synthetic brush', reason: 'unknown-safe' },
  slick: { operation: 'adhesion-prime', family: 'adhesion-primer', applicator: 'foam roller', reason: 'slick' },
  lead: { operation: 'adhesion-prime', family: 'adhesion-primer', applicator: 'foam roller', reason: 'lead-covered' },
} as const satisfies Record<string, PrepLine>
