/**
 * What goes wrong, and the way back: each mistake with its cause, and the steps that mend it. Source: the craft, the last
 * column of its looks and its section on sealing; `practice` where that is silent.
 */
import { getOperation } from '../labour/operations'
import { cleaned, dewaxed, primers, spirits } from './preparation'
import { clearLine, deLint, oiled, tinted, waxed } from './seals'
import { toSteps, type FinishablePart, type FinishWish, type PlannedStep } from './planFinish'
import { defaultMethod, type HouseMethod } from './method'
import type { RecipeLine } from './recipe'

export interface Repair {
  words: string
  cause: string
  /** how it is mended, in a sentence */
  remedy: string
  /** the steps; a coat among them is laid in the colour of the layer it mends */
  steps: readonly RecipeLine[]
  /** the share of the part it usually takes */
  share: number
}

const rub = (grit: string): RecipeLine => ({ phase: 'wear', operation: 'smooth', grit, reason: 'smooth-between' })
const dust: RecipeLine = { phase: 'wear', operation: 'dust-off', reason: 'dust-defeats-paint' }
const again: RecipeLine = { phase: 'top', operation: 'coat', paint: 'a', applicator: 'synthetic brush', reason: 'cover' }
const clear: RecipeLine = { ...clearLine('water-clear'), times: 1, between: [] }
const block: RecipeLine = primers.bleeding
const polish = waxed.slice(-1)

export const repairs = {
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
  'resist-left': {
    words: 'Resist under the topcoat',
    cause: 'Not wiped off.',
    remedy: 'Rub back to it, take it off with spirits, paint and seal again.',
    share: 0.1,
    steps: [rub('180'), spirits, again, deLint, clear],
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
    steps: [
      rub('220'),
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
  'lap-marks': {
    words: 'Lap marks, dark seams',
    cause: 'The wet edge dried, or two grains met.',
    remedy: 'Re-wet the edge with thinned wash and wipe; or a second thin wash over all.',
    share: 0.5,
    steps: [
      {
        phase: 'over',
        operation: 'wash',
        paint: 'a',
        film: 'thin',
        mix: 'paint : water 1 : 2',
        applicator: 'cloths',
        reason: 'wash-soft',
      },
    ],
  },
  drips: {
    words: 'Drips dried to dots',
    cause: 'Not wiped at once.',
    remedy: 'A damp cloth, then fine abrasive, then touch in.',
    share: 0.05,
    steps: [rub('320'), again],
  },
  'glaze-too-strong': {
    words: 'Glaze too strong',
    cause: 'Too much paint in it.',
    remedy: 'A wash of the base over it, softer.',
    share: 1,
    steps: [
      {
        phase: 'over',
        operation: 'wash',
        paint: 'a',
        film: 'thin',
        mix: 'paint : water 1 : 1',
        applicator: 'wide brush and cloths',
        reason: 'wash-soft',
      },
    ],
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
        film: 'thin',
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
  'cloth-stiff': {
    words: 'Cloth stiff, cracks',
    cause: 'Dry cloth, thick coats.',
    remedy: 'Rub down at 400 and wax until it is supple.',
    share: 1,
    steps: [rub('400'), ...waxed],
  },
  peels: {
    words: 'Peels off leather or slick',
    cause: 'Diluted first coat, or no grip.',
    remedy: 'Take it off where it is loose, grip again, thin coats.',
    share: 0.5,
    steps: [...cleaned, again],
  },
  'through-veneer': {
    words: 'Sanded through the veneer',
    cause: 'More than one light hand pass.',
    remedy: 'Stop; touch the patch in with stain, or cover the part with paint.',
    share: 0.05,
    steps: [block, again],
  },
  'bleed-through': {
    words: 'Yellow or pink comes through',
    cause: 'Tannin, dye, smoke or knots not blocked.',
    remedy: 'Block it, then colour again.',
    share: 1,
    steps: [block, again],
  },
  'wax-prints': {
    words: 'Finger prints show',
    cause: 'Buffed too soon.',
    remedy: 'Rest an hour, buff again.',
    share: 1,
    steps: polish,
  },
  'wax-dull': {
    words: 'Dull spots in the wax',
    cause: 'Skips.',
    remedy: 'A touch of wax, rub, buff.',
    share: 0.1,
    steps: [...waxed],
  },
  'wax-tacky': {
    words: 'Wax stays sticky',
    cause: 'Excess left on: it never hardens.',
    remedy: 'New wax softens the old; take all of it off.',
    share: 1,
    steps: [...waxed],
  },
  'wax-too-dark': {
    words: 'Dark wax too dark',
    cause: 'Too much, or not worked out.',
    remedy: 'Clear wax takes it off again.',
    share: 0.3,
    steps: [...waxed],
  },
  'wax-murky': {
    words: 'The two waxes mixed, murky',
    cause: 'Tinted wax before the clear one was at tack.',
    remedy: 'Take both off with spirits, clear wax, wait, tint again.',
    share: 0.5,
    steps: [...dewaxed, ...waxed.slice(0, 1), ...tinted],
  },
  'wax-stain': {
    words: 'Dark wax stained bare paint',
    cause: 'No clear wax below.',
    remedy: 'It is there for good: wax off, block, colour again.',
    share: 0.5,
    steps: [...dewaxed, block, again],
  },
  'oil-tacky': {
    words: 'Oil stays sticky',
    cause: 'Excess not wiped.',
    remedy: 'Rub with fresh oil, then wipe all of it.',
    share: 1,
    steps: oiled('drying-oil'),
  },
  'clear-lint': {
    words: 'Lint or nibs in the clear',
    cause: 'Not de-linted.',
    remedy: 'Rub with 320, off with the dust, one thin coat.',
    share: 1,
    steps: [rub('320'), deLint, clear],
  },
  'water-mark': {
    words: 'Water mark on unsealed paint',
    cause: 'A drop on clay or casein paint.',
    remedy: 'Damp the whole face evenly, let it dry; else one coat more; then seal.',
    share: 0.3,
    steps: [again],
  },
} as const satisfies Record<string, Repair>

export type RepairCode = keyof typeof repairs
export const repairCodes = Object.keys(repairs) as RepairCode[]
export function getRepair(code: RepairCode): Repair {
  return repairs[code]
}

/** The steps that mend a mistake on this part, over the share of it that is usual. */
export function repairSteps(
  code: RepairCode,
  part: FinishablePart,
  wish: FinishWish,
  method: HouseMethod = defaultMethod,
): PlannedStep[] {
  const { steps, share } = getRepair(code)
  return toSteps({ ...part, areaM2: part.areaM2 * share, knots: 1 }, wish, steps, method).map((step) => ({
    ...step,
    check: step.check ?? getOperation(step.operation).check ?? null,
  }))
}
