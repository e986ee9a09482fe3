/**
 * What a painter does, one entry an operation: plain words, starting norm, the check that ends it, the caution before it.
 * Norms in minutes per m² (or per item where `per` says so), set-up and cleaning in minutes. Source: the craft; the
 * studio's own log is meant to correct them.
 */

import type { CautionCode } from './cautions'

export const checkCodes = [
  'dry',
  'clean',
  'no-shine',
  'no-dust',
  'raking-light',
  'bleed',
  'looks-worn',
  'fingerprint',
  'rag-drag',
  'lap-marks',
  'no-residue',
  'runs-right',
  'scratch',
  'sealed',
  'looks-right',
  'straight',
] as const
export type CheckCode = (typeof checkCodes)[number]
export const layerKinds = [
  'primer',
  'paint',
  'texture',
  'medium',
  'crackle',
  'wash',
  'glaze',
  'clear',
  'wax',
  'tint',
  'metallic',
  'oil',
] as const
export type LayerKind = (typeof layerKinds)[number]
export type Stage = 'intake' | 'repair' | 'prep' | 'prime' | 'colour' | 'wear' | 'seal' | 'finish'

export interface Operation {
  stage: Stage
  words: string
  /** minutes per m², or per item */
  norm: number
  /** set-up and cleaning together, minutes */
  overhead: number
  per?: 'm2' | 'item' | 'metre'
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
  photograph: op('intake', 'Photograph it', 0, 5),
  'take-apart': op('intake', 'Take apart, bag and number the fittings', 2, 0, { per: 'item' }),
  reassemble: op('intake', 'Put together again', 3, 0, { per: 'item' }),
  repair: op('repair', 'Repair', 0, 30, { cautions: ['blade'] }),
  'clean-out': op('repair', 'Vacuum and wash the drawers out, runners too', 8, 5, { per: 'item', check: 'clean' }),
  glue: op('repair', 'Glue loose joints, old glue and wax off first, clamped over night', 10, 5, {
    per: 'item',
    cautions: ['blade'],
  }),
  fill: op('repair', 'Fill holes, cleaned and free of wax first', 3, 0, { per: 'item' }),
  'cut-down': op('repair', 'Cut down, measured from the top', 8, 0, { per: 'item', cautions: ['blade', 'dust'] }),
  mask: op('repair', 'Mask glass, mirrors and what stays bare', 6, 0, { per: 'item' }),
  trial: op('repair', 'Try it first: a patch where it won’t show, or a board', 0, 20, { check: 'looks-right' }),
  'turn-over': op('repair', 'Turn it over', 0, 5),
  'stand-open': op('repair', 'Pour the paint out and leave it open to thicken', 0, 3),
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
  scuff: op('prep', 'Scuff until nothing shines', 6, 4, { check: 'no-shine', cautions: ['dust'] }),
  sand: op('prep', 'Abrade smooth', 10, 6, { check: 'raking-light', cautions: ['dust'] }),
  'de-rust': op('prep', 'Brush the rust off, down to dull metal', 12, 5, { check: 'no-dust', cautions: ['dust'] }),
  'dust-off': op('prep', 'Dust off, then a tack cloth', 2, 2, { check: 'no-dust' }),
  knotting: op('prime', 'Seal the knots', 1, 5, { per: 'item', check: 'dry', cautions: ['solvent'], layer: 'primer' }),
  'block-prime': op('prime', 'Prime against bleed', 8, 10, { check: 'bleed', cautions: ['solvent'], layer: 'primer' }),
  'adhesion-prime': op('prime', 'Prime for grip', 8, 10, { check: 'dry', layer: 'primer' }),
  undercoat: op('colour', 'Dark undercoat', 10, 8, { check: 'raking-light', layer: 'paint' }),
  coat: op('colour', 'Paint', 10, 8, { check: 'raking-light', layer: 'paint' }),
  'texture-coat': op('colour', 'Thickened coat, stippled unevenly', 18, 10, { check: 'dry', layer: 'texture' }),
  'knock-down': op('colour', 'Lay the peaks down', 6, 2, { check: 'looks-worn' }),
  'crackle-medium': op('colour', 'Crackle medium, even, not over-brushed', 10, 6, { check: 'dry', layer: 'medium' }),
  'crackle-coat': op('colour', 'Colour over the crackle: fast, one pass, never back', 8, 8, {
    check: 'looks-worn',
    layer: 'crackle',
  }),
  resist: op('colour', 'Resist on the wear points', 4, 1),
  'remove-resist': op('colour', 'Wipe the resist off entirely', 4, 2, { check: 'clean' }),
  wash: op('colour', 'Wash on and wipe back, a section at a time', 18, 8, { check: 'lap-marks', layer: 'wash' }),
  glaze: op('colour', 'Glaze on, paper laid and lifted, a section at a time', 16, 8, { check: 'lap-marks', layer: 'glaze' }),
  'dry-brush': op('colour', 'Dry brush, from the edges in', 8, 4, { check: 'looks-worn', layer: 'wash' }),
  blend: op('colour', 'Blend two colours wet', 20, 10, { check: 'looks-worn', layer: 'paint' }),
  'spray-runs': op('colour', 'Thinned colour misted and let run', 10, 8, {
    check: 'looks-worn',
    cautions: ['mist'],
    layer: 'wash',
  }),
  tape: op('colour', 'Measure and tape', 2, 2, { per: 'metre', check: 'straight' }),
  'pull-tape': op('colour', 'Pull the tape while damp', 0.5, 0, { per: 'metre', check: 'straight' }),
  'mist-fabric': op('colour', 'Mist the cloth', 2, 2),
  'fabric-coat': op('colour', 'Thin coat worked into the cloth', 14, 8, { check: 'dry', layer: 'paint' }),
  'seal-between': op('colour', 'Thin clear between the colours', 7, 6, { check: 'dry', layer: 'clear' }),
  'wet-distress': op('wear', 'Wear it back with a damp cloth', 8, 3, { check: 'looks-worn', wears: true }),
  'dry-distress': op('wear', 'Wear it back by hand', 8, 4, { check: 'looks-worn', cautions: ['dust'], wears: true }),
  'scrape-distress': op('wear', 'Scrape the high points with a blade', 20, 4, {
    check: 'looks-worn',
    cautions: ['blade', 'dust'],
    wears: true,
  }),
  'heat-gun': op('wear', 'Heat the wet coat, gun kept moving', 6, 2, { cautions: ['heat'] }),
  'brush-off-flakes': op('wear', 'Brush loose flakes off', 3, 1, { check: 'no-dust', cautions: ['dust'], wears: true }),
  smooth: op('wear', 'Smooth lightly, dust off', 6, 3, { check: 'raking-light', cautions: ['dust'] }),
  'de-lint': op('wear', 'Off with lint and dust', 2, 1, { check: 'no-dust' }),
  'clear-wax': op('seal', 'Clear wax, thinly, small sections', 8, 4, { cautions: ['rags'], layer: 'wax' }),
  'tinted-wax': op('seal', 'Tinted wax into recesses and edges', 8, 6, {
    check: 'looks-worn',
    cautions: ['rags'],
    layer: 'tint',
  }),
  'wax-off': op('seal', 'Massage off all the excess', 5, 1, { check: 'rag-drag', cautions: ['rags'] }),
  buff: op('seal', 'Buff', 5, 1, { check: 'fingerprint' }),
  'metallic-wax': op('seal', 'Gilding wax by finger on the high points', 4, 2, { cautions: ['rags'], layer: 'metallic' }),
  'clear-coat': op('seal', 'Clear coat, laid off one way', 8, 8, { check: 'raking-light', layer: 'clear' }),
  oil: op('seal', 'Oil, rubbed in with a fine pad', 6, 5, { cautions: ['rags'], layer: 'oil' }),
  'wipe-oil': op('seal', 'Wipe all the excess oil off', 4, 3, { check: 'rag-drag', cautions: ['rags'] }),
  salve: op('seal', 'Salve, rubbed in', 6, 3, { cautions: ['rags'], layer: 'oil' }),
  hardware: op('finish', 'Fit the hardware, pilot holes first', 6, 0, { per: 'item', cautions: ['dust'] }),
  upholster: op('finish', 'Upholster', 0, 60, { cautions: ['blade'] }),
  ease: op('finish', 'Wax the drawer runners', 2, 0, { per: 'item', check: 'runs-right' }),
  polish: op('finish', 'Polish the metal fittings', 4, 5, { per: 'item' }),
  line: op('finish', 'Line the drawers', 10, 0, { per: 'item', cautions: ['blade'] }),
  cover: op('finish', 'Mend the cloth and its bottom cover', 20, 5, { per: 'item', cautions: ['blade'] }),
  pads: op('finish', 'Felt pads under the feet', 0, 5),
  deliver: op('finish', 'Deliver it and put it together there', 0, 45, { cautions: ['lifting'] }),
  own: op('finish', 'A step of your own', 0, 15),
  inspect: op('finish', 'Look it over, inside edges too', 0, 10, { check: 'runs-right', cautions: ['lifting'] }),
  rest: op('finish', 'Rest', 0, 0),
  cure: op('finish', 'Cure', 0, 0),
} as const satisfies Record<string, Operation>

export type OperationCode = keyof typeof operations
export const getOperation = (code: OperationCode): Operation => operations[code]

const coloured: readonly (LayerKind | undefined)[] = ['paint', 'wash', 'glaze', 'crackle', 'texture']
/** Whether it lays colour: paint, stain, wash, glaze and their like. */
export const laysColour = (code: OperationCode): boolean => coloured.includes(getOperation(code).layer)
