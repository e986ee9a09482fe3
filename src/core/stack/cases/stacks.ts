/** Words in which wrong and right stacks are written: parts, wishes, acts, and ways to damage a right plan. For tests alone. */
import type { FamilyCode } from '@/core/craft/families'
import type { LookCode } from '@/core/craft/looks'
import type { HouseMethod } from '@/core/craft/method'
import type { OperationCode } from '@/core/craft/operations'
import type { Colour, FinishablePart, FinishWish } from '@/core/finish/wish'
import type { Act } from '@/core/stack/surface'

export const colours = {
  slate: { name: 'Ferry Slate', hex: '#3d5661' },
  pale: { name: 'Salt Ledger', hex: '#f1ece0' },
  rust: { name: 'Tile Kiln', hex: '#9a4b35' },
  ochre: { name: 'Oat Husk', hex: '#d9b25f' },
  soot: { name: 'Harbour Soot', hex: '#2c2f33' },
  red: { name: 'Coral Lamp', hex: '#c23b2a' },
  tea: { name: 'Kettle Brown', hex: '#5a3d28' },
  glass: { name: 'Tarn Glass', hex: '#7fa3a0' },
  white: { name: 'Plain Flour', hex: '#ffffff' },
  yellow: { name: 'Signal Lamp', hex: '#f2c40f' },
} as const satisfies Record<string, Colour>
export type ColourName = keyof typeof colours

/** A part of close-grained wood, varnished, nobody fears lead, light use, 1 m², unless said. */
export const partOf = (over: Partial<FinishablePart>): FinishablePart => ({
  substrate: 'close-grained',
  existing: 'varnish',
  lead: 'unlikely',
  use: 'light',
  areaM2: 1,
  ...over,
})
export const wish = (
  look: LookCode,
  paint: FamilyCode,
  a: ColourName = 'slate',
  b?: ColourName,
  over: Partial<FinishWish> = {},
): FinishWish => ({
  look,
  paint,
  colours: { a: colours[a], ...(b && { b: colours[b] }) },
  ...over,
})

export const act = (operation: OperationCode, over: Partial<Act> = {}): Act => ({
  operation,
  family: null,
  colour: null,
  mix: null,
  grit: null,
  film: 'normal',
  check: null,
  cautions: ['rags', 'solvent', 'dust', 'blade', 'heat', 'lead'],
  ...over,
})
export const coat = (family: FamilyCode, colour: ColourName = 'slate', over: Partial<Act> = {}): Act =>
  act('coat', { family, colour: colours[colour], ...over })
export const clearWax = () => act('clear-wax', { family: 'clear-wax' })
export const waxOff = () => act('wax-off', { family: 'clear-wax' })
export const buff = () => act('buff', { family: 'clear-wax' })
export const darkWax = (family: FamilyCode = 'dark-wax') => act('tinted-wax', { family })
export const clear = (family: FamilyCode = 'water-clear', over: Partial<Act> = {}) => act('clear-coat', { family, ...over })
export const sealBetween = () => act('seal-between', { family: 'water-clear' })
export const oiled = (family: FamilyCode = 'drying-oil') => act('oil', { family })
export const wipeOil = (family: FamilyCode = 'drying-oil') => act('wipe-oil', { family })

export const solid = (paint: FamilyCode = 'chalk-mineral', colour: ColourName = 'slate', over: Partial<FinishWish> = {}) =>
  wish('smooth-solid', paint, colour, undefined, over)
export const twoColours = (paint: FamilyCode = 'clay', over: Partial<FinishWish> = {}) =>
  wish('two-colour-distress', paint, 'slate', 'pale', over)
export const worn = (paint: FamilyCode = 'chalk-style', over: Partial<FinishWish> = {}) =>
  wish('light-distress', paint, 'slate', undefined, over)
export const chipping = wish('chippy-casein', 'casein', 'tea', 'pale')
export const crackled = wish('crackle', 'chalk-style', 'tea', 'pale')
export const whitewashed = wish('whitewash', 'chalk-style', 'pale')
export const resisted = wish('chippy-resist', 'chalk-style', 'rust', 'pale')
export const striped = wish('stripes', 'chalk-style', 'pale', 'rust')
export const scraped = wish('scraped-layers', 'chalk-mineral', 'soot', 'ochre')
export const clothed = wish('painted-fabric', 'chalk-style', 'glass')
export const leathered = wish('painted-leather', 'chalk-mineral', 'soot')

export const varnished = {}
export const waxed = { existing: 'wax' } as const
export const bare = { existing: 'bare' } as const
export const softwood = { substrate: 'softwood', existing: 'bare' } as const
export const redWood = { substrate: 'red-wood' } as const
export const laminate = { substrate: 'laminate', existing: 'bare' } as const
export const leaded = { existing: 'oil-paint', lead: 'suspected' } as const
export const heavyUse = { use: 'heavy' } as const
export const veneered = { substrate: 'veneer' } as const
export const cloth = { substrate: 'fabric', existing: 'bare' } as const
export const leather = { substrate: 'leather', existing: 'bare' } as const

export type Damage = (acts: Act[]) => Act[]
/** How long after one step the next is begun, in minutes: "clear-coat2" is the second of its kind. */
export interface Timed {
  first?: Damage
  timed: [after: string, next: OperationCode, minutes: number]
}
/** What is wrong in a word, the part, the wish, what is done to its right plan, the house where it is not the usual. */
export type WrongStack = [string, Partial<FinishablePart>, FinishWish, Damage | Timed, Partial<HouseMethod>?]
export type RightStack = [string, Partial<FinishablePart>, FinishWish, Act[], Partial<HouseMethod>?]

export const positionOf = (acts: readonly Act[], operation: OperationCode, last = false) =>
  last ? acts.findLastIndex((each) => each.operation === operation) : acts.findIndex((each) => each.operation === operation)
const found = (acts: readonly Act[], operation: OperationCode, last = false): number => {
  const at = positionOf(acts, operation, last)
  if (at < 0) throw new Error(`the plan has no ${operation}: ${acts.map((each) => each.operation).join(', ')}`)
  return at
}
export const leaveOut =
  (...operations: OperationCode[]): Damage =>
  (acts) =>
    acts.filter(({ operation }) => !operations.includes(operation))
export const putBefore =
  (operation: OperationCode, ...added: Act[]): Damage =>
  (acts) =>
    acts.toSpliced(found(acts, operation), 0, ...added)
export const putAfter =
  (operation: OperationCode, ...added: Act[]): Damage =>
  (acts) =>
    acts.toSpliced(found(acts, operation) + 1, 0, ...added)
export const putAfterLast =
  (operation: OperationCode, ...added: Act[]): Damage =>
  (acts) =>
    acts.toSpliced(found(acts, operation, true) + 1, 0, ...added)
export const change =
  (operation: OperationCode, over: Partial<Act>): Damage =>
  (acts) => {
    const at = found(acts, operation)
    return acts.map((each, k) => (k === at ? { ...each, ...over } : each))
  }
export const changeAll =
  (operation: OperationCode, over: Partial<Act>): Damage =>
  (acts) => {
    found(acts, operation)
    return acts.map((each) => (each.operation === operation ? { ...each, ...over } : each))
  }
const moved = (operation: OperationCode, to: OperationCode, by: 0 | 1): Damage => {
  return (acts) => {
    const at = found(acts, operation)
    const rest = acts.toSpliced(at, 1)
    return rest.toSpliced(found(rest, to) + by, 0, acts[at] as Act)
  }
}
export const moveAfter = (operation: OperationCode, to: OperationCode) => moved(operation, to, 1)
export const moveBefore = (operation: OperationCode, to: OperationCode) => moved(operation, to, 0)
export const append =
  (...added: Act[]): Damage =>
  (acts) => [...acts, ...added]
export const inTurn =
  (...damages: Damage[]): Damage =>
  (acts) =>
    damages.reduce((worse, damage) => damage(worse), acts)
export const timed = (after: string, next: OperationCode, minutes: number): Timed => ({ timed: [after, next, minutes] })
/** Leaves the last act of an operation out. */
export const leaveOutLast =
  (operation: OperationCode): Damage =>
  (acts) =>
    acts.toSpliced(found(acts, operation, true), 1)
export const changeLast =
  (operation: OperationCode, over: Partial<Act>): Damage =>
  (acts) =>
    acts.with(found(acts, operation, true), { ...(acts[found(acts, operation, true)] as Act), ...over })
/** The plan as it stands is the mistake. */
export const untouched: Damage = (acts) => acts
