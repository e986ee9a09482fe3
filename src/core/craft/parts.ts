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

/** The piece is turned upside down first: feet, legs and undersides, then stood up, recesses before flats, the top last. */
export const undersideFirst: readonly PartKind[] = [
  'feet',
  'legs',
  'base',
  'back',
  'shelves',
  'carcass',
  'doors',
  'drawer-fronts',
  'seat',
  'other',
  'leaf',
  'top',
]

/** What a look must know of a material: each has ways of its own. */
export type SubstrateKind = 'wood' | 'board' | 'slick' | 'cane' | 'fabric' | 'pile' | 'leather'

export interface Substrate {
  words: string
  kind: SubstrateKind
  wood: boolean
  knotty?: boolean
  /** almost no abrasion: one light hand pass */
  veneer?: boolean
  /** tannin that comes through pale colours */
  bleeds?: boolean
  /** the lightness from which a colour shows it; pale ones alone unless given */
  bleedsFrom?: number
  /** colour of the sawn face in a drawing */
  tone: string
}

export const substrates = {
  'close-grained': { words: 'solid wood, close-grained', kind: 'wood', wood: true, tone: '#c49a6c' },
  'open-grained': { words: 'solid wood, open-grained', kind: 'wood', wood: true, tone: '#b07f4f', bleeds: true },
  'red-wood': { words: 'solid wood, dark and red', kind: 'wood', wood: true, tone: '#7d4030', bleeds: true, bleedsFrom: 0.6 },
  softwood: { words: 'knotty softwood', kind: 'wood', wood: true, knotty: true, tone: '#d9b074' },
  veneer: { words: 'veneer', kind: 'wood', wood: true, veneer: true, tone: '#a9713f', bleeds: true },
  board: { words: 'MDF or ply', kind: 'board', wood: false, tone: '#bfa98a' },
  laminate: { words: 'laminate or melamine', kind: 'slick', wood: false, tone: '#a8a49b' },
  metal: { words: 'metal', kind: 'slick', wood: false, tone: '#7f868a' },
  glass: { words: 'glass', kind: 'slick', wood: false, tone: '#9fb4b3' },
  plastic: { words: 'plastic', kind: 'slick', wood: false, tone: '#b9b3a8' },
  cane: { words: 'cane or wicker', kind: 'cane', wood: false, tone: '#c9a96b' },
  fabric: { words: 'cotton, chintz, linen or canvas', kind: 'fabric', wood: false, tone: '#b5ab98' },
  'pile-fabric': { words: 'mohair or high-pile velvet', kind: 'pile', wood: false, tone: '#7c6a72' },
  leather: { words: 'leather or vinyl', kind: 'leather', wood: false, tone: '#6f4a35' },
} as const satisfies Record<string, Substrate>
export type SubstrateCode = keyof typeof substrates
export const getSubstrate = (code: SubstrateCode): Substrate => substrates[code]
/** What kind of material a part is of. */
export const kindOf = ({ substrate }: { substrate: SubstrateCode }): SubstrateKind => getSubstrate(substrate).kind

/** Metal without anything on it: water rusts it. */
export const isBareMetal = ({ substrate, existing }: { substrate: SubstrateCode; existing: ExistingFinishCode }): boolean =>
  substrate === 'metal' && existing === 'bare'

/** Cloth, pile and leather: nothing of wood is done to them. */
export const isSoft = (code: SubstrateCode): boolean => ['fabric', 'pile', 'leather'].includes(getSubstrate(code).kind)

export interface ExistingFinish {
  words: string
  /** drawn on the substrate; null for nothing there */
  tone: string | null
  layer: 'oldPaint' | 'oldClear' | null
  /** a film with a shine to break before paint grips */
  film?: boolean
  /** shines so that it always wants a scuff */
  gloss?: boolean
}
export const existingFinishes = {
  bare: { words: 'bare', tone: null, layer: null },
  wax: { words: 'wax', tone: '#d9c79b', layer: 'oldClear', film: true },
  oil: { words: 'oil', tone: '#b98f52', layer: 'oldClear', film: true },
  'fresh-oil': { words: 'oil, less than four weeks old', tone: '#b98f52', layer: 'oldClear', film: true },
  shellac: { words: 'shellac', tone: '#a65f23', layer: 'oldClear', film: true },
  lacquer: { words: 'lacquer', tone: '#b98a4b', layer: 'oldClear', film: true, gloss: true },
  varnish: { words: 'varnish or polyurethane', tone: '#8f5a2a', layer: 'oldClear', film: true },
  'water-paint': { words: 'water-based paint', tone: '#cfc9b8', layer: 'oldPaint', film: true },
  'oil-paint': { words: 'oil paint', tone: '#bfb59a', layer: 'oldPaint', film: true, gloss: true },
  casein: { words: 'casein (milk) paint', tone: '#8d9c8c', layer: 'oldPaint', film: true },
  unknown: { words: 'not known yet', tone: '#9a8f80', layer: 'oldClear', film: true, gloss: true },
} as const satisfies Record<string, ExistingFinish>
export type ExistingFinishCode = keyof typeof existingFinishes
export const getExistingFinish = (code: ExistingFinishCode): ExistingFinish => existingFinishes[code]

/** What lies over the finish, besides it: polish on shellac is the commonest thing to find. */
export const polishes = {
  unknown: 'not looked for',
  none: 'nothing: a cloth with spirits stayed clean',
  possible: 'wax or oil, perhaps',
  wax: 'wax or polish',
  oil: 'oil that has not cured',
} as const
export type Polish = keyof typeof polishes

/** Old paint as near as the eye says it; a value of its own may stand instead. */
export const oldTones = {
  '#e9e4d8': 'white or pale',
  '#8d8d88': 'mid grey',
  '#b07a4a': 'tan or ochre',
  '#5a3d28': 'brown',
  '#8a2f25': 'red',
  '#3d5661': 'strong blue or green',
  '#2c2f33': 'black or nearly',
} as const

export const uses = {
  display: 'to look at',
  light: 'light indoor use',
  heavy: 'table top, kitchen, children',
  heat: 'beside a stove or heater',
  damp: 'damp room',
  outdoors: 'outdoors',
} as const
export type UseCode = keyof typeof uses

export const codesOf = <T extends string>(table: Record<T, unknown>): [T, ...T[]] => Object.keys(table) as [T, ...T[]]
export const useCodes = codesOf(uses)
