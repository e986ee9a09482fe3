/** Colour on colour: which paint may lie on which, how it is mixed, how thick it goes on. Source: the craft, on families and looks. */
import { getFamily, isPaint } from '@/core/craft/families'
import { getOperation, type LayerKind } from '@/core/craft/operations'
import { parseMix } from '@/core/measure/mixParts'
import { bonded } from '@/core/stack/afterAct'
import { isLaid, isPainted, isPartial, isTopcoat, topLayer } from '@/core/stack/surface'
import {
  allowedWater,
  apart,
  blends,
  chips,
  grips,
  gritOf,
  isClear,
  isCoat,
  isEffect,
  isPrimer,
  lastPaint,
  lays,
  misted,
  openBelow,
  paintsOn,
  rewetsFreely,
  sealedAbove,
  thinned,
  topIs,
  waterShare,
} from './ask'
import type { MeetingRule } from './rule'

const sealed = [{ operation: 'seal-between' }] as const
/** Thin by nature: laid on heavily it stays soft, hazes or shows. */
const thinLayers: readonly (LayerKind | undefined)[] = ['wash', 'glaze', 'wax', 'tint', 'metallic', 'clear', 'oil']

export const colourRules = {
  'dust-under-coat': {
    severity: 'caution',
    remedies: [{ operation: 'dust-off' }],
    meets: (m) => m.on.dusty && (lays(m.act) || isTopcoat(m.act) || ['tape', 'resist'].includes(m.act.operation)),
  },
  // paint, primer or clear on a film of one's own that shines
  'no-key-on-own-film': {
    severity: 'caution',
    remedies: [{ operation: 'scuff', phase: 'wear', grit: '220–320', reason: 'own-film' }],
    meets: (meeting) => {
      const top = topLayer(meeting.on)?.act
      // what is masked is rubbed before: the tape and the resist would come off with it
      const masks = meeting.act.operation === 'tape' || meeting.act.operation === 'resist'
      const m = masks ? { ...meeting, act: meeting.ahead().find(isLaid) ?? meeting.act } : meeting
      if (!m.on.sleek || !top || (chips(m) && m.act.family === 'casein')) return false
      if (top.operation === 'clear-coat') return isPainted(m.act) || isPrimer(m.act) || m.act.operation === 'crackle-medium'
      if (m.act.operation === 'de-lint') return top.family === 'alkyd' && m.ahead().slice(0, 1).some(isClear)
      if (m.act.family === top.family) return false
      // enamel sheds whatever it is; of another closed film only what wants a key of any ground wants one, too
      return top.family === 'alkyd'
        ? isPainted(m.act) || isPrimer(m.act) || isClear(m.act)
        : isCoat(m.act) && grips(m.act) === 'keyed'
    },
  },
  // water-borne over oil paint: cured and keyed; where nobody knows the time it was laid in this finish
  'on-fresh-oil-paint': {
    severity: 'caution',
    remedies: [{ operation: 'cure' }],
    instead: true,
    meets: (m) => {
      const { act, on } = m
      const below = topLayer(on)?.act
      // what is to chip may let go of it
      if (below?.family !== 'alkyd' || !isLaid(act) || act.family === null || (chips(m) && act.family === 'casein')) return false
      const { role, clock } = getFamily(act.family)
      const days = act.at && below.at ? (act.at.start - below.at.end) / 1440 : 0
      return clock === 'evaporation' && role !== 'cleaner' && days < (getFamily('alkyd').cureDays?.[1] ?? 0)
    },
  },
  'all-in-one-thinned': {
    severity: 'stop',
    remedies: [{ operation: 'coat', family: 'all-in-one' }],
    instead: true,
    meets: (m) => m.act.family === 'all-in-one' && (thinned(m.act) || misted(m.act)),
  },
  'too-much-water': {
    severity: 'caution',
    remedies: [{ operation: 'coat' }],
    instead: true,
    meets: (m) =>
      (isCoat(m.act) || ['texture-coat', 'blend', 'dry-brush'].includes(m.act.operation)) &&
      m.act.operation !== 'fabric-coat' &&
      m.act.family !== 'all-in-one' &&
      waterShare(m.act) > allowedWater(m.act) + 0.001,
  },
  'casein-watery': {
    severity: 'caution',
    remedies: [{ operation: 'coat', family: 'casein' }],
    instead: true,
    meets: (m) => {
      if (m.act.family !== 'casein' || !isCoat(m.act)) return false
      const parts = parseMix(m.act.mix ?? '') ?? []
      const water = parts.filter(({ name }) => /water/i.test(name)).reduce((sum, each) => sum + each.parts, 0)
      const powder = parts.filter(({ name }) => !/water/i.test(name)).reduce((sum, each) => sum + each.parts, 0)
      return water > 2 * powder
    },
  },
  mud: {
    severity: 'stop',
    remedies: sealed,
    meets: (m) => {
      const below = openBelow(m.on)
      return (
        below !== undefined &&
        !blends(m) &&
        m.method.layers === 'apart' &&
        (isCoat(m.act) || (apart(m) && isPainted(m.act) && m.act.operation !== 'dry-brush')) &&
        below.act.colour?.hex !== m.act.colour?.hex
      )
    },
  },
  // whatever the house thinks of one clay over another: a paint of another kind lifts what re-wets below it
  'rewets-below-another': {
    severity: 'stop',
    remedies: sealed,
    meets: (m) => {
      const below = openBelow(m.on)
      const another = m.act.family !== null && isPaint(m.act.family) && m.act.family !== below?.act.family
      return below !== undefined && ((isCoat(m.act) && another) || m.act.operation === 'crackle-medium')
    },
  },
  'sealed-before-blend': {
    severity: 'stop',
    remedies: [{ operation: 'coat' }],
    instead: true,
    meets: (m) => m.act.operation === 'blend' && sealedAbove(m.on, lastPaint(m.on)),
  },
  'blend-will-not-move': {
    severity: 'stop',
    remedies: [{ operation: 'coat' }],
    instead: true,
    meets: (m) => m.act.operation === 'blend' && !['clay', 'chalk-mineral', 'chalk-style'].includes(m.act.family ?? ''),
  },
  'undercoat-unsealed': {
    severity: 'stop',
    remedies: sealed,
    // a second coat of it is no other layer
    meets: (m) => {
      const top = topLayer(m.on)?.act
      const itself = m.act.operation === 'undercoat' && m.act.colour?.hex === top?.colour?.hex && m.act.family === top?.family
      return topIs(m.on, 'undercoat') && rewetsFreely(topLayer(m.on)) && isCoat(m.act) && !itself
    },
  },
  'casein-unbonded': {
    severity: 'caution',
    remedies: [{ operation: 'coat', family: 'casein' }],
    instead: true,
    meets: (m) =>
      m.act.family === 'casein' &&
      isCoat(m.act) &&
      !chips(m) &&
      !bonded(m.act) &&
      (m.on.filmed ||
        m.on.layers.some(({ role, act }) => ['primer', 'clear'].includes(role) || (role === 'paint' && act.family !== 'casein'))),
  },
  'casein-bonded-to-chip': {
    severity: 'caution',
    remedies: [{ operation: 'coat', family: 'casein' }],
    instead: true,
    meets: (m) => m.act.family === 'casein' && m.act.operation === 'coat' && chips(m) && bonded(m.act) && !m.act.mends,
  },
  'soaks-instead': {
    severity: 'caution',
    remedies: [{ operation: 'undercoat' }],
    instead: true,
    meets: (m) =>
      chips(m) && m.act.family === 'casein' && isCoat(m.act) && !bonded(m.act) && !m.on.filmed && m.on.layers.length === 0,
  },
  'chips-twice': {
    severity: 'caution',
    remedies: [{ operation: 'coat', family: 'casein' }],
    instead: true,
    source: 'practice',
    meets: (m) => {
      const below = topLayer(m.on)?.act
      return (
        chips(m) &&
        !m.act.mends &&
        m.act.operation === 'coat' &&
        m.act.family === 'casein' &&
        below?.operation === 'coat' &&
        !bonded(below) &&
        below.family === 'casein'
      )
    },
  },
  // colour that was laid on to be seen goes under
  'effect-buried': {
    severity: 'caution',
    remedies: [],
    instead: true,
    source: 'practice',
    meets: (m) => {
      const top = topLayer(m.on)
      // one that is no longer wished for may go under, and a repair touches in what is below it
      const wished = !m.act.mends && m.touches.some(({ operation }) => operation === top?.act.operation)
      return wished && top !== undefined && isEffect(top.act) && top.act.family !== 'stain' && isCoat(m.act) && !isPartial(m.act)
    },
  },
  // a texture that nobody wants any more comes through whatever is laid over it
  'texture-below': {
    severity: 'caution',
    remedies: [{ operation: 'sand', phase: 'wear', grit: '120–150', reason: 'rough' }],
    source: 'practice',
    meets: (m) =>
      topIs(m.on, 'texture-coat') &&
      isCoat(m.act) &&
      !isPartial(m.act) &&
      !m.on.worn &&
      !m.touches.some(({ operation }) => operation === 'texture-coat'),
  },
  'primer-over-colour': {
    severity: 'caution',
    remedies: [],
    instead: true,
    source: 'practice',
    meets: (m) =>
      (m.act.operation === 'block-prime' || m.act.operation === 'adhesion-prime') &&
      paintsOn(m.on).length > 0 &&
      !m.ahead().some(isPainted),
  },
  'too-thick': {
    severity: 'caution',
    remedies: [],
    instead: true,
    meets: (m) => m.act.film === 'heavy' && thinLayers.includes(getOperation(m.act.operation).layer),
  },
  'coarse-last-rub': {
    severity: 'caution',
    remedies: [{ operation: 'smooth', grit: '220' }],
    instead: true,
    source: 'practice',
    meets: (m) => {
      // a texture, and a crackle that is to go under, are rubbed flat
      const textured = topIs(m.on, 'crackle-coat') || m.on.layers.some(({ act }) => act.operation === 'texture-coat')
      return m.act.operation === 'smooth' && gritOf(m.act) < (textured ? 120 : 180)
    },
  },
} as const satisfies Record<string, MeetingRule>
