/** What went on and what was mixed, in figures: amounts in ml or g, money in minor units. */
import type { FamilyCode } from '@/core/craft/families'
import type { Sheen } from '@/core/craft/sheen'
import type { Film } from '@/core/measure/film'
import type { EntryId, LotId, ProductId, StepId } from '@/core/measure/named'

export interface CoatFigures {
  productId: ProductId | null
  /** the tin it was taken from first; null where the shelf had none */
  lotId: LotId | null
  /** the mix it was taken from: the entry that made it up */
  batchId: EntryId | null
  family: FamilyCode
  mix: string | null
  /** of what went on: the mixed volume, where it was mixed */
  amount: number
  unit: 'ml' | 'g'
  applicator: string | null
  film: Film
  sheen: Sheen | null
  /** the section of the surface it went on, where not all of it */
  place: string | null
}

/** What was left of a mix: kept as a tin of its own, or thrown away, and then from no tin. */
export interface RestFigures {
  batchId: EntryId
  productId: ProductId | null
  lotId: LotId | null
  family: FamilyCode
  amount: number
  unit: 'ml' | 'g'
}

/** One thing that went into a mix: how many parts, so much of it, from which tin. Water and plaster have none. */
export interface MixComponent {
  name: string
  parts: number
  /** ml or g */
  amount: number
  productId: ProductId | null
  lotId: LotId | null
}

/** A mix made up for one coat or many. */
export interface BatchFigures {
  /** what it is called by: its first component from the shelf */
  productId: ProductId | null
  lotId: LotId | null
  family: FamilyCode
  mix: string
  /** of the ready mix */
  volume: number
  unit: 'ml' | 'g'
  components: MixComponent[]
  /** the steps it was made for */
  stepIds: StepId[]
}
