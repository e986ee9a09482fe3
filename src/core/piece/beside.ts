/**
 * What was planned beside what it took, step by step, and why they differ: hands that took longer, more laid, dearer tins, what came later
 * to mend a snag. Money in minor units; an hour at the house's rate; pure.
 */
import { type FamilyCode, getFamily } from '@/core/craft/families'
import { roundMoney } from '@/core/measure/money'
import { materialsOf } from '@/core/plan/amounts'
import type { Journey } from './journey'
import { lanesOf } from './lanes'
import type { PlanStep } from './piece'

export interface Taken {
  minutes: number
  /** of what was laid; by the shelf's price where it is planned */
  material: number
}
export interface Because {
  hands: number
  amount: number
  price: number
  /** all of a step that mends a snag */
  later: number
}
export interface Beside {
  part: string
  step: PlanStep
  planned: Taken
  actual: Taken
  /**
   * why: what longer hands cost, what more of it cost at the planned price, what the price itself did, what nobody had planned; together the
   * whole difference
   */
  because: Because
  /** a coat that was taken from no tin: nobody knows what it cost */
  isUnpriced: boolean
}
interface Around {
  hourRate: number
  /** money per ml or g, by the cheapest tin */
  unitPrice: Partial<Record<FamilyCode, number>>
}

/** Every step that is behind, in the order it was ended within its part; the work around the paint too. */
export function besidesOf(journey: Pick<Journey, 'parts' | 'whole'>, { hourRate, unitPrice }: Around): Beside[] {
  return lanesOf(journey).flatMap(({ part, done }) =>
    done.map(({ step, state }): Beside => {
      const hour = (minutes: number) => (minutes / 60) * hourRate
      const laid = materialsOf(step, part.plan?.paint ?? null)
        .filter(({ family }) => getFamily(family).role !== 'cleaner')
        .reduce((sum, { family, amount }) => sum + amount * (unitPrice[family] ?? 0), 0)
      const used = state.coats.reduce((sum, { coat }) => sum + coat.amount, 0)
      const spent = state.coats.reduce((sum, { money }) => sum + money, 0)
      const isUnpriced = used > 0 && spent === 0
      // by the unit of what goes on, a mix as it is mixed
      const each = step.amount !== null && step.amount > 0 ? laid / step.amount : 0
      const planned = { minutes: step.minutes, material: roundMoney(laid) }
      // nobody wrote down what went on: it is taken as planned
      const actual = {
        minutes: Math.round(state.minutes * 10) / 10,
        material: state.coats.length === 0 || isUnpriced ? planned.material : spent,
      }
      if (step.mends) {
        const later = roundMoney(hour(actual.minutes)) + actual.material
        return {
          ...{ part: part.name, step, planned: { minutes: 0, material: 0 }, actual, isUnpriced },
          because: { hands: 0, amount: 0, price: 0, later },
        }
      }
      const amount = state.coats.length === 0 || isUnpriced ? 0 : roundMoney((used - (step.amount ?? 0)) * each)
      return {
        ...{ part: part.name, step, planned, actual, isUnpriced },
        because: {
          hands: roundMoney(hour(actual.minutes - planned.minutes)),
          amount,
          price: actual.material - planned.material - amount,
          later: 0,
        },
      }
    }),
  )
}

export interface BesideSum {
  planned: Taken
  actual: Taken
  because: Beside['because']
}
export const sumBesides = (all: readonly Beside[]): BesideSum =>
  all.reduce<BesideSum>(
    (sum, { planned, actual, because }) => ({
      planned: { minutes: sum.planned.minutes + planned.minutes, material: sum.planned.material + planned.material },
      actual: { minutes: sum.actual.minutes + actual.minutes, material: sum.actual.material + actual.material },
      because: {
        hands: sum.because.hands + because.hands,
        amount: sum.because.amount + because.amount,
        price: sum.because.price + because.price,
        later: sum.because.later + because.later,
      },
    }),
    {
      planned: { minutes: 0, material: 0 },
      actual: { minutes: 0, material: 0 },
      because: { hands: 0, amount: 0, price: 0, later: 0 },
    },
  )
/** The money that a step moved beside its plan, either way: what is looked at first. */
export const weightOf = ({ because: { hands, amount, price, later } }: Beside): number =>
  Math.abs(hands) + Math.abs(amount) + Math.abs(price) + later
