/** What is written at the bench, whichever way it comes: from the page at hand, or from a device that had no connection. */
import 'server-only'
import type { z } from 'zod'
import { type BenchAction, benchWrites } from '@/core/input/bench'
import type { Answer } from '@/core/input/issues'
import { mendInput } from '@/core/input/piece'
import type { EntryId } from '@/core/measure/named'
import { growByMending } from './mending'
import { storeWithMaterial } from './store'
import { writeOnce } from './write'

/** One thing said at the bench. Sent twice, it is stored once. */
export function writeAtBench(action: BenchAction, typed: unknown): Promise<Answer> {
  if (action === 'mendPart') return writeOnce(action, mendInput, typed, ({ entryId }) => entryId, growByMending)
  const { schema, entry } = benchWrites[action]
  return writeOnce<z.ZodType<{ entryId: EntryId }>>(
    action,
    schema,
    typed,
    ({ entryId }) => entryId,
    (client, studio, entered) => storeWithMaterial(client, studio.id, entry(entered as never)),
  )
}
