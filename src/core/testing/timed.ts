/** Steps that take so long and leave a window behind them, for tests of days: every figure is plain to work by hand. */
import type { PlannedStep } from '@/core/finish/step'

export const step = (
  operation: PlannedStep['operation'],
  minutes: number,
  window: PlannedStep['window'] = null,
): PlannedStep => ({
  operation,
  family: null,
  colour: null,
  mix: null,
  applicator: null,
  grit: null,
  film: 'normal',
  minutes,
  amount: null,
  window,
  check: null,
  cautions: [],
  reason: 'cover',
  coat: null,
  needed: true,
})
/** Opens after so many minutes, and closes after so many where it does. */
export const wait = (opens: number, closes?: number): PlannedStep['window'] => ({
  clock: 'evaporation',
  opens: [opens, opens],
  ...(closes !== undefined && { closes: [closes, closes] as const }),
  source: 'craft',
})
