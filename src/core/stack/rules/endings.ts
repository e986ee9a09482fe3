/** What only the whole stack shows. Source: the craft; a use asks for its topcoat. */
import { enoughContrast } from '@/core/craft/colour'
import { getFamily } from '@/core/craft/families'
import type { OperationCode } from '@/core/craft/operations'
import { sheensOf } from '@/core/craft/sheen'
import { leastClears, noWax } from '@/core/craft/topcoats'
import { adapt } from '@/core/finish/adapt'
import { leastOf, timesOf } from '@/core/finish/lines'
import { seenContrast } from '@/core/finish/seen'
import { decidesSheen } from '@/core/finish/sheen'
import { isWaxedOver, lastPaintOf, sealsItself } from '@/core/finish/topcoat'
import type { Touch } from '@/core/finish/touch'
import type { FinishablePart } from '@/core/finish/wish'
import { lyingFrom } from '@/core/stack/afterAct'
import { type Act, isTopcoat, type SurfaceState, topLayer } from '@/core/stack/surface'
import { clears, finish, hardUse, isOtherSheen, isPrimer, lastPaint, openPaints, sealedAbove } from './ask'
import type { EndingRule, StackEnding } from './rule'

export const endingRules = {
  'steps-of-the-look': {
    severity: 'caution',
    remedies: [{ operation: 'coat' }],
    instead: true,
    ends: (e) => coatsShort(e).least > 0,
  },
  'one-coat-few': {
    severity: 'advice',
    remedies: [{ operation: 'coat' }],
    instead: true,
    ends: (e) => {
      const { least, usual } = coatsShort(e)
      return least === 0 && usual > 0
    },
  },
  'low-contrast': {
    severity: 'advice',
    remedies: [{ operation: 'coat' }],
    instead: true,
    ends: ({ part, touches }) => seenContrast(part, touches) < enoughContrast,
  },
  'other-order': {
    severity: 'caution',
    remedies: [],
    instead: true,
    ends: ({ acts, touches }) => {
      const key = ({ operation, colour }: Pick<Act, 'operation'> & Pick<Touch, 'colour'>) => `${operation} ${colour?.hex}`
      const wanted = touches.filter(({ colour, optional }) => colour && !optional).map(key)
      // one that is asked for again further up has no place of its own
      if (new Set(wanted).size < wanted.length) return false
      // a repair lays whatever it must, wherever that lies
      const own = acts.map(({ operation, colour, mends }) => (mends ? '' : key({ operation, colour: colour ?? undefined })))
      const laid = wanted.map((each) => own.lastIndexOf(each)).filter((at) => at >= 0)
      return laid.some((at, k) => at < (laid[k - 1] ?? -1))
    },
  },
  // a clear is left as it flowed, or rubbed so fine that it does not show
  'scratched-topcoat': {
    severity: 'caution',
    remedies: [{ operation: 'clear-coat' }],
    instead: true,
    source: 'practice',
    ends: ({ on }) => on.scratched,
  },
  'filler-bare': {
    severity: 'caution',
    remedies: [{ operation: 'coat' }],
    instead: true,
    source: 'practice',
    ends: ({ on }) => on.filled,
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
      noWax.includes(part.use) && topLayer(on)?.role === 'wax' && topLayer(on)?.act.family !== 'metallic-wax',
  },
  'left-unsealed': {
    severity: 'stop',
    remedies: finish,
    ends: ({ on, part }) => {
      if (standsAlone(on, part)) return false
      return openPaints(on).some((paint) => {
        const { family } = paint.act
        if (!family || sealedAbove(on, paint)) return false
        return !sealsItself(family) && (getFamily(family).needsTopcoat !== 'tops' || hardUse(part))
      })
    },
  },
  'topcoat-missing': {
    severity: 'caution',
    remedies: finish,
    ends: ({ on, part, wish, seal }) => {
      const paint = lastPaint(on)
      // one that nobody asked for, over what has a finish of its own
      const own = paint?.act.family && getFamily(paint.act.family).ownClears
      if (own && !wish.seal && !wish.touches && standsAlone(on, part)) return false
      const seals = (act: Act) => isTopcoat(act) || (isWaxedOver(act) && !hardUse(part))
      return seal !== 'none' && !on.layers.some(({ act, index }) => seals(act) && index > (paint?.index ?? -1))
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
  // the last coat decides it; one more in the right sheen lies well on any clear
  'sheen-missed': {
    severity: 'caution',
    remedies: [{ operation: 'clear-coat' }],
    ends: ({ on, wish }) => {
      const last = on.layers.findLast(({ act }) => decidesSheen(act))
      const had = last?.act.family ? sheensOf(last.act.family) : []
      // wax is buffed to a sheen of its own
      const waxed = last?.role === 'wax' && wish.sheen !== undefined && !had.includes(wish.sheen)
      return waxed || (last?.role === 'clear' && isOtherSheen(last.act, wish))
    },
  },
  'too-few-clears': {
    severity: 'caution',
    remedies: [{ operation: 'clear-coat' }],
    ends: ({ on, part, wish, seal }) => {
      // a satin below hard clears is not one of them
      const laid = seal === 'hard' ? on.layers.filter(({ act }) => act.family === 'hard-clear').length : clears(on)
      return clears(on) > 0 && laid < (leastClears(seal, part.use, lastPaintOf(wish)) ?? 0)
    },
  },
} as const satisfies Record<string, EndingRule>

/** Whether the last paint, with nothing over it but gilding, needs nothing over it in this use. */
function standsAlone(on: SurfaceState, part: FinishablePart): boolean {
  const top = on.layers.findLast(({ act }) => act.operation !== 'metallic-wax')?.act.family
  return top !== undefined && top !== null && (getFamily(top).alone?.includes(part.use) ?? false)
}

/** What the rules ask for is theirs to miss; the rest is told by its colour alone. */
const notCounted: readonly OperationCode[] = ['dust-off', 'undercoat', 'seal-between', 'mist-fabric']
/** Peaks that had set are abraded where they should have been laid down. */
const worksAs = ({ operation, mends }: Act): OperationCode => (mends && operation === 'sand' ? 'knock-down' : operation)
/** How many of the coats and steps asked for the acts lack, of as few as may do and of as many as is usual. */
function coatsShort({ acts, touches, part, wish, seal, cover }: StackEnding): { least: number; usual: number } {
  // by operation and colour, so that a colour used twice counts twice; worn is worn, whatever with
  const key = (operation: OperationCode, hex: string | undefined) =>
    operation.endsWith('-distress') ? 'worn' : `${operation} ${hex ?? ''}`
  const counting = { use: part.use, seal, cover, paint: lastPaintOf(wish) }
  const wanted = new Map<string, { least: number; usual: number }>()
  for (const touch of touches) {
    if (touch.optional || touch.topcoat || notCounted.includes(touch.operation)) continue
    const worked = adapt({ ...touch, reason: touch.reason ?? 'as-wished' }, part)
    if (worked === null) continue
    const name = key(worked.operation, touch.colour?.hex)
    const usual = timesOf(touch, counting)
    const known = wanted.get(name) ?? { least: 0, usual: 0 }
    wanted.set(name, { least: known.least + leastOf(touch, usual), usual: known.usual + usual })
  }
  const lying = acts.slice(lyingFrom(acts))
  const short = { least: 0, usual: 0 }
  for (const [name, { least, usual }] of wanted) {
    const done = lying.filter((act) => key(worksAs(act), act.colour?.hex) === name).length
    short.least += Math.max(0, least - done)
    short.usual += Math.max(0, usual - done)
  }
  return short
}
