/** What lies over all: clears, waxes, oils and gilding; and the rags they leave. Source: the craft, on sealing and harm. */
import type { CautionCode } from '@/core/craft/cautions'
import { getFamily } from '@/core/craft/families'
import { isCut } from '@/core/craft/mixes'
import { getOperation, type OperationCode } from '@/core/craft/operations'
import { decidesSheen } from '@/core/finish/sheen'
import { type Act, isTopcoat, topLayer } from '@/core/stack/surface'
import { hasRole, isClear, isOtherSheen, lastPaint, leadUnder, topRole, waxedOff } from './ask'
import type { Meeting, MeetingRule } from './rule'

const tints = (act: Act) => act.operation === 'tinted-wax'
/** Wax, or a clear, that keeps the tint off the paint; a clear worn through keeps nothing off. */
const barred = ({ on }: Meeting) => (topRole(on) === 'wax' || topRole(on) === 'clear') && !on.worn

export const sealingRules = {
  'lint-under-clear': {
    severity: 'caution',
    remedies: [{ operation: 'de-lint' }],
    meets: (m) => m.on.lint && (m.act.operation === 'clear-coat' || m.act.operation === 'oil') && !hasRole(m.on, 'oil'),
  },
  'sheen-other': {
    severity: 'caution',
    remedies: [{ operation: 'clear-coat' }],
    instead: true,
    meets: (m) => decidesSheen(m.act) && isOtherSheen(m.act, m.wish) && !m.ahead().some(decidesSheen),
  },
  'dark-wax-on-bare-paint': {
    severity: 'stop',
    remedies: [{ operation: 'clear-wax', reason: 'wax-barrier' }],
    meets: (m) => tints(m.act) && !barred(m) && !isCut(m.act.mix),
  },
  'clear-over-wax': {
    severity: 'stop',
    remedies: waxedOff,
    meets: (m) => isClear(m.act) && topRole(m.on) === 'wax',
  },
  'clear-over-fresh-oil': {
    severity: 'stop',
    remedies: [{ operation: 'cure' }],
    instead: true,
    meets: (m) => isClear(m.act) && topRole(m.on) === 'oil' && topLayer(m.on)?.act.family !== 'salve',
  },
  'over-salve': {
    severity: 'stop',
    remedies: [{ operation: 'wipe-spirits' }],
    meets: (m) =>
      topLayer(m.on)?.act.family === 'salve' &&
      m.on.ownOil &&
      getOperation(m.act.operation).layer !== undefined &&
      m.act.family !== 'salve' &&
      getFamily(m.act.family ?? 'salve').role !== 'wax',
  },
  'wax-over-fresh-oil': {
    severity: 'caution',
    remedies: [{ operation: 'cure' }],
    instead: true,
    source: 'practice',
    meets: (m) =>
      (m.act.operation === 'clear-wax' || tints(m.act)) &&
      topRole(m.on) === 'oil' &&
      topLayer(m.on)?.act.family !== 'salve' &&
      m.on.ownOil,
  },
  'oil-cannot-soak': {
    severity: 'caution',
    remedies: [{ operation: 'clear-wax' }],
    instead: true,
    source: 'practice',
    meets: (m) => {
      if (m.act.operation !== 'oil' && m.act.operation !== 'salve') return false
      const below = m.on.layers.findLast(({ role }) => role !== 'oil')
      if (!below) return false
      if (below.role === 'wax') return m.act.operation === 'oil' || m.act.family === 'salve'
      return below.role === 'clear' || (below.role === 'paint' && !getFamily(below.act.family ?? 'clay').thirsty)
    },
  },
  'thirsty-under-hard-clear': {
    severity: 'caution',
    remedies: [{ operation: 'clear-coat', family: 'water-clear', film: 'thin', reason: 'thirsty-first' }],
    meets: (m) =>
      m.act.operation === 'clear-coat' &&
      m.act.family === 'hard-clear' &&
      m.act.film !== 'thin' &&
      getFamily(topLayer(m.on)?.act.family ?? 'water-clear').thirsty === true,
  },
  'gilding-under-topcoat': {
    severity: 'caution',
    remedies: [{ operation: 'metallic-wax', family: 'metallic-wax' }],
    instead: true,
    // mended with new wax it is gilded again
    meets: (m) =>
      isTopcoat(m.act) &&
      m.on.layers.some(({ act }) => act.operation === 'metallic-wax') &&
      !(m.act.mends && m.ahead().some(({ operation }) => operation === 'metallic-wax')),
  },
  'gilding-on-raw-wax': {
    severity: 'caution',
    remedies: [{ operation: 'wax-off' }, { operation: 'buff' }],
    source: 'practice',
    meets: (m) =>
      m.act.operation === 'metallic-wax' &&
      // a spot is gilded again before it is buffed with the rest
      !(m.act.mends && topLayer(m.on)?.act.operation === 'metallic-wax') &&
      (m.on.unbuffed || m.on.excess !== 'none'),
  },
  'excess-under-coat': {
    severity: 'stop',
    remedies: [{ operation: 'wipe-oil' }],
    meets: (m) => m.on.excess === 'oil' && getOperation(m.act.operation).layer !== undefined,
  },
  'waxed-over-excess': {
    severity: 'caution',
    remedies: [{ operation: 'wax-off' }],
    source: 'practice',
    meets: (m) => m.on.excess === 'wax' && m.act.operation === 'clear-wax' && topLayer(m.on)?.act.operation === 'clear-wax',
  },
  'buffed-over-excess': {
    severity: 'caution',
    remedies: [{ operation: 'wax-off' }],
    meets: (m) => m.act.operation === 'buff' && m.on.excess === 'wax',
  },
  'nothing-to-rub': {
    severity: 'caution',
    remedies: [{ operation: 'clear-wax' }],
    instead: true,
    source: 'practice',
    // all over, where it lies in the hollows alone, is no fault; what shows prints is rested and buffed again
    meets: ({ act, met }) =>
      (act.operation === 'wax-off' && met.every(({ excess }) => excess !== 'wax')) ||
      (act.operation === 'wipe-oil' && met.every(({ excess }) => excess !== 'oil')) ||
      (act.operation === 'buff' && met.every((on) => !hasRole(on, 'wax'))),
  },
  'caution-missing': {
    severity: 'stop',
    remedies: [],
    instead: true,
    meets: (m) => mustSay(m).some((caution) => !m.act.cautions.includes(caution)),
  },
  'gilding-on-open-paint': {
    severity: 'caution',
    remedies: [],
    instead: true,
    meets: (m) => {
      const paint = lastPaint(m.on)
      return (
        m.act.operation === 'metallic-wax' &&
        topLayer(m.on) === paint &&
        getFamily(paint?.act.family ?? 'latex').needsTopcoat === true
      )
    },
  },
} as const satisfies Record<string, MeetingRule>

/** What an operation's own table says of harm must stand at the step; a blade in the hand is told with its stripper. */
const silentOn: Partial<Record<OperationCode, readonly CautionCode[]>> = { scrape: ['blade'] }
function mustSay(m: Meeting): CautionCode[] {
  const own = (getOperation(m.act.operation).cautions ?? []).filter(
    (code) => code !== 'lifting' && !silentOn[m.act.operation]?.includes(code),
  )
  const wet = /\bwet\b/.test(m.act.grit ?? '')
  const said = wet ? own.filter((code) => code !== 'dust') : own
  return leadUnder(m) && own.some((code) => code === 'dust' || code === 'solvent' || code === 'blade') ? [...said, 'lead'] : said
}
