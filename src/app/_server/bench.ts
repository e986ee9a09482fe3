/** What is written at the bench, whichever way it comes: from the page at hand, or from a device that had no connection. */
import 'server-only'
import type * as z from 'zod'
import type { AwayAction } from '@/core/input/away'
import { type BenchAction, benchWrites } from '@/core/input/bench'
import { bidInput } from '@/core/input/bid'
import type { Answer } from '@/core/input/issues'
import { intakeInput, mendInput } from '@/core/input/piece'
import type { EntryId } from '@/core/measure/named'
import { addBid } from '@/db/bid'
import { growByMending } from './mending'
import { putPurchaseOnShelf } from './shelving'
import { storeWithMaterial } from './store'
import { takePieceIn } from './takingIn'
import { type From, writeOnce } from './write'

/** One thing said at the bench. Sent twice, it is stored once. */
export function writeAtBench(action: BenchAction | AwayAction, typed: unknown, from: From = 'page'): Promise<Answer> {
  if (action === 'takeIn') return writeOnce(action, intakeInput, typed, ({ id }) => id, takePieceIn)
  if (action === 'buyTins') return putPurchaseOnShelf(typed)
  if (action === 'keepBid')
    return writeOnce(
      action,
      bidInput,
      typed,
      ({ entryId }) => entryId,
      (client, studio, { entryId: id, ...bid }) => addBid(client, studio.id, { id, ...bid }),
    )
  if (action === 'mendPart') return writeOnce(action, mendInput, typed, ({ entryId }) => entryId, growByMending)
  const { schema, entry } = benchWrites[action]
  return writeOnce<z.ZodType<{ entryId: EntryId }>>(
    action,
    schema,
    typed,
    ({ entryId }) => entryId,
    (client, studio, entered) => storeWithMaterial(client, studio.id, entry(entered as never)),
    from,
  )
}
