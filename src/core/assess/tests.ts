/**
 * The tests that tell what is on a part, all on a hidden spot: what each may show, and how likely each finish shows it.
 * Source: the craft, section on finding out; the shares are `practice`, put into figures and editable.
 */
import { type ExistingFinishCode, getSubstrate, type SubstrateCode, type SubstrateKind } from '@/core/craft/parts'

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
/** On what has no pores or is covered with cane's skin, nothing soaks in: old paint or lacquer, or nothing. */
const slickPriors: Record<KnownFinish, number> = {
  bare: 0.62,
  wax: 0.04,
  oil: 0.005,
  'fresh-oil': 0.005,
  shellac: 0.01,
  lacquer: 0.12,
  varnish: 0.04,
  'water-paint': 0.09,
  'oil-paint': 0.065,
  casein: 0.005,
}
export const priorsOf = (kind: SubstrateKind): Record<KnownFinish, number> => (kind === 'slick' ? slickPriors : priors)

/** What lies over a finish, besides it: polish is the commonest thing to find on shellac. */
export type Over = 'none' | 'wax' | 'oil'
/** How common polish and fresh oil are over each finish; the rest has nothing over it. */
export const overPriors: Partial<Record<KnownFinish, Record<Exclude<Over, 'none'>, number>>> = {
  oil: { wax: 0.25, oil: 0 },
  shellac: { wax: 0.3, oil: 0.05 },
  lacquer: { wax: 0.12, oil: 0.03 },
  varnish: { wax: 0.2, oil: 0.05 },
  'water-paint': { wax: 0.05, oil: 0.01 },
  'oil-paint': { wax: 0.06, oil: 0.02 },
  casein: { wax: 0.25, oil: 0.05 },
}

export interface AssessTest {
  words: string
  how: string
  /** what may be seen, in words */
  results: Record<string, string>
  /** by result: the share of each finish that shows it; `other` for those not named */
  shows: Record<string, Partial<Record<KnownFinish, number>> & { other: number }>
  /** how far polish or oil lying over a finish is what answers instead of the finish: 0 not at all, 1 altogether */
  answersOver: number
  /** what it costs beyond a walk, in needless wipes: fumes, a mark */
  trouble?: number
  /** the materials that know this test */
  on: readonly SubstrateKind[]
  /** what it would harm */
  notOn?: readonly SubstrateCode[]
}

const hardKinds: readonly SubstrateKind[] = ['wood', 'board', 'slick', 'cane']
const poredKinds: readonly SubstrateKind[] = ['wood', 'board', 'cane']

export const assessTests = {
  look: {
    words: 'Look at it',
    how: 'In raking light, at an edge that is not worn.',
    answersOver: 0.25,
    on: hardKinds,
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
    answersOver: 1,
    on: hardKinds,
    results: { smear: 'a smear comes off', clean: 'nothing comes off' },
    shows: {
      smear: { wax: 0.95, 'fresh-oil': 0.35, oil: 0.12, other: 0.015 },
      clean: { wax: 0.05, 'fresh-oil': 0.65, oil: 0.88, other: 0.985 },
    },
  },
  alcohol: {
    words: 'Alcohol on a white cloth, one minute',
    how: 'Lay a wet corner of the cloth on a hidden spot, wait a minute, press and lift.',
    answersOver: 0.15,
    on: hardKinds,
    notOn: ['plastic'],
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
    answersOver: 0.1,
    on: ['wood', 'board', 'slick'],
    notOn: ['plastic'],
    trouble: 0.45,
    results: { softens: 'it goes soft or sticky', nothing: 'nothing happens' },
    shows: {
      softens: { lacquer: 0.94, shellac: 0.7, 'water-paint': 0.7, 'oil-paint': 0.2, varnish: 0.05, other: 0.05 },
      nothing: { lacquer: 0.06, shellac: 0.3, 'water-paint': 0.3, 'oil-paint': 0.8, varnish: 0.95, other: 0.95 },
    },
  },
  'oil-drop': {
    words: 'A drop of linseed oil',
    how: 'On a hidden, level spot. Look after five minutes, then wipe it off.',
    answersOver: 0.7,
    on: poredKinds,
    results: { soaks: 'it soaks in', beads: 'it stands as a bead' },
    shows: {
      soaks: { bare: 0.96, oil: 0.85, 'fresh-oil': 0.5, casein: 0.5, wax: 0.2, other: 0.03 },
      beads: { bare: 0.04, oil: 0.15, 'fresh-oil': 0.5, casein: 0.5, wax: 0.8, other: 0.97 },
    },
  },
  'water-drop': {
    words: 'A drop of water',
    how: 'On a hidden, level spot. Look after two minutes.',
    answersOver: 0.7,
    on: poredKinds,
    results: { stains: 'it leaves a dark stain', beads: 'it stands as a bead' },
    shows: {
      stains: { casein: 0.92, bare: 0.92, 'water-paint': 0.15, oil: 0.2, other: 0.04 },
      beads: { casein: 0.08, bare: 0.08, 'water-paint': 0.85, oil: 0.8, other: 0.96 },
    },
  },
  smell: {
    words: 'Smell and touch',
    how: 'Press a palm on it for a while, then smell the palm.',
    answersOver: 0.9,
    on: hardKinds,
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

export interface Sign {
  words: string
  results: Record<string, string>
  /** the materials on which there is anything to look for; any unless given */
  on?: readonly SubstrateKind[]
}
const allKinds: readonly SubstrateKind[] = ['wood', 'board', 'slick', 'cane', 'fabric', 'pile', 'leather']

/** Looked for beside the finish: each is a risk of its own. */
export const signs = {
  veneer: {
    words: 'End grain and underside',
    on: ['wood'],
    results: { veneer: 'a thin sheet over another wood', solid: 'the same grain right through' },
  },
  // a young coat on top says nothing of what is below it
  age: {
    words: 'The oldest coat on it',
    on: hardKinds,
    results: { old: 'from before about 1980', young: 'all of it surely later' },
  },
  lead: {
    on: hardKinds,
    words: 'Lead test kit through every coat, or a laboratory',
    results: { found: 'lead', none: 'no lead' },
  },
  bleed: {
    on: [...hardKinds, 'fabric', 'leather'],
    words: 'A patch of the paint, left overnight',
    results: { bled: 'yellow or pink came through', held: 'it stayed clean' },
  },
  grip: {
    on: [...hardKinds, 'leather'],
    words: 'Scuffed patch of the planned paint, nail and tape',
    results: { peels: 'it scratches or peels off', holds: 'it holds' },
  },
  beetle: {
    on: ['wood', 'board', 'cane'],
    words: 'Small round holes, dust below',
    results: { fresh: 'holes with pale dust', none: 'none, or old and clean' },
  },
  mould: { on: allKinds, words: 'Mould, musty smell', results: { found: 'some', none: 'none' } },
} as const satisfies Record<string, Sign>
export type SignCode = keyof typeof signs
export const signCodes = Object.keys(signs) as SignCode[]

/** The tests that this material knows, and none that would harm it. */
export const testsOn = (substrate: SubstrateCode): AssessTestCode[] =>
  assessTestCodes.filter((code) => {
    const { on, notOn } = getAssessTest(code)
    return on.includes(getSubstrate(substrate).kind) && !notOn?.includes(substrate)
  })
/** The signs there are to look for on this material. */
export const signsOn = (substrate: SubstrateCode): SignCode[] =>
  signCodes.filter((code) => (signs[code] as Sign).on?.includes(getSubstrate(substrate).kind) ?? true)
