/**
 * What is likely on a part, how sure that is, which test would tell most next, and what is at risk. Tests come in any order
 * and as few as wanted; "I don't know" is an answer that changes nothing and plans for the safe side. Pure.
 */
import { type LeadFinding, mayHoldLead } from '@/core/craft/lead'
import { type ExistingFinishCode, getSubstrate, type SubstrateCode } from '@/core/craft/parts'
import { type AssessTestCode, assessTestCodes, getAssessTest, type KnownFinish, priors, type SignCode } from './tests'

export interface Findings {
  /** result codes; `unknown` for "I don't know" */
  tests: Partial<Record<AssessTestCode, string>>
  signs: Partial<Record<SignCode, string>>
}
export type RiskCode = 'wax-left' | 'fresh-oil' | 'lead' | 'veneer' | 'bleed' | 'slick' | 'thirsty' | 'beetle' | 'mould'
export interface Assessment {
  /** finishes by how likely, likeliest first; shares add to 1 */
  likely: { finish: KnownFinish; share: number }[]
  /** the test that would tell most; null when it is sure enough, or nothing left would tell */
  next: AssessTestCode | null
  /** what to plan for: the likeliest where it is sure enough, else not known */
  existing: ExistingFinishCode
  lead: LeadFinding
  /** whether anybody looked for lead here: an age, a kit or a laboratory */
  leadLookedFor: boolean
  bleeds: boolean
  substrate: SubstrateCode
  risks: RiskCode[]
}

/** Sure enough to plan on. */
export const sureShare = 0.8
/** Bits below which another test is not worth the walk. */
const worthBits = 0.05

const finishes = Object.keys(priors) as KnownFinish[]

function shareOf(test: AssessTestCode, result: string, finish: KnownFinish): number {
  const shown = getAssessTest(test).shows[result]
  if (!shown) throw new Error(`the test ${test} has no result ${result}`)
  return shown[finish] ?? shown.other
}

/** Shares of the finishes after these results. */
export function sharesAfter(tests: Findings['tests']): Map<KnownFinish, number> {
  const weights = finishes.map((finish) =>
    (Object.entries(tests) as [AssessTestCode, string][])
      .filter(([, result]) => result !== 'unknown')
      .reduce((weight, [test, result]) => weight * shareOf(test, result, finish), priors[finish]),
  )
  const sum = weights.reduce((total, weight) => total + weight, 0)
  return new Map(finishes.map((finish, k) => [finish, (weights[k] ?? 0) / sum]))
}

const bitsOf = (shares: Iterable<number>) => [...shares].reduce((bits, p) => bits - (p > 0 ? p * Math.log2(p) : 0), 0)

/** What a test is expected to tell, in bits. */
export function tellsBits(test: AssessTestCode, tests: Findings['tests']): number {
  const now = sharesAfter(tests)
  const left = Object.keys(getAssessTest(test).results).reduce((sum, result) => {
    const chance = finishes.reduce((total, finish) => total + (now.get(finish) ?? 0) * shareOf(test, result, finish), 0)
    return chance === 0 ? sum : sum + chance * bitsOf(sharesAfter({ ...tests, [test]: result }).values())
  }, 0)
  return bitsOf(now.values()) - left
}

/** The facts of a part that tests add to. */
export interface KnownPart {
  substrate: SubstrateCode
  existing: ExistingFinishCode
  lead: LeadFinding
}

export function assess(findings: Findings, part: KnownPart): Assessment {
  const { tests, signs } = findings
  const likely = [...sharesAfter(tests)].map(([finish, share]) => ({ finish, share })).sort((a, b) => b.share - a.share)
  const top = likely[0]
  const sure = top !== undefined && top.share >= sureShare
  const ranked = assessTestCodes
    .filter((test) => tests[test] === undefined)
    .map((test) => ({ test, bits: tellsBits(test, tests) }))
    .sort((a, b) => b.bits - a.bits)
  const best = ranked[0]
  const substrate = signs.veneer === 'veneer' && getSubstrate(part.substrate).wood ? 'veneer' : part.substrate
  const lead = leadFrom(signs, part.lead)
  const existing = sure ? top.finish : 'unknown'
  const share = (finish: KnownFinish) => likely.find((each) => each.finish === finish)?.share ?? 0
  const at: [RiskCode, boolean][] = [
    ['wax-left', share('wax') > 0.1],
    ['fresh-oil', share('fresh-oil') > 0.1],
    // before a test is sure, what was thought of the finish still stands beside it
    ['lead', mayHoldLead({ lead, existing }) && (sure || mayHoldLead({ lead, existing: part.existing }))],
    ['veneer', getSubstrate(substrate).veneer === true],
    ['bleed', signs.bleed === 'bled' || (signs.bleed !== 'held' && getSubstrate(substrate).bleeds === true)],
    ['slick', signs.grip === 'peels' || getSubstrate(substrate).kind === 'slick'],
    ['thirsty', share('bare') + share('oil') + share('casein') > 0.5],
    ['beetle', signs.beetle === 'fresh'],
    ['mould', signs.mould === 'found'],
  ]
  return {
    likely,
    next: sure || !best || best.bits < worthBits ? null : best.test,
    existing,
    lead,
    leadLookedFor: saidOf(signs.age) || saidOf(signs.lead),
    bleeds: signs.bleed === 'bled',
    substrate,
    risks: at.filter(([, holds]) => holds).map(([risk]) => risk),
  }
}

const saidOf = (sign: string | undefined): boolean => sign !== undefined && sign !== 'unknown'

/** A kit or laboratory decides; else the age of the oldest finish, which never takes back a find; else what was held before. */
function leadFrom(signs: Findings['signs'], before: LeadFinding): LeadFinding {
  if (signs.lead === 'none') return 'clear'
  if (signs.lead === 'found' || before === 'found') return 'found'
  if (signs.age === 'old' || (signs.age === 'unknown' && before !== 'clear')) return 'suspected'
  return signs.age === 'young' && before !== 'clear' ? 'unlikely' : before
}
