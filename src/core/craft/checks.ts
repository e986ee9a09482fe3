/** What a failed check usually means: the repairs to ask about first. Source: the craft's checks and mistakes. */
import { type CheckCode, getOperation, type OperationCode } from './operations'
import type { RemedyCode } from './remedies'

const likely: Record<CheckCode, readonly RemedyCode[]> = {
  dry: [],
  clean: ['still-dirty'],
  'no-shine': ['still-shiny'],
  'no-dust': [],
  'raking-light': ['runs', 'brush-marks', 'drips', 'bleed-through'],
  bleed: ['bleed-through'],
  'looks-worn': ['too-far', 'uniform-wear', 'hard-overnight', 'no-chips'],
  fingerprint: ['wax-prints', 'wax-dull'],
  'rag-drag': ['wax-tacky', 'oil-tacky'],
  'lap-marks': ['lap-marks', 'drips', 'glaze-too-strong'],
  'no-residue': ['residue-left'],
  'runs-right': ['binds'],
  scratch: ['peels'],
  sealed: ['water-mark'],
  'looks-right': [],
  straight: ['ragged-edges'],
}
/** What shows with one operation alone. */
const ofOperation: Partial<Record<OperationCode, readonly RemedyCode[]>> = {
  'clear-coat': ['clear-lint', 'runs'],
  'crackle-coat': ['no-cracks'],
  'knock-down': ['knocked-early', 'knocked-late', 'too-rough'],
  'tinted-wax': ['wax-too-dark', 'wax-murky', 'wax-stain'],
  'dry-brush': ['dry-brush-too-much'],
  blend: ['mud'],
  'scrape-distress': ['blade-dug', 'hard-overnight'],
  'fabric-coat': ['cloth-stiff'],
  glaze: ['glaze-too-strong', 'lap-marks'],
  sand: ['through-veneer'],
  scuff: ['through-veneer'],
}

/** so many can be read at a glance */
const mostLikely = 4

/** Repairs to offer first, the likeliest before. */
export const likelyRemedies = (check: CheckCode | null, operation: OperationCode): RemedyCode[] =>
  [...new Set([...(ofOperation[operation] ?? []), ...(check ? likely[check] : [])])].slice(0, mostLikely)

/** The check that ends a step: the plan's own, else the operation's. */
export const checkOf = (step: { check: CheckCode | null; operation: OperationCode }): CheckCode | null =>
  step.check ?? getOperation(step.operation).check ?? null
