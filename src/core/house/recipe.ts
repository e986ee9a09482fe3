/** A finish with a name, kept by the house to be put on another piece. Types only. */
import type { HouseMethod } from '@/core/craft/method'
import type { FinishWish } from '@/core/finish/wish'
import type { RecipeId } from '@/core/measure/named'

export interface HouseRecipe {
  id: RecipeId
  name: string
  wish: Pick<FinishWish, 'look' | 'with' | 'paint' | 'colours' | 'seal' | 'sheen' | 'touches'> & {
    departures?: Partial<HouseMethod>
  }
}
