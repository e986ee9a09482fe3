/**
 * The small things that work uses up beside what is laid on: abrasives, rags, gloves, tape. What each operation takes of them, and
 * what they usually cost. Practice; a house puts its own prices in their place.
 */
import { getOperation, type OperationCode } from './operations'

interface Consumable {
  words: string
  /** of what one is reckoned */
  unit: string
  /** minor units of a currency with hundredths, each */
  price: number
}
export const consumables = {
  abrasive: { words: 'abrasive', unit: 'sheet', price: 60 },
  rag: { words: 'rags', unit: 'rag', price: 25 },
  tack: { words: 'tack cloth', unit: 'cloth', price: 120 },
  wool: { words: 'wire wool or pad', unit: 'pad', price: 50 },
  gloves: { words: 'gloves', unit: 'pair', price: 30 },
  degreaser: { words: 'cleaner', unit: 'bucket', price: 40 },
  spirits: { words: 'mineral spirits', unit: '100 ml', price: 60 },
  tape: { words: 'masking tape', unit: 'metre', price: 8 },
  paper: { words: 'lining or crumpled paper', unit: 'sheet', price: 10 },
  filler: { words: 'filler', unit: 'hole', price: 15 },
  glue: { words: 'wood glue', unit: 'joint', price: 30 },
  chip: { words: 'chip brush, thrown away', unit: 'brush', price: 120 },
  wear: { words: 'wear of a good brush', unit: 'coat', price: 35 },
  blade: { words: 'blade', unit: 'blade', price: 40 },
  polish: { words: 'metal polish', unit: 'fitting', price: 10 },
  lining: { words: 'drawer lining', unit: 'drawer', price: 150 },
  cloth: { words: 'bottom cloth and staples', unit: 'cover', price: 250 },
  pads: { words: 'felt pads', unit: 'set', price: 100 },
  trip: { words: 'a delivery’s trip', unit: 'trip', price: 1000 },
} as const satisfies Record<string, Consumable>
export type ConsumableCode = keyof typeof consumables
export const consumableCodes = Object.keys(consumables) as [ConsumableCode, ...ConsumableCode[]]
/** Minor units each. */
export type ConsumablePrices = Readonly<Record<ConsumableCode, number>>
export const usualPrices = Object.fromEntries(
  consumableCodes.map((code) => [code, consumables[code].price]),
) as unknown as ConsumablePrices

/** How much: once a step, and for each m², item or metre of it. */
interface Use {
  once?: number
  each?: number
}
const rubbing = { abrasive: { once: 0.5, each: 0.75 } }
const brushed = { wear: { once: 1 } }
const uses: Partial<Record<OperationCode, Partial<Record<ConsumableCode, Use>>>> = {
  clean: { degreaser: { once: 0.5, each: 0.25 }, rag: { once: 1, each: 0.5 }, gloves: { once: 0.5 } },
  rinse: { rag: { once: 0.5, each: 0.5 } },
  'clean-out': { degreaser: { each: 0.25 }, rag: { each: 0.25 } },
  dewax: { spirits: { each: 2 }, wool: { once: 0.5, each: 1 }, rag: { once: 1, each: 2 }, gloves: { once: 1 } },
  'wipe-spirits': { spirits: { each: 1 }, rag: { once: 1, each: 0.5 }, gloves: { once: 1 } },
  strip: { chip: { once: 1 }, gloves: { once: 1 } },
  scrape: { wool: { each: 1 }, rag: { once: 1, each: 1 }, gloves: { once: 1 } },
  neutralise: { rag: { once: 1, each: 1 }, gloves: { once: 1 } },
  scuff: rubbing,
  sand: { abrasive: { once: 1, each: 2 } },
  'de-rust': { wool: { once: 1, each: 2 } },
  smooth: { abrasive: { once: 0.25, each: 0.25 } },
  'dry-distress': rubbing,
  'scrape-distress': { blade: { once: 1, each: 0.5 } },
  'dust-off': { tack: { once: 0.25, each: 0.1 } },
  'de-lint': { tack: { once: 0.25 } },
  knotting: { chip: { once: 0.5 } },
  'block-prime': { chip: { once: 1 }, gloves: { once: 1 } },
  'adhesion-prime': brushed,
  undercoat: brushed,
  coat: brushed,
  'texture-coat': { chip: { once: 0.5 } },
  'crackle-medium': brushed,
  'crackle-coat': brushed,
  'fabric-coat': brushed,
  'seal-between': brushed,
  'clear-coat': brushed,
  blend: brushed,
  'dry-brush': { paper: { once: 2 }, chip: { once: 0.25 } },
  resist: {},
  'remove-resist': { rag: { once: 1, each: 0.5 } },
  wash: { rag: { once: 1, each: 1 } },
  glaze: { paper: { once: 2, each: 4 }, rag: { once: 1 } },
  'spray-runs': { rag: { once: 1, each: 1 }, paper: { once: 4 } },
  tape: { tape: { each: 1 } },
  mask: { tape: { each: 3 }, paper: { each: 1 } },
  'wet-distress': { rag: { once: 1, each: 1 } },
  'clear-wax': { rag: { once: 1, each: 0.5 } },
  'tinted-wax': { rag: { once: 1, each: 1 }, gloves: { once: 0.5 } },
  'wax-off': { rag: { once: 1, each: 1 } },
  buff: { rag: { once: 0.5, each: 0.5 } },
  'metallic-wax': { rag: { once: 0.5 } },
  oil: { rag: { once: 1, each: 0.5 }, wool: { once: 0.5 }, gloves: { once: 1 } },
  'wipe-oil': { rag: { once: 1, each: 1.5 } },
  salve: { rag: { once: 1 } },
  fill: { filler: { each: 1 }, abrasive: { once: 0.25 } },
  glue: { glue: { each: 1 }, rag: { once: 0.5 } },
  repair: { glue: { once: 1 }, abrasive: { once: 0.5 } },
  polish: { polish: { each: 1 }, rag: { once: 0.5 } },
  line: { lining: { each: 1 } },
  cover: { cloth: { each: 1 } },
  pads: { pads: { once: 1 } },
  deliver: { trip: { once: 1 } },
}

/** What is worked: `minutes` tell how many items or metres, where the operation goes by them. */
export interface Used {
  operation: OperationCode
  areaM2: number
  minutes: number
}
export interface ConsumableUse {
  code: ConsumableCode
  /** in the consumable's unit */
  amount: number
}

/** What a step uses up. */
export function consumablesOf({ operation, areaM2, minutes }: Used): ConsumableUse[] {
  const { norm, overhead, per = 'm2' } = getOperation(operation)
  const times = per === 'm2' ? areaM2 : Math.max(1, Math.round((minutes - overhead) / norm))
  return Object.entries(uses[operation] ?? {}).map(([code, { once = 0, each = 0 }]) => ({
    code: code as ConsumableCode,
    amount: once + each * times,
  }))
}

/** What that costs, minor units, not rounded. */
export const consumablesCost = (used: readonly ConsumableUse[], prices: ConsumablePrices): number =>
  used.reduce((sum, { code, amount }) => sum + amount * prices[code], 0)
/** A trip is no consumable: it stands with the delivery. */
export const consumableKind = (operation: OperationCode): 'consumables' | 'delivery' =>
  operation === 'deliver' ? 'delivery' : 'consumables'
