/** What lies over all: clears, waxes, oils and gilding. Source: the craft, on sealing. */
import { getFamily } from '@/core/craft/families'
import { isTopcoat, topLayer } from '@/core/stack/surface'
import { hasRole, ragsBurn } from './ask'
import type { MeetingRule } from './rule'

export const sealingRules = {
  'lint-under-clear': {
    severity: 'caution',
    remedies: [{ operation: 'de-lint' }],
    meets: (m) => m.on.lint && (m.act.operation === 'clear-coat' || m.act.operation === 'oil') && !hasRole(m.on, 'oil'),
  },
  'resist-under-topcoat': {
    severity: 'stop',
    remedies: [{ operation: 'remove-resist' }],
    meets: (m) => m.on.resist && isTopcoat(m.act),
  },
  'flakes-sealed-in': {
    severity: 'stop',
    remedies: [{ operation: 'brush-off-flakes' }, { operation: 'dust-off' }],
    meets: (m) => m.on.flakes && isTopcoat(m.act) && m.looks.some(({ chips }) => chips),
  },
  'tape-under-topcoat': {
    severity: 'stop',
    remedies: [{ operation: 'pull-tape' }],
    meets: (m) => m.on.taped && isTopcoat(m.act),
  },
  'dark-wax-on-bare-paint': {
    severity: 'stop',
    remedies: [{ operation: 'clear-wax', family: 'clear-wax' }],
    meets: (m) => {
      const top = topLayer(m.on)
      return m.act.operation === 'tinted-wax' && !(top && (top.role === 'wax' || top.role === 'clear'))
    },
  },
  'clear-over-wax': {
    severity: 'stop',
    remedies: [
      { operation: 'dewax', family: 'spirits' },
      { operation: 'wipe-spirits', family: 'spirits' },
      { operation: 'dust-off' },
    ],
    meets: (m) =>
      (m.act.operation === 'clear-coat' || m.act.operation === 'seal-between') &&
      hasRole(m.on, 'wax') &&
      topLayer(m.on)?.role === 'wax',
  },
  'clear-over-fresh-oil': {
    severity: 'stop',
    remedies: [{ operation: 'cure' }],
    meets: (m) => m.act.operation === 'clear-coat' && topLayer(m.on)?.role === 'oil',
  },
  'oil-cannot-soak': {
    severity: 'caution',
    remedies: [{ operation: 'clear-wax', family: 'clear-wax' }],
    source: 'practice',
    meets: (m) => m.act.operation === 'oil' && hasRole(m.on, 'clear') && topLayer(m.on)?.role === 'clear',
  },
  'thirsty-under-hard-clear': {
    severity: 'caution',
    remedies: [{ operation: 'clear-coat', family: 'hard-clear' }],
    meets: (m) =>
      m.act.operation === 'clear-coat' &&
      m.act.family === 'hard-clear' &&
      m.act.film !== 'thin' &&
      getFamily(topLayer(m.on)?.act.family ?? 'water-clear').thirsty === true,
  },
  'gilding-under-topcoat': {
    severity: 'caution',
    remedies: [{ operation: 'metallic-wax', family: 'metallic-wax' }],
    meets: (m) => isTopcoat(m.act) && m.on.layers.some(({ act }) => act.operation === 'metallic-wax'),
  },
  'gilding-on-raw-wax': {
    severity: 'caution',
    remedies: [{ operation: 'wax-off' }, { operation: 'buff' }],
    source: 'practice',
    meets: (m) => m.act.operation === 'metallic-wax' && (m.on.unbuffed || m.on.excess !== 'none'),
  },
  'nothing-to-rub': {
    severity: 'caution',
    remedies: [{ operation: 'clear-wax', family: 'clear-wax' }],
    source: 'practice',
    meets: (m) =>
      (m.act.operation === 'wax-off' && m.on.excess !== 'wax') ||
      (m.act.operation === 'wipe-oil' && m.on.excess !== 'oil') ||
      (m.act.operation === 'buff' && !m.on.unbuffed),
  },
  'oily-rags': {
    severity: 'stop',
    remedies: [],
    meets: (m) => ragsBurn(m.act) && !m.act.cautions.includes('rags'),
  },
} as const satisfies Record<string, MeetingRule>
