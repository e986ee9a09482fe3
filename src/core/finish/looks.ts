/**
 * Looks as recipes: each a list of steps over operations, which the planner puts on a part; looks combine, phase by phase.
 * Source: the craft, section on looks. A look is added here, with its words beside the interface, and nowhere else.
 */
import type { FamilyCode } from './families'
import type { SubstrateKind } from './parts'
import type { RecipeLine, Slot } from './recipe'
import type { SealCode } from './seals'

export interface Look {
  words: string
  tells: string
  slots: readonly Slot[]
  slotWords: Partial<Record<Slot, string>>
  paints: readonly FamilyCode[]
  /** materials it can be put on; wood, board, slick and cane unless given */
  on?: readonly SubstrateKind[]
  /** needs the wood laid bare */
  bareWood?: boolean
  /** abrades or cuts into what is there, or heats it */
  abrades?: boolean
  /** can also be laid over another look */
  addOn?: boolean
  /** two colours must stay two layers */
  apart?: boolean
  /** two colours must run into each other */
  blends?: boolean
  /** paint is meant to come off in flakes */
  chips?: boolean
  /** topcoats that suit it, the first that the use allows is taken */
  seals: readonly SealCode[]
  recipe: readonly RecipeLine[]
  /** how the drawing shows it */
  wear: 'none' | 'edges' | 'through' | 'grain'
}

const hard: readonly SubstrateKind[] = ['wood', 'board', 'slick', 'cane']
const chalky: readonly FamilyCode[] = ['clay', 'chalk-style', 'chalk-mineral', 'casein', 'home-chalky']
const rewetting: readonly FamilyCode[] = ['clay', 'casein']
const thinnable: readonly FamilyCode[] = ['clay', 'chalk-style', 'chalk-mineral']
const covering: readonly FamilyCode[] = [
  'clay',
  'chalk-style',
  'chalk-mineral',
  'all-in-one',
  'casein',
  'latex',
  'home-chalky',
  'alkyd',
]
const brushed = covering.filter((code) => code !== 'casein')

const smoothing: RecipeLine = {
  phase: 'base',
  operation: 'smooth',
  grit: '220',
  reason: 'smooth-between',
  optional: true,
  school: { between: 'smooth' },
}
const smoothBase: RecipeLine = {
  phase: 'base',
  operation: 'coat',
  times: 'by-colour',
  paint: 'a',
  applicator: 'synthetic brush',
  reason: 'cover',
  between: [smoothing],
}
/** A base under an effect: what covers, brushed as it comes. */
const base: RecipeLine = { ...smoothBase, applicator: 'bristle brush', between: [] }
const keepApart: RecipeLine = {
  phase: 'between',
  operation: 'seal-between',
  family: 'water-clear',
  onlyFor: rewetting,
  film: 'thin',
  applicator: 'foam brush',
  reason: 'keep-apart',
}
const wornBack = (reason: RecipeLine['reason']): RecipeLine[] => [
  {
    phase: 'wear',
    operation: 'wet-distress',
    onlyFor: rewetting,
    school: { distress: 'damp' },
    applicator: 'damp cloth',
    reason,
  },
  {
    phase: 'wear',
    operation: 'dry-distress',
    onlyFor: rewetting,
    school: { distress: 'hand' },
    grit: '220',
    applicator: 'abrasive by hand',
    reason,
  },
  {
    phase: 'wear',
    operation: 'dry-distress',
    notFor: rewetting,
    school: { distress: 'hand' },
    grit: '220',
    applicator: 'abrasive by hand',
    reason,
  },
  {
    phase: 'wear',
    operation: 'dry-distress',
    notFor: rewetting,
    school: { distress: 'damp' },
    grit: '220',
    applicator: 'abrasive by hand',
    reason,
  },
  {
    phase: 'wear',
    operation: 'dry-distress',
    school: { distress: 'sander' },
    grit: '180',
    applicator: 'power sander, light touch',
    reason,
  },
  { phase: 'wear', operation: 'dust-off', reason: 'no-dust-under-clear' },
]
const topB: RecipeLine = {
  phase: 'top',
  operation: 'coat',
  times: 'by-colour',
  paint: 'b',
  applicator: 'bristle brush',
  reason: 'cover',
}

export const looks = {
  'smooth-solid': {
    words: 'Smooth solid',
    tells: 'One even colour, rubbed between coats.',
    slots: ['a'],
    slotWords: { a: 'Colour' },
    paints: brushed,
    seals: ['clear', 'hard', 'wax', 'none'],
    wear: 'none',
    recipe: [
      smoothBase,
      {
        phase: 'finish',
        operation: 'smooth',
        grit: '400–600',
        reason: 'last-rub',
        optional: true,
        school: { between: 'smooth' },
      },
    ],
  },
  'light-distress': {
    words: 'Light distress',
    tells: 'One colour, worn to the wood on edges and corners.',
    slots: ['a'],
    slotWords: { a: 'Colour' },
    paints: chalky,
    abrades: true,
    seals: ['wax', 'clear', 'hard', 'oil', 'oil-wax'],
    wear: 'through',
    recipe: [base, ...wornBack('wear-to-wood')],
  },
  'two-colour-distress': {
    words: 'Two-colour distress',
    tells: 'One colour under another, worn back where hands wear it.',
    slots: ['a', 'b'],
    slotWords: { a: 'Under-colour', b: 'Top colour' },
    paints: chalky,
    abrades: true,
    apart: true,
    seals: ['wax', 'clear', 'hard', 'oil', 'oil-wax'],
    wear: 'edges',
    recipe: [
      { phase: 'base', operation: 'coat', times: 1, paint: 'a', applicator: 'bristle brush', reason: 'under-colour' },
      keepApart,
      topB,
      ...wornBack('wear-to-a'),
    ],
  },
  'chippy-casein': {
    words: 'Chippy, by casein paint',
    tells: 'Milk paint without bonding agent lets go in flakes of its own.',
    slots: ['a', 'b'],
    slotWords: { a: 'Undercoat', b: 'Chipping colour' },
    paints: ['casein'],
    abrades: true,
    apart: true,
    chips: true,
    seals: ['wax', 'oil', 'oil-wax', 'clear', 'hard'],
    wear: 'edges',
    recipe: [
      {
        phase: 'under',
        operation: 'undercoat',
        paint: 'a',
        mix: 'powder : water 1 : 1, with bonding agent',
        applicator: 'bristle brush',
        reason: 'dark-under',
      },
      { ...keepApart, reason: 'keep-undercoat' },
      {
        phase: 'top',
        operation: 'coat',
        times: 1,
        paint: 'b',
        mix: 'powder : water 1 : 1, no bonding agent',
        applicator: 'bristle brush',
        reason: 'chips',
      },
      { phase: 'wear', operation: 'heat-gun', reason: 'chips', optional: true },
      { phase: 'wear', operation: 'brush-off-flakes', applicator: 'stiff brush', reason: 'loose-flakes' },
      { phase: 'wear', operation: 'dust-off', reason: 'no-dust-under-clear' },
    ],
  },
  'chippy-resist': {
    words: 'Chippy, by resist',
    tells: 'Wax or soap on the wear points keeps the top colour from holding there.',
    slots: ['a', 'b'],
    slotWords: { a: 'Under-colour', b: 'Top colour' },
    paints: ['clay', 'chalk-style', 'chalk-mineral', 'latex', 'home-chalky'],
    abrades: true,
    apart: true,
    seals: ['wax', 'clear', 'hard'],
    wear: 'edges',
    recipe: [
      { ...base, times: 1, reason: 'under-colour' },
      keepApart,
      {
        phase: 'medium',
        operation: 'resist',
        family: 'resist',
        film: 'thin',
        applicator: 'candle, soap or finger',
        reason: 'resist-lets-go',
      },
      topB,
      {
        phase: 'wear',
        operation: 'dry-distress',
        grit: '60–80 on the resist, then 220',
        applicator: 'abrasive by hand',
        reason: 'wear-to-a',
      },
      { phase: 'wear', operation: 'remove-resist', applicator: 'cloths, often changed', reason: 'resist-defeats-clear' },
      { phase: 'wear', operation: 'dust-off', reason: 'no-dust-under-clear' },
    ],
  },
  'scraped-layers': {
    words: 'Scraped layers',
    tells: 'Thick base, thin colour, high points scraped while the paint is young.',
    slots: ['a', 'b'],
    slotWords: { a: 'Textured base', b: 'Top colour' },
    paints: ['clay', 'chalk-style', 'chalk-mineral', 'home-chalky'],
    on: ['wood', 'board'],
    abrades: true,
    apart: true,
    seals: ['wax', 'clear', 'hard'],
    wear: 'edges',
    recipe: [
      {
        phase: 'texture',
        operation: 'texture-coat',
        paint: 'a',
        mix: 'paint : texture powder 2 : 1',
        applicator: 'old brush',
        reason: 'rough',
      },
      keepApart,
      { ...topB, times: 1, reason: 'under-colour' },
      { phase: 'wear', operation: 'scrape-distress', applicator: 'blade, held flat', reason: 'wear-to-a' },
      { phase: 'wear', operation: 'dust-off', reason: 'no-dust-under-clear' },
    ],
  },
  texture: {
    words: 'Textured',
    tells: 'Thickened paint, stippled unevenly, one colour over it.',
    slots: ['a'],
    slotWords: { a: 'Colour' },
    paints: ['clay', 'chalk-style', 'chalk-mineral', 'home-chalky'],
    addOn: true,
    seals: ['wax', 'clear', 'hard'],
    wear: 'none',
    recipe: [
      {
        phase: 'texture',
        operation: 'texture-coat',
        paint: 'a',
        mix: 'paint : texture powder 2 : 1',
        applicator: 'old brush',
        reason: 'rough',
      },
      base,
    ],
  },
  'salt-texture': {
    words: 'Salt or sand texture',
    tells: 'Paint and powder one to one, dabbed on, its peaks laid down half dry.',
    slots: ['a', 'b'],
    slotWords: { a: 'Textured base', b: 'Colour over it' },
    paints: ['clay', 'chalk-style', 'chalk-mineral', 'home-chalky'],
    seals: ['wax', 'clear', 'hard'],
    wear: 'none',
    recipe: [
      {
        phase: 'texture',
        operation: 'texture-coat',
        paint: 'a',
        mix: 'paint : powder 1 : 1 by volume',
        applicator: 'old brush, dabbed',
        reason: 'rough',
      },
      { phase: 'texture', operation: 'knock-down', applicator: 'damp brush if late', reason: 'peaks' },
      keepApart,
      topB,
      { phase: 'finish', operation: 'smooth', grit: '220', reason: 'last-rub', optional: true },
    ],
  },
  crackle: {
    words: 'Crackle',
    tells: 'A medium under the last coat tears it open: thick coats wide, thin coats fine.',
    slots: ['a', 'b'],
    slotWords: { a: 'Colour in the cracks', b: 'Crackled colour' },
    paints: ['clay', 'chalk-style', 'chalk-mineral', 'latex', 'home-chalky'],
    apart: true,
    seals: ['clear', 'wax', 'hard'],
    wear: 'none',
    recipe: [
      base,
      keepApart,
      {
        phase: 'medium',
        operation: 'crackle-medium',
        family: 'crackle-medium',
        applicator: 'soft brush',
        reason: 'crackle-shrinks',
      },
      { phase: 'top', operation: 'crackle-coat', paint: 'b', applicator: 'wide full brush', reason: 'crackle-once' },
    ],
  },
  whitewash: {
    words: 'Whitewash over the grain',
    tells: 'Thinned colour wiped back so that the wood speaks through.',
    slots: ['a'],
    slotWords: { a: 'Wash colour' },
    paints: ['chalk-style', 'chalk-mineral', 'latex', 'clay'],
    on: ['wood'],
    bareWood: true,
    abrades: true,
    seals: ['clear', 'hard', 'oil-wax', 'wax'],
    wear: 'grain',
    recipe: [
      {
        phase: 'base',
        operation: 'wash',
        times: 2,
        paint: 'a',
        film: 'thin',
        mix: 'paint : water 1 : 1',
        applicator: 'wide brush and cloths',
        reason: 'wash-strength',
      },
    ],
  },
  'colour-wash': {
    words: 'Wash over a base',
    tells: 'A cloudy second colour wiped over a dry base.',
    slots: ['a', 'b'],
    slotWords: { a: 'Base', b: 'Wash' },
    paints: ['clay', 'chalk-style', 'chalk-mineral', 'latex', 'home-chalky'],
    apart: true,
    seals: ['clear', 'wax', 'hard'],
    wear: 'none',
    recipe: [
      { ...base, times: 2 },
      { ...keepApart, reason: 'wash-needs-sealed' },
      {
        phase: 'over',
        operation: 'wash',
        times: 1,
        paint: 'b',
        film: 'thin',
        mix: 'paint : water 1 : 1',
        applicator: 'wide brush and cloths',
        reason: 'wash-soft',
      },
    ],
  },
  'dabbed-wash': {
    words: 'Dabbed wash',
    tells: 'A strong wash dabbed with crumpled paper, misted where the base should show.',
    slots: ['a', 'b'],
    slotWords: { a: 'Base', b: 'Wash' },
    paints: thinnable,
    apart: true,
    seals: ['clear', 'wax', 'hard'],
    wear: 'none',
    recipe: [
      { ...base, times: 2 },
      { ...keepApart, reason: 'wash-needs-sealed' },
      {
        phase: 'over',
        operation: 'wash',
        times: 1,
        paint: 'b',
        film: 'thin',
        mix: 'paint : water 3 : 1',
        applicator: 'crumpled paper and mister',
        reason: 'wash-soft',
      },
    ],
  },
  'glaze-lift': {
    words: 'Glaze, lifted with paper',
    tells: 'Tinted glaze cross-hatched on, paper laid and lifted.',
    slots: ['a', 'b'],
    slotWords: { a: 'Base', b: 'Glaze' },
    paints: ['chalk-style', 'chalk-mineral', 'latex', 'clay', 'all-in-one'],
    apart: true,
    seals: ['clear', 'hard', 'wax'],
    wear: 'none',
    recipe: [
      base,
      keepApart,
      {
        phase: 'over',
        operation: 'glaze',
        family: 'glaze',
        paint: 'b',
        film: 'thin',
        mix: 'clear glaze : paint 4 : 1',
        applicator: 'brush and crumpled paper',
        reason: 'glaze-depth',
      },
    ],
  },
  'dry-brush': {
    words: 'Dry-brushed',
    tells: 'Hardly any paint on the brush, from the edges in.',
    slots: ['a', 'b'],
    slotWords: { a: 'Base', b: 'Brushed over' },
    paints: covering.filter((code) => code !== 'alkyd'),
    seals: ['wax', 'clear', 'hard', 'none'],
    wear: 'none',
    recipe: [
      base,
      {
        phase: 'over',
        operation: 'dry-brush',
        paint: 'b',
        film: 'thin',
        applicator: 'stencil brush, off-loaded on paper',
        reason: 'dry-brush-age',
      },
    ],
  },
  'wet-blend': {
    words: 'Wet blend',
    tells: 'Two colours kept wet and brushed into each other.',
    slots: ['a', 'b'],
    slotWords: { a: 'One colour', b: 'The other' },
    paints: ['clay', 'chalk-mineral', 'chalk-style'],
    blends: true,
    seals: ['wax', 'clear', 'hard'],
    wear: 'none',
    recipe: [
      { ...base, times: 1, reason: 'under-colour' },
      {
        phase: 'top',
        operation: 'blend',
        paint: 'b',
        mix: 'as it comes, the brush misted',
        applicator: 'two brushes and a mister',
        reason: 'blend-wet',
      },
    ],
  },
  'spray-runs': {
    words: 'Sprayed runs',
    tells: 'Thinned colour misted and let run, drips evened with plain water.',
    slots: ['a', 'b'],
    slotWords: { a: 'Base', b: 'Runs' },
    paints: thinnable,
    seals: ['wax', 'clear', 'hard'],
    wear: 'none',
    recipe: [
      base,
      {
        phase: 'over',
        operation: 'spray-runs',
        paint: 'b',
        film: 'thin',
        mix: 'paint : water 1 : 1',
        applicator: 'mister and damp cloth',
        reason: 'runs',
      },
    ],
  },
  stripes: {
    words: 'Stripes',
    tells: 'Taped, stippled, tape off while still damp.',
    slots: ['a', 'b'],
    slotWords: { a: 'Ground', b: 'Stripes' },
    paints: ['clay', 'chalk-style', 'chalk-mineral', 'latex', 'all-in-one', 'home-chalky'],
    on: ['wood', 'board', 'slick'],
    apart: true,
    seals: ['clear', 'hard', 'wax'],
    wear: 'none',
    recipe: [
      base,
      keepApart,
      { phase: 'medium', operation: 'tape', applicator: 'painter’s tape, edges pressed', reason: 'sharp-lines' },
      {
        phase: 'top',
        operation: 'coat',
        times: 1,
        paint: 'b',
        film: 'thin',
        applicator: 'stencil brush, stippled',
        reason: 'sharp-lines',
      },
      { phase: 'top', operation: 'pull-tape', reason: 'tape-damp' },
    ],
  },
  stencilled: {
    words: 'Stencilled',
    tells: 'A pattern stippled through a stencil, nearly dry, over a dry base.',
    slots: ['a', 'b'],
    slotWords: { a: 'Ground', b: 'Pattern' },
    paints: ['clay', 'chalk-style', 'chalk-mineral', 'latex', 'all-in-one', 'home-chalky'],
    on: ['wood', 'board', 'slick'],
    apart: true,
    seals: ['clear', 'wax', 'hard'],
    wear: 'none',
    recipe: [
      base,
      keepApart,
      {
        phase: 'over',
        operation: 'dry-brush',
        paint: 'b',
        film: 'thin',
        applicator: 'stencil and stencil brush, off-loaded on paper',
        reason: 'sharp-lines',
      },
    ],
  },
  'painted-fabric': {
    words: 'Painted cloth',
    tells: 'Thin coats worked into the weave, waxed soft.',
    slots: ['a'],
    slotWords: { a: 'Colour' },
    paints: ['chalk-style', 'chalk-mineral', 'clay'],
    on: ['fabric'],
    seals: ['wax'],
    wear: 'none',
    recipe: [
      { phase: 'base', operation: 'mist-fabric', applicator: 'mister', reason: 'cloth-drinks' },
      {
        phase: 'base',
        operation: 'fabric-coat',
        times: 3,
        paint: 'a',
        film: 'thin',
        mix: 'paint with 20 % water',
        applicator: 'synthetic brush',
        reason: 'cloth-drinks',
        between: [{ ...smoothing, grit: '400', reason: 'cloth-soft' }],
      },
      { phase: 'finish', operation: 'smooth', grit: '400', reason: 'cloth-soft', optional: true },
    ],
  },
  'painted-leather': {
    words: 'Painted leather or vinyl',
    tells: 'First coat undiluted and thin, clear wax worked in.',
    slots: ['a'],
    slotWords: { a: 'Colour' },
    paints: ['chalk-style', 'chalk-mineral', 'clay'],
    on: ['leather'],
    seals: ['wax'],
    wear: 'none',
    recipe: [
      {
        phase: 'base',
        operation: 'coat',
        times: 'by-colour',
        paint: 'a',
        film: 'thin',
        firstMix: 'undiluted',
        mix: 'as it comes, the brush misted',
        applicator: 'synthetic brush',
        reason: 'leather-grip',
      },
    ],
  },
  'stained-wood': {
    words: 'Wood kept, stained and cleared',
    tells: 'Stripped, abraded, stained; the wood itself under clear.',
    slots: ['a'],
    slotWords: { a: 'Stain' },
    paints: ['stain'],
    on: ['wood'],
    bareWood: true,
    abrades: true,
    seals: ['clear', 'hard', 'oil-wax', 'oil', 'wax'],
    wear: 'grain',
    recipe: [
      {
        phase: 'base',
        operation: 'wash',
        times: 1,
        paint: 'a',
        film: 'thin',
        applicator: 'cloth, with the grain',
        reason: 'wood-shows',
      },
    ],
  },
  'aged-wax': {
    words: 'Aged with dark wax',
    tells: 'Dark wax in recesses and edges, blended out.',
    slots: ['a'],
    slotWords: { a: 'Colour' },
    paints: covering,
    on: hard,
    addOn: true,
    seals: ['wax', 'clear', 'hard'],
    wear: 'none',
    recipe: [
      base,
      {
        phase: 'tint',
        operation: 'tinted-wax',
        family: 'dark-wax',
        film: 'thin',
        applicator: 'wax brush, off-loaded on card',
        reason: 'age',
      },
      { phase: 'rub', operation: 'wax-off', family: 'dark-wax', applicator: 'lint-free rag', reason: 'excess-never-hardens' },
      { phase: 'buff', operation: 'buff', family: 'dark-wax', applicator: 'soft cloth', reason: 'sheen' },
    ],
  },
  'gilded-edges': {
    words: 'Gilded edges',
    tells: 'Gilding wax by finger on the high points, last of all.',
    slots: ['a'],
    slotWords: { a: 'Colour' },
    paints: covering,
    on: hard,
    addOn: true,
    seals: ['clear', 'wax', 'hard'],
    wear: 'none',
    recipe: [
      base,
      {
        phase: 'metal',
        operation: 'metallic-wax',
        family: 'metallic-wax',
        film: 'thin',
        applicator: 'finger',
        reason: 'gilding-last',
      },
      { phase: 'metal', operation: 'buff', family: 'metallic-wax', applicator: 'soft cloth', reason: 'sheen' },
    ],
  },
} as const satisfies Record<string, Look>

export type LookCode = keyof typeof looks
export const lookCodes = Object.keys(looks) as [LookCode, ...LookCode[]]
export const addOnCodes = lookCodes.filter((code) => getLook(code).addOn)
export function getLook(code: LookCode): Look {
  return looks[code]
}
export const materialsOf = (look: Look): readonly SubstrateKind[] => look.on ?? hard
