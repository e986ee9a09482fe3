/**
 * What a step of preparation is like, and any other that a rule or a repair asks for: its product, tool and reason, unless
 * whoever asks says otherwise. Source: the craft, sections on finding out, preparation, looks, sealing and harm.
 */
import type { OperationCode } from './operations'
import type { RecipeLine } from './recipe'

/** What veneer stands in place of an abrasion: one light pass by hand. */
export const veneerPass = { operation: 'scuff', grit: '220, one light hand pass', reason: 'veneer-thin' } as const

/** A step that mends, as a rule names it. */
export type RemedyStep = Partial<RecipeLine> & { operation: OperationCode }

const usual: Partial<Record<OperationCode, Omit<RecipeLine, 'operation'>>> = {
  clean: { phase: 'prep', family: 'degreaser', reason: 'grease-defeats-paint' },
  rinse: { phase: 'prep', reason: 'degreaser-defeats-paint' },
  dewax: { phase: 'prep', family: 'spirits', applicator: 'fine wire wool', reason: 'wax-defeats-paint' },
  'wipe-spirits': { phase: 'prep', family: 'spirits', applicator: 'clean cloths', reason: 'wax-defeats-paint' },
  strip: { phase: 'prep', family: 'stripper', applicator: 'old brush', reason: 'bare-for-look' },
  scrape: { phase: 'prep', applicator: 'scraper, then fine wire wool', reason: 'soften' },
  neutralise: { phase: 'prep', reason: 'stripper-defeats-paint' },
  scuff: { phase: 'prep', grit: '180–220', reason: 'key' },
  sand: { phase: 'prep', grit: '150 → 220 → 320', reason: 'even-wood' },
  'de-rust': { phase: 'prep', applicator: 'wire brush, then a scuffing pad', reason: 'rust' },
  'dust-off': { phase: 'prep', reason: 'dust-defeats-paint' },
  knotting: { phase: 'prime', family: 'knotting', applicator: 'small brush', reason: 'knots-bleed' },
  'block-prime': { phase: 'prime', family: 'blocking-primer', applicator: 'synthetic brush', reason: 'tannin-bleeds' },
  'adhesion-prime': { phase: 'prime', family: 'adhesion-primer', applicator: 'foam roller', reason: 'slick' },
  'seal-between': { phase: 'between', family: 'water-clear', applicator: 'foam brush', reason: 'keep-apart' },
  'crackle-medium': { phase: 'medium', family: 'crackle-medium', applicator: 'soft brush', reason: 'crackle-shrinks' },
  'mist-fabric': { phase: 'base', applicator: 'mister', reason: 'cloth-drinks' },
  'remove-resist': { phase: 'wear', applicator: 'cloths, often changed', reason: 'resist-defeats-clear' },
  'pull-tape': { phase: 'top', reason: 'tape-damp' },
  'brush-off-flakes': { phase: 'wear', applicator: 'stiff brush', reason: 'loose-flakes' },
  'de-lint': { phase: 'seal', reason: 'no-dust-under-clear' },
  smooth: { phase: 'wear', grit: '320', reason: 'smooth-between' },
  'clear-wax': { phase: 'seal', family: 'clear-wax', applicator: 'wax brush', reason: 'seal-paint' },
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

const lines = (...operations: OperationCode[]): readonly RecipeLine[] => operations.map((operation) => addedLine({ operation }))
export const cleaned = lines('clean', 'rinse')
export const dewaxed = lines('dewax', 'wipe-spirits')
/** Clear wax on, off and buffed. */
export const waxed = lines('clear-wax', 'wax-off', 'buff')
