/** What may be entered about the house and its shelf. */
import * as z from 'zod'
import { type ConsumableCode, consumableCodes } from '@/core/craft/consumables'
import { families, unitOf } from '@/core/craft/families'
import { codesOf } from '@/core/craft/parts'
import { sheenCodes } from '@/core/craft/sheen'
import type { AmountUnit } from '@/core/measure/amount'
import { locales } from '@/core/measure/number'
import { unitSystems } from '@/core/measure/units'
import { stretchOf } from '@/core/measure/workingHours'
import {
  amountHint,
  colourHex,
  type House,
  id,
  instant,
  money,
  neededMoney,
  optionalWords,
  readAmount,
  shareOfPercent,
  words,
} from './fields'

const zone = z.string().refine((name) => {
  try {
    return Boolean(new Intl.DateTimeFormat('en', { timeZone: name }))
  } catch {
    return false
  }
}, 'Choose a time zone from the list.')

/** minutes */
export const shortestDay = 30
export const tooShortADay = 'The day ends at least half an hour after it begins; a night is no longer than 14 hours.'
/** "17:30" as minutes of the day; midnight ends a day as well as beginning one. */
export const minuteOfDayText = z
  .string()
  .regex(/^([01]\d|2[0-4]):[0-5]\d$/, 'Write a time like 09:00.')
  .transform((text) => Number(text.slice(0, 2)) * 60 + Number(text.slice(3)))
  .refine((minutes) => minutes <= 1440, 'Write a time like 09:00.')

/** Two times as they are typed, as one stretch; null where they can't be read, or are shorter than `shortest`. */
export function stretchTyped(from: string, to: string, shortest = shortestDay): ReturnType<typeof stretchOf> {
  const [begins, ends] = [minuteOfDayText.safeParse(from), minuteOfDayText.safeParse(to)]
  return begins.success && ends.success ? stretchOf(begins.data, ends.data, shortest) : null
}

/** Days of the week, 0 for Sunday, as a form names them. */
export const workedDays = z
  .array(z.enum(['0', '1', '2', '3', '4', '5', '6']).transform(Number))
  .min(1, 'Choose at least one day.')
  .transform((days) => [...new Set(days)].sort((a, b) => a - b))

export const studioInput = z
  .object({
    name: words('the studio’s name', 120),
    currency: z
      .string()
      .trim()
      .toUpperCase()
      .refine((code) => Intl.supportedValuesOf('currency').includes(code), 'Three letters of a currency, like GBP.'),
    zone,
    locale: z.enum(locales),
    units: z.enum(unitSystems),
    hourRate: z.string(),
    overheadRate: z.string(),
    taxMode: z.enum(['none', 'inclusive', 'margin']),
    taxShare: shareOfPercent('the tax in per cent'),
    wishKind: z.enum(['profit', 'margin', 'earnedRate']),
    wishValue: z.string(),
    haggleShare: shareOfPercent('the room to haggle in per cent'),
    priceStep: z.string(),
    worksFrom: minuteOfDayText,
    worksTo: minuteOfDayText,
    worksDays: workedDays,
  })
  .transform((typed, context) => {
    const hours = stretchOf(typed.worksFrom, typed.worksTo, shortestDay)
    if (!hours) context.addIssue({ code: 'custom', path: ['worksTo'], message: tooShortADay })
    // amounts are in the currency that is chosen beside them, written as it is chosen beside them
    const chosen = { currency: typed.currency, locale: typed.locale }
    const read = <T>(path: keyof typeof typed, schema: z.ZodType<T, string>): T => {
      const parsed = schema.safeParse(typed[path])
      if (parsed.success) return parsed.data
      context.addIssue({ code: 'custom', path: [path], message: parsed.error.issues[0]?.message ?? 'Write a figure.' })
      return z.NEVER
    }
    return {
      ...typed,
      worksTo: hours?.to ?? typed.worksTo,
      hourRate: read('hourRate', neededMoney(chosen)),
      overheadRate: read('overheadRate', money(chosen)),
      priceStep: read(
        'priceStep',
        neededMoney(chosen).refine((minor) => minor > 0, 'At least the smallest coin.'),
      ),
      wishValue: read('wishValue', typed.wishKind === 'margin' ? shareOfPercent('the margin in per cent') : neededMoney(chosen)),
    }
  })
export type StudioText = z.input<typeof studioInput>

export const channelInput = (house: House) =>
  z.object({
    id,
    name: words('where you sell', 80),
    feeShare: shareOfPercent('its share in per cent'),
    feeFixed: money(house),
    rent: money(house).default(0),
  })
export type ChannelText = z.input<ReturnType<typeof channelInput>>

/** The size of a tin, as it stands on it. */
function withSize<Typed extends { size: string }>(typed: Typed, unit: AmountUnit, house: House, context: z.RefinementCtx) {
  const size = readAmount(typed.size, unit, house, 1)
  if (size !== null) return { ...typed, size }
  context.addIssue({ code: 'custom', path: ['size'], message: amountHint(unit, house) })
  return z.NEVER
}

/** What stands on a tin: of which family, of which colour where it has one. */
export const tinFields = {
  name: words('what stands on the tin', 120),
  family: z.enum(codesOf(families)),
  colourName: optionalWords(60),
  colourHex: z.union([z.literal('').transform(() => null), colourHex]),
  sheen: z
    .enum(['', ...sheenCodes])
    .default('')
    .transform((sheen) => (sheen === '' ? null : sheen)),
}
export const productInput = (house: House) =>
  z
    .object({
      id,
      ...tinFields,
      size: z.string(),
      price: neededMoney(house),
      /** its first tin */
      lotId: id,
      code: optionalWords(60),
      at: instant,
    })
    .transform((typed, context) => withSize(typed, unitOf(typed.family), house, context))
export type ProductText = z.input<ReturnType<typeof productInput>>

/** Another tin of what is on the shelf already. */
export const lotInput = (house: House) =>
  z
    .object({
      id,
      productId: id,
      code: optionalWords(60),
      /** what the product is measured in */
      unit: z.enum(['ml', 'g']),
      size: z.string(),
      price: neededMoney(house),
      at: instant,
    })
    .transform((typed, context) => withSize(typed, typed.unit, house, context))
export type LotText = z.input<ReturnType<typeof lotInput>>
/** What lies in a basket of one product: all its tins at once. Without `productId` it is a product of its own, by the number of the purchase. */
export const purchaseInput = (house: House) =>
  z
    .object({
      entryId: id,
      at: instant,
      productId: z.union([id, z.literal('')]).transform((known) => known || null),
      ...tinFields,
      tins: z
        .array(z.object({ id, size: z.string(), price: neededMoney(house) }))
        .min(1)
        .max(60),
    })
    .transform((typed, context) => ({
      ...typed,
      tins: typed.tins.map((tin) => withSize(tin, unitOf(typed.family), house, context)),
    }))
/** What is left of a mix. `keep`: as a tin of its own; else it is thrown away. */
export const restInput = (house: House) =>
  z
    .object({
      entryId: id,
      pieceId: id,
      at: instant,
      batchId: id,
      family: z.enum(codesOf(families)),
      keep: z.boolean(),
      /** of the tin that it becomes */
      productId: id,
      lotId: id,
      name: words('what it shall be called', 60),
      colourHex: z.union([z.literal('').transform(() => null), colourHex]),
      amount: z.string(),
    })
    .transform((typed, context) => {
      const unit = unitOf(typed.family)
      const amount = readAmount(typed.amount, unit, house, 1)
      if (amount !== null) return { ...typed, amount }
      context.addIssue({ code: 'custom', path: ['amount'], message: amountHint(unit, house) })
      return z.NEVER
    })
export type RestText = z.input<ReturnType<typeof restInput>>
/** What small things cost, each as it is typed; what is left empty costs nothing here. */
export const consumablesInput = (house: House) =>
  z.object(
    Object.fromEntries(consumableCodes.map((code) => [code, money(house)])) as Record<ConsumableCode, ReturnType<typeof money>>,
  )
export type ConsumablesText = z.input<ReturnType<typeof consumablesInput>>
/** `back`: it was taken off by mistake */
export const emptyLotInput = z.object({ id, at: instant, back: z.boolean() })
export type EmptyLotText = z.input<typeof emptyLotInput>

export const roomInput = z.object({
  id,
  name: words('what the room is called', 80),
  /** the sensor's own name for it */
  sensor: optionalWords(80),
})
export type RoomText = z.input<typeof roomInput>

/** A drying figure taken up, or the label's taken up again. */
export const dryingInput = z.object({
  id,
  family: z.enum(codesOf(families)),
  at: instant,
  back: z.boolean(),
})
export type DryingText = z.input<typeof dryingInput>

/** A private address made on the device; only its digest is kept. */
export const calendarInput = z.object({ id, at: instant, token: z.string().regex(/^[0-9a-f]{48}$/, 'Make the address again.') })
export type CalendarText = z.input<typeof calendarInput>
export const revokeInput = z.object({ id, at: instant })
export type RevokeText = z.input<typeof revokeInput>
