/**
 * In the place of fast-check, for `npm run properties`: each property TIMES as often as it asks for itself, four minutes at most. Its own
 * file is named by its path, for by its name this one is found.
 */
import fc from '../node_modules/fast-check/lib/fast-check.js'

export * from '../node_modules/fast-check/lib/fast-check.js'

const times = Number(process.env.TIMES ?? 10)
const [usual, mostMs] = [100, 240_000]

export const assert = ((property: Parameters<typeof fc.assert>[0], options?: Parameters<typeof fc.assert>[1]) =>
  fc.assert(property, {
    ...options,
    numRuns: Math.round((options?.numRuns ?? usual) * times),
    interruptAfterTimeLimit: mostMs,
    markInterruptAsFailure: false,
  })) as typeof fc.assert

const often = { ...fc, assert }
export default often
