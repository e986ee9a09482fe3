/** What is written at the bench, whichever way it comes: from the page at hand, or from a device that had no connection. */
import 'server-only'
import { benchWrites, type BenchAction } from '../../core/input/bench'
import { mendInput } from '../../core/input/piece'
import { growByMending } from './mending'
import { store, storeWithMaterial } from './store'
import { write, type Answer } from './write'

/** One thing said at the bench. Sent twice, it is stored once. */
export function writeAtBench(action: BenchAction, typed: unknown): Promise<Answer> {
  if (action === 'mendPart') return write(mendInput, typed, (client, studio, entered) => growByMending(client, studio, entered))
  const { schema, entry } = benchWrites[action]
  return write(schema as never, typed, (client, studio, entered) => {
    const said = entry(entered)
    return said.coat || said.batch ? storeWithMaterial(client, studio.id, said) : store(client, studio.id, [said])
  })
}
