/**
 * In how many sections a step is worked, because a window runs for each place from when that place was done: what closes sooner
 * than the step lasts is done a door, a leg, a side at a time. Pure. Source: the craft, section on windows.
 */
import { getOperation, type OperationCode } from '@/core/craft/operations'
import { isSectionWork, sectionSecondsOf, type SectionWork } from '@/core/craft/sections'
import type { PastCode } from '@/core/craft/windows'
import { filmMinutes } from '@/core/drying/windowFor'
import type { PlannedStep } from './step'

type Worked = Pick<PlannedStep, 'operation' | 'minutes' | 'window' | 'film'>

/** Minutes on the piece itself, without set-up and cleaning. */
const onIt = ({ operation, minutes }: Pick<Worked, 'operation' | 'minutes'>) =>
  Math.max(1, minutes - getOperation(operation).overhead)

/**
 * Sections that a step and the one after it are worked in, 1 where all of it can be done in one go. In each, the place done first
 * waits at most as long as the slower of the two takes there, beside what it must wait.
 */
export function sectionsOf(step: Worked, next: Pick<Worked, 'operation' | 'minutes'> | null | undefined): number {
  const { window, film } = step
  if (!window?.closes || !next) return 1
  const [opens, closes] = [window.opens[0] * filmMinutes[film], window.closes[0] * filmMinutes[film]]
  const room = Math.max(1, closes - opens)
  return Math.ceil(Math.max(onIt(step), onIt(next)) / room)
}

/** How long a section of a step may stand before it is followed up. */
export type SectionClock = { seconds: number } & (
  | { of: SectionWork }
  /** followed up by another step; `past`: what has happened to a section that stood longer */
  | { then: OperationCode; past: PastCode | null }
)
/** so short a window is worked against the clock though all of it could be done in one go, minutes */
const short = 30
/**
 * The clock of one section: the craft's own for what is wiped or lifted in the same step, else the careful end of a window that is short,
 * or shorter than the step; null where there is no hurry.
 */
export function sectionClock(step: Worked, next: Pick<Worked, 'operation' | 'minutes'> | null | undefined): SectionClock | null {
  const { operation, window, film } = step
  if (isSectionWork(operation)) return { seconds: sectionSecondsOf(operation), of: operation }
  if (!window?.closes || !next) return null
  const closes = window.closes[0] * filmMinutes[film]
  if (closes > short && sectionsOf(step, next) === 1) return null
  return { seconds: Math.round(closes * 60), then: next.operation, past: window.past ?? null }
}
