/** What goes wrong with effects. Source: the craft; `practice` where that is silent. */
import { crackled, softWash } from '@/core/craft/looks/lines'
import { again, dust, type Remedy, rub } from './remedy'

export const effectRemedies = {
  'too-rough': {
    words: 'Texture too rough',
    cause: 'Laid on too thick.',
    remedy: 'Abrade when dry.',
    share: 0.6,
    steps: [{ phase: 'finish', operation: 'sand', grit: '180 → 220', reason: 'rough' }, dust],
  },
  'knocked-early': {
    words: 'Peaks smeared',
    cause: 'Knocked down too early.',
    remedy: 'Dab on more, and wait until half dry.',
    share: 0.3,
    steps: [
      {
        phase: 'texture',
        operation: 'texture-coat',
        paint: 'a',
        mix: 'paint : powder 1 : 1 by volume',
        applicator: 'old brush, dabbed',
        reason: 'rough',
      },
      { phase: 'texture', operation: 'knock-down', applicator: 'brush', reason: 'peaks' },
    ],
  },
  'knocked-late': {
    words: 'Peaks will not lie down',
    cause: 'Too late: it has set.',
    remedy: 'A damp brush; later only abrasive.',
    share: 0.5,
    steps: [{ phase: 'finish', operation: 'sand', grit: '180', reason: 'peaks' }, dust],
  },
  'no-cracks': {
    words: 'No cracks',
    cause: 'Coat over too early, or brushed back.',
    remedy: 'Rub flat, medium again, dry it, colour once.',
    share: 1,
    steps: [rub('220'), ...crackled],
  },
  'lap-marks': {
    words: 'Lap marks, dark seams',
    cause: 'The wet edge dried, or two grains met.',
    remedy: 'Re-wet the edge with thinned wash and wipe; or a second thin wash over all.',
    share: 0.5,
    steps: [softWash('a', 'paint : water 1 : 2', 'cloths')],
  },
  'glaze-too-strong': {
    words: 'Glaze too strong',
    cause: 'Too much paint in it.',
    remedy: 'A wash of the base over it, softer.',
    share: 1,
    steps: [softWash('a', 'paint : water 1 : 1', 'wide brush and cloths')],
  },
  'dry-brush-too-much': {
    words: 'Dry brush too strong',
    cause: 'Brush not off-loaded.',
    remedy: 'A damp cloth takes it off while it is young.',
    share: 0.3,
    steps: [{ phase: 'wear', operation: 'wet-distress', applicator: 'damp cloth', reason: 'dry-brush-age' }],
  },
  mud: {
    words: 'Blended to mud',
    cause: 'Over-worked, or re-wetted.',
    remedy: 'Let it dry, seal it, start the two colours anew.',
    share: 1,
    steps: [
      {
        phase: 'between',
        operation: 'seal-between',
        family: 'water-clear',
        applicator: 'foam brush',
        reason: 'keep-apart',
      },
      again,
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
  'ragged-edges': {
    words: 'Ragged taped edges',
    cause: 'Tape pulled dry, or not pressed.',
    remedy: 'Score, rub the edge flat, cut in by hand.',
    share: 0.1,
    steps: [rub('320'), again],
  },
} as const satisfies Record<string, Remedy>
