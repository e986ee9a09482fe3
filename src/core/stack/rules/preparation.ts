/**
 * Before colour: what must be off, on and below, in the order in which it is put right. Source: the craft, on preparation and
 * harm; what was settled of materials.
 */
import { getExistingFinish, getSubstrate } from '@/core/craft/parts'
import { bleedsThrough } from '@/core/finish/ground'
import { isPainted, kindOf, topLayer } from '@/core/stack/surface'
import { abrasive, firstLaid, grips, isPrimer, isSoft, lays, leadUnder, paintsOn, waxedOff } from './ask'
import type { Meeting, MeetingRule } from './rule'

const bareLook = ({ looks }: Meeting) => looks.some(({ bareWood }) => bareWood)
/** Not everything said of a material fits each: cloth and leather take no primer. */
const primable = ({ part }: Meeting) => !isSoft(part)
const firstPaint = (m: Meeting) => isPainted(m.act) && paintsOn(m.on).length === 0
/** Colours that will lie on this ground. */
const hexesFrom = ({ act, ahead, on }: Meeting): string[] =>
  (paintsOn(on).length === 0 ? [act, ...ahead.filter(isPainted)] : [act]).flatMap(({ colour }) => colour?.hex ?? [])
const strips: MeetingRule['remedies'] = [
  { operation: 'strip' },
  { operation: 'scrape' },
  { operation: 'neutralise' },
  { operation: 'sand' },
  { operation: 'dust-off' },
]
const onStripper = ({ operation }: Meeting['act']) => operation === 'scrape' || operation === 'strip'

export const preparationRules = {
  'heat-on-stripper': {
    severity: 'stop',
    remedies: [{ operation: 'scrape' }, { operation: 'neutralise' }],
    meets: (m) => m.act.operation === 'heat-gun' && m.on.stripper !== 'none',
  },
  'stripper-not-scraped': {
    severity: 'stop',
    remedies: [{ operation: 'scrape' }, { operation: 'neutralise' }],
    meets: (m) => m.on.stripper === 'on' && !onStripper(m.act),
  },
  'soiled-under-stripper': {
    severity: 'caution',
    remedies: [{ operation: 'clean' }, { operation: 'rinse' }],
    meets: (m) => m.on.soiled === 'soiled' && m.act.operation === 'strip',
  },
  'film-under-wash': {
    severity: 'stop',
    remedies: strips,
    meets: (m) => m.on.filmed && m.act.operation === 'wash' && bareLook(m),
  },
  'stain-cannot-soak': {
    severity: 'stop',
    remedies: strips,
    instead: true,
    meets: (m) => m.act.family === 'stain' && m.on.layers.some(({ act }) => act.family !== 'stain'),
  },
  'new-wax-under-paint': {
    severity: 'stop',
    remedies: [...waxedOff, { operation: 'dust-off' }],
    meets: (m) => topLayer(m.on)?.role === 'wax' && (isPainted(m.act) || isPrimer(m.act) || m.act.operation === 'crackle-medium'),
  },
  'wax-under-paint': {
    severity: 'stop',
    remedies: waxedOff,
    meets: (m) => m.on.wax !== 'none' && lays(m.act),
  },
  'oil-under-paint': {
    severity: 'stop',
    remedies: [{ operation: 'wipe-spirits', reason: 'oil-defeats-paint' }],
    meets: (m) => m.on.oily && lays(m.act),
  },
  'own-oil-under-paint': {
    severity: 'stop',
    remedies: [{ operation: 'wipe-spirits', reason: 'oil-defeats-paint' }],
    meets: (m) => m.on.ownOil && topLayer(m.on)?.role === 'oil' && (isPainted(m.act) || isPrimer(m.act)),
  },
  'soiled-under-coat': {
    severity: 'stop',
    remedies: [{ operation: 'clean' }, { operation: 'rinse' }],
    meets: (m) =>
      m.on.soiled === 'soiled' && (lays(m.act) || m.act.operation === 'mist-fabric' || abrasive.includes(m.act.operation)),
  },
  'only-wiped': {
    severity: 'advice',
    remedies: [{ operation: 'clean' }, { operation: 'rinse' }],
    meets: (m) => m.on.soiled === 'wiped' && m.method.cleaner !== 'spirits' && firstLaid(m),
  },
  'cleaner-not-rinsed': {
    severity: 'stop',
    remedies: [{ operation: 'rinse' }],
    meets: (m) =>
      m.on.cleaner &&
      (lays(m.act) || m.act.operation === 'strip' || m.act.operation === 'mist-fabric' || abrasive.includes(m.act.operation)),
  },
  'stripper-left': {
    severity: 'stop',
    remedies: [{ operation: 'neutralise' }],
    meets: (m) => m.on.stripper === 'residue' && (lays(m.act) || m.act.operation === 'sand' || m.act.operation === 'scuff'),
  },
  'furred-under-coat': {
    severity: 'caution',
    remedies: [{ operation: 'sand' }, { operation: 'dust-off' }],
    source: 'practice',
    meets: (m) => m.on.furred && lays(m.act),
  },
  'rough-wood': {
    severity: 'advice',
    remedies: [{ operation: 'sand', grit: '150 → 220' }, { operation: 'dust-off' }],
    optional: true,
    source: 'practice',
    meets: (m) =>
      firstLaid(m) && m.part.existing === 'bare' && ['wood', 'board'].includes(kindOf(m.part)) && m.on.abraded.times === 0,
  },
  'no-key': {
    severity: 'caution',
    remedies: [{ operation: 'scuff' }, { operation: 'dust-off' }],
    meets: (m) =>
      m.on.shiny &&
      firstLaid(m) &&
      !isSoft(m.part) &&
      // what is meant to chip wants no grip
      !(m.looks.some(({ chips }) => chips) && m.act.family === 'casein') &&
      !(grips(m.act) === 'most' && m.act.check === 'scratch' && !getExistingFinish(m.part.existing).gloss),
  },
  'patch-came-off': {
    severity: 'stop',
    remedies: [{ operation: 'adhesion-prime' }],
    meets: (m) => m.part.slips === true && primable(m) && firstPaint(m) && !m.on.primed.grip && !bareLook(m),
  },
  'knots-late': {
    severity: 'caution',
    remedies: [],
    instead: true,
    meets: (m) => m.act.operation === 'knotting' && m.on.layers.some(({ act }) => act.operation !== 'knotting'),
  },
  'knots-unsealed': {
    severity: 'stop',
    remedies: [{ operation: 'knotting' }],
    meets: (m) =>
      getSubstrate(m.part.substrate).knotty === true &&
      // quiet for years under the old paint
      getExistingFinish(m.part.existing).layer !== 'oldPaint' &&
      !m.on.primed.knots &&
      (firstPaint(m) || m.act.operation === 'adhesion-prime') &&
      !bareLook(m),
  },
  // quiet under old paint for years, they are sealed all the same
  'knots-below': {
    severity: 'advice',
    remedies: [{ operation: 'knotting' }],
    meets: (m) =>
      getSubstrate(m.part.substrate).knotty === true &&
      getExistingFinish(m.part.existing).layer === 'oldPaint' &&
      !m.on.primed.knots &&
      (firstPaint(m) || m.act.operation === 'adhesion-prime') &&
      !bareLook(m),
  },
  'lead-uncovered': {
    severity: 'caution',
    remedies: [{ operation: 'adhesion-prime', reason: 'lead-covered' }],
    meets: (m) => leadUnder(m) && primable(m) && firstPaint(m) && !m.on.primed.grip && !m.on.primed.bleed,
  },
  'slick-unprimed': {
    severity: 'stop',
    remedies: [{ operation: 'adhesion-prime' }],
    meets: (m) =>
      kindOf(m.part) === 'slick' &&
      !m.on.primed.grip &&
      // one that blocks grips laminate as well, scuffed
      !(m.on.primed.bleed && m.part.substrate !== 'glass') &&
      firstPaint(m),
  },
  'bleed-unblocked': {
    severity: 'stop',
    remedies: [{ operation: 'block-prime' }],
    meets: (m) =>
      isPainted(m.act) && !m.on.primed.bleed && m.act.colour !== null && !bareLook(m) && bleedsThrough(m.part, hexesFrom(m)),
  },
  'unknown-unprimed': {
    severity: 'caution',
    remedies: [{ operation: 'block-prime', reason: 'unknown-safe' }],
    meets: (m) =>
      m.part.existing === 'unknown' && m.on.filmed && primable(m) && firstPaint(m) && !m.on.primed.bleed && !m.on.primed.grip,
  },
} as const satisfies Record<string, MeetingRule>
