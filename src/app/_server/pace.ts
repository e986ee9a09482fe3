/** How long work takes in this studio, from the clocks of what was ended last. */
import 'server-only'
import { type Pace, paceOf } from '@/core/learn/pace'
import { labourOf, minutesOf, stepClocks } from '@/core/log/labour'
import { listOtherWork } from '@/db/entry'
import { listEnded } from '@/db/pace'
import type { Client } from '@/db/pool'

/** older work was done by other hands */
const mostSteps = 80

export async function loadPace(client: Client, nowMs: number): Promise<Pace> {
  const ended = await listEnded(client, mostSteps)
  const days = [...new Set(ended.map(({ at }) => at.slice(0, 10)))]
  // whoever had several steps in hand gave each a share of the minute
  const labour = labourOf(stepClocks(await listOtherWork(client, [], days, 0), nowMs))
  return paceOf(ended.map(({ stepId, operation, planned }) => ({ operation, planned, actual: minutesOf(labour, stepId) })))
}
