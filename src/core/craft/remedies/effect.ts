/** What goes wrong with effects. Source: the craft; `practice` where that is silent. */
import { softWash } from '@/core/craft/looks/lines'
import { addedLine } from '@/core/craft/preparation'
import { again, colour, dust, hides, layers, type Remedy, rub } from './remedy'

export const effectRemedies = {
  'too-rough': {
    words: 'Texture too rough',
    cause: 'Laid on too thick.',
    remedy: 'Abrade when dry.',
    after: ['texture-coat'],
    share: 0.6,
    steps: [{ phase: 'finish', operation: 'sand', grit: '180 → 220', reason: 'rough' }, dust],
    replaces: ['knock-down'],
  },
  'knocked-early': {
    words: 'Peaks smeared',
    cause: 'Knocked down too early.',
    remedy: 'Dab on more, and wait until half dry.',
    after: ['knock-down'],
    shownIn: ['texture-coat'],
    until: ['coat', 'undercoat'],
    share: 0.3,
    steps: [again, { phase: 'texture', operation: 'knock-down', applicator: 'brush', reason: 'peaks' }],
  },
  'knocked-late': {
    words: 'Peaks will not lie down',
    cause: 'Too late: it has set.',
    remedy: 'A damp brush; later only abrasive.',
    after: ['texture-coat'],
    ahead: ['knock-down'],
    share: 0.5,
    steps: [{ phase: 'finish', operation: 'sand', grit: '180', reason: 'peaks' }, dust],
    replaces: ['knock-down'],
  },
  'no-cracks': {
    words: 'No cracks',
    cause: 'Coat over too early, or brushed back.',
    remedy: 'Rub flat, medium again, dry it, colour once.',
    after: ['crackle-coat'],
    share: 1,
    steps: [rub('220'), addedLine({ operation: 'crackle-medium' }), again],
  },
  'lap-marks': {
    words: 'Lap marks, dark seams',
    cause: 'The wet edge dried, or two grains met.',
    remedy: 'Re-wet the edge with thinned wash and wipe; or a second thin wash over all.',
    after: ['wash', 'glaze'],
    until: hides,
    share: 0.5,
    steps: [{ take: 'again', line: { mix: 'paint : water 1 : 2', applicator: 'cloths' } }],
    // clear glaze over the marks opens them
    onTop: {
      glaze: [
        {
          phase: 'top',
          operation: 'glaze',
          family: 'glaze',
          mix: 'clear glaze',
          applicator: 'brush and cloths',
          reason: 'wash-soft',
        },
      ],
    },
  },
  'glaze-too-strong': {
    words: 'Glaze too strong',
    cause: 'Too much paint in it.',
    remedy: 'A wash of the base over it, softer.',
    after: ['glaze'],
    until: hides,
    share: 1,
    steps: [{ take: 'below', line: softWash('a', 'paint : water 1 : 1', 'wide brush and cloths') }],
  },
  'dry-brush-too-much': {
    words: 'Dry brush too strong',
    cause: 'Brush not off-loaded.',
    remedy: 'A damp cloth takes it off while it is young.',
    after: ['dry-brush'],
    until: hides,
    share: 0.3,
    steps: [{ phase: 'wear', operation: 'wet-distress', applicator: 'damp cloth', reason: 'dry-brush-age' }, dust],
    // what water no longer moves is rubbed, and the base touched in
    onTop: { set: [rub('320'), { take: 'below', line: { operation: 'coat', applicator: 'nearly dry brush' } }] },
  },
  mud: {
    words: 'Blended to mud',
    cause: 'Over-worked, or re-wetted.',
    remedy: 'Let it dry, rub it flat, start the two colours anew.',
    after: ['blend'],
    until: hides,
    share: 1,
    // sealed, the two can't run into each other again: rubbed flat, both are laid anew
    steps: [rub('220'), dust, layers],
  },
  'ragged-edges': {
    words: 'Ragged taped edges',
    cause: 'Tape pulled dry, or not pressed.',
    remedy: 'Score, rub the edge flat, cut in by hand.',
    after: ['pull-tape'],
    until: hides,
    share: 0.1,
    steps: [rub('320'), colour],
  },
} as const satisfies Record<string, Remedy>
