/** Cloth and leather. Source: the craft, on looks; what was settled of materials. */
import { isSoft, kindOf, type SubstrateKind } from '@/core/craft/parts'
import { canBeOn, familiesFor } from '@/core/craft/takes'
import { type Act, isLaid, isPainted } from '@/core/stack/surface'
import { abrasive, gritOf, misted, thinned, waterShare, withWool } from './ask'
import type { MeetingRule } from './rule'

/** Whether a product stays supple there. */
const suits = ({ operation, family }: Act, kind: SubstrateKind) =>
  family !== null && familiesFor(operation, kind).includes(family)

export const softRules = {
  'fabric-pile': {
    severity: 'stop',
    remedies: [{ operation: 'upholster' }],
    instead: true,
    meets: (m) => kindOf(m.part) === 'pile' && isPainted(m.act),
  },
  'cloth-wrong-product': {
    severity: 'stop',
    remedies: [],
    instead: true,
    meets: (m) =>
      isSoft(m.part.substrate) &&
      kindOf(m.part) !== 'pile' &&
      isLaid(m.act) &&
      !(canBeOn(m.act.operation, kindOf(m.part)) && suits(m.act, kindOf(m.part))),
  },
  'cloth-abraded': {
    severity: 'stop',
    remedies: [],
    instead: true,
    meets: (m) =>
      isSoft(m.part.substrate) &&
      (m.act.operation === 'scrape' || withWool(m.act) || (abrasive.includes(m.act.operation) && gritOf(m.act) < 400)),
  },
  'cloth-degreased': {
    severity: 'advice',
    remedies: [{ operation: 'clean', family: 'soap' }],
    instead: true,
    meets: (m) => isSoft(m.part.substrate) && m.act.operation === 'clean' && m.act.family === 'degreaser',
  },
  'fabric-dry': {
    severity: 'caution',
    remedies: [{ operation: 'mist-fabric' }],
    meets: (m) => m.act.operation === 'fabric-coat' && !m.on.misted && m.on.layers.length === 0,
  },
  'cloth-thick': {
    severity: 'caution',
    remedies: [],
    instead: true,
    meets: (m) =>
      (m.act.operation === 'fabric-coat' && waterShare(m.act) === 0) ||
      (isSoft(m.part.substrate) && isPainted(m.act) && m.act.film === 'heavy'),
  },
  'leather-diluted-first': {
    severity: 'stop',
    remedies: [{ operation: 'coat' }],
    instead: true,
    meets: (m) =>
      kindOf(m.part) === 'leather' && isPainted(m.act) && m.on.layers.length === 0 && (thinned(m.act) || misted(m.act)),
  },
  'leather-thick-first': {
    severity: 'caution',
    remedies: [{ operation: 'coat' }],
    instead: true,
    meets: (m) => kindOf(m.part) === 'leather' && isPainted(m.act) && m.on.layers.length === 0 && m.act.film !== 'thin',
  },
} as const satisfies Record<string, MeetingRule>
