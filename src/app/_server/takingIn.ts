/** A piece taken in: its parts, the work around its paint, what it cost; from the form at the desk, or from a device at the kerb. */
import 'server-only'
import type * as z from 'zod'
import type { Studio } from '@/core/house/studio'
import type { intakeInput } from '@/core/input/piece'
import type { NewEntry } from '@/db/entry'
import { addParts, addPiece } from '@/db/pieceWrite'
import type { Client } from '@/db/pool'
import { planCounted } from './around'
import { momentOf } from './moment'
import { store } from './store'

export async function takePieceIn(
  client: Client,
  studio: Studio,
  entered: z.output<ReturnType<typeof intakeInput>>,
): Promise<void> {
  const { id, boughtEntryId, fetchingEntryId, takenInOn, bought, fetching, parts, counted, ...facts } = entered
  const takenInAt = momentOf(takenInOn, studio.zone)
  await addPiece(client, studio.id, { id, takenInAt, ...facts })
  await addParts(client, studio.id, id, 0, parts)
  await planCounted(client, studio.id, { pieceId: id, at: takenInAt, counted, commission: facts.client !== null, parts })
  const costs = [
    { id: boughtEntryId, costKind: 'bought', money: bought },
    { id: fetchingEntryId, costKind: 'fetching', money: fetching },
  ] as const
  await store(
    client,
    studio.id,
    costs.filter(({ money }) => money !== 0).map((cost): NewEntry => ({ ...cost, kind: 'cost', pieceId: id, at: takenInAt })),
  )
}
