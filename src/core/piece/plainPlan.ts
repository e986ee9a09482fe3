/** A plan that lays no finish: what it says of look and paint is asked by nobody. Pure. */
import type { Instant } from '@/core/measure/named'
import type { CareCode, Plan } from './piece'

export const plainPlan = (id: string, care: CareCode, madeAt: Instant): Omit<Plan, 'steps'> => ({
  id,
  care,
  look: 'smooth-solid',
  with: [],
  paint: 'clay',
  colours: {},
  seal: null,
  departures: {},
  madeAt,
})
