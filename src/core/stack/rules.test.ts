/** Every rule fires on the mistake it is for, and says nothing of the same plan without the mistake. */
import { describe, expect, test } from 'vitest'
import { defaultMethod } from '@/core/craft/method'
import type { OperationCode } from '@/core/craft/operations'
import type { PlannedStep } from '@/core/finish/step'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { planFinish } from '@/core/plan/planFinish'
import { checkStack } from './checkStack'
import { type ConflictCode, endingRules, meetingRules } from './rules'
import type { Act } from './surface'

const slate = { name: 'Ferry Slate', hex: '#3d5661' }
const pale = { name: 'Salt Ledger', hex: '#f1ece0' }
const partOf = (over: Partial<FinishablePart> = {}): FinishablePart => ({
  substrate: 'close-grained',
  existing: 'varnish',
  lead: 'unlikely',
  use: 'light',
  areaM2: 1,
  ...over,
})
const wishOf = (over: Partial<FinishWish> = {}): FinishWish => ({
  look: 'smooth-solid',
  paint: 'chalk-mineral',
  colours: { a: slate, b: pale },
  ...over,
})

interface Case {
  part?: Partial<FinishablePart>
  wish?: Partial<FinishWish>
  /** what goes wrong with the plan */
  wrong: (acts: Act[]) => Act[]
}
const without =
  (...operations: OperationCode[]) =>
  (acts: Act[]) =>
    acts.filter(({ operation }) => !operations.includes(operation))
/** Changes the first act of an operation. */
const with_ = (operation: OperationCode, change: Partial<Act>) => (acts: Act[]) => {
  const at = acts.findIndex((act) => act.operation === operation)
  return acts.map((act, k) => (k === at ? { ...act, ...change } : act))
}
const act = (operation: OperationCode, over: Partial<Act> = {}): Act => ({
  operation,
  family: null,
  colour: null,
  mix: null,
  grit: null,
  film: 'normal',
  check: null,
  cautions: ['rags', 'solvent', 'dust'],
  ...over,
})
/** Puts acts before (or after) the first act of an operation. */
const before =
  (operation: OperationCode, ...added: Act[]) =>
  (acts: Act[]) => {
    const at = acts.findIndex((each) => each.operation === operation)
    return [...acts.slice(0, at), ...added, ...acts.slice(at)]
  }
const after =
  (operation: OperationCode, ...added: Act[]) =>
  (acts: Act[]) => {
    const at = acts.findIndex((each) => each.operation === operation) + 1
    return [...acts.slice(0, at), ...added, ...acts.slice(at)]
  }
const clearWax = act('clear-wax', { family: 'clear-wax' })
const twoInClay = { look: 'two-colour-distress', paint: 'clay', with: ['aged-wax'] } as const
const chippy = { look: 'chippy-casein', paint: 'casein' } as const
const crackled = { look: 'crackle', paint: 'chalk-style' } as const
const oiledCasein = { look: 'light-distress', paint: 'casein', seal: 'oil' } as const
const stained = { look: 'stained-wood', paint: 'stain' } as const
const resisted = { look: 'chippy-resist', paint: 'chalk-style' } as const
const striped = { look: 'stripes', paint: 'chalk-style' } as const
const clothed = {
  part: { substrate: 'fabric', existing: 'bare' },
  wish: { look: 'painted-fabric', paint: 'chalk-style' },
} as const
const oldLead = { lead: 'suspected', existing: 'oil-paint' } as const

const cases: Record<Exclude<ConflictCode, 'too-early' | 'window-missed' | 'used-before-cure'>, Case> = {
  'soiled-under-coat': { wrong: without('clean', 'rinse') },
  'cleaner-not-rinsed': { wrong: without('rinse') },
  'wax-under-paint': { part: { existing: 'wax' }, wrong: without('dewax') },
  'new-wax-under-paint': { wrong: after('coat', clearWax) },
  'oil-under-paint': { part: { existing: 'fresh-oil' }, wrong: without('wipe-spirits') },
  'stripper-not-scraped': { wish: { look: 'whitewash' }, wrong: without('scrape') },
  'stripper-left': { wish: { look: 'whitewash' }, wrong: without('neutralise') },
  'film-under-wash': { wish: { look: 'whitewash' }, wrong: without('strip', 'scrape', 'neutralise') },
  'furred-under-coat': { wish: { look: 'whitewash' }, wrong: without('sand') },
  'no-key': { wrong: without('scuff') },
  'slick-unprimed': { part: { substrate: 'laminate', existing: 'bare' }, wrong: without('adhesion-prime') },
  'knots-unsealed': { part: { substrate: 'softwood', existing: 'bare' }, wrong: without('knotting') },
  'bleed-unblocked': {
    part: { substrate: 'red-wood' },
    wish: { colours: { a: pale } },
    wrong: without('block-prime'),
  },
  'unknown-unprimed': { part: { existing: 'unknown' }, wrong: without('block-prime') },
  'veneer-abraded': { part: { substrate: 'veneer' }, wrong: with_('scuff', { grit: '120' }) },
  'across-the-grain': { wrong: with_('scuff', { marks: ['across-grain'] }) },
  'lead-disturbed': { part: oldLead, wrong: before('adhesion-prime', act('scuff', { grit: '180' })) },
  'lead-uncovered': { part: oldLead, wrong: without('adhesion-prime') },
  'dust-under-coat': { wrong: without('dust-off') },
  'lint-under-clear': { wrong: without('de-lint') },
  'all-in-one-thinned': { wish: { paint: 'all-in-one' }, wrong: with_('coat', { mix: 'paint : water 10 : 1' }) },
  'too-much-water': { wrong: with_('coat', { mix: 'paint : water 2 : 1' }) },
  mud: { wish: twoInClay, wrong: without('seal-between') },
  'sealed-before-blend': {
    wish: { look: 'wet-blend', paint: 'clay' },
    wrong: before('blend', act('seal-between', { family: 'water-clear' })),
  },
  'blend-will-not-move': { wish: { look: 'wet-blend', paint: 'clay' }, wrong: with_('blend', { family: 'all-in-one' }) },
  'casein-unbonded': { wish: { look: 'light-distress', paint: 'casein' }, wrong: with_('coat', { mix: 'powder : water 1 : 1' }) },
  'casein-bonded-to-chip': { wish: chippy, wrong: with_('coat', { mix: 'powder : water 1 : 1, with bonding agent' }) },
  'undercoat-unsealed': { wish: chippy, wrong: without('seal-between') },
  'crackle-without-medium': { wish: crackled, wrong: without('crackle-medium') },
  'crackle-covered': { wish: crackled, wrong: after('crackle-coat', act('coat', { family: 'chalk-style', colour: pale })) },
  'crackle-back-brushed': { wish: crackled, wrong: with_('crackle-coat', { marks: ['back-brushed'] }) },
  'wash-lifts-base': { wish: { look: 'colour-wash', paint: 'clay' }, wrong: without('seal-between') },
  'resist-under-topcoat': { wish: { look: 'chippy-resist', paint: 'chalk-style' }, wrong: without('remove-resist') },
  'flakes-under-coat': { wish: chippy, wrong: without('brush-off-flakes') },
  'tape-under-topcoat': { wish: { look: 'stripes', paint: 'chalk-style' }, wrong: without('pull-tape') },
  'wet-distress-will-not-lift': {
    wish: { look: 'light-distress', paint: 'clay' },
    wrong: (acts) => acts.map((each) => (each.operation === 'coat' ? { ...each, family: 'latex' } : each)),
  },
  'distress-after-sealing': {
    wish: { look: 'light-distress', paint: 'clay' },
    wrong: before('wet-distress', act('seal-between', { family: 'water-clear' })),
  },
  'heat-on-stripper': { wish: { look: 'whitewash' }, wrong: before('scrape', act('heat-gun')) },
  'fabric-pile': {
    part: { substrate: 'fabric', existing: 'bare' },
    wish: { look: 'painted-fabric' },
    wrong: (acts) => acts,
  },
  'fabric-dry': {
    part: { substrate: 'fabric', existing: 'bare' },
    wish: { look: 'painted-fabric' },
    wrong: without('mist-fabric'),
  },
  'leather-diluted-first': {
    part: { substrate: 'leather', existing: 'bare' },
    wish: { look: 'painted-leather' },
    wrong: with_('coat', { mix: 'paint with 20 % water' }),
  },
  'leather-thick-first': {
    part: { substrate: 'leather', existing: 'bare' },
    wish: { look: 'painted-leather' },
    wrong: with_('coat', { film: 'heavy' }),
  },
  'dark-wax-on-bare-paint': { wish: twoInClay, wrong: without('clear-wax') },
  'clear-over-wax': {
    wrong: before('clear-coat', clearWax, act('wax-off', { family: 'clear-wax' }), act('buff', { family: 'clear-wax' })),
  },
  'clear-over-fresh-oil': {
    wish: { look: 'light-distress', paint: 'casein', seal: 'oil' },
    wrong: after('wipe-oil', act('clear-coat', { family: 'water-clear' })),
  },
  'oil-cannot-soak': {
    wish: { look: 'light-distress', paint: 'casein', seal: 'oil' },
    wrong: before('oil', act('seal-between', { family: 'water-clear' })),
  },
  'soiled-under-stripper': { wish: { look: 'whitewash' }, wrong: without('clean', 'rinse') },
  'stain-cannot-soak': { wish: stained, wrong: before('wash', act('block-prime', { family: 'blocking-primer' })) },
  'own-oil-under-paint': {
    wish: oiledCasein,
    wrong: (acts) => [...acts, act('coat', { family: 'chalk-mineral', colour: pale })],
  },
  'only-wiped': { wrong: (acts) => [act('wipe-spirits'), ...without('clean', 'rinse')(acts)] },
  'one-coat-few': {
    wrong: (acts) =>
      acts.filter((each, k) => each.operation !== 'coat' || k === acts.findIndex(({ operation }) => operation === 'coat')),
  },
  'rough-wood': { part: { existing: 'bare' }, wrong: without('sand') },
  'patch-came-off': { part: { slips: true }, wrong: without('adhesion-prime') },
  'knots-late': {
    part: { substrate: 'softwood', existing: 'bare' },
    wrong: (acts) => [...acts.filter(({ operation }) => operation !== 'knotting'), act('knotting', { family: 'knotting' })],
  },
  'knots-below': { part: { substrate: 'softwood', existing: 'water-paint' }, wrong: without('knotting') },
  'too-coarse': { wrong: with_('scuff', { grit: '60' }) },
  'grits-backwards': { part: { existing: 'bare' }, wrong: with_('sand', { grit: '220 → 150' }) },
  'cloth-wrong-product': { ...clothed, wrong: (acts) => [...acts, act('clear-coat', { family: 'water-clear' })] },
  'cloth-abraded': { ...clothed, wrong: with_('smooth', { grit: '220' }) },
  'cloth-degreased': { ...clothed, wrong: with_('clean', { family: 'degreaser' }) },
  'cloth-thick': { ...clothed, wrong: with_('fabric-coat', { mix: null }) },
  'no-key-on-own-film': { wrong: (acts) => [...acts, act('coat', { family: 'chalk-mineral', colour: pale })] },
  'casein-watery': { wish: { look: 'light-distress', paint: 'casein' }, wrong: with_('coat', { mix: 'powder : water 1 : 3' }) },
  'rewets-below-another': { wish: { paint: 'clay' }, wrong: after('coat', act('coat', { family: 'latex', colour: slate })) },
  'soaks-instead': { part: { existing: 'bare' }, wish: chippy, wrong: without('undercoat', 'seal-between') },
  'chips-twice': {
    wish: chippy,
    wrong: (acts) => acts.flatMap((each) => (each.operation === 'coat' ? [each, each] : [each])),
  },
  'effect-buried': {
    wish: { look: 'colour-wash', paint: 'latex' },
    wrong: after('wash', act('coat', { family: 'latex', colour: slate })),
  },
  'primer-over-colour': { wrong: before('de-lint', act('block-prime', { family: 'blocking-primer' })) },
  'primer-bare': { wrong: before('de-lint', act('block-prime', { family: 'blocking-primer' })) },
  'too-thick': { wrong: with_('clear-coat', { film: 'heavy' }) },
  'crackle-wrong-paint': { wish: crackled, wrong: with_('crackle-coat', { family: 'all-in-one' }) },
  'medium-thin': { wish: crackled, wrong: with_('crackle-medium', { film: 'thin' }) },
  'coat-over-medium': { wish: crackled, wrong: with_('crackle-coat', { operation: 'coat' }) },
  'wash-on-raw-crackle': {
    wish: crackled,
    wrong: after('crackle-coat', act('wash', { family: 'chalk-style', colour: slate, mix: 'paint : water 1 : 1' })),
  },
  'crackle-worn-wet': { wish: crackled, wrong: after('crackle-coat', act('wet-distress')) },
  'wash-neat': { wish: { look: 'colour-wash', paint: 'latex' }, wrong: with_('wash', { mix: null }) },
  'glaze-neat': { wish: { look: 'glaze-lift', paint: 'latex' }, wrong: with_('glaze', { family: 'latex', mix: null }) },
  'nothing-to-lay-down': { wrong: after('coat', act('knock-down')) },
  'resist-on-nothing': { wish: resisted, wrong: before('coat', act('resist', { family: 'resist' })) },
  'resist-wiped-first': {
    wish: resisted,
    wrong: (acts) => {
      const wiped = acts.filter(({ operation }) => operation !== 'remove-resist')
      return before('dry-distress', act('remove-resist'))(wiped)
    },
  },
  'resist-uncovered': { wish: resisted, wrong: after('resist', act('remove-resist')) },
  'resist-under-other-work': { wrong: after('coat', act('resist', { family: 'resist' })) },
  'open-under-resist': { wish: { ...resisted, paint: 'clay' }, wrong: without('seal-between') },
  'tape-under-base': { wish: striped, wrong: before('tape', act('tape'), act('coat', { family: 'chalk-style', colour: slate })) },
  'tape-pulled-early': { wish: striped, wrong: after('tape', act('pull-tape')) },
  'tape-on-weave': { ...clothed, wrong: after('fabric-coat', act('tape')) },
  'wet-wear-briefly': { wish: { look: 'light-distress' }, wrong: with_('dry-distress', { operation: 'wet-distress' }) },
  'rub-over-wax': { wish: { seal: 'wax' }, wrong: (acts) => [...acts, act('smooth', { grit: '320' })] },
  'heat-for-nothing': { wrong: after('coat', act('heat-gun', { cautions: ['heat'] })) },
  'heat-harms': {
    part: { substrate: 'leather', existing: 'bare' },
    wish: { look: 'painted-leather' },
    wrong: after('coat', act('heat-gun', { cautions: ['heat'] })),
  },
  'over-salve': {
    part: { existing: 'bare' },
    wish: oiledCasein,
    wrong: (acts) => [...acts, act('salve', { family: 'salve' }), act('coat', { family: 'chalk-mineral', colour: pale })],
  },
  'wax-over-fresh-oil': { wish: oiledCasein, wrong: (acts) => [...acts, clearWax] },
  'buffed-over-excess': { wish: { seal: 'wax' }, wrong: before('wax-off', act('buff', { family: 'clear-wax' })) },
  'gilding-on-open-paint': { wish: { paint: 'clay', with: ['gilded-edges'] }, wrong: without('clear-coat', 'de-lint', 'smooth') },
  'oil-left': { wish: oiledCasein, wrong: without('wipe-oil') },
  'cleaner-left': { wrong: (acts) => [...acts, act('clean', { family: 'soap' })] },
  'worn-unsealed': { wrong: (acts) => [...acts, act('dry-distress', { grit: '220' })] },
  'wax-out-of-place': { part: { use: 'outdoors' }, wrong: (acts) => [...acts, clearWax] },
  'thirsty-under-hard-clear': {
    part: { use: 'outdoors' },
    wish: { paint: 'chalk-style' },
    // the thin satin first is left out
    wrong: (acts) => acts.filter(({ operation, family }) => operation !== 'clear-coat' || family !== 'water-clear'),
  },
  'gilding-under-topcoat': {
    wish: { with: ['gilded-edges'] },
    wrong: before('clear-coat', act('metallic-wax', { family: 'metallic-wax' })),
  },
  'gilding-on-raw-wax': { wish: { with: ['gilded-edges'], seal: 'wax' }, wrong: without('wax-off') },
  'nothing-to-rub': { wish: { seal: 'wax' }, wrong: without('clear-wax') },
  'caution-missing': { part: { existing: 'fresh-oil' }, wrong: with_('wipe-spirits', { cautions: [] }) },
  'coarse-last-rub': { wrong: with_('smooth', { grit: '120' }) },
  'steps-of-the-look': { wish: { look: 'stripes', paint: 'chalk-style' }, wrong: without('tape', 'pull-tape') },
  'low-contrast': {
    wish: { look: 'two-colour-distress', paint: 'chalk-style' },
    wrong: (acts) => acts,
  },
  'excess-left': { wish: { seal: 'wax' }, wrong: without('wax-off', 'buff') },
  unbuffed: { wish: { seal: 'wax' }, wrong: without('buff') },
  'resist-left': { wish: { look: 'chippy-resist', paint: 'chalk-style' }, wrong: without('remove-resist') },
  'tape-left': { wish: { look: 'stripes', paint: 'chalk-style' }, wrong: without('pull-tape') },
  'left-unsealed': { wish: { paint: 'clay' }, wrong: without('clear-coat') },
  'topcoat-missing': { wrong: without('clear-coat') },
  'wax-in-hard-use': { part: { use: 'heavy' }, wrong: without('clear-coat') },
  'not-for-outdoors': {
    part: { use: 'outdoors' },
    wrong: (acts) => acts.map((each) => (each.family === 'hard-clear' ? { ...each, family: 'water-clear' } : each)),
  },
  'too-few-clears': { part: { use: 'heavy' }, wrong: (acts) => acts.slice(0, -4) },
}
/** Where the mistake lies in the part or the colours, not in the steps. */
const otherwise: Partial<Record<ConflictCode, { part?: Partial<FinishablePart>; wish?: Partial<FinishWish> }>> = {
  'fabric-pile': { part: { substrate: 'pile-fabric' } },
  'low-contrast': { wish: { colours: { a: slate, b: { name: 'Near Slate', hex: '#425c66' } } } },
}

function planned(part: FinishablePart, wish: FinishWish): PlannedStep[] {
  const outcome = planFinish(part, wish)
  if ('refusal' in outcome) throw new Error(`refused: ${outcome.refusal.code}`)
  return outcome.plan.steps
}

test('every rule has its case', () => {
  expect(Object.keys(cases).sort()).toEqual([...Object.keys(meetingRules), ...Object.keys(endingRules)].sort())
})

describe.each(Object.entries(cases))('%s', (code, { part, wish, wrong }) => {
  const facts = partOf(part)
  const wished = wishOf(wish)
  const steps = planned(facts, wished)
  test('is silent where nothing is wrong', () => {
    expect(checkStack({ part: facts, wish: wished, acts: steps }).map((each) => each.code)).not.toContain(code)
  })
  test('speaks where it is', () => {
    const { part: badPart, wish: badWish } = otherwise[code as ConflictCode] ?? {}
    const found = checkStack({ part: { ...facts, ...badPart }, wish: { ...wished, ...badWish }, acts: wrong(steps) })
    expect(found.map((each) => each.code)).toContain(code)
  })
})

describe('times', () => {
  const facts = partOf()
  const wished = wishOf({ look: 'light-distress' })
  const timed = (waits: Partial<Record<number, number>>) => {
    let now = 0
    return planned(facts, wished).map((step, k) => {
      const start = now + (waits[k] ?? 1500)
      now = start + step.minutes
      return { ...step, at: { start, end: now } }
    })
  }
  const codes = (acts: Act[]) => checkStack({ part: facts, wish: wished, acts }).map((each) => each.code)
  // clean rinse scuff dust-off coat coat dry-distress dust-off clear-wax wax-off buff
  const good = { 6: 70, 9: 20, 10: 1500 }

  test('a coat after 30 minutes where the label wants an hour is too early', () => {
    expect(codes(timed({ ...good, 5: 30 }))).toContain('too-early')
    expect(codes(timed({ ...good, 5: 60 }))).not.toContain('too-early')
  })
  test('worn back after a night, the easy window of chalk mineral paint is missed', () => {
    expect(codes(timed({ ...good, 6: 900 }))).toContain('window-missed')
    expect(codes(timed(good))).not.toContain('window-missed')
  })
  test('loaded after ten days it is in use before cure; after thirty it is not', () => {
    const acts = timed(good)
    const end = acts.at(-1)?.at.end ?? 0
    const usedAfter = (days: number) =>
      checkStack({ part: facts, wish: wished, acts, usedAt: end + days * 1440, method: defaultMethod }).map((each) => each.code)
    expect(usedAfter(10)).toContain('used-before-cure')
    expect(usedAfter(30)).not.toContain('used-before-cure')
  })
})
