/** Steps that take so long and leave a window behind them, for tests of days: every figure is plain to work by hand. */
import { plainStep, type PlannedStep } from '@/core/finish/step'

export const step = (
  operation: PlannedStep['operation'],
  minutes: number,
  window: PlannedStep['window'] = null,
): PlannedStep => ({ ...plainStep(operation, minutes), window })
/** Opens after so many minutes, and closes after so many where it does. */
export const wait = (opens: number, closes?: number): PlannedStep['window'] => ({
  clock: 'evaporation',
  opens: [opens, opens],
  ...(closes !== undefined && { closes: [closes, closes] as const }),
  source: 'craft',
})
