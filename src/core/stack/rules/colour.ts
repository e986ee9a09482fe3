/** Colour on colour: paints, effects and wear. Source: the craft, on families and looks. */
import { getFamily } from '@/core/craft/families'
import { bonded, isPainted, kindOf, topLayer } from '@/core/stack/surface'
import { allowedWater, coarse, finish, isCoat, lastPaint, lays, misted, sealedAbove, thinned, waterShare } from './ask'
import type { MeetingRule } from './rule'

export const colourRules = {
  'dust-under-coat': {
    severity: 'caution',
    remedies: [{ operation: 'dust-off' }],
    meets: (m) => m.on.dusty && lays(m.act),
  },
  'all-in-one-thinned': {
    severity: 'stop',
    remedies: [{ operation: 'coat', family: 'all-in-one' }],
    meets: (m) => m.act.family === 'all-in-one' && (thinned(m.act) || misted(m.act)),
  },
  'too-much-water': {
    severity: 'caution',
    remedies: [{ operation: 'coat' }],
    meets: (m) =>
      isCoat(m.act) &&
      m.act.operation !== 'fabric-coat' &&
      m.act.family !== 'all-in-one' &&
      waterShare(m.act) > allowedWater(m.act),
  },
  mud: {
    severity: 'stop',
    remedies: [{ operation: 'seal-between', family: 'water-clear' }],
    meets: (m) => {
      const below = lastPaint(m.on)
      const freely = below?.act.family && getFamily(below.act.family).rewets === 'freely'
      return (
        Boolean(freely) &&
        m.looks.some(({ apart }) => apart) &&
        m.method.layers === 'apart' &&
        isPainted(m.act) &&
        m.act.operation !== 'dry-brush' &&
        below?.act.colour?.hex !== m.act.colour?.hex &&
        !sealedAbove(m.on, below)
      )
    },
  },
  'sealed-before-blend': {
    severity: 'stop',
    remedies: [{ operation: 'coat' }],
    meets: (m) => m.act.operation === 'blend' && sealedAbove(m.on, lastPaint(m.on)),
  },
  'blend-will-not-move': {
    severity: 'stop',
    remedies: [{ operation: 'coat' }],
    meets: (m) => m.act.operation === 'blend' && !['clay', 'chalk-mineral', 'chalk-style'].includes(m.act.family ?? ''),
  },
  'casein-unbonded': {
    severity: 'caution',
    remedies: [{ operation: 'coat', family: 'casein' }],
    meets: (m) =>
      m.act.family === 'casein' &&
      isCoat(m.act) &&
      !m.looks.some(({ chips }) => chips) &&
      !bonded(m.act) &&
      (m.on.filmed || m.on.layers.some(({ role }) => role === 'primer' || role === 'clear')),
  },
  'casein-bonded-to-chip': {
    severity: 'caution',
    remedies: [{ operation: 'coat', family: 'casein' }],
    meets: (m) => m.act.family === 'casein' && m.act.operation === 'coat' && m.looks.some(({ chips }) => chips) && bonded(m.act),
  },
  'undercoat-unsealed': {
    severity: 'stop',
    remedies: [{ operation: 'seal-between', family: 'water-clear' }],
    meets: (m) => topLayer(m.on)?.act.operation === 'undercoat' && isCoat(m.act),
  },
  'crackle-without-medium': {
    severity: 'stop',
    remedies: [{ operation: 'crackle-medium', family: 'crackle-medium' }],
    meets: (m) => m.act.operation === 'crackle-coat' && topLayer(m.on)?.act.operation !== 'crackle-medium',
  },
  'crackle-covered': {
    severity: 'stop',
    remedies: finish,
    meets: (m) => topLayer(m.on)?.act.operation === 'crackle-coat' && (isCoat(m.act) || m.act.operation === 'blend'),
  },
  'crackle-back-brushed': {
    severity: 'stop',
    remedies: [{ operation: 'smooth' }, { operation: 'crackle-medium', family: 'crackle-medium' }, { operation: 'crackle-coat' }],
    meets: (m) => m.act.operation === 'crackle-coat' && (m.act.marks?.includes('back-brushed') ?? false),
  },
  'wash-lifts-base': {
    severity: 'stop',
    remedies: [{ operation: 'seal-between', family: 'water-clear' }],
    meets: (m) => {
      const base = lastPaint(m.on)
      return (
        (m.act.operation === 'wash' || m.act.operation === 'spray-runs') &&
        base !== undefined &&
        base.act.operation !== 'wash' &&
        m.looks.some(({ apart }) => apart) &&
        getFamily(base.act.family ?? 'clay').rewets === 'freely' &&
        !sealedAbove(m.on, base)
      )
    },
  },
  'wet-distress-will-not-lift': {
    severity: 'stop',
    remedies: [{ operation: 'dry-distress' }],
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
  'distress-after-sealing': {
    severity: 'caution',
    remedies: [{ operation: 'dry-distress' }],
    meets: (m) => m.act.operation === 'wet-distress' && sealedAbove(m.on, lastPaint(m.on)),
  },
  'fabric-pile': {
    severity: 'stop',
    remedies: [{ operation: 'upholster' }],
    meets: (m) => kindOf(m.part) === 'pile' && isPainted(m.act),
  },
  'fabric-dry': {
    severity: 'caution',
    remedies: [{ operation: 'mist-fabric' }],
    meets: (m) => m.act.operation === 'fabric-coat' && !m.on.misted && m.on.layers.length === 0,
  },
  'leather-diluted-first': {
    severity: 'stop',
    remedies: [{ operation: 'coat' }],
    meets: (m) =>
      kindOf(m.part) === 'leather' && isPainted(m.act) && m.on.layers.length === 0 && (thinned(m.act) || misted(m.act)),
  },
  'leather-thick-first': {
    severity: 'caution',
    remedies: [{ operation: 'coat' }],
    meets: (m) => kindOf(m.part) === 'leather' && isPainted(m.act) && m.on.layers.length === 0 && m.act.film !== 'thin',
  },
  'coarse-last-rub': {
    severity: 'caution',
    remedies: [{ operation: 'smooth' }],
    source: 'practice',
    meets: (m) => m.act.operation === 'smooth' && coarse(m.act.grit),
  },
} as const satisfies Record<string, MeetingRule>
