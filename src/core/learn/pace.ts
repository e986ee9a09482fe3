/** How long work takes in this studio against the plan's minutes, by what is done. Ratios without unit; pure. */
import type { OperationCode } from '@/core/craft/operations'
import { isForgotten } from '@/core/log/labour'
import { calibrate, type Calibration } from './calibrate'

/** A step that was worked: the minutes planned for it, and those that hands were on it. */
export interface Worked {
  operation: OperationCode
  planned: number
  actual: number
}
export type Pace = Partial<Record<OperationCode, Calibration>>

/** Begun and ended at a tap: less than this share of its minutes is no work. Practice. */
const tapped = 0.1

/** A clock that was forgotten, or only tapped, teaches nothing. */
export const teaches = ({ planned, actual }: Pick<Worked, 'planned' | 'actual'>): boolean =>
  planned > 0 && actual >= planned * tapped && !isForgotten(actual, planned)

/** What the work of a studio teaches. */
export function paceOf(all: readonly Worked[]): Pace {
  const ratios = new Map<OperationCode, number[]>()
  for (const { operation, planned, actual } of all.filter(teaches)) {
    ratios.set(operation, [...(ratios.get(operation) ?? []), actual / planned])
  }
  return Object.fromEntries([...ratios].map(([operation, own]) => [operation, calibrate({ ratios: own })]))
}

interface Planned {
  operation: OperationCode
  minutes: number
  own?: string | undefined
  changed?: boolean | undefined
}
/** The minutes a step takes here, at the middle; those that the painter wrote for it stand. */
export const minutesHere = ({ operation, minutes, own, changed }: Planned, pace: Pace): number =>
  own !== undefined || changed ? minutes : minutes * (pace[operation]?.p50 ?? 1)
