/** Stacks on this or that material, written out whole, with the rule that speaks of each; and right ones beside them. For tests alone. */
import type { FamilyCode } from '@/core/craft/families'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import type { ConflictCode } from '@/core/stack/rules'
import type { Act } from '@/core/stack/surface'
import {
  buffed,
  cleaned,
  clearCoat,
  deLinted,
  dusted,
  gripPrimer,
  prep,
  rinsed,
  scuffed,
  waxOn,
  waxRubbed,
  wiped,
} from './rightActs'
import { act, coat, type ColourName, colours, oiled, solid, wipeOil, wish } from './stacks'

export type WholeStack = [words: string, part: Partial<FinishablePart>, wish: FinishWish, acts: Act[], code: ConflictCode | null]

export const two = (family: FamilyCode, colour: ColourName = 'slate') => [coat(family, colour), coat(family, colour)]
export const clears = [deLinted, clearCoat, clearCoat]
export const waxed = [waxOn, waxRubbed, buffed]
const washedCloth = [act('clean', { family: 'soap' }), rinsed]
export const stripped = [act('strip', { family: 'stripper' }), act('scrape'), act('neutralise')]
export const wash = (family: FamilyCode, colour: ColourName) =>
  act('wash', { family, colour: colours[colour], mix: family === 'stain' ? null : 'paint : water 1 : 1' })
const milk = coat('casein', 'rust', { mix: 'powder : water 1 : 1' })
const onLeather = coat('chalk-mineral', 'soot', { film: 'thin' })

const board = { substrate: 'board', existing: 'bare' } as const
const cane = { substrate: 'cane', existing: 'bare' } as const
const oldCane = { substrate: 'cane', existing: 'varnish' } as const
const hide = { substrate: 'leather', existing: 'bare' } as const
const cotton = { substrate: 'fabric', existing: 'bare' } as const
const leathered = wish('painted-leather', 'chalk-mineral', 'soot')
const clothed = wish('painted-fabric', 'chalk-style', 'glass')
const stained = wish('stained-wood', 'stain', 'tea')
const thin = act('fabric-coat', { family: 'chalk-style', colour: colours.glass, film: 'thin', mix: 'paint with 20 % water' })

export const whole: WholeStack[] = [
  // cane
  [
    'cane abraded at 120',
    cane,
    solid('latex'),
    [cleaned, rinsed, act('sand', { grit: '120' }), dusted, ...two('latex'), ...clears],
    'cane-harmed',
  ],
  ['cane scraped', oldCane, solid('latex'), [act('scrape'), ...prep, ...two('latex'), ...clears], 'cane-harmed'],
  [
    'cane dewaxed with wool',
    { ...cane, existing: 'wax' },
    solid('latex'),
    [act('dewax', { family: 'spirits', applicator: 'fine wire wool' }), wiped, cleaned, rinsed, ...two('latex'), ...clears],
    'cane-harmed',
  ],
  [
    'cane stripped with paste',
    oldCane,
    solid('latex'),
    [cleaned, rinsed, ...stripped, ...two('latex'), ...clears],
    'stripper-spoils',
  ],
  [
    'a fat coat on cane',
    cane,
    solid('latex'),
    [cleaned, rinsed, coat('latex', 'slate', { film: 'heavy' }), coat('latex'), ...clears],
    'cane-thick',
  ],
  [
    'cane scuffed with a pad, thin coats',
    oldCane,
    solid('latex'),
    [cleaned, rinsed, act('scuff', { applicator: 'scuffing pad' }), dusted, ...two('latex'), ...clears],
    null,
  ],
  // stripper where it eats what is below
  [
    'laminate stripped',
    { substrate: 'laminate', existing: 'water-paint' },
    solid('latex'),
    [cleaned, rinsed, ...stripped, scuffed, dusted, gripPrimer, ...two('latex'), ...clears],
    'stripper-spoils',
  ],
  [
    'plastic stripped',
    { substrate: 'plastic', existing: 'water-paint' },
    solid('latex'),
    [cleaned, rinsed, ...stripped, scuffed, dusted, gripPrimer, ...two('latex'), ...clears],
    'stripper-spoils',
  ],
  [
    'leather stripped',
    { ...hide, existing: 'water-paint' },
    leathered,
    [...washedCloth, ...stripped, onLeather, onLeather, ...waxed],
    'stripper-spoils',
  ],
  // what has no grain
  ['stain on board', board, stained, [cleaned, rinsed, dusted, wash('stain', 'tea'), ...clears], 'no-grain'],
  [
    'whitewash on laminate',
    { substrate: 'laminate', existing: 'bare' },
    wish('whitewash', 'chalk-style', 'pale'),
    [...prep, wash('chalk-style', 'pale'), ...clears],
    'no-grain',
  ],
  [
    'a wash over two coats on board',
    board,
    wish('colour-wash', 'latex', 'pale', 'slate'),
    [
      cleaned,
      rinsed,
      act('block-prime', { family: 'blocking-primer', where: { places: ['edges'] } }),
      ...two('latex', 'pale'),
      wash('latex', 'slate'),
      ...clears,
    ],
    null,
  ],
  // cut edges of board
  [
    'board painted with its edges open',
    board,
    solid('chalk-style'),
    [cleaned, rinsed, act('sand', { grit: '150 → 220' }), dusted, ...two('chalk-style'), ...clears],
    'edges-drink',
  ],
  [
    'old paint on board has shut them',
    { ...board, existing: 'water-paint' },
    solid('chalk-style'),
    [...prep, ...two('chalk-style'), ...clears],
    null,
  ],
  // glass, metal
  [
    'bare glass scuffed',
    { substrate: 'glass', existing: 'bare' },
    solid('latex'),
    [cleaned, rinsed, act('scuff', { grit: '320' }), dusted, gripPrimer, ...two('latex'), ...clears],
    'glass-scratched',
  ],
  [
    'oil on metal',
    { substrate: 'metal', existing: 'bare' },
    solid('alkyd'),
    [cleaned, rinsed, oiled(), wipeOil()],
    'not-on-this',
  ],
  [
    'knotting on board',
    board,
    solid('latex'),
    [cleaned, rinsed, act('knotting', { family: 'knotting' }), ...two('latex'), ...clears],
    'not-on-this',
  ],
  // cloth and leather
  [
    'trim paint on leather',
    hide,
    leathered,
    [...washedCloth, coat('latex', 'soot', { film: 'thin' }), coat('latex', 'soot', { film: 'thin' }), ...waxed],
    'cloth-wrong-product',
  ],
  ['milk paint on cloth', cotton, clothed, [...washedCloth, act('mist-fabric'), milk, milk, ...waxed], 'cloth-wrong-product'],
  [
    'crackle medium on cloth',
    cotton,
    clothed,
    [...washedCloth, act('mist-fabric'), thin, act('crackle-medium', { family: 'crackle-medium' }), ...waxed],
    'cloth-wrong-product',
  ],
  ['oil on leather', hide, leathered, [...washedCloth, onLeather, onLeather, oiled(), wipeOil()], 'cloth-wrong-product'],
  [
    'wire wool on leather',
    { ...hide, existing: 'wax' },
    leathered,
    [act('dewax', { family: 'spirits', applicator: 'fine wire wool' }), wiped, ...washedCloth, onLeather, onLeather, ...waxed],
    'cloth-abraded',
  ],
  ['salve worked into painted leather', hide, leathered, [...washedCloth, onLeather, onLeather, ...waxed], null],
]
