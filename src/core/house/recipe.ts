/** A finish with a name, kept by the house to be put on another piece. Types only. */
import type { HouseMethod } from '../finish/method'
import type { FinishWish } from '../finish/wish'

export interface HouseRecipe {
  id: string
  name: string
  wish: Pick<FinishWish, 'look' | 'with' | 'paint' | 'colours' | 'seal'> & { departures?: Partial<HouseMethod> }
}
