/** What a material does not take: cane, slick things, board, and whatever a step was never made for. Source: the craft, on what was settled of materials. */
import type { OperationCode } from '@/core/craft/operations'
import { getExistingFinish, getSubstrate, isSoft, kindOf } from '@/core/craft/parts'
import { canBeOn } from '@/core/craft/takes'
import { bareLook, byMachine, firstPaint, gritOf, lays, rubs, withWool } from './ask'
import type { MeetingRule } from './rule'

/** A pad is as fine as this. */
const padGrit = 320

const feeds: readonly OperationCode[] = ['oil', 'salve']

export const materialRules = {
  'stripper-spoils': {
    severity: 'stop',
    remedies: [],
    instead: true,
    meets: (m) =>
      m.act.operation === 'strip' && (!canBeOn('strip', kindOf(m.part)) || ['laminate', 'plastic'].includes(m.part.substrate)),
  },
  'cane-harmed': {
    severity: 'stop',
    remedies: [{ operation: 'scuff' }],
    instead: true,
    meets: (m) =>
      kindOf(m.part) === 'cane' &&
      (['scrape', 'scrape-distress'].includes(m.act.operation) ||
        withWool(m.act) ||
        (rubs.includes(m.act.operation) && (byMachine(m.act) || (m.act.grit !== null && gritOf(m.act) < padGrit)))),
  },
  'cane-thick': {
    severity: 'caution',
    remedies: [],
    instead: true,
    meets: (m) => kindOf(m.part) === 'cane' && lays(m.act) && m.act.film === 'heavy',
  },
  'no-grain': {
    severity: 'stop',
    remedies: [],
    instead: true,
    meets: (m) =>
      m.act.operation === 'wash' && ['board', 'slick'].includes(kindOf(m.part)) && (m.act.family === 'stain' || bareLook(m)),
  },
  'glass-scratched': {
    severity: 'caution',
    remedies: [],
    instead: true,
    meets: (m) =>
      m.part.substrate === 'glass' &&
      !getExistingFinish(m.part.existing).film &&
      rubs.includes(m.act.operation) &&
      m.on.layers.length === 0,
  },
  'not-on-this': {
    severity: 'caution',
    remedies: [],
    instead: true,
    // cloth, leather, cane and heat have rules of their own; oil feeds the paint it is laid on
    meets: (m) =>
      !isSoft(m.part.substrate) &&
      !['heat-gun', 'strip', 'mist-fabric'].includes(m.act.operation) &&
      !(kindOf(m.part) === 'cane' && m.act.operation === 'scrape-distress') &&
      !(feeds.includes(m.act.operation) && m.on.layers.length > 0) &&
      !canBeOn(m.act.operation, kindOf(m.part)),
  },
  // cut edges of board are all end grain
  'edges-drink': {
    severity: 'caution',
    remedies: [{ operation: 'block-prime', in: ['edges'], reason: 'edges-drink' }],
    meets: (m) =>
      getSubstrate(m.part.substrate).kind === 'board' &&
      !m.on.filmed &&
      m.in.includes('edges') &&
      !m.on.primed.bleed &&
      !m.on.primed.grip &&
      m.on.layers.length === 0 &&
      firstPaint(m),
  },
} as const satisfies Record<string, MeetingRule>
