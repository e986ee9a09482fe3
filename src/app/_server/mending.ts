/** A snag written down, and the part's plan grown by the steps that mend it; a failed check is written beside it. */
import 'server-only'
import type * as z from 'zod'
import type { Studio } from '@/core/house/studio'
import type { mendInput } from '@/core/input/piece'
import { aheadOn, doneOn, factsOf } from '@/core/piece/facts'
import { readPiece } from '@/core/piece/journey'
import { mend } from '@/core/plan/mend'
import { findPieceFile } from '@/db/piece'
import { addPlan } from '@/db/pieceWrite'
import type { Client } from '@/db/pool'
import { store } from './store'
import { Refused } from './write'

export async function growByMending(client: Client, studio: Studio, entered: z.output<typeof mendInput>): Promise<void> {
  const { planId, entryId, pieceId, partId, personId, stepIds, at, remedy, severity, spot, mark, failed, note } = entered
  const file = await findPieceFile(client, pieceId)
  const current = file && readPiece(file, { climate: [], nowMs: Date.parse(at) }).parts.find(({ part }) => part.id === partId)
  if (!file || !current) throw new Refused('not-found')
  const on = { pieceId, partId, personId, at }
  await store(client, studio.id, [
    ...(failed
      ? [
          {
            id: failed.entryId,
            kind: 'checked' as const,
            ...on,
            stepId: failed.stepId,
            checkCode: failed.checkCode,
            result: 'fail' as const,
          },
        ]
      : []),
    { id: entryId, kind: 'snag', ...on, stepId: failed?.stepId ?? null, remedy, severity, spot, mark, note },
  ])
  const plan = current.part.plan
  // what stays as it is is looked after, not mended
  if (!remedy || !plan || plan.care) return
  const method = { ...studio.method, ...plan.departures }
  const steps = mend(
    remedy,
    { part: factsOf(current.part), wish: { ...plan, seal: plan.seal ?? undefined }, done: doneOn(current), method },
    aheadOn(current),
    entryId,
  )
  if (stepIds.length < steps.length) throw new Refused('not-whole')
  await addPlan(client, studio.id, partId, {
    ...plan,
    id: planId,
    madeAt: at,
    steps: steps.map((step, position) => ({
      ...step,
      id: stepIds[position] as string,
      position,
      mends: step.mends ?? null,
    })),
  })
}
