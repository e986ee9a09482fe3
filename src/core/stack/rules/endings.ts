/** What only the whole stack shows. Source: the craft; a use asks for its topcoat. */
import { contrast, enoughContrast } from '@/core/craft/colour'
import { getFamily } from '@/core/craft/families'
import type { OperationCode } from '@/core/craft/operations'
import { getTopcoat } from '@/core/craft/topcoats'
import { adapt } from '@/core/finish/adapt'
import { leastOf, lineApplies, mergeRecipes, timesOf } from '@/core/finish/lines'
import { sealsItself } from '@/core/finish/refusals'
import type { FinishablePart } from '@/core/finish/wish'
import { isTopcoat, type SurfaceState, topLayer } from '@/core/stack/surface'
import { clears, finish, hardUse, isPrimer, lastPaint, sealedAbove } from './ask'
import type { EndingRule, StackEnding } from './rule'

export const endingRules = {
  'steps-of-the-look': {
    severity: 'caution',
    remedies: [{ operation: 'coat' }],
    instead: true,
    ends: (e) => coatsShort(e) > 0,
  },
  'one-coat-few': {
    severity: 'advice',
    remedies: [{ operation: 'coat' }],
    instead: true,
    ends: (e) => coatsShort(e, true) > 0 && coatsShort(e) === 0,
  },
  'low-contrast': {
    severity: 'advice',
    remedies: [{ operation: 'coat' }],
    instead: true,
    ends: ({ wish: { colours }, looks }) =>
      looks.some(({ apart, wear }) => apart && wear === 'edges') &&
      colours.a !== undefined &&
      colours.b !== undefined &&
      contrast(colours.a.hex, colours.b.hex) < enoughContrast,
  },
  'excess-left': {
    severity: 'stop',
    remedies: [{ operation: 'wax-off' }, { operation: 'buff' }],
    ends: ({ on }) => on.excess === 'wax',
  },
  'oil-left': { severity: 'stop', remedies: [{ operation: 'wipe-oil' }], ends: ({ on }) => on.excess === 'oil' },
  unbuffed: {
    severity: 'caution',
    remedies: [{ operation: 'buff' }],
    ends: ({ on }) => on.unbuffed,
  },
  'resist-left': { severity: 'stop', remedies: [{ operation: 'remove-resist' }], ends: ({ on }) => on.resist !== 'none' },
  'tape-left': { severity: 'caution', remedies: [{ operation: 'pull-tape' }], ends: ({ on }) => on.taped !== 'none' },
  'cleaner-left': {
    severity: 'caution',
    remedies: [{ operation: 'rinse' }],
    ends: ({ on }) => on.cleaner && on.layers.length > 0,
  },
  // a primer is made to be painted over
  'primer-bare': {
    severity: 'stop',
    remedies: [{ operation: 'coat' }],
    instead: true,
    ends: ({ on }) => {
      const top = on.layers.findLast(({ role }) => role === 'primer' || role === 'paint' || role === 'medium')
      return top !== undefined && isPrimer(top.act) && top.act.operation !== 'knotting'
    },
  },
  'worn-unsealed': {
    severity: 'caution',
    remedies: finish,
    instead: true,
    ends: ({ on, acts }) => on.worn && acts.some(isTopcoat),
  },
  // not for heat, standing water or weather, whatever lies below it
  'wax-out-of-place': {
    severity: 'stop',
    remedies: [],
    instead: true,
    ends: ({ on, part }) =>
      ['outdoors', 'damp', 'heat'].includes(part.use) &&
      topLayer(on)?.role === 'wax' &&
      topLayer(on)?.act.family !== 'metallic-wax',
  },
  'left-unsealed': {
    severity: 'stop',
    remedies: finish,
    ends: ({ on, part }) => {
      const paint = lastPaint(on)
      if (!paint?.act.family || sealedAbove(on, paint) || standsAlone(on, part)) return false
      return !sealsItself(paint.act.family) && (getFamily(paint.act.family).needsTopcoat !== 'tops' || hardUse(part))
    },
  },
  'topcoat-missing': {
    severity: 'caution',
    remedies: finish,
    ends: ({ on, seal }) => {
      const paint = lastPaint(on)
      return seal !== 'none' && !on.layers.some(({ act, index }) => isTopcoat(act) && index > (paint?.index ?? -1))
    },
  },
  'wax-in-hard-use': {
    severity: 'stop',
    remedies: finish,
    ends: ({ on, part }) => hardUse(part) && on.layers.length > 0 && clears(on) === 0 && !standsAlone(on, part),
  },
  'not-for-outdoors': {
    severity: 'stop',
    remedies: [{ operation: 'clear-coat', family: 'hard-clear' }],
    ends: ({ on, part }) =>
      (part.use === 'outdoors' || part.use === 'damp') &&
      on.layers.length > 0 &&
      !on.layers.some(({ act }) => act.family === 'hard-clear') &&
      !standsAlone(on, part),
  },
  'too-few-clears': {
    severity: 'caution',
    remedies: [{ operation: 'clear-coat' }],
    ends: ({ on, part, seal }) => {
      // a satin below hard clears is not one of them
      const laid = seal === 'hard' ? on.layers.filter(({ act }) => act.family === 'hard-clear').length : clears(on)
      return clears(on) > 0 && laid < (getTopcoat(seal).least[part.use] ?? 0)
    },
  },
} as const satisfies Record<string, EndingRule>

/** Whether the last paint, with nothing over it, needs nothing over it in this use. */
function standsAlone(on: SurfaceState, part: FinishablePart): boolean {
  const top = topLayer(on)?.act.family
  return top !== undefined && top !== null && (getFamily(top).alone?.includes(part.use) ?? false)
}

/** What the rules ask for is theirs to miss; the rest is told by its colour alone. */
const notCounted: readonly OperationCode[] = ['dust-off', 'undercoat', 'seal-between', 'mist-fabric']
/** How many of the look's own coats and steps the acts lack: by operation and colour, so that a colour used twice counts twice. */
function coatsShort({ acts, looks, wish, part, seal, cover, method }: StackEnding, usually = false): number {
  const key = (operation: OperationCode, hex: string | undefined) => `${operation} ${hex ?? ''}`
  const wanted = new Map<string, number>()
  for (const line of mergeRecipes(looks, 'none')) {
    if (line.optional || notCounted.includes(line.operation) || !lineApplies(line, wish.paint, method)) continue
    const worked = adapt(line, part)
    if (worked === null) continue
    const hex = line.paint && wish.colours[line.paint]?.hex
    const name = key(worked.operation, hex)
    const full = timesOf(line, part.use, seal, cover)
    wanted.set(name, (wanted.get(name) ?? 0) + (usually ? full : leastOf(line, full, hex)))
  }
  return [...wanted].reduce((short, [name, times]) => {
    const done = acts.filter((act) => key(act.operation, act.colour?.hex) === name).length
    return short + Math.max(0, times - done)
  }, 0)
}
