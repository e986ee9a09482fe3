/** What may be entered of the work around the paint, and of a part that is not painted. */
import * as z from 'zod'
import { countCodes, jobOperations, sides } from '@/core/craft/job'
import { careKinds } from '@/core/plan/care'
import { id, instant, words } from './fields'

export const counted = z.partialRecord(z.enum(countCodes), z.int().min(0).max(200, 'At most 200.'))
const jobStep = z
  .object({
    id,
    operation: z.enum(jobOperations as [string, ...string[]]).transform((code) => code as (typeof jobOperations)[number]),
    side: z.enum(sides),
    words: words('what is to be done', 120).nullable(),
    minutes: z.int('Whole minutes.').min(1, 'At least a minute.').max(2400, 'At most 2,400 minutes.'),
  })
  .refine((step) => step.operation !== 'own' || step.words !== null, { path: ['words'], message: 'Say what is to be done.' })

export const jobInput = z.object({
  planId: id,
  pieceId: id,
  /** what its steps belong to, where nothing was planned before */
  wholeId: id,
  at: instant,
  counted,
  steps: z.array(jobStep).max(60, 'At most 60 steps.'),
})
export type JobText = z.input<typeof jobInput>

export const careInput = z.object({
  planId: id,
  pieceId: id,
  partId: id,
  stepIds: z.array(id).max(20),
  at: instant,
  care: z.enum(careKinds),
})
export type CareText = z.input<typeof careInput>
