/** The work around a piece's paint, as it is written: what was counted, and the steps that it asks for. */
import 'server-only'
import { v7 as uuidv7 } from 'uuid'
import type { Counted } from '@/core/craft/job'
import { mayHoldLead } from '@/core/craft/lead'
import type { Instant, PieceId, StudioId } from '@/core/measure/named'
import { plainPlan } from '@/core/piece/plainPlan'
import { jobPlanStep, proposeJob } from '@/core/plan/job'
import { addPlan, countPiece, wholeOf } from '@/db/pieceWrite'
import type { Client } from '@/db/pool'

interface NewPiece {
  pieceId: PieceId
  at: Instant
  counted: Counted
  commission: boolean
  parts: readonly Parameters<typeof mayHoldLead>[0][]
}
/** What was counted when a piece came in, with the steps it asks for; nothing where nothing was counted. */
export async function planCounted(
  client: Client,
  studioId: StudioId,
  { pieceId, at, counted, commission, parts }: NewPiece,
): Promise<void> {
  if (Object.values(counted).every((times) => times === 0)) return
  const lead = parts.some(mayHoldLead)
  await countPiece(client, pieceId, counted)
  await addPlan(client, studioId, await wholeOf(client, studioId, pieceId, uuidv7()), {
    ...plainPlan(uuidv7(), 'job', at),
    steps: proposeJob(counted, commission).map((step, position) => ({ ...jobPlanStep(step, lead), id: uuidv7(), position })),
  })
}
