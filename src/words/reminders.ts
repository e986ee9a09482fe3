/** What is told before a window opens and before it closes. */
import type { Reminder } from '@/core/bench/reminders'
import { stepTitle } from './craft'
import { clockTime, type Wall } from './time'

export function reminderWords({ kind, at, journey, part, step }: Reminder, house: Wall): string {
  const where = `${journey.file.piece.name}, ${part.part.name.toLowerCase()}`
  const time = clockTime(at, house)
  return kind === 'opens'
    ? `${where}: ${stepTitle(step).toLowerCase()} from ${time}`
    : `${where}: closes at ${time}. ${stepTitle(step)}`
}
