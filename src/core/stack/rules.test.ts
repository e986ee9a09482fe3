/** Every rule fires on the mistake it is for, and says nothing of the same plan without the mistake. */
import { describe, expect, test } from 'vitest'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { plannedSteps } from '@/core/testing/planned'
import { act, append, change, clearWax, colours, type Damage, leaveOut, partOf, putAfter, putBefore } from './cases/stacks'
import { checkStack } from './checkStack'
import { type ConflictCode, endingRules, meetingRules } from './rules'
import type { Act } from './surface'

const { slate, pale } = colours
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
  wrong: Damage
}
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
/** The clear from another tin than was asked for. */
const inSatin: Damage = (acts) => acts.map((each) => (each.operation === 'clear-coat' ? { ...each, sheen: 'satin' } : each))
const oldLead = { lead: 'suspected', existing: 'oil-paint' } as const

const cases: Record<Exclude<ConflictCode, 'too-early' | 'window-missed' | 'used-before-cure'>, Case> = {
  'soiled-under-coat': { wrong: leaveOut('clean', 'rinse') },
  'cleaner-not-rinsed': { wrong: leaveOut('rinse') },
  'wax-under-paint': { part: { existing: 'wax' }, wrong: leaveOut('dewax') },
  'new-wax-under-paint': { wrong: putAfter('coat', clearWax()) },
  'oil-under-paint': { part: { existing: 'fresh-oil' }, wrong: leaveOut('wipe-spirits') },
  'stripper-not-scraped': { wish: { look: 'whitewash' }, wrong: leaveOut('scrape') },
  'stripper-left': { wish: { look: 'whitewash' }, wrong: leaveOut('neutralise') },
  'film-under-wash': { wish: { look: 'whitewash' }, wrong: leaveOut('strip', 'scrape', 'neutralise') },
  'furred-under-coat': { wish: { look: 'whitewash' }, wrong: leaveOut('sand') },
  'no-key': { wrong: leaveOut('scuff') },
  'rust-below': { part: { substrate: 'metal', existing: 'bare' }, wrong: leaveOut('de-rust') },
  'water-on-metal': {
    part: { substrate: 'metal', existing: 'bare' },
    wrong: change('adhesion-prime', { family: 'adhesion-primer' }),
  },
  'metal-primer-elsewhere': {
    part: { substrate: 'laminate', existing: 'bare' },
    wrong: change('adhesion-prime', { family: 'metal-primer' }),
  },
  'slick-unprimed': { part: { substrate: 'laminate', existing: 'bare' }, wrong: leaveOut('adhesion-prime') },
  'knots-unsealed': { part: { substrate: 'softwood', existing: 'bare' }, wrong: leaveOut('knotting') },
  'bleed-unblocked': {
    part: { substrate: 'red-wood' },
    wish: { colours: { a: pale } },
    wrong: leaveOut('block-prime'),
  },
  'unknown-unprimed': { part: { existing: 'unknown' }, wrong: leaveOut('block-prime') },
  'veneer-abraded': { part: { substrate: 'veneer' }, wrong: change('scuff', { grit: '120' }) },
  'across-the-grain': { wrong: change('scuff', { marks: ['across-grain'] }) },
  'lead-disturbed': { part: oldLead, wrong: putBefore('adhesion-prime', act('scuff', { grit: '180' })) },
  'lead-uncovered': { part: oldLead, wrong: leaveOut('adhesion-prime') },
  'dust-under-coat': { wrong: leaveOut('dust-off') },
  'lint-under-clear': { wrong: leaveOut('de-lint') },
  'all-in-one-thinned': { wish: { paint: 'all-in-one' }, wrong: change('coat', { mix: 'paint : water 10 : 1' }) },
  'too-much-water': { wrong: change('coat', { mix: 'paint : water 2 : 1' }) },
  mud: { wish: twoInClay, wrong: leaveOut('seal-between') },
  'sealed-before-blend': {
    wish: { look: 'wet-blend', paint: 'clay' },
    wrong: putBefore('blend', act('seal-between', { family: 'water-clear' })),
  },
  'blend-will-not-move': { wish: { look: 'wet-blend', paint: 'clay' }, wrong: change('blend', { family: 'all-in-one' }) },
  'casein-unbonded': {
    wish: { look: 'light-distress', paint: 'casein' },
    wrong: change('coat', { mix: 'powder : water 1 : 1' }),
  },
  'casein-bonded-to-chip': { wish: chippy, wrong: change('coat', { mix: 'powder : water 1 : 1, with bonding agent' }) },
  'undercoat-unsealed': { wish: chippy, wrong: leaveOut('seal-between') },
  'crackle-without-medium': { wish: crackled, wrong: leaveOut('crackle-medium') },
  'crackle-below': {
    wish: { look: 'smooth-solid', paint: 'chalk-style' },
    wrong: (acts) => [
      act('crackle-medium', { family: 'crackle-medium' }),
      act('crackle-coat', { family: 'chalk-style', colour: pale }),
      ...acts,
    ],
  },
  'crackle-covered': { wish: crackled, wrong: putAfter('crackle-coat', act('coat', { family: 'chalk-style', colour: pale })) },
  'crackle-back-brushed': { wish: crackled, wrong: change('crackle-coat', { marks: ['back-brushed'] }) },
  'wash-lifts-base': { wish: { look: 'colour-wash', paint: 'clay' }, wrong: leaveOut('seal-between') },
  'resist-under-topcoat': { wish: { look: 'chippy-resist', paint: 'chalk-style' }, wrong: leaveOut('remove-resist') },
  'flakes-under-coat': { wish: chippy, wrong: leaveOut('brush-off-flakes') },
  'tape-under-topcoat': { wish: { look: 'stripes', paint: 'chalk-style' }, wrong: leaveOut('pull-tape') },
  'wet-distress-will-not-lift': {
    wish: { look: 'light-distress', paint: 'clay' },
    wrong: (acts) => acts.map((each) => (each.operation === 'coat' ? { ...each, family: 'latex' } : each)),
  },
  'distress-after-sealing': {
    wish: { look: 'light-distress', paint: 'clay' },
    wrong: putBefore('wet-distress', act('seal-between', { family: 'water-clear' })),
  },
  'heat-on-stripper': { wish: { look: 'whitewash' }, wrong: putBefore('scrape', act('heat-gun')) },
  'fabric-pile': {
    part: { substrate: 'fabric', existing: 'bare' },
    wish: { look: 'painted-fabric' },
    wrong: (acts) => acts,
  },
  'fabric-dry': {
    part: { substrate: 'fabric', existing: 'bare' },
    wish: { look: 'painted-fabric' },
    wrong: leaveOut('mist-fabric'),
  },
  'leather-diluted-first': {
    part: { substrate: 'leather', existing: 'bare' },
    wish: { look: 'painted-leather' },
    wrong: change('coat', { mix: 'paint with 20 % water' }),
  },
  'leather-thick-first': {
    part: { substrate: 'leather', existing: 'bare' },
    wish: { look: 'painted-leather' },
    wrong: change('coat', { film: 'heavy' }),
  },
  'dark-wax-on-bare-paint': { wish: twoInClay, wrong: leaveOut('clear-wax') },
  'clear-over-wax': {
    wrong: putBefore('clear-coat', clearWax(), act('wax-off', { family: 'clear-wax' }), act('buff', { family: 'clear-wax' })),
  },
  'clear-over-fresh-oil': {
    wish: { look: 'light-distress', paint: 'casein', seal: 'oil' },
    wrong: putAfter('wipe-oil', act('clear-coat', { family: 'water-clear' })),
  },
  'oil-cannot-soak': {
    wish: { look: 'light-distress', paint: 'casein', seal: 'oil' },
    wrong: putBefore('oil', act('seal-between', { family: 'water-clear' })),
  },
  'soiled-under-stripper': { wish: { look: 'whitewash' }, wrong: leaveOut('clean', 'rinse') },
  'stain-cannot-soak': { wish: stained, wrong: putBefore('wash', act('block-prime', { family: 'blocking-primer' })) },
  'own-oil-under-paint': {
    wish: oiledCasein,
    wrong: (acts) => [...acts, act('coat', { family: 'chalk-mineral', colour: pale })],
  },
  'only-wiped': { wrong: (acts) => [act('wipe-spirits'), ...leaveOut('clean', 'rinse')(acts)] },
  'one-coat-few': {
    wrong: (acts) =>
      acts.filter((each, k) => each.operation !== 'coat' || k === acts.findIndex(({ operation }) => operation === 'coat')),
  },
  'rough-wood': { part: { existing: 'bare' }, wrong: leaveOut('sand') },
  'patch-came-off': { part: { slips: true }, wrong: leaveOut('adhesion-prime') },
  'knots-late': {
    part: { substrate: 'softwood', existing: 'bare' },
    wrong: (acts) => [...acts.filter(({ operation }) => operation !== 'knotting'), act('knotting', { family: 'knotting' })],
  },
  'knots-below': { part: { substrate: 'softwood', existing: 'water-paint' }, wrong: leaveOut('knotting') },
  'texture-below': {
    wrong: putBefore('coat', act('texture-coat', { family: 'chalk-mineral', mix: 'paint : texture powder 2 : 1' })),
  },
  'scratches-show': {
    part: { existing: 'bare' },
    wish: stained,
    wrong: change('sand', { grit: '80' }),
  },
  'on-fresh-oil-paint': {
    part: { existing: 'bare' },
    wish: { paint: 'alkyd' },
    wrong: append(act('scuff', { grit: '320' }), act('dust-off'), act('clear-coat', { family: 'water-clear' })),
  },
  'filler-bare': { wrong: putBefore('de-lint', act('fill')) },
  'too-coarse': { wrong: change('scuff', { grit: '60' }) },
  'grits-backwards': { part: { existing: 'bare' }, wrong: change('sand', { grit: '220 → 150' }) },
  'cloth-wrong-product': { ...clothed, wrong: (acts) => [...acts, act('clear-coat', { family: 'water-clear' })] },
  'cloth-abraded': { ...clothed, wrong: change('smooth', { grit: '220' }) },
  'cloth-degreased': { ...clothed, wrong: change('clean', { family: 'degreaser' }) },
  'cloth-thick': { ...clothed, wrong: change('fabric-coat', { mix: null }) },
  'no-key-on-own-film': { wrong: (acts) => [...acts, act('coat', { family: 'chalk-mineral', colour: pale })] },
  'casein-watery': { wish: { look: 'light-distress', paint: 'casein' }, wrong: change('coat', { mix: 'powder : water 1 : 3' }) },
  'rewets-below-another': { wish: { paint: 'clay' }, wrong: putAfter('coat', act('coat', { family: 'latex', colour: slate })) },
  'soaks-instead': { part: { existing: 'bare' }, wish: chippy, wrong: leaveOut('undercoat', 'seal-between') },
  'chips-twice': {
    wish: chippy,
    wrong: (acts) => acts.flatMap((each) => (each.operation === 'coat' ? [each, each] : [each])),
  },
  'effect-buried': {
    wish: { look: 'colour-wash', paint: 'latex' },
    wrong: putAfter('wash', act('coat', { family: 'latex', colour: slate })),
  },
  'primer-over-colour': { wrong: putBefore('de-lint', act('block-prime', { family: 'blocking-primer' })) },
  'primer-bare': { wrong: putBefore('de-lint', act('block-prime', { family: 'blocking-primer' })) },
  'too-thick': { wrong: change('clear-coat', { film: 'heavy' }) },
  'crackle-wrong-paint': { wish: crackled, wrong: change('crackle-coat', { family: 'all-in-one' }) },
  'medium-thin': { wish: crackled, wrong: change('crackle-medium', { film: 'thin' }) },
  'coat-over-medium': { wish: crackled, wrong: change('crackle-coat', { operation: 'coat' }) },
  'wash-on-raw-crackle': {
    wish: crackled,
    wrong: putAfter('crackle-coat', act('wash', { family: 'chalk-style', colour: slate, mix: 'paint : water 1 : 1' })),
  },
  'crackle-worn-wet': { wish: crackled, wrong: putAfter('crackle-coat', act('wet-distress')) },
  'wash-neat': { wish: { look: 'colour-wash', paint: 'latex' }, wrong: change('wash', { mix: null }) },
  'glaze-neat': { wish: { look: 'glaze-lift', paint: 'latex' }, wrong: change('glaze', { family: 'latex', mix: null }) },
  'nothing-to-lay-down': { wrong: putAfter('coat', act('knock-down')) },
  'resist-on-nothing': { wish: resisted, wrong: putBefore('coat', act('resist', { family: 'resist' })) },
  'resist-wiped-first': {
    wish: resisted,
    wrong: (acts) => {
      const wiped = acts.filter(({ operation }) => operation !== 'remove-resist')
      return putBefore('dry-distress', act('remove-resist'))(wiped)
    },
  },
  'resist-uncovered': { wish: resisted, wrong: putAfter('resist', act('remove-resist')) },
  'resist-under-other-work': { wrong: putAfter('coat', act('resist', { family: 'resist' })) },
  'open-under-resist': { wish: { ...resisted, paint: 'clay' }, wrong: leaveOut('seal-between') },
  'tape-under-base': {
    wish: striped,
    wrong: putBefore('tape', act('tape'), act('coat', { family: 'chalk-style', colour: slate })),
  },
  'runs-neat': { wish: { look: 'spray-runs', paint: 'clay' }, wrong: change('spray-runs', { mix: 'as it comes' }) },
  'texture-neat': { wish: { look: 'texture', paint: 'clay' }, wrong: change('texture-coat', { mix: 'as it comes' }) },
  'medium-rubbed': { wish: crackled, wrong: putBefore('crackle-coat', act('smooth', { grit: '220' })) },
  'resist-between-alike': {
    wish: { look: 'chippy-resist', paint: 'latex' },
    wrong: putBefore('resist', act('coat', { family: 'latex', colour: pale })),
  },
  'other-order': { wish: { look: 'two-colour-distress', paint: 'chalk-style' }, wrong: swapCoats },
  'sheen-other': { wish: { seal: 'clear', sheen: 'flat' }, wrong: inSatin },
  'sheen-missed': { wish: { seal: 'clear', sheen: 'flat' }, wrong: inSatin },
  'scratched-topcoat': { wrong: append(act('smooth', { grit: '320' })) },
  'tape-pulled-early': { wish: striped, wrong: putAfter('tape', act('pull-tape')) },
  'tape-on-weave': { ...clothed, wrong: putAfter('fabric-coat', act('tape')) },
  'wet-wear-briefly': { wish: { look: 'light-distress' }, wrong: change('dry-distress', { operation: 'wet-distress' }) },
  'rub-over-wax': { wish: { seal: 'wax' }, wrong: (acts) => [...acts, act('smooth', { grit: '320' })] },
  'heat-for-nothing': { wrong: putAfter('coat', act('heat-gun', { cautions: ['heat'] })) },
  'heat-harms': {
    part: { substrate: 'leather', existing: 'bare' },
    wish: { look: 'painted-leather' },
    wrong: putAfter('coat', act('heat-gun', { cautions: ['heat'] })),
  },
  'stripper-spoils': { part: { substrate: 'laminate', existing: 'water-paint' }, wrong: putBefore('clean', act('strip')) },
  'cane-harmed': { part: { substrate: 'cane' }, wrong: change('scuff', { grit: '120' }) },
  'cane-thick': { part: { substrate: 'cane' }, wrong: change('coat', { film: 'heavy' }) },
  'no-grain': {
    part: { substrate: 'board', existing: 'bare' },
    wrong: putBefore('coat', act('wash', { family: 'stain', colour: slate })),
  },
  'glass-scratched': {
    part: { substrate: 'glass', existing: 'bare' },
    wrong: putBefore('adhesion-prime', act('scuff', { grit: '320' })),
  },
  'not-on-this': { part: { substrate: 'metal' }, wrong: putBefore('coat', act('knotting', { family: 'knotting' })) },
  'edges-drink': { part: { substrate: 'board', existing: 'bare' }, wrong: leaveOut('block-prime') },
  'wet-rub-smears': { wish: { paint: 'clay' }, wrong: change('smooth', { grit: 'wet, 320' }) },
  'water-on-open': { wish: { paint: 'clay' }, wrong: putAfter('coat', act('rinse')) },
  'over-salve': {
    part: { existing: 'bare' },
    wish: oiledCasein,
    wrong: (acts) => [...acts, act('salve', { family: 'salve' }), act('coat', { family: 'chalk-mineral', colour: pale })],
  },
  'wax-over-fresh-oil': { wish: oiledCasein, wrong: (acts) => [...acts, clearWax()] },
  'buffed-over-excess': { wish: { seal: 'wax' }, wrong: putBefore('wax-off', act('buff', { family: 'clear-wax' })) },
  'excess-under-coat': {
    wish: oiledCasein,
    wrong: (acts) => [...leaveOut('wipe-oil')(acts), act('oil', { family: 'drying-oil' })],
  },
  'waxed-over-excess': { wish: { seal: 'wax' }, wrong: putBefore('wax-off', clearWax()) },
  'gilding-on-open-paint': {
    wish: { paint: 'clay', with: ['gilded-edges'] },
    wrong: leaveOut('clear-coat', 'de-lint', 'smooth'),
  },
  'oil-left': { wish: oiledCasein, wrong: leaveOut('wipe-oil') },
  'cleaner-left': { wrong: (acts) => [...acts, act('clean', { family: 'soap' })] },
  'worn-unsealed': { wrong: (acts) => [...acts, act('dry-distress', { grit: '220' })] },
  'wax-out-of-place': { part: { use: 'outdoors' }, wrong: (acts) => [...acts, clearWax()] },
  'thirsty-under-hard-clear': {
    part: { use: 'outdoors' },
    wish: { paint: 'chalk-style' },
    // the thin satin first is left out
    wrong: (acts) => acts.filter(({ operation, family }) => operation !== 'clear-coat' || family !== 'water-clear'),
  },
  'gilding-under-topcoat': {
    wish: { with: ['gilded-edges'] },
    wrong: putBefore('clear-coat', act('metallic-wax', { family: 'metallic-wax' })),
  },
  'gilding-on-raw-wax': { wish: { with: ['gilded-edges'], seal: 'wax' }, wrong: leaveOut('wax-off') },
  'nothing-to-rub': { wish: { seal: 'wax' }, wrong: leaveOut('clear-wax') },
  'caution-missing': { part: { existing: 'fresh-oil' }, wrong: change('wipe-spirits', { cautions: [] }) },
  'coarse-last-rub': { wrong: change('smooth', { grit: '120' }) },
  'steps-of-the-look': { wish: { look: 'stripes', paint: 'chalk-style' }, wrong: leaveOut('tape', 'pull-tape') },
  'low-contrast': {
    wish: { look: 'two-colour-distress', paint: 'chalk-style' },
    wrong: (acts) => acts,
  },
  'excess-left': { wish: { seal: 'wax' }, wrong: leaveOut('wax-off', 'buff') },
  unbuffed: { wish: { seal: 'wax' }, wrong: leaveOut('buff') },
  'resist-left': { wish: { look: 'chippy-resist', paint: 'chalk-style' }, wrong: leaveOut('remove-resist') },
  'tape-left': { wish: { look: 'stripes', paint: 'chalk-style' }, wrong: leaveOut('pull-tape') },
  'left-unsealed': { wish: { paint: 'clay' }, wrong: leaveOut('clear-coat') },
  'topcoat-missing': { wrong: leaveOut('clear-coat') },
  'wax-in-hard-use': { part: { use: 'heavy' }, wrong: leaveOut('clear-coat') },
  'not-for-outdoors': {
    part: { use: 'outdoors' },
    wrong: (acts) => acts.map((each) => (each.family === 'hard-clear' ? { ...each, family: 'water-clear' } : each)),
  },
  'too-few-clears': { part: { use: 'heavy' }, wrong: (acts) => acts.slice(0, -4) },
}
/** The first colour and the last change places. */
function swapCoats(acts: Act[]): Act[] {
  const first = acts.findIndex(({ operation }) => operation === 'coat')
  const last = acts.findLastIndex(({ operation }) => operation === 'coat')
  return acts.with(first, acts[last] as Act).with(last, acts[first] as Act)
}
/** Where the mistake lies in the part or the colours, not in the steps. */
const otherwise: Partial<Record<ConflictCode, { part?: Partial<FinishablePart>; wish?: Partial<FinishWish> }>> = {
  'fabric-pile': { part: { substrate: 'pile-fabric' } },
  'low-contrast': { wish: { colours: { a: slate, b: { name: 'Near Slate', hex: '#425c66' } } } },
}

test('every rule has its case', () => {
  expect(Object.keys(cases).sort()).toEqual([...Object.keys(meetingRules), ...Object.keys(endingRules)].sort())
})

describe.each(Object.entries(cases))('%s', (code, { part, wish, wrong }) => {
  const facts = partOf(part ?? {})
  const wished = wishOf(wish)
  const steps = plannedSteps(facts, wished)
  test('is silent where nothing is wrong', () => {
    expect(checkStack({ part: facts, wish: wished, acts: steps }).map((each) => each.code)).not.toContain(code)
  })
  test('speaks where it is', () => {
    const { part: badPart, wish: badWish } = otherwise[code as ConflictCode] ?? {}
    const found = checkStack({ part: { ...facts, ...badPart }, wish: { ...wished, ...badWish }, acts: wrong(steps) })
    expect(found.map((each) => each.code)).toContain(code)
  })
})
