/** What goes wrong with coats of colour and with wearing them back. Source: the craft; `practice` where that is silent. */
import { addedLine, cleaned, waxed } from '@/core/craft/preparation'
import type { RecipeLine } from '@/core/craft/recipe'
import {
  again,
  anew,
  block,
  colour,
  cover,
  dust,
  hides,
  layers,
  lays,
  lint,
  onTop,
  type Remedy,
  rub,
  wearAgain,
  worn,
} from './remedy'

/** No more water than that on paint that it lifts. */
const wrungOut: RecipeLine = {
  phase: 'finish',
  operation: 'rinse',
  applicator: 'cloth wrung out to barely damp, dried at once',
  reason: 'even-water',
}
const loosened: RecipeLine = {
  phase: 'prep',
  operation: 'sand',
  grit: '150 → 220',
  applicator: 'loose paint off, edges feathered',
  reason: 'even-wood',
}
const heldBack = addedLine({ operation: 'seal-between', reason: 'tannin-bleeds' })
const damped: RecipeLine = {
  phase: 'finish',
  operation: 'rinse',
  applicator: 'damp sponge, the whole face evenly',
  reason: 'even-water',
}

export const colourRemedies = {
  'brush-marks': {
    words: 'Brush marks',
    cause: 'Over-brushed, or a chip brush.',
    remedy: 'Rub flat when dry, one coat more, laid off one way.',
    after: lays,
    until: ['crackle-medium'],
    share: 0.5,
    steps: [rub('220'), again],
    // a wash or a glaze shows a second one; a crackle is closed by it
    onTop: { clear: [rub('320'), lint, again], crackle: [rub('320')], wash: [rub('320')] },
  },
  runs: {
    words: 'Runs and fat edges',
    cause: 'Too much in recesses and on edges.',
    remedy: 'Let it dry, cut the run flat, touch in.',
    after: lays,
    until: ['crackle-medium'],
    share: 0.1,
    steps: [rub('220'), again],
    onTop: { clear: [rub('320'), lint, again], crackle: [rub('320')], wash: [rub('320'), again] },
  },
  'uniform-wear': {
    words: 'Wear looks machine-made',
    cause: 'Worn evenly everywhere.',
    remedy: 'Paint back in places, wear unevenly where hands really go.',
    after: worn,
    over: lays,
    until: hides,
    share: 0.2,
    steps: [dust, colour, wearAgain, dust],
  },
  'too-far': {
    words: 'Worn through too far',
    cause: 'Pressed too hard, or too wet.',
    remedy: 'Touch in the layers again, and feather.',
    after: worn,
    over: lays,
    until: hides,
    share: 0.1,
    steps: [dust, layers],
  },
  'no-chips': {
    words: 'It does not chip',
    cause: 'It soaked in, or bonding agent was in it.',
    remedy: 'Wear it by hand with coarse abrasive where it should have chipped.',
    after: ['heat-gun', 'brush-off-flakes', 'resist'],
    share: 0.3,
    steps: [
      { phase: 'wear', operation: 'dry-distress', grit: '60–80', applicator: 'abrasive by hand', reason: 'wear-to-a' },
      dust,
    ],
  },
  'flakes-sealed': {
    words: 'Loose flakes sealed in',
    cause: 'Sealed before they were brushed off.',
    remedy: 'Brush them off, touch in the seal.',
    after: ['brush-off-flakes'],
    share: 0.2,
    steps: [{ phase: 'wear', operation: 'brush-off-flakes', applicator: 'stiff brush', reason: 'loose-flakes' }, dust, onTop],
  },
  'hard-overnight': {
    words: 'Left overnight, the paint is hard',
    cause: 'The easy window was missed.',
    remedy: 'A power sander, with a light touch; three times the work by hand.',
    after: lays,
    ahead: worn,
    share: 0.5,
    // three times the minutes of the step that came too late
    steps: [
      { take: 'wear', line: { operation: 'dry-distress', grit: '120 then 220', applicator: 'power sander, light touch' } },
      dust,
    ],
    replaces: ['scrape-distress', 'dry-distress', 'wet-distress'],
  },
  'blade-dug': {
    words: 'The blade dug in',
    cause: 'Blade not held flat, most of all at corners.',
    remedy: 'Fill if deep, rub flat, touch in.',
    after: ['scrape', 'scrape-distress'],
    share: 0.05,
    steps: [{ phase: 'prep', operation: 'fill', reason: 'even-wood' }, rub('220'), layers],
  },
  drips: {
    words: 'Drips dried to dots',
    cause: 'Not wiped at once.',
    remedy: 'A damp cloth, then fine abrasive, then touch in.',
    after: lays,
    until: ['crackle-medium'],
    share: 0.05,
    steps: [rub('320'), again],
    onTop: { clear: [rub('320'), lint, again], crackle: [rub('320')] },
  },
  'bleed-through': {
    words: 'Yellow or pink comes through',
    cause: 'Tannin, dye, smoke or knots not blocked.',
    remedy: 'Block it, then colour again.',
    after: lays,
    share: 1,
    steps: [block, anew],
    // the wood is meant to be seen: a thin clear holds it back as far as it can; a stain would not soak through that
    onTop: { stained: [heldBack], 'bare-look': [heldBack, colour] },
  },
  'through-veneer': {
    words: 'Sanded through the veneer',
    cause: 'More than one light hand pass.',
    remedy: 'Stop; touch the patch in with stain, or cover the part with paint.',
    after: ['scuff', 'sand', 'scrape', 'dry-distress'],
    share: 0.05,
    steps: [dust, block, cover],
    onTop: { 'bare-look': [dust, colour] },
  },
  peels: {
    words: 'Peels off leather or slick',
    cause: 'Diluted first coat, or no grip.',
    remedy: 'Take it off where it is loose, grip again, thin coats.',
    after: lays,
    share: 0.5,
    steps: [loosened, dust, ...cleaned, addedLine({ operation: 'adhesion-prime' }), anew],
    onTop: {
      open: [loosened, dust, wrungOut, addedLine({ operation: 'adhesion-prime' }), anew],
      // no primer where the wood is meant to be seen
      'bare-look': [loosened, dust, colour],
      cloth: [...cleaned, addedLine({ operation: 'mist-fabric' }), again, again],
      soft: [...cleaned, { take: 'again', line: { film: 'thin', mix: 'undiluted' } }, again],
    },
  },
  'cloth-stiff': {
    words: 'Cloth stiff, cracks',
    cause: 'Dry cloth, thick coats.',
    remedy: 'Rub down at 400 and wax until it is supple.',
    after: ['fabric-coat'],
    share: 1,
    steps: [rub('400'), ...waxed],
    leaves: ['clear-wax', 'wax-off', 'buff'],
  },
  'water-mark': {
    words: 'Water mark on unsealed paint',
    cause: 'A drop on clay or casein paint.',
    remedy: 'Damp the whole face evenly, let it dry; else one coat more; then seal.',
    after: lays,
    share: 0.3,
    steps: [damped, onTop],
    // laid again, a crackle closes; under a seal the mark is in the seal
    onTop: { crackle: [damped], wax: [damped, onTop] },
  },
  'stripper-dried': {
    words: 'Stripper dried out',
    cause: 'Left longer than its dwell.',
    remedy: 'Brush it on again, and stay beside it.',
    after: ['strip'],
    until: ['scrape'],
    share: 1,
    steps: [{ phase: 'prep', operation: 'strip', family: 'stripper', applicator: 'old brush, one direction', reason: 'soften' }],
  },
  'still-dirty': {
    words: 'The cloth still comes away dirty',
    cause: 'Polish or smoke in more than one layer.',
    remedy: 'Clean again with fresh water, and rinse.',
    after: ['clean'],
    uncovered: true,
    share: 1,
    steps: [...cleaned],
    onTop: { open: [wrungOut] },
  },
  'still-shiny': {
    words: 'It still shines in places',
    cause: 'The abrasive was worn out, or the hand went too fast.',
    remedy:
      'Scuff what shines, dust off. Veneer has had its pass: a primer that grips, or the stripper once more where the wood is kept.',
    after: ['scuff', 'sand'],
    uncovered: true,
    share: 0.3,
    steps: [{ phase: 'prep', operation: 'scuff', grit: '180–220', reason: 'key' }, dust],
    // it has had its one pass: painted it is gripped by a primer, kept it is stripped once more
    onTop: {
      'veneer-kept': [
        addedLine({ operation: 'strip' }),
        addedLine({ operation: 'scrape' }),
        addedLine({ operation: 'neutralise' }),
      ],
      veneer: [addedLine({ operation: 'adhesion-prime', reason: 'slick' })],
    },
  },
  'residue-left': {
    words: 'Cleaner or stripper is left',
    cause: 'Too little water, or not changed.',
    remedy: 'Rinse again until the last water stays clear.',
    after: ['rinse', 'neutralise'],
    uncovered: true,
    share: 1,
    steps: [{ phase: 'prep', operation: 'rinse', reason: 'degreaser-defeats-paint' }],
    onTop: { open: [wrungOut] },
  },
  binds: {
    words: 'A drawer or door binds',
    cause: 'Paint where it rubs, or swollen wood.',
    remedy: 'Ease it where it rubs, and wax the runners.',
    share: 0.03,
    steps: [
      { phase: 'finish', operation: 'repair', applicator: 'plane or abrasive, candle on the runners', reason: 'runs-free' },
    ],
  },
} as const satisfies Record<string, Remedy>
