/** Effects: crackle, washes, glazes, resist, tape, texture. Source: the craft, on looks. */
import { getFamily, isPaint } from '@/core/craft/families'
import { kindOf } from '@/core/craft/parts'
import { isPartial, isTopcoat, topLayer } from '@/core/stack/surface'
import { apart, chips, isCoat, isEffect, lastPaint, openBelow, paintsOn, topIs, waterShare } from './ask'
import type { Meeting, MeetingRule } from './rule'

/** A look that wants its resist painted over. */
const resists = ({ aims }: Meeting) => aims.resists
const isStencilled = ({ act }: Meeting) => act.operation === 'dry-brush' && /stencil and/.test(act.applicator ?? '')
/** The next coat is one more of the colour on top. */
function goesOn({ ahead, on }: Meeting): boolean {
  const next = ahead().find((act) => isCoat(act) || act.operation === 'tape')
  return next?.operation === 'coat' && next.colour?.hex === lastPaint(on)?.act.colour?.hex
}
/** A pattern in the colour of its ground outlines nothing, however it is laid. */
const inOneColour = ({ touches }: Meeting) => new Set(touches.flatMap(({ colour }) => colour?.hex ?? [])).size < 2
const cracks = ['clay', 'chalk-style', 'chalk-mineral', 'latex', 'home-chalky']

const coversCrackle = (m: Meeting) =>
  topIs(m.on, 'crackle-coat') && !isPartial(m.act) && (isCoat(m.act) || m.act.operation === 'blend')
/** The crackle on top is of the finish that is asked for, and no other is still to come. */
const isWanted = ({ on, act, ahead, touches }: Meeting) => {
  const hex = topLayer(on)?.act.colour?.hex
  const wanted = touches.some(({ operation, colour }) => operation === 'crackle-coat' && colour?.hex === hex)
  return wanted && act.operation !== 'crackle-coat' && !ahead().some(({ operation }) => operation === 'crackle-coat')
}

export const effectRules = {
  'crackle-without-medium': {
    severity: 'stop',
    remedies: [{ operation: 'crackle-medium', family: 'crackle-medium' }],
    meets: (m) => m.act.operation === 'crackle-coat' && !topIs(m.on, 'crackle-medium'),
  },
  'crackle-wrong-paint': {
    severity: 'stop',
    remedies: [{ operation: 'crackle-coat' }],
    instead: true,
    meets: (m) =>
      topIs(m.on, 'crackle-medium') && m.act.family !== null && isPaint(m.act.family) && !cracks.includes(m.act.family),
  },
  'medium-thin': {
    severity: 'caution',
    remedies: [{ operation: 'crackle-medium', family: 'crackle-medium' }],
    instead: true,
    meets: (m) => m.act.operation === 'crackle-medium' && m.act.film === 'thin',
  },
  // what lies on a medium tears, wanted or not
  'coat-over-medium': {
    severity: 'stop',
    remedies: [{ operation: 'scuff', grit: '180', reason: 'crackle-shrinks' }, { operation: 'seal-between' }],
    meets: (m) => topIs(m.on, 'crackle-medium') && (isCoat(m.act) || isEffect(m.act)) && m.act.operation !== 'crackle-coat',
  },
  'crackle-covered': {
    severity: 'stop',
    remedies: [],
    instead: true,
    // touched in with a small brush it closes there, and is meant to
    meets: (m) => coversCrackle(m) && isWanted(m) && !m.act.mends,
  },
  // a crackle that nobody wants any more is rubbed flat and shut in, or its cracks come through
  'crackle-below': {
    severity: 'caution',
    remedies: [{ operation: 'smooth', grit: '150–220', reason: 'crackle-flat' }, { operation: 'seal-between' }],
    source: 'practice',
    meets: (m) => coversCrackle(m) && !isWanted(m),
  },
  'wash-on-raw-crackle': {
    severity: 'caution',
    remedies: [{ operation: 'seal-between' }],
    source: 'practice',
    meets: (m) =>
      topIs(m.on, 'crackle-coat') &&
      (m.act.operation === 'wash' || m.act.operation === 'glaze' || m.act.operation === 'spray-runs'),
  },
  'crackle-back-brushed': {
    severity: 'stop',
    remedies: [{ operation: 'smooth' }, { operation: 'crackle-medium', family: 'crackle-medium' }, { operation: 'crackle-coat' }],
    instead: true,
    meets: (m) => m.act.operation === 'crackle-coat' && (m.act.marks?.includes('back-brushed') ?? false),
  },
  'crackle-worn-wet': {
    severity: 'caution',
    remedies: [{ operation: 'smooth', grit: '220' }],
    instead: true,
    source: 'practice',
    meets: (m) => m.act.operation === 'wet-distress' && topIs(m.on, 'crackle-coat'),
  },
  'wash-lifts-base': {
    severity: 'stop',
    remedies: [{ operation: 'seal-between' }],
    meets: (m) => {
      const base = openBelow(m.on)
      return m.act.operation === 'wash' && apart(m) && base !== undefined && !isEffect(base.act)
    },
  },
  'wash-neat': {
    severity: 'caution',
    remedies: [{ operation: 'wash' }],
    instead: true,
    meets: (m) =>
      m.act.operation === 'wash' &&
      m.act.family !== null &&
      m.act.family !== 'casein' &&
      getFamily(m.act.family).role === 'paint' &&
      waterShare(m.act) === 0,
  },
  'glaze-neat': {
    severity: 'caution',
    remedies: [{ operation: 'glaze', family: 'glaze' }],
    instead: true,
    meets: (m) =>
      m.act.operation === 'glaze' && (m.act.mix === null ? m.act.family !== 'glaze' : !/glaze|label/i.test(m.act.mix)),
  },
  'runs-neat': {
    severity: 'caution',
    remedies: [{ operation: 'spray-runs' }],
    instead: true,
    meets: (m) => m.act.operation === 'spray-runs' && waterShare(m.act) === 0,
  },
  'texture-neat': {
    severity: 'caution',
    remedies: [{ operation: 'texture-coat' }],
    instead: true,
    meets: (m) => m.act.operation === 'texture-coat' && m.act.mix !== null && !/powder|plaster|salt|sand|filler/i.test(m.act.mix),
  },
  // unless it is laid again
  'medium-rubbed': {
    severity: 'caution',
    remedies: [{ operation: 'crackle-medium', family: 'crackle-medium' }],
    instead: true,
    meets: (m) =>
      m.act.operation === 'smooth' &&
      !m.act.mends &&
      topIs(m.on, 'crackle-medium') &&
      m.ahead().find(({ operation }) => operation.startsWith('crackle-'))?.operation === 'crackle-coat',
  },
  'nothing-to-lay-down': {
    severity: 'caution',
    remedies: [],
    instead: true,
    meets: (m) => m.act.operation === 'knock-down' && !m.on.peaks,
  },
  // what re-wets is sealed before it is masked: the next colour lifts it beside the mask
  'open-under-resist': {
    severity: 'stop',
    remedies: [{ operation: 'seal-between' }],
    // a second pass through one stencil lies on its own colour
    meets: (m) => {
      const below = openBelow(m.on)?.act
      const masks = m.act.operation === 'resist' || m.act.operation === 'tape'
      const stencils = isStencilled(m) && below?.colour?.hex !== m.act.colour?.hex
      return (masks || stencils) && apart(m) && m.method.layers === 'apart' && below !== undefined
    },
  },
  'resist-on-nothing': {
    severity: 'caution',
    remedies: [],
    instead: true,
    meets: (m) => m.act.operation === 'resist' && paintsOn(m.on).length === 0,
  },
  'resist-wiped-first': {
    severity: 'caution',
    remedies: [],
    instead: true,
    meets: (m) =>
      m.act.operation === 'remove-resist' &&
      m.ahead().some(({ operation }) => operation === 'dry-distress' || operation === 'wet-distress') &&
      m.on.resist === 'covered',
  },
  'resist-uncovered': {
    severity: 'caution',
    remedies: [],
    instead: true,
    meets: (m) => m.act.operation === 'remove-resist' && m.on.resist === 'on' && resists(m),
  },
  'resist-between-alike': {
    severity: 'advice',
    remedies: [],
    instead: true,
    source: 'practice',
    meets: (m) => isCoat(m.act) && m.on.resist === 'on' && m.act.colour?.hex === lastPaint(m.on)?.act.colour?.hex,
  },
  'resist-under-topcoat': {
    severity: 'stop',
    remedies: [{ operation: 'remove-resist' }],
    meets: (m) => m.on.resist !== 'none' && (isTopcoat(m.act) || m.act.operation === 'seal-between'),
  },
  'resist-under-other-work': {
    severity: 'stop',
    remedies: [{ operation: 'remove-resist' }],
    meets: (m) => m.on.resist === 'on' && isCoat(m.act) && !resists(m),
  },
  'tape-under-topcoat': {
    severity: 'stop',
    remedies: [{ operation: 'pull-tape' }],
    meets: (m) => m.on.taped !== 'none' && isTopcoat(m.act),
  },
  // tape that outlines nothing: more of the ground goes over it, or another finish begins
  'tape-under-base': {
    severity: 'caution',
    remedies: [{ operation: 'pull-tape' }],
    meets: (m) =>
      m.on.taped !== 'none' &&
      !m.act.mends &&
      (m.act.operation === 'smooth' ||
        m.act.operation === 'scuff' ||
        (isCoat(m.act) &&
          (!m.touches.some(({ operation }) => operation === 'tape') ||
            (m.on.taped === 'on' && m.act.colour?.hex === lastPaint(m.on)?.act.colour?.hex && !inOneColour(m))))),
  },
  'tape-pulled-early': {
    severity: 'caution',
    remedies: [],
    instead: true,
    // what is below it is mended without it, and taped again
    meets: (m) =>
      m.act.operation === 'pull-tape' &&
      !m.act.mends &&
      m.touches.some(({ operation }) => operation === 'tape') &&
      (m.on.taped === 'on' || goesOn(m)),
  },
  'tape-on-weave': {
    severity: 'caution',
    remedies: [],
    instead: true,
    meets: (m) => m.act.operation === 'tape' && kindOf(m.part) === 'fabric',
  },
  'flakes-under-coat': {
    severity: 'stop',
    remedies: [{ operation: 'brush-off-flakes' }],
    meets: (m) =>
      m.on.flakes &&
      (isTopcoat(m.act) ||
        (isCoat(m.act) && m.act.family !== 'casein') ||
        ['block-prime', 'adhesion-prime', 'seal-between'].includes(m.act.operation)) &&
      (chips(m) || topLayer(m.on)?.act.family === 'casein'),
  },
} as const satisfies Record<string, MeetingRule>
