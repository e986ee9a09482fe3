/**
 * What a painter does, one entry an operation: plain words, starting norm, the check that ends it, the caution before it.
 * Norms in minutes per m² (or per item where `per` says so), set-up and cleaning in minutes. Source: the craft; the
 * studio's own log is meant to correct them.
 */

/** Cautions are worded beside the interface; here only which one belongs to which step. */
export type CautionCode = 'dust' | 'solvent' | 'rags' | 'blade' | 'heat' | 'lifting' | 'lead'
export type CheckCode =
  | 'dry'
  | 'clean'
  | 'no-shine'
  | 'no-dust'
  | 'raking-light'
  | 'bleed'
  | 'looks-worn'
  | 'fingerprint'
  | 'rag-drag'
  | 'lap-marks'
  | 'no-residue'
  | 'runs-right'
export type LayerKind = 'primer' | 'paint' | 'wash' | 'clear' | 'wax' | 'tint' | 'oil'
export type Stage = 'intake' | 'repair' | 'prep' | 'prime' | 'colour' | 'wear' | 'seal' | 'finish'

export interface Operation {
  stage: Stage
  words: string
  /** minutes per m², or per item */
  norm: number
  /** set-up and cleaning together, minutes */
  overhead: number
  per?: 'm2' | 'item'
  check?: CheckCode
  cautions?: readonly CautionCode[]
  /** what it leaves on the part */
  layer?: LayerKind
  /** what it takes away from the topmost coats: drawn as wear */
  wears?: boolean
}

const op = (stage: Stage, words: string, norm: number, overhead: number, more: Partial<Operation> = {}): Operation => ({
  stage,
  words,
  norm,
  overhead,
  ...more,
})

export const operations = {
  'take-apart': op('intake', 'Take apart, bag and number the fittings', 2, 0, { per: 'item' }),
  clean: op('prep', 'Clean off grease and polish', 6, 5, { check: 'clean' }),
  rinse: op('prep', 'Rinse with plain water', 3, 2, { check: 'no-residue' }),
  dewax: op('prep', 'Take the wax off with spirits and fine wire wool', 25, 10, {
    check: 'rag-drag',
    cautions: ['solvent', 'rags'],
  }),
  'wipe-spirits': op('prep', 'Wipe down with spirits', 5, 5, { check: 'clean', cautions: ['solvent', 'rags'] }),
  strip: op('prep', 'Brush stripper on thickly', 12, 10, { cautions: ['solvent'] }),
  scrape: op('prep', 'Scrape off with the grain, coarse then fine', 40, 5, { check: 'clean', cautions: ['blade', 'solvent'] }),
  neutralise: op('prep', 'Wash off the stripper', 6, 5, { check: 'no-residue', cautions: ['solvent'] }),
  scuff: op('prep', 'Scuff along the grain', 6, 4, { check: 'no-shine', cautions: ['dust'] }),
  sand: op('prep', 'Abrade along the grain', 10, 6, { check: 'raking-light', cautions: ['dust'] }),
  'dust-off': op('prep', 'Dust off, then a tack cloth', 2, 2, { check: 'no-dust' }),
  knotting: op('prime', 'Seal the knots', 1, 5, { per: 'item', check: 'dry', cautions: ['solvent'], layer: 'primer' }),
  'block-prime': op('prime', 'Prime against bleed', 8, 10, { check: 'bleed', cautions: ['solvent'], layer: 'primer' }),
  'adhesion-prime': op('prime', 'Prime for grip', 8, 10, { check: 'dry', layer: 'primer' }),
  coat: op('colour', 'Paint', 10, 8, { check: 'raking-light', layer: 'paint' }),
  'seal-between': op('colour', 'Thin clear between the colours', 7, 6, { check: 'dry', layer: 'clear' }),
  wash: op('colour', 'Wash on and wipe back, a section at a time', 18, 8, { check: 'lap-marks', layer: 'wash' }),
  'wet-distress': op('wear', 'Wear it back with a damp cloth', 8, 3, { check: 'looks-worn', wears: true }),
  'dry-distress': op('wear', 'Wear it back by hand', 8, 4, { check: 'looks-worn', cautions: ['dust'], wears: true }),
  smooth: op('wear', 'Smooth lightly along the grain', 6, 3, { check: 'raking-light', cautions: ['dust'] }),
  'de-lint': op('wear', 'Off with lint and dust', 2, 1, { check: 'no-dust' }),
  'clear-wax': op('seal', 'Clear wax, thinly, small sections', 8, 4, { cautions: ['rags'], layer: 'wax' }),
  'tinted-wax': op('seal', 'Dark wax into recesses and edges', 8, 6, { check: 'looks-worn', cautions: ['rags'], layer: 'tint' }),
  'wax-off': op('seal', 'Massage off all the excess', 5, 1, { check: 'rag-drag', cautions: ['rags'] }),
  buff: op('seal', 'Buff', 5, 1, { check: 'fingerprint' }),
  'clear-coat': op('seal', 'Clear coat, laid off one way', 8, 8, { check: 'raking-light', layer: 'clear' }),
  hardware: op('finish', 'Fit the hardware', 6, 0, { per: 'item' }),
  inspect: op('finish', 'Look it over, inside edges too', 0, 10, { check: 'runs-right', cautions: ['lifting'] }),
} as const satisfies Record<string, Operation>

export type OperationCode = keyof typeof operations
export const operationCodes = Object.keys(operations) as OperationCode[]
export const getOperation = (code: OperationCode): Operation => operations[code]

/**
 * Standard minutes of a step, on whole minutes and at least 1: set-up and cleaning, plus area × norm or items × norm.
 * `areaM2` counts relief already.
 */
export function standardMinutes(code: OperationCode, size: { areaM2: number; items?: number }): number {
  const { norm, overhead, per = 'm2' } = getOperation(code)
  const amount = per === 'm2' ? size.areaM2 : (size.items ?? 0)
  return Math.max(1, Math.round(overhead + amount * norm))
}
