/** A piece's rows: the piece, its parts, measured faces, plans, steps and photographs. */
import * as z from 'zod'
import { cautionCodes } from '@/core/craft/cautions'
import { families } from '@/core/craft/families'
import { countCodes, sides } from '@/core/craft/job'
import { leadFindings } from '@/core/craft/lead'
import { lookCodes } from '@/core/craft/looks'
import type { HouseMethod } from '@/core/craft/method'
import { checkCodes, operations } from '@/core/craft/operations'
import { codesOf, existingFinishes, partKinds, polishes, substrates, uses } from '@/core/craft/parts'
import { reasonCodes } from '@/core/craft/recipe'
import { sheenCodes } from '@/core/craft/sheen'
import { topcoatCodes } from '@/core/craft/topcoats'
import { stepEdits } from '@/core/input/stepEdits'
import { colour, touches, where } from '@/core/input/touch'
import { films } from '@/core/measure/film'
import type { PlanId } from '@/core/measure/named'
import { reliefs } from '@/core/measure/surfaceArea'
import { articles } from '@/core/piece/articles'
import { careCodes, type Part, type Photo, type Piece, type Plan, type PlanStep, sources } from '@/core/piece/piece'
import { wholeKind } from './codes'

const id = z.string()
const words = z.string().nullable()
const family = z.enum(codesOf(families))

const counted = z.partialRecord(z.enum(countCodes), z.number())
export const pieceRow = z.object({
  id,
  name: z.string(),
  source: z.enum(codesOf(sources)),
  sourceNote: words,
  client: words,
  promisedOn: words,
  takenInAt: z.string(),
  expected: z.number().nullable(),
  condition: words,
  roomId: words,
  article: z.enum(codesOf(articles)).nullable(),
}) satisfies z.ZodType<Piece>
/** What was counted on a piece, beside its row. */
export const countedRow = z.object({ id, counted })
export const listedPieceRow = pieceRow.extend({ endedAt: z.string().nullable() })

export const partRow = z.object({
  id,
  pieceId: id,
  name: z.string(),
  kind: z.enum([...codesOf(partKinds), wholeKind]),
  count: z.number(),
  substrate: z.enum(codesOf(substrates)),
  existing: z.enum(codesOf(existingFinishes)),
  lead: z.enum(codesOf(leadFindings)),
  use: z.enum(codesOf(uses)),
  bleeds: z.boolean(),
  polish: z.enum(codesOf(polishes)),
  slips: z.boolean(),
  foundColour: words,
  knots: z.number().nullable(),
  takenOutAt: words,
}) satisfies z.ZodType<Omit<Part, 'surfaces' | 'plan' | 'earlier' | 'kind'>>

const face = { partId: id, count: z.number(), relief: z.enum(codesOf(reliefs)) }
const mm = z.number()
export const faceRow = z.discriminatedUnion('shape', [
  z.object({ ...face, shape: z.literal('panel'), width: mm, height: mm }),
  z.object({ ...face, shape: z.literal('squareLeg'), width: mm, length: mm }),
  z.object({ ...face, shape: z.literal('taperedLeg'), top: mm, foot: mm, length: mm }),
  z.object({ ...face, shape: z.literal('roundLeg'), diameter: mm, length: mm }),
  z.object({ ...face, shape: z.literal('turnedLeg'), diameter: mm, length: mm }),
])

/** What stands empty in the table is not said at all. */
const unsaid = <T extends z.ZodType>(type: T) => type.nullable().transform((given) => given ?? undefined)
export const planRow = z.object({
  id,
  partId: id,
  look: z.enum(lookCodes),
  with: z.array(z.enum(lookCodes)),
  paint: family,
  colours: z
    .object({ a: colour.optional(), b: colour.optional() })
    .transform(({ a, b }) => ({ ...(a && { a }), ...(b && { b }) })),
  seal: z.enum(topcoatCodes).nullable(),
  sheen: unsaid(z.enum(sheenCodes)),
  touches: unsaid(touches),
  edits: unsaid(stepEdits),
  departures: z.record(z.string(), z.string()).transform((given) => given as Partial<HouseMethod>),
  care: unsaid(z.enum(careCodes)),
  madeAt: z.string(),
}) satisfies z.ZodType<Omit<Plan, 'steps'>>

const range = z.tuple([z.number(), z.number()])
const stepWindow = z.looseObject({
  clock: z.enum(['evaporation', 'reaction', 'cure']),
  opens: range,
  closes: range.optional(),
})
export const stepRow = z.object({
  id,
  planId: id,
  position: z.number(),
  operation: z.enum(codesOf(operations)),
  family: family.nullable(),
  colour: colour.nullable(),
  mix: words,
  applicator: words,
  grit: words,
  film: z.enum(codesOf(films)),
  sheen: unsaid(z.enum(sheenCodes)),
  minutes: z.number(),
  amount: z.number().nullable(),
  window: stepWindow.nullable().transform((given) => given as PlanStep['window']),
  check: z.enum(checkCodes).nullable(),
  cautions: z.array(z.enum(cautionCodes)),
  reason: z.enum(reasonCodes),
  needed: z.boolean(),
  mends: words,
  touch: unsaid(z.string()),
  rule: unsaid(z.string()),
  where: unsaid(where),
  words: unsaid(z.string()),
  side: unsaid(z.enum(sides)),
  own: unsaid(z.string()),
  changed: z.boolean().transform((given) => given || undefined),
  turns: unsaid(z.number()),
  coat: z.object({ number: z.number(), of: z.number() }).nullable(),
}) satisfies z.ZodType<PlanStep & { planId: PlanId }>

export const photoRow = z.object({
  id,
  pieceId: id,
  moment: z.enum(['before', 'during', 'after']),
  takenAt: z.string(),
  width: z.number(),
  height: z.number(),
  alt: z.string(),
  partId: words,
  stepId: words,
}) satisfies z.ZodType<Photo>
