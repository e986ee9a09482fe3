/**
 * What is likely on a part and over it, which test is worth making next, and what is at risk. Wax is asked first and always,
 * and found besides a finish. When to stop, and what to conclude, follow from what an error would cost: not from one
 * threshold. Tests come in any order and as few as wanted; "I don't know" changes nothing and plans for the safe side. Pure.
 */
import { type LeadFinding, mayHoldLead } from '@/core/craft/lead'
import { type ExistingFinishCode, getExistingFinish, getSubstrate, type Polish, type SubstrateCode } from '@/core/craft/parts'
import {
  type AssessTestCode,
  getAssessTest,
  type KnownFinish,
  type Over,
  overPriors,
  priors,
  priorsOf,
  type SignCode,
  testsOn,
} from './tests'

export interface Findings {
  /** result codes; `unknown` for "I don't know" */
  tests: Partial<Record<AssessTestCode, string>>
  signs: Partial<Record<SignCode, string>>
}
export type RiskCode = 'wax-left' | 'fresh-oil' | 'lead' | 'veneer' | 'bleed' | 'slick' | 'thirsty' | 'beetle' | 'mould'
export interface Assessment {
  /** finishes by how likely, likeliest first; shares add to 1; empty where this material knows no test */
  likely: { finish: KnownFinish; share: number }[]
  /** how likely wax, and oil that has not cured, lie on it: as its finish or over it */
  over: { wax: number; oil: number }
  /** the test most worth making; null when none would pay, or none is left */
  next: AssessTestCode | null
  /** what to plan for: the finish where being wrong about it would cost less than not knowing, else not known */
  existing: ExistingFinishCode
  /** what lies over that finish */
  polish: Polish
  lead: LeadFinding
  /** whether anybody looked for lead here: an age, a kit or a laboratory */
  leadLookedFor: boolean
  bleeds: boolean
  /** a patch of paint came off: whatever else was found, it wants a key and an adhesion primer */
  slips: boolean
  substrate: SubstrateCode
  risks: RiskCode[]
}

/** What may be there: a finish, and what lies over it. */
interface State {
  finish: KnownFinish
  over: Over
}
/** Anyone misreads a test now and then; so no one answer decides alone. Source: practice. */
const misread = 0.06

const finishes = Object.keys(priors) as KnownFinish[]
export const states: readonly State[] = finishes.flatMap((finish): State[] => [
  { finish, over: 'none' },
  ...(overPriors[finish] ? (['wax', 'oil'] as const).map((over) => ({ finish, over })) : []),
])
export const isWaxed = ({ finish, over }: State): boolean => finish === 'wax' || over === 'wax'
export const isFreshlyOiled = ({ finish, over }: State): boolean => finish === 'fresh-oil' || over === 'oil'

/** How common a state is on this material, before anything is tested. */
export function priorOf({ finish, over }: State, substrate: SubstrateCode): number {
  const on = overPriors[finish] ?? { wax: 0, oil: 0 }
  return priorsOf(getSubstrate(substrate).kind)[finish] * (over === 'none' ? 1 - on.wax - on.oil : on[over])
}

/** How often a test shows a result on a state, misreadings apart. Throws on a result the test does not have. */
export function shownBy(test: AssessTestCode, result: string, { finish, over }: State): number {
  const { shows, answersOver } = getAssessTest(test)
  const shown = shows[result]
  if (!shown) throw new Error(`the test ${test} has no result ${result}`)
  const of = (what: KnownFinish) => shown[what] ?? shown.other
  if (over === 'none') return of(finish)
  return (1 - answersOver) * of(finish) + answersOver * of(over === 'wax' ? 'wax' : 'fresh-oil')
}
const resultsOf = (test: AssessTestCode) => Object.keys(getAssessTest(test).results)
const answeredBy = (test: AssessTestCode, result: string, state: State) =>
  (1 - misread) * shownBy(test, result, state) + misread / resultsOf(test).length

/** Shares of the states after these results, in the order of `states`. */
export function sharesAfter(tests: Findings['tests'], substrate: SubstrateCode): number[] {
  const answered = (Object.entries(tests) as [AssessTestCode, string][]).filter(([, result]) => result !== 'unknown')
  const weights = states.map((state) =>
    answered.reduce((weight, [test, result]) => weight * answeredBy(test, result, state), priorOf(state, substrate)),
  )
  const sum = weights.reduce((total, weight) => total + weight, 0)
  return weights.map((weight) => weight / sum)
}

/**
 * What it costs to plan for one finish where another is there, in needless cautions: a film that nobody keyed or feared, a
 * shine left unbroken, wood that will not take a stain; little where the plan would be much the same. Not knowing takes the
 * safe side: wool, spirits and a primer. Source: practice; checked over every path of the tests.
 */
const costs = { notKnown: 8, filmUnseen: 260, glossUnseen: 150, oilUnseen: 60, other: 4 }
function costOf(said: ExistingFinishCode, there: KnownFinish): number {
  if (said === there) return 0
  if (said === 'unknown') return costs.notKnown
  if (said === 'bare' && there === 'oil') return costs.oilUnseen
  // nothing is keyed, cleaned off or feared on what counts as bare or freshly oiled
  if (said === 'bare' || said === 'fresh-oil') return costs.filmUnseen
  return there === 'oil-paint' && !getExistingFinish(said).gloss ? costs.glossUnseen : costs.other
}
/** A wipe with spirits that was not needed; wax or wet oil that was thought absent. */
const needlessWipe = 0.4
const missedPolish = 60

const verdicts: readonly ExistingFinishCode[] = [...finishes, 'unknown']
interface Verdict {
  existing: ExistingFinishCode
  wax: number
  oil: number
  /** what it is expected to cost */
  cost: number
}
function conclude(shares: readonly number[]): Verdict {
  const shareOf = (is: (state: State) => boolean) => states.reduce((sum, state, k) => sum + (is(state) ? (shares[k] ?? 0) : 0), 0)
  const byFinish = finishes.map((finish) => shareOf((state) => state.finish === finish))
  const expected = verdicts.map((said, v) =>
    // nothing is called found that is not likelier than all the rest together
    said !== 'unknown' && (byFinish[v] ?? 0) < 0.4
      ? Infinity
      : finishes.reduce((sum, finish, k) => sum + (byFinish[k] ?? 0) * costOf(said, finish), 0),
  )
  const least = Math.min(...expected)
  const wax = shareOf(isWaxed)
  const oil = shareOf(isFreshlyOiled)
  // one wipe takes off either
  const polish = Math.min(needlessWipe * (1 - wax - oil), missedPolish * (wax + oil))
  return { existing: verdicts[expected.indexOf(least)] ?? 'unknown', wax, oil, cost: least + Math.max(0, polish) }
}

/** What a test costs to make, in the same measure; less than this it must save. */
const walk = 0.2

const bitsOf = (shares: readonly number[]) => shares.reduce((bits, p) => bits - (p > 0 ? p * Math.log2(p) : 0), 0)
/** While it is not known what is on it, a bit is worth something even where it does not yet decide. */
const worthOfBit = 0.8

/** What a test is expected to save, in needless or missing work. */
export function worthOf(test: AssessTestCode, tests: Findings['tests'], substrate: SubstrateCode): number {
  const now = sharesAfter(tests, substrate)
  const after = resultsOf(test).reduce((sum, result) => {
    const chance = states.reduce((total, state, k) => total + (now[k] ?? 0) * answeredBy(test, result, state), 0)
    const then = sharesAfter({ ...tests, [test]: result }, substrate)
    return sum + chance * (conclude(then).cost + openBits(then))
  }, 0)
  return conclude(now).cost + openBits(now) - after
}
const openBits = (shares: readonly number[]) => (conclude(shares).existing === 'unknown' ? worthOfBit * bitsOf(shares) : 0)

/** Wax first and always, then a look, which costs nothing; then whatever saves most. */
const asked: readonly AssessTestCode[] = ['spirits', 'look']
function nextTest(tests: Findings['tests'], substrate: SubstrateCode): AssessTestCode | null {
  const open = testsOn(substrate).filter((test) => tests[test] === undefined)
  const first = asked.find((test) => open.includes(test))
  if (first) return first
  const ranked = open
    .map((test) => ({ test, worth: worthOf(test, tests, substrate) - (getAssessTest(test).trouble ?? 0) }))
    .sort((one, other) => other.worth - one.worth)
  return ranked[0] && ranked[0].worth > walk ? ranked[0].test : null
}

/** The facts of a part that tests add to. */
export interface KnownPart {
  substrate: SubstrateCode
  existing: ExistingFinishCode
  lead: LeadFinding
  polish?: Polish
  slips?: boolean
}

export function assess(findings: Findings, part: KnownPart): Assessment {
  const { signs } = findings
  const known = testsOn(part.substrate)
  const tests = Object.fromEntries(
    Object.entries(findings.tests).filter(([test]) => known.includes(test as AssessTestCode)),
  ) as Findings['tests']
  const tested = Object.values(tests).some((result) => result !== 'unknown')
  const shares = sharesAfter(tests, part.substrate)
  const { existing: concluded, wax, oil } = conclude(shares)
  const byFinish = finishes.map((finish) => ({
    finish,
    share: states.reduce((sum, state, k) => sum + (state.finish === finish ? (shares[k] ?? 0) : 0), 0),
  }))
  const likely = known.length === 0 ? [] : byFinish.sort((a, b) => b.share - a.share)
  const share = (finish: KnownFinish) => likely.find((each) => each.finish === finish)?.share ?? 0
  const existing = tested ? concluded : 'unknown'
  const substrate = signs.veneer === 'veneer' && getSubstrate(part.substrate).wood ? 'veneer' : part.substrate
  const lead = leadFrom(signs, part.lead)
  const polish = tested ? polishFrom(existing, wax, oil) : (part.polish ?? 'unknown')
  const slips = signs.grip === 'peels' || (part.slips === true && signs.grip !== 'holds')
  const at: [RiskCode, boolean][] = [
    ['wax-left', known.length > 0 && missedPolish * wax > needlessWipe],
    ['fresh-oil', known.length > 0 && tested && missedPolish * oil > needlessWipe],
    // before a test is sure, what was thought of the finish still stands beside it
    ['lead', mayHoldLead({ lead, existing }) && (existing !== 'unknown' || mayHoldLead({ lead, existing: part.existing }))],
    ['veneer', getSubstrate(substrate).veneer === true],
    ['bleed', signs.bleed === 'bled' || (signs.bleed !== 'held' && getSubstrate(substrate).bleeds === true)],
    ['slick', slips || getSubstrate(substrate).kind === 'slick'],
    ['thirsty', share('bare') + share('oil') + share('casein') > 0.5],
    ['beetle', signs.beetle === 'fresh'],
    ['mould', signs.mould === 'found'],
  ]
  return {
    likely,
    over: { wax, oil },
    next: nextTest(tests, part.substrate),
    existing,
    polish,
    lead,
    leadLookedFor: saidOf(signs.age) || saidOf(signs.lead),
    bleeds: signs.bleed === 'bled',
    slips,
    substrate,
    risks: at.filter(([, holds]) => holds).map(([risk]) => risk),
  }
}

/** What lies over the finish that is planned for: wax likelier than not, oil likelier than not, either not ruled out, or nothing. */
function polishFrom(existing: ExistingFinishCode, wax: number, oil: number): Polish {
  const either = missedPolish * (wax + oil) > needlessWipe * (1 - wax - oil)
  // wax as the finish itself is taken off as a whole; what is not known counts as waxed
  if (existing === 'wax' || existing === 'unknown') return either ? 'possible' : 'none'
  if (wax > 0.5) return 'wax'
  if (oil > 0.5 && existing !== 'fresh-oil') return 'oil'
  return either ? 'possible' : 'none'
}

const saidOf = (sign: string | undefined): boolean => sign !== undefined && sign !== 'unknown'

/** A kit or laboratory decides; else the age of the oldest finish, which never takes back a find; else what was held before. */
function leadFrom(signs: Findings['signs'], before: LeadFinding): LeadFinding {
  if (signs.lead === 'none') return 'clear'
  if (signs.lead === 'found' || before === 'found') return 'found'
  if (signs.age === 'old' || (signs.age === 'unknown' && before !== 'clear')) return 'suspected'
  return signs.age === 'young' && before !== 'clear' ? 'unlikely' : before
}
