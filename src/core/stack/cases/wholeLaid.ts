/** The same of what lies on what, and of what is done to it. For tests alone. */
import { buffed, cleaned, dusted, prep, rinsed, waxRubbed, wiped } from './rightActs'
import { act, coat, solid, wish } from './stacks'
import { clears, stripped, two, wash, waxed, type WholeStack } from './whole'

export const wholeLaid: WholeStack[] = [
  // wax that carries its colour, cut and all over, is the wax
  [
    'white wax cut with clear, over a wash',
    {},
    wish('colour-wash', 'latex', 'slate', 'pale'),
    [
      ...prep,
      ...two('latex'),
      wash('latex', 'pale'),
      act('tinted-wax', { family: 'white-wax', mix: 'white wax : clear wax 1 : 1' }),
      waxRubbed,
      buffed,
    ],
    null,
  ],
  [
    'the same in the hollows alone',
    {},
    wish('colour-wash', 'latex', 'slate', 'pale'),
    [
      ...prep,
      ...two('latex'),
      wash('latex', 'pale'),
      act('tinted-wax', { family: 'white-wax', mix: 'white wax : clear wax 1 : 1', where: { places: ['recesses'] } }),
      waxRubbed,
      buffed,
    ],
    'topcoat-missing',
  ],
  // what wants a key, on a closed film of one's own
  ['enamel over trim paint, unscuffed', {}, solid('alkyd'), [...prep, coat('latex'), ...two('alkyd')], 'no-key-on-own-film'],
  [
    'enamel over trim paint, scuffed',
    {},
    solid('alkyd'),
    [...prep, coat('latex'), act('scuff', { grit: '220' }), dusted, ...two('alkyd')],
    null,
  ],
  [
    'all-in-one on a table top, two coats and no clear',
    { use: 'heavy' },
    solid('all-in-one'),
    [...prep, ...two('all-in-one')],
    null,
  ],
  // water, spirits and stripper on what was laid
  [
    'clay washed down before it is sealed',
    {},
    solid('clay'),
    [...prep, ...two('clay'), cleaned, rinsed, ...clears],
    'water-on-open',
  ],
  [
    'clay rubbed wet between coats',
    {},
    solid('clay'),
    [...prep, coat('clay'), act('smooth', { grit: 'wet, 320' }), coat('clay'), ...clears],
    'wet-rub-smears',
  ],
  [
    'sealed clay washed down',
    {},
    solid('clay'),
    [...prep, ...two('clay'), ...clears, act('clean', { family: 'soap' }), rinsed],
    null,
  ],
  [
    'the wax wiped off with spirits',
    {},
    solid('chalk-style'),
    [...prep, ...two('chalk-style'), ...waxed, wiped],
    'left-unsealed',
  ],
  [
    'wax wiped off with spirits alone, then clear',
    {},
    solid('chalk-style'),
    [...prep, ...two('chalk-style'), ...waxed, wiped, ...clears],
    'wax-under-paint',
  ],
  [
    'painted, stripped again, and left',
    {},
    solid('latex'),
    [...prep, ...two('latex'), ...stripped, act('sand', { grit: '150' }), dusted, ...clears],
    'steps-of-the-look',
  ],
  [
    'painted, stripped, painted again',
    {},
    solid('latex'),
    [...prep, ...two('latex'), ...stripped, act('sand', { grit: '150' }), dusted, ...two('latex'), ...clears],
    null,
  ],
]
