/** Writes that this page has on their way: what is read anew meanwhile waits behind them, and where they fail it would fail with them. */
let underway = 0
let waiting: (() => void)[] = []

/** Does a write, which is known of until it is answered. */
export async function writing<T>(work: () => Promise<T>): Promise<T> {
  underway += 1
  try {
    return await work()
  } finally {
    underway -= 1
    if (underway === 0) {
      const told = waiting
      waiting = []
      for (const tell of told) tell()
    }
  }
}
export const isWriting = (): boolean => underway > 0
/** Resolves once nothing is on its way. */
export const whenWritten = (): Promise<void> =>
  isWriting() ? new Promise((resolve) => waiting.push(resolve)) : Promise.resolve()
