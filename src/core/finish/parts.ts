/**
 * What a part may be, what it is made of, what may be on it, and where it will live. Source: the craft.
 */

export const partKinds = {
  carcass: 'carcass',
  top: 'top',
  leaf: 'leaf',
  'drawer-fronts': 'drawer fronts',
  doors: 'doors',
  legs: 'legs',
  base: 'base',
  seat: 'seat',
  back: 'back',
  feet: 'feet',
  shelves: 'shelves',
  other: 'other',
} as const
export type PartKind = keyof typeof partKinds

export interface Substrate {
  words: string
  wood: boolean
  /** slick surfaces want an adhesion primer whatever the paint promises */
  slick?: boolean
  knotty?: boolean
  /** almost no abrasion: one light hand pass */
  veneer?: boolean
  /** tannin that comes through pale colours */
  bleeds?: boolean
  /** colour of the sawn face in a drawing */
  tone: string
}

export const substrates = {
  'close-grained': { words: 'solid wood, close-grained', wood: true, tone: '#c49a6c' },
  'open-grained': { words: 'solid wood, open-grained', wood: true, tone: '#b07f4f', bleeds: true },
  'red-wood': { words: 'solid wood, dark and red', wood: true, tone: '#7d4030', bleeds: true },
  softwood: { words: 'knotty softwood', wood: true, knotty: true, tone: '#d9b074' },
  veneer: { words: 'veneer', wood: true, veneer: true, tone: '#a9713f' },
  board: { words: 'MDF or ply', wood: false, tone: '#bfa98a' },
  laminate: { words: 'laminate or melamine', wood: false, slick: true, tone: '#a8a49b' },
  metal: { words: 'metal', wood: false, slick: true, tone: '#7f868a' },
} as const satisfies Record<string, Substrate>
export type SubstrateCode = keyof typeof substrates
export const getSubstrate = (code: SubstrateCode): Substrate => substrates[code]

export interface ExistingFinish {
  words: string
  /** drawn on the substrate; null for nothing there */
  tone: string | null
  layer: 'oldPaint' | 'oldClear' | null
}
export const existingFinishes = {
  bare: { words: 'bare', tone: null, layer: null },
  wax: { words: 'wax', tone: '#d9c79b', layer: 'oldClear' },
  oil: { words: 'oil', tone: '#b98f52', layer: 'oldClear' },
  shellac: { words: 'shellac', tone: '#a65f23', layer: 'oldClear' },
  lacquer: { words: 'lacquer', tone: '#b98a4b', layer: 'oldClear' },
  varnish: { words: 'varnish or polyurethane', tone: '#8f5a2a', layer: 'oldClear' },
  'water-paint': { words: 'water-based paint', tone: '#cfc9b8', layer: 'oldPaint' },
  'oil-paint': { words: 'oil paint', tone: '#bfb59a', layer: 'oldPaint' },
  casein: { words: 'casein (milk) paint', tone: '#8d9c8c', layer: 'oldPaint' },
  unknown: { words: 'not known yet', tone: '#9a8f80', layer: 'oldClear' },
} as const satisfies Record<string, ExistingFinish>
export type ExistingFinishCode = keyof typeof existingFinishes
export const getExistingFinish = (code: ExistingFinishCode): ExistingFinish => existingFinishes[code]

export const uses = {
  display: 'to look at',
  light: 'light indoor use',
  heavy: 'table top, kitchen, children',
  damp: 'damp or outdoors',
} as const
export type UseCode = keyof typeof uses

export const leadFindings = {
  clear: 'tested, no lead',
  unlikely: 'finish surely younger than 1980',
  suspected: 'painted before about 1980, or age unknown',
} as const
export type LeadFinding = keyof typeof leadFindings

export const codesOf = <T extends string>(table: Record<T, unknown>): [T, ...T[]] => Object.keys(table) as [T, ...T[]]
