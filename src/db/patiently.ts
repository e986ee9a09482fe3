/** Reading again what a lost connection cut off: nothing was written, so nothing can happen twice. */
import { troubleOf } from './pool'

const restMs = 300

/**
 * What `read` gives; where the records can't be reached it is asked again until they can, for `patienceMs` at most. A database
 * that is started anew is back within that, and nobody who reads meanwhile is told that the page can't be shown.
 */
export async function patiently<T>(read: () => Promise<T>, patienceMs: number): Promise<T> {
  const until = performance.now() + patienceMs
  for (;;)
    try {
      return await read()
    } catch (error) {
      if (troubleOf(error) !== 'unreachable' || performance.now() + restMs > until) throw error
      await new Promise((wait) => setTimeout(wait, restMs))
    }
}
