/**
 * What fingers found, against what the label said: each observation as a ratio of drying minutes at the reference air. A part
 * still wet after the label's time counts as at least that long. Pure.
 */
import type { FamilyCode } from '@/core/craft/families'
import type { StepWindow } from '@/core/craft/windows'
import { type Assistance, dryingMinutes, filmMinutes, type Reading } from '@/core/drying/windowFor'
import { compareText } from '@/core/measure/compareText'
import type { Film } from '@/core/measure/film'
import type { Instant, StepId } from '@/core/measure/named'
import { calibrate, type Calibration } from './calibrate'

/** One tap on a drying part, with what it was read against. */
export interface Seen {
  stepId: StepId
  family: FamilyCode
  label: StepWindow
  film: Film
  endedAt: Instant
  at: Instant
  result: 'dry' | 'wet'
  /** how far its clock had run when it was felt, at the reference air; see {@link minutesSeen} */
  minutes: number
}
/** Drying minutes at the reference air from the end of a coat until it was felt. */
export const minutesSeen = (
  { label, endedAt, at }: Pick<Seen, 'label' | 'endedAt' | 'at'>,
  around: { climate: readonly Reading[]; assistance: readonly Assistance[] },
): number => dryingMinutes({ ...around, endedAt, kind: label.clock }, at)
export interface Observation {
  seen: Seen
  /** of the middle of the label's range; null where it teaches nothing */
  ratio: number | null
}
export interface Lesson extends Calibration {
  family: FamilyCode
  observations: Observation[]
}

/**
 * What each tap teaches, oldest first: of a coat the first "dry", else the last "still wet" that is later than the label would
 * have it. A coat teaches once, however often it was felt.
 */
export function observe(all: readonly Seen[]): Observation[] {
  const inTime = [...all].sort((a, b) => compareText(a.at, b.at))
  const teachers = new Map<string, Seen>()
  for (const seen of inTime) {
    if (teachers.get(seen.stepId)?.result === 'dry') continue
    const late = seen.minutes > seen.label.opens[1] * filmMinutes[seen.film]
    if (seen.result === 'dry' || late) teachers.set(seen.stepId, seen)
  }
  return inTime.map((seen) => {
    const { minutes } = seen
    const [low, high] = seen.label.opens
    const standard = ((low + high) / 2) * filmMinutes[seen.film]
    const teaches = teachers.get(seen.stepId) === seen && standard > 0 && minutes > 0
    return { seen, ratio: teaches ? minutes / standard : null }
  })
}

/** What each family's observations teach, the most observed first. */
export function lessonsOf(all: readonly Seen[]): Lesson[] {
  const observations = observe(all)
  return [...new Set(observations.map(({ seen }) => seen.family))]
    .map((family): Lesson => {
      const own = observations.filter(({ seen }) => seen.family === family)
      return { family, observations: own, ...calibrate({ ratios: own.flatMap(({ ratio }) => ratio ?? []) }) }
    })
    .filter(({ count }) => count > 0)
    .sort((a, b) => b.count - a.count || a.family.localeCompare(b.family))
}
