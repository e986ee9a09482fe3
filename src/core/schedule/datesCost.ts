/** What it costs that pieces end by dates, one a piece. Pure. */
import type { Evenings } from './evenings'
import type { Less } from './givingWay'
import type { WorkshopProblem } from './problem'

type Costed = Pick<WorkshopProblem, 'pieces' | 'cost'>

export const latenessBy = ({ pieces, cost }: Costed, dates: readonly number[]): number =>
  pieces.reduce((sum, { due, weight }, piece) => sum + cost.tardy * weight * Math.max(0, (dates[piece] ?? 0) - due), 0)
/** What it costs that they are about until then. */
export const aboutBy = ({ cost }: Costed, dates: readonly number[]): number =>
  dates.reduce((sum, date) => sum + date, 0) * cost.flow

interface Asked {
  /** whether a piece may be given up, where all of them are so late by that */
  isWorth: (piece: number, late: number) => boolean
  /** chance, from -1 to 1 */
  around: () => number
}
/** Dates by which one piece more is given up for a day: the cheapest first, mostly. */
export const oneGivenUp =
  (problem: Costed, evenings: Pick<Evenings, 'after'>, { isWorth, around }: Asked): Less =>
  (dates) => {
    const costOf = (each: readonly number[]) => latenessBy(problem, each) + aboutBy(problem, each)
    const cost = costOf(dates)
    return [...dates.keys()]
      .flatMap((piece) => {
        const less = dates.map((date, k) => (k === piece ? evenings.after(date) : date))
        const isLess = (less[piece] ?? 0) > (dates[piece] ?? 0) && isWorth(piece, latenessBy(problem, less))
        return isLess ? [{ less, more: (costOf(less) - cost) * Math.exp(around()) }] : []
      })
      .sort((one, other) => one.more - other.more)
      .map(({ less }) => less)
  }
