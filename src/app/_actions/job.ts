'use server'
/** The work around the paint of a piece, and parts that stay as they are. */
import { Refused, writeOnce } from '@/app/_server/write'
import { mayHoldLead } from '@/core/craft/lead'
import type { Answer } from '@/core/input/issues'
import { careInput, type CareText, jobInput, type JobText } from '@/core/input/job'
import type { Instant } from '@/core/measure/named'
import { doneOn, factsOf } from '@/core/piece/facts'
import { type Journey, readPiece } from '@/core/piece/journey'
import { plainPlan } from '@/core/piece/plainPlan'
import { careFits, careSteps } from '@/core/plan/care'
import { jobPlanStep } from '@/core/plan/job'
import { findPieceFile } from '@/db/piece'
import { addPlan, countPiece, takePieceInHand, wholeOf } from '@/db/pieceWrite'
import type { Client } from '@/db/pool'

async function readIn(client: Client, pieceId: string, at: Instant): Promise<Journey> {
  // who plans at the same moment waits
  const file = (await takePieceInHand(client, pieceId)) ? await findPieceFile(client, pieceId) : null
  if (!file) throw new Refused('not-found')
  return readPiece(file, { climate: [], nowMs: Date.parse(at) })
}

/** What was counted on a piece, and the steps before its parts are painted and after. What is done is not asked for again. */
export async function planJob(typed: JobText): Promise<Answer> {
  return writeOnce(
    'planJob',
    jobInput,
    typed,
    ({ planId }) => planId,
    async (client, studio, { planId, pieceId, wholeId, at, counted, steps }) => {
      const { file } = await readIn(client, pieceId, at)
      const lead = file.parts.some(mayHoldLead)
      await countPiece(client, pieceId, counted)
      const lane = await wholeOf(client, studio.id, pieceId, wholeId)
      await addPlan(client, studio.id, lane, {
        ...plainPlan(planId, 'job', at),
        // before the paint before after it, whatever the order they were sent in
        steps: [...steps]
          .sort((a, b) => Number(a.side === 'after') - Number(b.side === 'after'))
          .map(({ id, ...step }, position) => ({ ...jobPlanStep(step, lead), id, position })),
      })
    },
  )
}

/** A part that stays as it is. */
export async function planCare(typed: CareText): Promise<Answer> {
  return writeOnce(
    'planCare',
    careInput,
    typed,
    ({ planId }) => planId,
    async (client, studio, { planId, pieceId, partId, stepIds, at, care }) => {
      const journey = await readIn(client, pieceId, at)
      const current = journey.parts.find(({ part }) => part.id === partId)
      if (!current) throw new Refused('not-found')
      const facts = factsOf(current.part)
      if (!careFits(care, facts)) throw new Refused('not-whole')
      const steps = careSteps(facts, care, studio.method, doneOn(current))
      if (stepIds.length < steps.length) throw new Refused('not-whole')
      await addPlan(client, studio.id, partId, {
        ...plainPlan(planId, care, at),
        steps: steps.map((step, position) => ({ ...step, id: stepIds[position] as string, position })),
      })
    },
  )
}
