/** A colour, and a layer of a finish, as they are typed, stored and sent. The value of a shade is reckoned from its parts. */
import * as z from 'zod'
import { familyCodes } from '@/core/craft/families'
import { operations } from '@/core/craft/operations'
import { codesOf } from '@/core/craft/parts'
import { type Pattern, runs } from '@/core/craft/pattern'
import { reasonCodes } from '@/core/craft/recipe'
import { sheenCodes } from '@/core/craft/sheen'
import { type Colour, shadeOf } from '@/core/finish/shade'
import { ground, places, type Touch } from '@/core/finish/touch'
import { films } from '@/core/measure/film'
import { colourHex, words } from './fields'

const plain = { name: words('the colour’s name', 60), hex: colourHex }
/** As it is on the tin, or mixed by parts; the parts then say what it looks like. */
export const colour = z
  .object({
    ...plain,
    parts: z
      .array(z.object({ ...plain, parts: z.number().gt(0, 'A part is more than nothing.').max(1000) }))
      .min(1, 'Say what the shade is mixed of.')
      .max(8, 'Keep a shade to eight colours.')
      .readonly()
      .optional(),
  })
  .transform(({ parts, ...own }): Colour => (parts ? { ...own, hex: shadeOf(parts), parts } : own))

const mm = z.number().gt(0, 'A length above nothing.').max(10_000, 'At most ten metres.')
const pattern = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('stripes'),
    count: z.int().min(1, 'One stripe at least.').max(99, 'Keep it under a hundred.'),
    width: mm,
    gap: mm,
    run: z.enum(runs),
    from: z.enum(['middle', 'edge']),
  }),
  z.object({
    kind: z.literal('stencil'),
    across: z.int().min(1, 'One at least.').max(99, 'Keep it under a hundred.'),
    down: z.int().min(1, 'One at least.').max(99, 'Keep it under a hundred.'),
    width: mm,
    height: mm,
    gap: mm,
  }),
]) satisfies z.ZodType<Pattern>

export const where = z.object({
  places: z.array(z.enum(places)).min(1, 'Say where it goes.').readonly().optional(),
  share: z.number().gt(0, 'A layer covers more than nothing.').max(1, 'A layer covers the whole at most.').optional(),
  words: words('where it goes', 80).optional(),
  pattern: pattern.optional(),
})

const short = (what: string) => words(what, 120).optional()
const touchId = z.string().min(1).max(60)
const touch = z.object({
  id: touchId,
  operation: z.enum(codesOf(operations)),
  family: z.enum(familyCodes).optional(),
  colour: colour.optional(),
  mix: short('what it is mixed of'),
  where: where.optional(),
  film: z.enum(codesOf(films)).optional(),
  sheen: z.enum(sheenCodes).optional(),
  applicator: short('what it is laid on with'),
  grit: short('the grit'),
  repeat: z
    .union([z.int().min(1, 'Once at least.').max(9, 'Nine times at most.'), z.enum(['as-it-covers', 'by-use'])])
    .optional(),
  first: z.object({ mix: words('the first mix', 120).optional(), film: z.enum(codesOf(films)).optional() }).optional(),
  between: z.object({ grit: words('the grit', 40), reason: z.enum(reasonCodes) }).optional(),
  keepApart: z.boolean().optional(),
  wearTo: touchId.optional(),
  chips: z.boolean().optional(),
  optional: z.boolean().optional(),
  reason: z.enum(reasonCodes).optional(),
  by: z.enum(['look', 'painter']).default('painter'),
}) satisfies z.ZodType<Touch>

/** The layers of a finish, bottom up: one at least; each named once, and worn only to one that is there. */
export const touches = z
  .array(touch)
  .min(1, 'A finish has one layer at least.')
  .max(40, 'Keep a finish to forty layers.')
  .superRefine((list, context) => {
    const ids = list.map(({ id }) => id)
    list.forEach(({ id, wearTo }, k) => {
      if (ids.indexOf(id) !== k) context.addIssue({ code: 'custom', path: [k, 'id'], message: 'Two layers have the same name.' })
      if (wearTo !== undefined && wearTo !== ground && !ids.slice(0, k).includes(wearTo))
        context.addIssue({ code: 'custom', path: [k, 'wearTo'], message: 'It is worn to a layer that lies below it.' })
    })
  })
