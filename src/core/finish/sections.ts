/**
 * In how many sections a step is worked, because a window runs for each place from when that place was done: what closes sooner
 * than the step lasts is done a door, a leg, a side at a time. Pure. Source: the craft, section on windows.
 */
import { getOperation } from '@/core/craft/operations'
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
