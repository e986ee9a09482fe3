/**
 * The tests that tell what is on a part, all on a hidden spot: what each may show, and how likely each finish shows it.
 * Source: the craft, section on finding out; the shares are `practice`, put into figures and editable.
 */
import type { ExistingFinishCode } from '@/core/craft/parts'

/** What the tests tell apart: every finish but "not known". */
export type KnownFinish = Exclude<ExistingFinishCode, 'unknown'>

/** How common each is before anything is tested. */
export const priors: Record<KnownFinish, number> = {
  bare: 0.08,
  wax: 0.1,
  oil: 0.06,
  'fresh-oil': 0.02,
  shellac: 0.15,
  lacquer: 0.13,
  varnish: 0.22,
  'water-paint': 0.12,
  'oil-paint': 0.09,
  casein: 0.03,
}

export interface AssessTest {
  words: string
  how: string
  /** what may be seen, in words */
  results: Record<string, string>
  /** by result: the share of each finish that shows it; `other` for those not named */
  shows: Record<string, Partial<Record<KnownFinish, number>> & { other: number }>
}

export const assessTests = {
  look: {
    words: 'Look at it',
    how: 'In raking light, at an edge that is not worn.',
    results: {
      'flat-wood': 'wood, no shine',
      'shiny-wood': 'wood under a shine',
      'flat-colour': 'flat colour',
      'shiny-colour': 'colour with a shine',
    },
    shows: {
      'flat-wood': { bare: 0.96, oil: 0.7, 'fresh-oil': 0.6, wax: 0.4, shellac: 0.08, varnish: 0.08, other: 0.01 },
      'shiny-wood': {
        bare: 0.02,
        oil: 0.28,
        'fresh-oil': 0.38,
        wax: 0.58,
        shellac: 0.9,
        varnish: 0.9,
        lacquer: 0.95,
        other: 0.01,
      },
      'flat-colour': { casein: 0.93, 'water-paint': 0.55, 'oil-paint': 0.12, other: 0.01 },
      'shiny-colour': { casein: 0.05, 'water-paint': 0.43, 'oil-paint': 0.86, lacquer: 0.03, other: 0.01 },
    },
  },
  spirits: {
    words: 'Fingernail, then mineral spirits on a cloth',
    how: 'Draw a nail across it; then rub a hidden spot with a drop of spirits on a white cloth.',
    results: { smear: 'a smear comes off', clean: 'nothing comes off' },
    shows: {
      smear: { wax: 0.95, 'fresh-oil': 0.35, oil: 0.12, other: 0.015 },
      clean: { wax: 0.05, 'fresh-oil': 0.65, oil: 0.88, other: 0.985 },
    },
  },
  alcohol: {
    words: 'Alcohol on a white cloth, one minute',
    how: 'Lay a wet corner of the cloth on a hidden spot, wait a minute, press and lift.',
    results: { softens: 'it goes soft or sticky', colour: 'colour comes off on the cloth', nothing: 'nothing happens' },
    shows: {
      softens: { shellac: 0.93, lacquer: 0.08, 'water-paint': 0.06, other: 0.02 },
      colour: { 'water-paint': 0.86, casein: 0.05, shellac: 0.02, 'oil-paint': 0.03, other: 0.01 },
      nothing: { shellac: 0.05, lacquer: 0.91, 'water-paint': 0.08, other: 0.96 },
    },
  },
  thinner: {
    words: 'Lacquer thinner on a cloth',
    how: 'A drop on a hidden spot, half a minute. Moving air, gloves, no flame.',
    results: { softens: 'it goes soft or sticky', nothing: 'nothing happens' },
    shows: {
      softens: { lacquer: 0.94, shellac: 0.7, 'water-paint': 0.7, 'oil-paint': 0.2, varnish: 0.05, other: 0.05 },
      nothing: { lacquer: 0.06, shellac: 0.3, 'water-paint': 0.3, 'oil-paint': 0.8, varnish: 0.95, other: 0.95 },
    },
  },
  'oil-drop': {
    words: 'A drop of linseed oil',
    how: 'On a hidden, level spot. Look after five minutes, then wipe it off.',
    results: { soaks: 'it soaks in', beads: 'it stands as a bead' },
    shows: {
      soaks: { bare: 0.96, oil: 0.85, 'fresh-oil': 0.5, casein: 0.5, wax: 0.2, other: 0.03 },
      beads: { bare: 0.04, oil: 0.15, 'fresh-oil': 0.5, casein: 0.5, wax: 0.8, other: 0.97 },
    },
  },
  'water-drop': {
    words: 'A drop of water',
    how: 'On a hidden, level spot. Look after two minutes.',
    results: { stains: 'it leaves a dark stain', beads: 'it stands as a bead' },
    shows: {
      stains: { casein: 0.92, bare: 0.92, 'water-paint': 0.15, oil: 0.2, other: 0.04 },
      beads: { casein: 0.08, bare: 0.08, 'water-paint': 0.85, oil: 0.8, other: 0.96 },
    },
  },
  smell: {
    words: 'Smell and touch',
    how: 'Press a palm on it for a while, then smell the palm.',
    results: { oily: 'oily, or it stays on the hand', nothing: 'nothing' },
    shows: {
      oily: { 'fresh-oil': 0.92, oil: 0.12, wax: 0.15, other: 0.02 },
      nothing: { 'fresh-oil': 0.08, oil: 0.88, wax: 0.85, other: 0.98 },
    },
  },
} as const satisfies Record<string, AssessTest>
export type AssessTestCode = keyof typeof assessTests
export const assessTestCodes = Object.keys(assessTests) as AssessTestCode[]
export function getAssessTest(code: AssessTestCode): AssessTest {
  return assessTests[code]
}

/** Looked for beside the finish: each is a risk of its own. */
export const signs = {
  veneer: {
    words: 'End grain and underside',
    results: { veneer: 'a thin sheet over another wood', solid: 'the same grain right through' },
  },
  // a young coat on top says nothing of what is below it
  age: { words: 'The oldest coat on it', results: { old: 'from before about 1980', young: 'all of it surely later' } },
  lead: { words: 'Lead test kit through every coat, or a laboratory', results: { found: 'lead', none: 'no lead' } },
  bleed: {
    words: 'A patch of the paint, left overnight',
    results: { bled: 'yellow or pink came through', held: 'it stayed clean' },
  },
  grip: { words: 'Scuffed patch, nail and tape', results: { peels: 'it scratches or peels off', holds: 'it holds' } },
  beetle: { words: 'Small round holes, dust below', results: { fresh: 'holes with pale dust', none: 'none, or old and clean' } },
  mould: { words: 'Mould, musty smell', results: { found: 'some', none: 'none' } },
} as const
export type SignCode = keyof typeof signs
export const signCodes = Object.keys(signs) as SignCode[]
