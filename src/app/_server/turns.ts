/** Heavy work a few at a time: who comes beyond what may wait is sent away to come again. */

export class TooMany extends Error {}

/** Runs `most` at once and lets `waiting` more stand in line; throws {@link TooMany} beyond that. */
export function inTurns(most: number, waiting: number): <T>(work: () => Promise<T>) => Promise<T> {
  let running = 0
  const line: (() => void)[] = []
  return async (work) => {
    if (running >= most) {
      if (line.length >= waiting) throw new TooMany()
      await new Promise<void>((turn) => line.push(turn))
    }
    running += 1
    try {
      return await work()
    } finally {
      running -= 1
      line.shift()?.()
    }
  }
}
