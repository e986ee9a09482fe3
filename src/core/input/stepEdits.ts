/** What the painter does to the steps of a plan, as it is sent and stored. */
import * as z from 'zod'
import { checkCodes, operations } from '@/core/craft/operations'
import { codesOf } from '@/core/craft/parts'
import { mostMinutes } from '@/core/plan/job'
import { noEdits, ownOperations, type StepEdits } from '@/core/plan/stepEdits'
import { id, words } from './fields'

const key = z.string().min(1).max(300)
const spot = z.object({ after: key.nullable(), before: key.nullable() })
const minutes = z
  .int('Whole minutes.')
  .min(1, 'At least a minute.')
  .max(mostMinutes, `At most ${mostMinutes.toLocaleString('en-GB')} minutes.`)
/** Two weeks: what rests longer is not waited for. */
const mostWait = 20_160

export const stepChange = z.object({
  minutes: minutes.optional(),
  amount: z.number().gt(0, 'More than nothing.').max(100_000, 'At most 100,000.').optional(),
  wait: z.int('Whole minutes.').min(0).max(mostWait, 'Two weeks at most.').optional(),
  grit: words('the grit', 120).optional(),
  applicator: words('what it is done with', 120).optional(),
})
const ownStep = z
  .object({
    id,
    at: spot,
    like: key.nullable(),
    operation: z.enum(codesOf(operations)),
    words: words('what is to be done', 120).nullable(),
    minutes,
    check: z.enum(checkCodes).nullable(),
  })
  .refine(({ like, operation }) => like !== null || ownOperations.includes(operation), {
    path: ['operation'],
    message: 'This is a layer: put it in among the layers.',
  })
  .refine(({ like, operation, words }) => like !== null || operation !== 'own' || words !== null, {
    path: ['words'],
    message: 'Say what is to be done.',
  })

export const stepEdits = z.object({
  left: z.array(key).max(200).readonly(),
  moves: z
    .array(z.object({ key, to: spot }))
    .max(200)
    .readonly(),
  changes: z.record(key, stepChange),
  own: z.array(ownStep).max(60, 'At most 60 steps of your own.').readonly(),
}) satisfies z.ZodType<StepEdits>
/** Nothing, where nothing is said. */
export const sentEdits = stepEdits.default({ ...noEdits })
