/**
 * Before colour: what must be off, on and below, in the order in which it is put right. Source: the craft, on preparation and
 * harm; what was settled of materials.
 */
import { getFamily } from '@/core/craft/families'
import { getExistingFinish, getSubstrate, isBareMetal, isSoft, kindOf } from '@/core/craft/parts'
import { bleedsThrough } from '@/core/finish/ground'
import { isPainted, topLayer } from '@/core/stack/surface'
import {
  abrasive,
  bareLook,
  chips,
  firstLaid,
  firstPaint,
  grips,
  isPrimer,
  isVeneer,
  lays,
  leadUnder,
  paintsOn,
  waxedOff,
} from './ask'
import type { Meeting, MeetingRule } from './rule'

/** Not everything said of a material fits each: cloth and leather take no primer. */
const primable = ({ part }: Meeting) => !isSoft(part.substrate)
/** The first thing under which knots are shut in: paint, what grips for it, or a clear that paint goes over. */
const shutsKnots = (m: Meeting) =>
  firstPaint(m) ||
  (m.act.operation === 'adhesion-prime' && !blocksAhead(m)) ||
  (firstLaid(m) && !isPainted(m.act) && !isPrimer(m.act) && m.ahead().some(isPainted))
/** Colours that will lie on this ground. */
const hexesFrom = ({ act, ahead, on }: Meeting): string[] =>
  (paintsOn(on).length === 0 ? [act, ...ahead().filter(isPainted)] : [act]).flatMap(({ colour }) => colour?.hex ?? [])
/** What blocks tannin blocks knots. */
const blocksAhead = ({ ahead }: Meeting) => ahead().some(({ operation }) => operation === 'block-prime')
/** Cloth is misted clean. */
const meetsGround = ({ act }: Meeting) => lays(act) || act.operation === 'mist-fabric'
const onStripper = ({ operation }: Meeting['act']) => operation === 'scrape' || operation === 'strip'

export const preparationRules = {
  'heat-on-stripper': {
    severity: 'stop',
    remedies: [{ operation: 'scrape' }, { operation: 'neutralise' }],
    meets: (m) => m.act.operation === 'heat-gun' && m.on.stripper !== 'none',
  },
  'stripper-not-scraped': {
    severity: 'stop',
    remedies: [{ operation: 'scrape' }],
    meets: (m) => m.on.stripper === 'on' && !onStripper(m.act),
  },
  'soiled-under-stripper': {
    severity: 'advice',
    remedies: [{ operation: 'clean' }],
    // what takes the finish off takes its wax and oil too
    meets: (m) => m.on.soiled === 'soiled' && m.act.operation === 'strip' && m.on.wax === 'none' && !m.on.oily,
  },
  'film-under-wash': {
    severity: 'stop',
    remedies: [{ operation: 'strip' }],
    meets: (m) =>
      m.act.operation === 'wash' &&
      bareLook(m) &&
      m.act.family !== 'stain' &&
      (m.on.filmed || m.on.layers.some(({ act }) => isPainted(act) && act.operation !== 'wash')),
  },
  'stain-cannot-soak': {
    severity: 'stop',
    remedies: [{ operation: 'strip' }],
    meets: (m) => m.act.family === 'stain' && (m.on.filmed || m.on.layers.some(({ act }) => act.family !== 'stain')),
  },
  'new-wax-under-paint': {
    severity: 'stop',
    remedies: waxedOff,
    meets: (m) => topLayer(m.on)?.role === 'wax' && (isPainted(m.act) || isPrimer(m.act) || m.act.operation === 'crackle-medium'),
  },
  'wax-under-paint': {
    severity: 'stop',
    remedies: waxedOff,
    meets: (m) => m.on.wax !== 'none' && meetsGround(m),
  },
  'oil-under-paint': {
    severity: 'stop',
    remedies: [{ operation: 'wipe-spirits', reason: 'oil-defeats-paint' }],
    meets: (m) => m.on.oily && meetsGround(m),
  },
  'own-oil-under-paint': {
    severity: 'stop',
    remedies: [{ operation: 'wipe-spirits', reason: 'oil-defeats-paint' }],
    meets: (m) => m.on.ownOil && topLayer(m.on)?.role === 'oil' && (isPainted(m.act) || isPrimer(m.act)),
  },
  'soiled-under-coat': {
    severity: 'stop',
    remedies: [{ operation: 'clean' }],
    meets: (m) => m.on.soiled === 'soiled' && (meetsGround(m) || abrasive.includes(m.act.operation)),
  },
  'only-wiped': {
    severity: 'advice',
    remedies: [{ operation: 'clean' }],
    meets: (m) => m.on.soiled === 'wiped' && m.method.cleaner !== 'spirits' && firstLaid(m),
  },
  'cleaner-not-rinsed': {
    severity: 'stop',
    remedies: [{ operation: 'rinse' }],
    meets: (m) => m.on.cleaner && (meetsGround(m) || m.act.operation === 'strip' || abrasive.includes(m.act.operation)),
  },
  'stripper-left': {
    severity: 'stop',
    remedies: [{ operation: 'neutralise' }],
    meets: (m) => m.on.stripper === 'residue' && (lays(m.act) || m.act.operation === 'sand' || m.act.operation === 'scuff'),
  },
  'furred-under-coat': {
    severity: 'caution',
    remedies: [{ operation: 'sand' }],
    source: 'practice',
    // veneer takes one pass: what had it is left furred
    meets: (m) => m.on.furred && lays(m.act) && !(isVeneer(m.part) && m.on.abraded.times > 0),
  },
  'rough-wood': {
    severity: 'advice',
    remedies: [{ operation: 'sand', grit: '150 → 220' }],
    optional: true,
    source: 'practice',
    meets: (m) =>
      firstLaid(m) && m.part.existing === 'bare' && ['wood', 'board'].includes(kindOf(m.part)) && m.on.abraded.times === 0,
  },
  'rust-below': {
    severity: 'caution',
    remedies: [{ operation: 'de-rust' }],
    meets: (m) => m.on.rusty && lays(m.act),
  },
  'water-on-metal': {
    severity: 'caution',
    remedies: [{ operation: 'adhesion-prime', family: 'metal-primer', reason: 'metal-rusts' }],
    meets: (m) => isBareMetal(m.part) && firstLaid(m) && m.act.family !== null && getFamily(m.act.family).clock === 'evaporation',
  },
  'metal-primer-elsewhere': {
    severity: 'caution',
    remedies: [],
    instead: true,
    meets: (m) => m.act.family === 'metal-primer' && m.part.substrate !== 'metal',
  },
  'no-key': {
    severity: 'caution',
    remedies: [{ operation: 'scuff' }],
    meets: (m) =>
      m.on.shiny &&
      firstLaid(m) &&
      !isSoft(m.part.substrate) &&
      // what is meant to chip wants no grip
      !(chips(m) && m.act.family === 'casein') &&
      !(grips(m.act) === 'most' && m.act.check === 'scratch' && !getExistingFinish(m.part.existing).gloss),
  },
  'patch-came-off': {
    severity: 'stop',
    remedies: [{ operation: 'adhesion-prime' }],
    meets: (m) => m.part.slips === true && primable(m) && firstPaint(m) && !m.on.primed.grip && !bareLook(m),
  },
  'bleed-unblocked': {
    severity: 'stop',
    remedies: [{ operation: 'block-prime' }],
    meets: (m) =>
      isPainted(m.act) && !m.on.primed.bleed && m.act.colour !== null && !bareLook(m) && bleedsThrough(m.part, hexesFrom(m)),
  },
  'slick-unprimed': {
    severity: 'stop',
    remedies: [{ operation: 'adhesion-prime' }],
    meets: (m) =>
      kindOf(m.part) === 'slick' &&
      !m.on.primed.grip &&
      // one that blocks grips laminate as well, scuffed; it keeps no metal from rusting
      !(m.on.primed.bleed && m.part.substrate !== 'glass' && !isBareMetal(m.part)) &&
      firstPaint(m),
  },
  'lead-uncovered': {
    severity: 'caution',
    remedies: [{ operation: 'adhesion-prime', reason: 'lead-covered' }],
    meets: (m) => leadUnder(m) && primable(m) && firstPaint(m) && !m.on.primed.grip && !m.on.primed.bleed,
  },
  'unknown-unprimed': {
    severity: 'caution',
    remedies: [{ operation: 'block-prime', reason: 'unknown-safe' }],
    meets: (m) =>
      m.part.existing === 'unknown' && m.on.filmed && primable(m) && firstPaint(m) && !m.on.primed.bleed && !m.on.primed.grip,
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
      shutsKnots(m) &&
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
      shutsKnots(m) &&
      !bareLook(m),
  },
} as const satisfies Record<string, MeetingRule>
