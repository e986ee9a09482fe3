/** A snag written down, and the part's plan grown by the steps that mend it; a failed check is written beside it. */
import 'server-only'
import type { z } from 'zod'
import type { mendInput } from '../../core/input/piece'
import { journeyOf } from '../../core/piece/journey'
import { aheadOn, doneOn, factsOf } from '../../core/piece/facts'
import { mend } from '../../core/plan/mend'
import { addPlan, findPieceFile } from '../../db/piece'
import type { Client } from '../../db/pool'
import type { Studio } from '../../db/studio'
import { store } from './store'
import { Refused } from './write'

export async function growByMending(client: Client, studio: Studio, entered: z.output<typeof mendInput>): Promise<void> {
  const { planId, entryId, pieceId, partId, personId, stepIds, at, repair, severity, spot, mark, failed, note } = entered
  const file = await findPieceFile(client, pieceId)
  const current = file && journeyOf(file, [], Date.parse(at)).parts.find(({ part }) => part.id === partId)
  if (!file || !current) throw new Refused('not-found')
  // sent twice, stored once
  if (file.log.some(({ id }) => id === entryId)) return
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
    { id: entryId, kind: 'snag', ...on, stepId: failed?.stepId ?? null, repair, severity, spot, mark, note },
  ])
  const plan = current.part.plan
  if (!repair || !plan) return
  const ahead = aheadOn(current)
  const method = { ...studio.method, ...plan.departures }
  const steps = mend(repair, factsOf(current.part), { ...plan, seal: plan.seal ?? undefined }, doneOn(current), ahead, method)
  if (stepIds.length < steps.length) throw new Refused('not-whole')
  const added = steps.length - ahead.length
  await addPlan(client, studio.id, partId, {
    ...plan,
    id: planId,
    madeAt: at,
    steps: steps.map((step, position) => ({
      ...step,
      id: stepIds[position] as string,
      position,
      mends: position < added ? entryId : (step.mends ?? null),
    })),
  })
}
