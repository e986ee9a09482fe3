/** The studio's own facts: what it reckons in, what it wants, where it sells. Money in minor units, shares as decimals. */
import type { ConsumablePrices } from '@/core/craft/consumables'
import type { HouseMethod } from '@/core/craft/method'
import type { ChannelId, PersonId, StudioId } from '@/core/measure/named'
import type { Locale } from '@/core/measure/number'
import type { UnitSystem } from '@/core/measure/units'
import type { WorkingHours } from '@/core/measure/workingHours'
import type { PricingTerms } from '@/core/piece/ledger'
import type { Channel } from '@/core/price/priceFor'
import type { Pricing } from '@/core/price/pricing'

export interface Studio extends PricingTerms {
  consumables: ConsumablePrices
  pricing: Pricing
  id: StudioId
  name: string
  currency: string
  zone: string
  locale: Locale
  units: UnitSystem
  hours: WorkingHours
  method: HouseMethod
  /** whoever asks sees no money here: what has a price says nought */
  hidesMoney: boolean
  /** somebody has said that it reckons so; else it stands as it was begun */
  kept: boolean
}
export interface SalesChannel extends Channel {
  id: ChannelId
  name: string
  /** what it asks by the month, whatever is sold; minor units */
  rent: number
}
export interface Person {
  id: PersonId
  name: string
}
