/** What may be entered about a piece: intake, its parts and measurements, its facts later, its ending. */
import * as z from 'zod'
import { assessTests, signs } from '@/core/assess/tests'
import { paintCodes } from '@/core/craft/families'
import { leadFindings } from '@/core/craft/lead'
import { lookCodes } from '@/core/craft/looks'
import { type HouseMethod, schoolCodes, schools } from '@/core/craft/method'
import { checkCodes } from '@/core/craft/operations'
import { codesOf, existingFinishes, partKinds, polishes, substrates, uses } from '@/core/craft/parts'
import { remedyCodes } from '@/core/craft/remedies'
import { sheenCodes } from '@/core/craft/sheen'
import { topcoatCodes } from '@/core/craft/topcoats'
import { outcomes, severities } from '@/core/log/entry'
import { articles } from '@/core/piece/articles'
import { concernCodes } from '@/core/piece/leaving'
import { sources } from '@/core/piece/piece'
import {
  colourHex,
  day,
  type House,
  id,
  instant,
  money,
  neededMoney,
  optionalDay,
  optionalMoney,
  optionalWords,
  words,
} from './fields'
import { counted } from './job'
import { sentEdits } from './stepEdits'
import { surface, wholeCount } from './surface'
import { colour, touches } from './touch'

export const partInput = (house: House) =>
  z.object({
    id,
    name: words('what this part is called', 80),
    kind: z.enum(codesOf(partKinds)),
    count: wholeCount('how many', 99),
    substrate: z.enum(codesOf(substrates)),
    existing: z.enum(codesOf(existingFinishes)),
    lead: z.enum(codesOf(leadFindings)),
    use: z.enum(codesOf(uses)),
    bleeds: z.boolean(),
    polish: z.enum(codesOf(polishes)).default('unknown'),
    slips: z.boolean().default(false),
    foundColour: z.union([z.literal('').transform(() => null), colourHex]).default(null),
    knots: z.string().transform((text) => (/^\d{1,3}$/.test(text.trim()) ? Number(text) : null)),
    surfaces: z.array(surface(house)).min(1, 'Measure at least one surface.').max(40),
  })

const facts = (house: House) => ({
  name: words('what the piece is', 120),
  source: z.enum(codesOf(sources)),
  sourceNote: optionalWords(500),
  client: optionalWords(120),
  promisedOn: optionalDay,
  expected: optionalMoney(house),
  condition: optionalWords(2000),
  roomId: z
    .union([id, z.literal('')])
    .optional()
    .transform((room) => room || null),
  article: z
    .enum(['', ...codesOf(articles)])
    .optional()
    .transform((article) => article || null),
})

export const intakeInput = (house: House) =>
  z.object({
    id,
    boughtEntryId: id,
    fetchingEntryId: id,
    takenInOn: day,
    bought: money(house),
    fetching: money(house),
    ...facts(house),
    parts: z.array(partInput(house)).min(1, 'A piece has at least one part.').max(30),
    /** for the work around its paint; nothing counted, nothing planned */
    counted: counted.default({}),
  })
export type IntakeText = z.input<ReturnType<typeof intakeInput>>

export const amendInput = (house: House) => z.object({ pieceId: id, entryId: id, ...facts(house) })
export type AmendText = z.input<ReturnType<typeof amendInput>>

export const addPartInput = (house: House) => z.object({ pieceId: id, part: partInput(house) })
export type AddPartText = z.input<ReturnType<typeof addPartInput>>

/** What is known of a part and what it measures, put right. */
export const changePartInput = (house: House) => z.object({ entryId: id, pieceId: id, at: instant, part: partInput(house) })
export type ChangePartText = z.input<ReturnType<typeof changePartInput>>

/** A part taken out of its piece, or put back; its log stays. */
export const takeOutInput = z.object({
  entryId: id,
  pieceId: id,
  partId: id,
  at: instant,
  back: z.boolean(),
  note: optionalWords(500),
})
export type TakeOutText = z.input<typeof takeOutInput>

/** Some of a set leave as a piece of their own: how many of which part. */
export const splitInput = z.object({
  pieceId: id,
  newPieceId: id,
  at: instant,
  name: words('what leaves is called', 120),
  leaving: z.array(z.object({ partId: id, count: wholeCount('how many leave', 99, 0) })).max(30),
})
export type SplitText = z.input<typeof splitInput>

/** Where a house stands among the schools. */
export const methodInput = z.object(
  Object.fromEntries(schoolCodes.map((code) => [code, z.enum(codesOf<string>(schools[code]))])),
) as unknown as z.ZodObject<{ [K in keyof HouseMethod]: z.ZodType<HouseMethod[K], HouseMethod[K]> }>
export type MethodText = HouseMethod

export const planInput = z.object({
  planId: id,
  partId: id,
  pieceId: id,
  /** one for each step, so that sending twice stores once */
  stepIds: z.array(id).max(200),
  at: instant,
  look: z.enum(lookCodes),
  with: z.array(z.enum(lookCodes)).max(4),
  seal: z.enum(['', ...topcoatCodes]).transform((seal) => (seal === '' ? null : seal)),
  sheen: z.enum(sheenCodes).optional(),
  departures: methodInput.partial(),
  paint: z.enum(paintCodes),
  colours: z.object({ a: colour, b: colour.optional() }),
  touches: touches.optional(),
  /** what was done to the steps by hand */
  edits: sentEdits,
})
export type PlanText = z.input<typeof planInput>

/** What is not done, and is known to whoever lets it go. */
const despite = z.array(z.enum(concernCodes)).max(concernCodes.length).default([])

export const listingInput = (house: House) =>
  z.object({ entryId: id, pieceId: id, channelId: id, price: neededMoney(house), on: day, note: optionalWords(500), despite })
export type ListingText = z.input<ReturnType<typeof listingInput>>

export const endingInput = (house: House) =>
  z
    .object({
      entryId: id,
      pieceId: id,
      outcome: z.enum(codesOf(outcomes)),
      channelId: z.union([id, z.literal('').transform(() => null)]),
      price: optionalMoney(house),
      fees: money(house),
      on: day,
      note: optionalWords(500),
      despite,
    })
    .superRefine((ending, context) => {
      const paid = ending.outcome === 'sold' || ending.outcome === 'handed-over'
      if (paid && ending.price === null)
        context.addIssue({ code: 'custom', path: ['price'], message: 'Write what was paid, like 240.' })
      if (ending.outcome === 'sold' && ending.channelId === null)
        context.addIssue({ code: 'custom', path: ['channelId'], message: 'Choose where it was sold.' })
      if (paid && ending.price !== null && ending.fees > ending.price)
        context.addIssue({ code: 'custom', path: ['fees'], message: 'Fees above the price: check both.' })
    })
export type EndingText = z.input<ReturnType<typeof endingInput>>

/** A result of each test that was made, or `unknown`. */
const results = <C extends string>(table: Record<C, { results: Record<string, string> }>) =>
  z.partialRecord(z.enum(codesOf(table)), z.string()).superRefine((seen, context) => {
    for (const [code, result] of Object.entries(seen) as [C, string][])
      if (result !== 'unknown' && !(result in table[code].results))
        context.addIssue({ code: 'custom', path: [code], message: 'This test can’t show that. Choose what was seen.' })
  })

/** What the tests on a part showed, and what follows for the part. */
export const findingInput = z.object({
  entryId: id,
  pieceId: id,
  partId: id,
  at: instant,
  tests: results(assessTests),
  signs: results(signs),
  /** the finish taken as found, where the painter knows better than the tests */
  existing: z.enum(['', ...codesOf(existingFinishes)]).transform((code) => (code === '' ? null : code)),
})
export type FindingText = z.input<typeof findingInput>

/** Something wrong with a part: what, where, how bad; where a check found it, the check. Without a remedy it is a note. */
const snagFields = z
  .object({
    planId: id,
    entryId: id,
    pieceId: id,
    partId: id,
    personId: z
      .union([id, z.literal('')])
      .optional()
      .transform((person) => person || null),
    stepIds: z.array(id).max(120),
    at: instant,
    remedy: z.enum(['', ...remedyCodes], 'Choose what went wrong.').transform((code) => (code === '' ? null : code)),
    severity: z.enum(codesOf(severities)),
    spot: z.int().min(0).max(8).nullable(),
    mark: z
      .object({ photoId: id, x: z.number().min(0).max(1), y: z.number().min(0).max(1) })
      .nullish()
      .transform((mark) => mark ?? null),
    failed: z.object({ entryId: id, stepId: id, checkCode: z.enum(checkCodes) }).nullable(),
    note: optionalWords(2000),
  })
  .refine(({ remedy, note }) => remedy !== null || note !== null, {
    path: ['remedy'],
    message: 'Choose what is wrong, or write it down.',
  })
/** What an older page of this app still holds on a device says `repair` where now is said `remedy`. */
export const mendInput = z.preprocess(
  (typed) => (typeof typed === 'object' && typed !== null && 'repair' in typed ? { remedy: typed.repair, ...typed } : typed),
  snagFields,
)
export type MendText = z.input<typeof snagFields>

/** A finish as a house keeps it. */
export const recipeWish = z.object({
  look: z.enum(lookCodes),
  with: z.array(z.enum(lookCodes)).max(4).default([]),
  paint: z.enum(paintCodes),
  colours: z.object({ a: colour, b: colour.optional() }).transform(({ a, b }) => ({ a, ...(b && { b }) })),
  seal: z.enum(topcoatCodes).optional(),
  sheen: z.enum(sheenCodes).optional(),
  touches: touches.optional(),
  departures: methodInput.partial().default({}),
})

/** A wish to be kept by the house under a name. */
export const recipeInput = z.object({
  id,
  at: instant,
  name: words('what this finish is called', 80),
  wish: recipeWish,
})
export type RecipeText = z.input<typeof recipeInput>
