/**
 * How much of a product the coats of one stack take. Volumes in ml, areas in m²; pure.
 * Coverage comes from the label; film and take factors are the craft's.
 */
import { type Film, films } from './film'

/** What a later coat takes of the first, where the product does not say. Source: the craft's arithmetic. */
export const usualLaterTake = 0.6

export interface CoatVolumesInput {
  /** m² */
  area: number
  /** m² per litre of the mix as it is applied, above 0 */
  coverage: number
  /** the film of each coat, first coat first */
  coats: readonly Film[]
  /** what a later coat takes of the first */
  laterTake?: number
  /** share lost in brush and tin, 0.1 = 10 % */
  waste?: number
}

/** ml for each coat in order, and their total. Throws where coverage is not above 0. */
export function coatVolumes({ area, coverage, coats, laterTake = usualLaterTake, waste = 0 }: CoatVolumesInput): {
  ml: number[]
  total: number
} {
  if (!(coverage > 0)) throw new Error(`coverage must be above 0 m²/l, got ${coverage}`)
  const ml = coats.map((film, k) => ((1000 * area) / coverage) * films[film] * (k === 0 ? 1 : laterTake) * (1 + waste))
  return { ml, total: ml.reduce((sum, each) => sum + each, 0) }
}
