/**
 * The workshop's week as a problem: people with their hours, the steps ahead of every piece, the waits between them, drying places,
 * one place to spray. Whole minutes from one moment on, all of them multiples of `grid`; types, and what makes a problem hopeless. Pure.
 */

export interface Worker {
  id: string
  /** when they work: from, to; in order, apart */
  work: readonly (readonly [number, number])[]
}
export interface WorkStep {
  piece: number
  part: number
  name: string
  dur: number
  /** may be laid down at a break and taken up after it */
  split: boolean
  /** what is in the brush; another one costs the set-up */
  product: string | null
  spray: boolean
  /** who may work it, by index */
  painters: readonly number[]
}
/** How long after the end of one step another begins; from null it counts from the first moment. */
export interface Lag {
  from: number | null
  to: number
  min: number
  max: number | null
  /** its most is never broken: a ruined coat */
  hard: boolean
  /** nobody can keep it any more, however the week is ordered: it may be missed, dearer than any promise */
  lost?: boolean
  /** what breaking its most costs */
  penalty: number
  /** holds a drying place from the end of the one to the start of the other */
  rack: boolean
  /** it is one of this room's, too, by its index; where it isn't said, of none that has few. All of a part's are in one room */
  room?: number
  /** it is a minute that a step is held to; where it isn't said, a wait from the first moment without any play is one */
  held?: boolean
  /** how far what dries in it comes out otherwise, in logarithms; where it isn't said, not at all */
  scatter?: number
}
export interface WorkPiece {
  id: string
  due: number
  weight: number
  /** it is finished when this step ends */
  final: number
}
export interface WorkshopProblem {
  grid: number
  horizon: number
  painters: readonly Worker[]
  pools: {
    spray: number
    /** drying places, of the whole house */
    rack: number
    /** and of single rooms */
    rooms?: readonly number[]
  }
  /** minutes between two products in one painter's hands */
  setup: number
  pieces: readonly WorkPiece[]
  steps: readonly WorkStep[]
  lags: readonly Lag[]
  cost: { tardy: number; flow: number }
}
/** When each step begins, and who works it. */
export interface WorkshopSchedule {
  start: number[]
  painter: number[]
}

/** What a ruined coat counts beside its penalty while weeks are compared: no promise is worth one. */
export const ruin = 1e9
/** What missing a wait's most counts then. */
export const missing = ({ hard, penalty }: Pick<Lag, 'hard' | 'penalty'>): number => (hard ? ruin + penalty : penalty)

/** Whether a wait's most is held to, whatever it costs. */
export const isFirm = ({ hard, lost }: Pick<Lag, 'hard' | 'lost'>): boolean => hard && lost !== true

/** Whether a wait is the one minute that a step is held to, not a window that closes as it opens. */
export const isHeld = ({ from, min, max, held }: Lag): boolean => held ?? (from === null && min === max)

/** Thrown where no week can hold a step. */
export class NoSchedule extends Error {
  /** every step of which that is known, the one that is named among them */
  readonly steps: readonly number[]
  /** whether nobody works so long in one go */
  readonly isTooLong: boolean

  constructor(
    readonly step: number,
    why: string,
    { steps = [step], isTooLong = false }: { steps?: readonly number[]; isTooLong?: boolean } = {},
  ) {
    super(why)
    this.name = 'NoSchedule'
    this.steps = steps
    this.isTooLong = isTooLong
  }
}
