/** Before colour: what must be off, on and below. Source: the craft, on preparation and harm. */
import { mayHoldLead } from '@/core/craft/lead'
import { getExistingFinish, getSubstrate } from '@/core/craft/parts'
import { bleedsThrough } from '@/core/finish/planFinish'
import { isPainted, kindOf, topLayer } from '@/core/stack/surface'
import { abrasive, firstLaid, grips, has, isPrimer, lays, paintsOn } from './ask'
import type { Meeting, MeetingRule } from './rule'

/** Lead is in what is still on the part, or was found in the part itself. */
const leadUnder = ({ part, on }: Meeting): boolean => mayHoldLead(part) && (on.filmed || part.lead === 'found')

export const preparationRules = {
  'soiled-under-coat': {
    severity: 'stop',
    remedies: [{ operation: 'clean', family: 'degreaser' }, { operation: 'rinse' }],
    meets: (m) => m.on.soiled && (lays(m.act) || abrasive.includes(m.act.operation)),
  },
  'cleaner-not-rinsed': {
    severity: 'stop',
    remedies: [{ operation: 'rinse' }],
    meets: (m) => m.on.cleaner && (lays(m.act) || m.act.operation === 'strip' || abrasive.includes(m.act.operation)),
  },
  'wax-under-paint': {
    severity: 'stop',
    remedies: [
      { operation: 'dewax', family: 'spirits' },
      { operation: 'wipe-spirits', family: 'spirits' },
    ],
    meets: (m) => m.on.wax !== 'none' && lays(m.act),
  },
  'new-wax-under-paint': {
    severity: 'stop',
    remedies: [
      { operation: 'dewax', family: 'spirits' },
      { operation: 'wipe-spirits', family: 'spirits' },
      { operation: 'dust-off' },
    ],
    meets: (m) => topLayer(m.on)?.role === 'wax' && (isPainted(m.act) || isPrimer(m.act)),
  },
  'oil-under-paint': {
    severity: 'stop',
    remedies: [{ operation: 'wipe-spirits', family: 'spirits' }],
    meets: (m) => m.on.oily && lays(m.act),
  },
  'stripper-not-scraped': {
    severity: 'stop',
    remedies: [{ operation: 'scrape' }, { operation: 'neutralise' }],
    meets: (m) => m.on.stripper === 'on' && m.act.operation !== 'scrape',
  },
  'stripper-left': {
    severity: 'stop',
    remedies: [{ operation: 'neutralise' }],
    meets: (m) => m.on.stripper === 'residue' && (lays(m.act) || m.act.operation === 'sand' || m.act.operation === 'scuff'),
  },
  'film-under-wash': {
    severity: 'stop',
    remedies: [
      { operation: 'strip', family: 'stripper' },
      { operation: 'scrape' },
      { operation: 'neutralise' },
      { operation: 'sand' },
      { operation: 'dust-off' },
    ],
    meets: (m) => m.on.filmed && m.act.operation === 'wash' && m.looks.some(({ bareWood }) => bareWood),
  },
  'furred-under-coat': {
    severity: 'caution',
    remedies: [{ operation: 'sand' }, { operation: 'dust-off' }],
    source: 'practice',
    meets: (m) => m.on.furred && lays(m.act),
  },
  'no-key': {
    severity: 'caution',
    remedies: [{ operation: 'scuff' }, { operation: 'dust-off' }],
    meets: (m) =>
      m.on.shiny &&
      firstLaid(m) &&
      !mayHoldLead(m.part) &&
      kindOf(m.part) !== 'leather' &&
      kindOf(m.part) !== 'fabric' &&
      !(grips(m.act) === 'most' && m.act.check === 'scratch' && !getExistingFinish(m.part.existing).gloss),
  },
  'slick-unprimed': {
    severity: 'stop',
    remedies: [{ operation: 'adhesion-prime', family: 'adhesion-primer' }],
    meets: (m) => kindOf(m.part) === 'slick' && !m.on.primed.grip && isPainted(m.act) && paintsOn(m.on).length === 0,
  },
  'knots-unsealed': {
    severity: 'stop',
    remedies: [{ operation: 'knotting', family: 'knotting' }],
    meets: (m) =>
      getSubstrate(m.part.substrate).knotty === true &&
      !m.on.primed.knots &&
      isPainted(m.act) &&
      paintsOn(m.on).length === 0 &&
      !m.looks.some(({ bareWood }) => bareWood),
  },
  'bleed-unblocked': {
    severity: 'stop',
    remedies: [{ operation: 'block-prime', family: 'blocking-primer' }],
    meets: (m) =>
      isPainted(m.act) &&
      !m.on.primed.bleed &&
      m.act.colour !== null &&
      !m.looks.some(({ bareWood }) => bareWood) &&
      bleedsThrough(m.part, [m.act.colour.hex]),
  },
  'unknown-unprimed': {
    severity: 'caution',
    remedies: [{ operation: 'block-prime', family: 'blocking-primer' }],
    meets: (m) =>
      m.part.existing === 'unknown' &&
      m.on.filmed &&
      !m.on.primed.bleed &&
      !m.on.primed.grip &&
      isPainted(m.act) &&
      paintsOn(m.on).length === 0 &&
      !['fabric', 'leather'].includes(kindOf(m.part)),
  },
  'veneer-abraded': {
    severity: 'stop',
    remedies: [{ operation: 'scuff' }],
    meets: (m) =>
      getSubstrate(m.part.substrate).veneer === true &&
      m.on.layers.length === 0 &&
      (m.act.operation === 'sand' || (m.act.operation === 'scuff' && !has(m.act.grit, 'one light hand pass'))),
  },
  'across-the-grain': {
    severity: 'caution',
    remedies: [{ operation: 'sand' }, { operation: 'dust-off' }],
    meets: (m) => abrasive.includes(m.act.operation) && (m.act.marks?.includes('across-grain') ?? false),
  },
  'lead-disturbed': {
    severity: 'stop',
    remedies: [{ operation: 'adhesion-prime', family: 'adhesion-primer' }],
    meets: (m) =>
      leadUnder(m) &&
      (['scuff', 'sand', 'scrape', 'dewax', 'heat-gun', 'scrape-distress', 'dry-distress'].includes(m.act.operation) ||
        (m.act.operation === 'smooth' && m.on.layers.length === 0)),
  },
  'lead-uncovered': {
    severity: 'caution',
    remedies: [{ operation: 'adhesion-prime', family: 'adhesion-primer' }],
    meets: (m) =>
      leadUnder(m) &&
      isPainted(m.act) &&
      !m.on.primed.grip &&
      paintsOn(m.on).length === 0 &&
      !['fabric', 'leather'].includes(kindOf(m.part)),
  },
  'heat-on-stripper': {
    severity: 'stop',
    remedies: [{ operation: 'scrape' }, { operation: 'neutralise' }],
    meets: (m) => m.act.operation === 'heat-gun' && m.on.stripper !== 'none',
  },
} as const satisfies Record<string, MeetingRule>
