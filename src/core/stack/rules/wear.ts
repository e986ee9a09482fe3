/** Wear: what a cloth, an abrasive, a blade or heat does to which layer. Source: the craft, on families and looks. */
import { getFamily } from '@/core/craft/families'
import { type Act, topLayer } from '@/core/stack/surface'
import { isWet, lastPaint, openBelow, sealedAbove, topRole, waxedOff } from './ask'
import type { MeetingRule } from './rule'

/** Work with plenty of water; a damp sponge over the whole face evens a mark out. */
const washes = ({ operation, family, applicator }: Act) =>
  (operation === 'rinse' || operation === 'neutralise' || (operation === 'clean' && family !== 'spirits')) &&
  !/damp/.test(applicator ?? '')

export const wearRules = {
  'water-on-open': {
    severity: 'stop',
    remedies: [],
    instead: true,
    meets: (m) => washes(m.act) && m.on.stripper === 'none' && openBelow(m.on) !== undefined,
  },
  'wet-rub-smears': {
    severity: 'caution',
    remedies: [],
    instead: true,
    meets: (m) => m.act.operation === 'smooth' && isWet(m.act) && openBelow(m.on) !== undefined,
  },
  'wet-distress-will-not-lift': {
    severity: 'stop',
    remedies: [{ operation: 'dry-distress' }],
    instead: true,
    meets: (m) => {
      const paint = lastPaint(m.on)?.act.family
      return (
        m.act.operation === 'wet-distress' &&
        paint !== null &&
        paint !== undefined &&
        !getFamily(paint).rewets &&
        paint !== 'chalk-mineral'
      )
    },
  },
  // it moves with water for half an hour at most: told where nobody knows the time
  'wet-wear-briefly': {
    severity: 'caution',
    remedies: [{ operation: 'dry-distress' }],
    instead: true,
    meets: (m) => m.act.operation === 'wet-distress' && lastPaint(m.on)?.act.family === 'chalk-mineral' && m.act.at === undefined,
  },
  'distress-after-sealing': {
    severity: 'caution',
    remedies: [{ operation: 'dry-distress' }],
    instead: true,
    meets: (m) => m.act.operation === 'wet-distress' && sealedAbove(m.on, lastPaint(m.on)),
  },
  'rub-over-wax': {
    severity: 'caution',
    remedies: waxedOff,
    source: 'practice',
    meets: (m) =>
      topRole(m.on) === 'wax' &&
      ['smooth', 'sand', 'scuff'].includes(m.act.operation) &&
      m.act.grit !== null &&
      !softened(m.act.grit),
  },
  'heat-for-nothing': {
    severity: 'caution',
    remedies: [],
    instead: true,
    meets: (m) => m.act.operation === 'heat-gun' && topLayer(m.on)?.act.family !== 'casein',
  },
  'heat-harms': {
    severity: 'stop',
    remedies: [],
    instead: true,
    meets: (m) =>
      m.act.operation === 'heat-gun' && ['leather', 'fabric', 'pile-fabric', 'glass', 'plastic'].includes(m.part.substrate),
  },
} as const satisfies Record<string, MeetingRule>

/** Waxed cloth is rubbed supple. */
const softened = (grit: string) => grit.startsWith('400')
