/** What a plan asks: hours, days, money, materials, a hand, an awkward hour. At the reference climate; pure. */
import type { FamilyCode } from '@/core/craft/families'
import { demandsOf, type RiskCode, type Skill } from '@/core/finish/demands'
import type { PlannedStep } from '@/core/finish/step'
import { roundMoney } from '@/core/measure/money'
import { usualHours, type WorkingHours } from '@/core/measure/workingHours'
import { type Amount, lackingOn, type Shelf, sumAmounts } from './amounts'
import { layOut } from './timeline'

/** What a house has to work with. */
export interface HouseResources {
  /** what stands on the shelf */
  shelf: Shelf
  hours: WorkingHours
  /** minor units an hour; 0 where none is set */
  hourRate: number
  /** minor units per ml or g; a family without a price is reckoned at nothing and counts as unpriced */
  unitPrice: Partial<Record<FamilyCode, number>>
}
export const noMeans: HouseResources = { shelf: [], hours: usualHours, hourRate: 0, unitPrice: {} }

export interface PlanFigures {
  minutes: number
  /** days from the first step to the last, both counted */
  days: number
  /** windows that can't be kept within the working hours */
  awkward: number
  /** steps whose window closes within the hour: they want somebody who stays */
  hurried: number
  amounts: Amount[]
  /** materials, minor units; each product's line is rounded */
  materials: number
  /** products without a price */
  unpriced: FamilyCode[]
  /** products of which the shelf has too little, or none */
  lacking: FamilyCode[]
  skill: Skill
  risks: RiskCode[]
}

/** A window that closes within the hour. */
const hurriedMinutes = 60

/** What a plan asks of one painter in the house's working hours. */
export function figuresOf(steps: readonly PlannedStep[], { shelf, hours, unitPrice }: HouseResources): PlanFigures {
  const { attendedMinutes, days, awkward } = layOut([{ id: 'part', steps }], hours)
  const amounts = sumAmounts(steps)
  const used = [...new Set(amounts.map(({ family }) => family))]
  return {
    minutes: attendedMinutes,
    days,
    awkward,
    hurried: steps.filter(({ window }) => window?.closes !== undefined && window.closes[0] <= hurriedMinutes).length,
    amounts,
    materials: amounts.reduce((sum, { family, amount }) => sum + roundMoney(amount * (unitPrice[family] ?? 0)), 0),
    unpriced: used.filter((family) => unitPrice[family] === undefined),
    lacking: lackingOn(shelf, amounts),
    ...demandsOf(steps),
  }
}
