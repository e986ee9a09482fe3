/** How long work takes in this studio, from the clocks of what was ended last. */
import 'server-only'
import { type Estimator, learnPace } from '@/core/learn/estimate'
import { type Pace, paceOf, teaches } from '@/core/learn/pace'
import { labourOf, minutesOf, stepClocks } from '@/core/log/labour'
import { dayStretches } from '@/core/log/workSpans'
import { latelyOr, makeLately } from '@/core/measure/kept'
import type { StudioId } from '@/core/measure/named'
import { listOtherWork } from '@/db/entry'
import { listEnded } from '@/db/pace'
import type { Client } from '@/db/pool'
import { makeUnchanged } from './unchanged'

/** older work was done by other hands */
const [mostSteps, mostEstimated] = [80, 240]

/** The last steps that were ended, and the minutes that hands were on each; whoever had several in hand gave each a share. */
async function workedLately(client: Client, nowMs: number, limit: number) {
  const ended = await listEnded(client, limit)
  const days = dayStretches(ended.flatMap(({ since, at }) => [since.slice(0, 10), at.slice(0, 10)]))
  const spans = ended.map(({ since, at }) => ({ from: since, to: at }))
  const labour = labourOf(stepClocks(await listOtherWork(client, [], days, spans), nowMs))
  return ended.map((step) => ({ ...step, actual: minutesOf(labour, step.stepId) }))
}
/** studios that are kept in mind */
const mostStudios = 200
const asItStood = makeUnchanged<Pace>(mostStudios)
/** `nowMs`: when the reading began. */
export const loadPace = (client: Client, studioId: StudioId, nowMs: number): Promise<Pace> =>
  asItStood.or(studioId, 'pace', nowMs, async () => paceOf(await workedLately(client, nowMs, mostSteps)))

/** What was learned of a studio stands for so long: it moves by a step in hundreds. */
const learnedMs = 10 * 60_000
const learned = makeLately<StudioId, Estimator>(mostStudios, learnedMs)

/** What the last pieces teach about the next: by operation, painter, article and relief; at most ten minutes old. */
export const loadEstimator = (client: Client, studioId: StudioId, nowMs: number): Promise<Estimator> =>
  latelyOr(learned, studioId, nowMs, () => learn(client, nowMs))
async function learn(client: Client, nowMs: number): Promise<Estimator> {
  const worked = await workedLately(client, nowMs, mostEstimated)
  return learnPace(
    worked.filter(teaches).map(({ pieceId, painter, article, relief, ...step }) => ({
      ...step,
      piece: pieceId,
      painter: painter ?? undefined,
      article: article ?? undefined,
      relief: relief ?? undefined,
    })),
  )
}
