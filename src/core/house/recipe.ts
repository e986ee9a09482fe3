/** A finish with a name, kept by the house to be put on another piece. Types only. */
import type { HouseMethod } from '@/core/craft/method'
import type { FinishWish } from '@/core/finish/wish'

export interface HouseRecipe {
  id: string
  name: string
  wish: Pick<FinishWish, 'look' | 'with' | 'paint' | 'colours' | 'seal'> & { departures?: Partial<HouseMethod> }
}
