'use client'
/** What every form and figure must know of the house: currency, units, zone. */
import { createContext, type ReactNode, useContext } from 'react'
import type { House } from '@/core/input/fields'
import { formatMoney } from '@/core/measure/money'

const HouseContext = createContext<House>({ currency: 'GBP', units: 'metric', zone: 'UTC', locale: 'en-GB' })

export function HouseProvider({ house, children }: { house: House; children: ReactNode }) {
  return <HouseContext value={house}>{children}</HouseContext>
}
export const useHouse = (): House => useContext(HouseContext)

/** Money in the house's currency. */
export function useMoney(): (minor: number, short?: boolean) => string {
  const house = useHouse()
  return (minor, short = false) => formatMoney(minor, house, { short })
}
