/** What goes wrong with coats of colour and with wearing them back. Source: the craft; `practice` where that is silent. */
import { cleaned } from '@/core/craft/preparation'
import { waxed } from '@/core/craft/topcoats'
import { again, block, clear, dust, type Remedy, rub } from './remedy'

export const colourRemedies = {
  'brush-marks': {
    words: 'Brush marks',
    cause: 'Over-brushed, or a chip brush.',
    remedy: 'Rub flat when dry, one coat more, laid off one way.',
    share: 0.5,
    steps: [rub('220'), again],
  },
  runs: {
    words: 'Runs and fat edges',
    cause: 'Too much in recesses and on edges.',
    remedy: 'Let it dry, cut the run flat, touch in.',
    share: 0.1,
    steps: [rub('220'), again],
  },
  'uniform-wear': {
    words: 'Wear looks machine-made',
    cause: 'Worn evenly everywhere.',
    remedy: 'Paint back in places, wear unevenly where hands really go.',
    share: 0.2,
    steps: [
      again,
      { phase: 'wear', operation: 'dry-distress', grit: '220', applicator: 'abrasive by hand', reason: 'wear-to-a' },
      dust,
    ],
  },
  'too-far': {
    words: 'Worn through too far',
    cause: 'Pressed too hard, or too wet.',
    remedy: 'Touch in the layers again, and feather.',
    share: 0.1,
    steps: [dust, again],
  },
  'no-chips': {
    words: 'It does not chip',
    cause: 'It soaked in, or bonding agent was in it.',
    remedy: 'Wear it by hand with coarse abrasive where it should have chipped.',
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
    share: 0.2,
    steps: [{ phase: 'wear', operation: 'brush-off-flakes', applicator: 'stiff brush', reason: 'loose-flakes' }, dust, clear],
  },
  'hard-overnight': {
    words: 'Left overnight, the paint is hard',
    cause: 'The easy window was missed.',
    remedy: 'A power sander, with a light touch; three times the work by hand.',
    share: 0.5,
    steps: [
      {
        phase: 'wear',
        operation: 'dry-distress',
        grit: '120 then 220',
        applicator: 'power sander, light touch',
        reason: 'wear-to-a',
      },
      dust,
    ],
  },
  'blade-dug': {
    words: 'The blade dug in',
    cause: 'Blade not held flat, most of all at corners.',
    remedy: 'Fill if deep, rub flat, touch in.',
    share: 0.05,
    steps: [{ phase: 'prep', operation: 'fill', reason: 'even-wood' }, rub('220'), again],
  },
  drips: {
    words: 'Drips dried to dots',
    cause: 'Not wiped at once.',
    remedy: 'A damp cloth, then fine abrasive, then touch in.',
    share: 0.05,
    steps: [rub('320'), again],
  },
  'bleed-through': {
    words: 'Yellow or pink comes through',
    cause: 'Tannin, dye, smoke or knots not blocked.',
    remedy: 'Block it, then colour again.',
    share: 1,
    steps: [block, again],
  },
  'through-veneer': {
    words: 'Sanded through the veneer',
    cause: 'More than one light hand pass.',
    remedy: 'Stop; touch the patch in with stain, or cover the part with paint.',
    share: 0.05,
    steps: [block, again],
  },
  peels: {
    words: 'Peels off leather or slick',
    cause: 'Diluted first coat, or no grip.',
    remedy: 'Take it off where it is loose, grip again, thin coats.',
    share: 0.5,
    steps: [...cleaned, again],
  },
  'cloth-stiff': {
    words: 'Cloth stiff, cracks',
    cause: 'Dry cloth, thick coats.',
    remedy: 'Rub down at 400 and wax until it is supple.',
    share: 1,
    steps: [rub('400'), ...waxed],
  },
  'water-mark': {
    words: 'Water mark on unsealed paint',
    cause: 'A drop on clay or casein paint.',
    remedy: 'Damp the whole face evenly, let it dry; else one coat more; then seal.',
    share: 0.3,
    steps: [again],
  },
  'stripper-dried': {
    words: 'Stripper dried out',
    cause: 'Left longer than its dwell.',
    remedy: 'Brush it on again, and stay beside it.',
    share: 1,
    steps: [{ phase: 'prep', operation: 'strip', family: 'stripper', applicator: 'old brush, one direction', reason: 'soften' }],
  },
} as const satisfies Record<string, Remedy>
