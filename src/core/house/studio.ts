/** The studio's own facts: what it reckons in, what it wants, where it sells. Money in minor units, shares as decimals. */
import type { PricingTerms } from '@/core/piece/ledger'
import type { Channel } from '@/core/price/priceFor'
import type { HouseMethod } from '@/core/craft/method'
import type { UnitSystem } from '@/core/measure/length'
import type { WorkingHours } from '@/core/measure/workingHours'

export interface Studio extends PricingTerms {
  id: string
  name: string
  currency: string
  zone: string
  units: UnitSystem
  hours: WorkingHours
  method: HouseMethod
  /** somebody has said that it reckons so; else it stands as it was begun */
  kept: boolean
}
export interface SalesChannel extends Channel {
  id: string
  name: string
}
export interface Person {
  id: string
  name: string
}
