/**
 * What a step is like that a rule asks for: its product, tool and reason, unless the rule says otherwise. Source: the craft,
 * sections on preparation, looks and sealing.
 */
import type { OperationCode } from './operations'
import { primers, spirits } from './preparation'
import type { RecipeLine } from './recipe'

/** A step that mends, as a rule names it. */
export type RemedyStep = Partial<RecipeLine> & { operation: OperationCode }

const usual: Partial<Record<OperationCode, Omit<RecipeLine, 'operation'>>> = {
  clean: { phase: 'prep', family: 'degreaser', reason: 'grease-defeats-paint' },
  rinse: { phase: 'prep', reason: 'degreaser-defeats-paint' },
  dewax: { phase: 'prep', family: 'spirits', applicator: 'fine wire wool', reason: 'wax-defeats-paint' },
  'wipe-spirits': spirits,
  strip: { phase: 'prep', family: 'stripper', applicator: 'old brush', reason: 'bare-for-look' },
  scrape: { phase: 'prep', applicator: 'scraper, then fine wire wool', reason: 'soften' },
  neutralise: { phase: 'prep', reason: 'stripper-defeats-paint' },
  scuff: { phase: 'prep', grit: '180–220', reason: 'key' },
  sand: { phase: 'prep', grit: '150 → 220 → 320', reason: 'even-wood' },
  'dust-off': { phase: 'prep', reason: 'dust-defeats-paint' },
  knotting: primers.knotty,
  'block-prime': primers.bleeding,
  'adhesion-prime': primers.slick,
  'seal-between': { phase: 'between', family: 'water-clear', applicator: 'foam brush', reason: 'keep-apart' },
  'crackle-medium': { phase: 'medium', family: 'crackle-medium', applicator: 'soft brush', reason: 'crackle-shrinks' },
  'mist-fabric': { phase: 'base', applicator: 'mister', reason: 'cloth-drinks' },
  'remove-resist': { phase: 'wear', applicator: 'cloths, often changed', reason: 'resist-defeats-clear' },
  'pull-tape': { phase: 'top', reason: 'tape-damp' },
  'brush-off-flakes': { phase: 'wear', applicator: 'stiff brush', reason: 'loose-flakes' },
  'de-lint': { phase: 'seal', reason: 'no-dust-under-clear' },
  smooth: { phase: 'wear', grit: '320', reason: 'smooth-between' },
  'clear-wax': { phase: 'seal', family: 'clear-wax', applicator: 'wax brush', reason: 'wax-barrier' },
  'wax-off': { phase: 'rub', family: 'clear-wax', applicator: 'lint-free rag', reason: 'excess-never-hardens' },
  buff: { phase: 'buff', family: 'clear-wax', applicator: 'soft cloth', reason: 'sheen' },
  'wipe-oil': { phase: 'rub', applicator: 'lint-free rag', reason: 'excess-never-hardens' },
  'clear-coat': { phase: 'seal', family: 'water-clear', applicator: 'foam brush', reason: 'seal-use' },
}

/** The whole line of a step that a rule asks for. Throws on an operation that no rule may ask for. */
export function addedLine(step: RemedyStep): RecipeLine {
  const own = usual[step.operation]
  if (!own) throw new Error(`no rule asks for ${step.operation}`)
  return { ...own, ...step }
}
