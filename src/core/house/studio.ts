/** The studio's own facts: what it reckons in, what it wants, where it sells. Money in minor units, shares as decimals. */
import type { Terms } from '../piece/ledger'
import type { Channel } from '../price/priceFor'
import type { HouseMethod } from '../finish/method'
import type { UnitSystem } from '../unit/length'
import type { WorkingHours } from './workingHours'

export interface Studio extends Terms {
  id: string
  name: string
  currency: string
  zone: string
  units: UnitSystem
  hours: WorkingHours
  method: HouseMethod
}
export interface SalesChannel extends Channel {
  id: string
  name: string
}
export interface Person {
  id: string
  name: string
}
