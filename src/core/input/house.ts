/** What may be entered about the house and its shelf. */
import { z } from 'zod'
import { familyCodes, type FamilyCode } from '../finish/families'
import { colourHex, figure, id, money, neededMoney, optionalWords, share, words, type House } from './fields'

const zone = z.string().refine((name) => {
  try {
    return Boolean(new Intl.DateTimeFormat('en', { timeZone: name }))
  } catch {
    return false
  }
}, 'Choose a time zone from the list.')

export const studioInput = (house: House) =>
  z
    .object({
      name: words('the studio’s name', 120),
      currency: z
        .string()
        .trim()
        .toUpperCase()
        .refine((code) => Intl.supportedValuesOf('currency').includes(code), 'Three letters of a currency, like GBP.'),
      zone,
      units: z.enum(['metric', 'imperial']),
      hourRate: neededMoney(house),
      overheadRate: money(house),
      taxMode: z.enum(['none', 'inclusive', 'margin']),
      taxPercent: share('the tax in per cent'),
      wishKind: z.enum(['profit', 'margin', 'earnedRate']),
      wishValue: z.string(),
      hagglePercent: share('the room to haggle in per cent'),
      priceStep: neededMoney(house).refine((minor) => minor > 0, 'At least the smallest coin.'),
    })
    .transform((typed, context) => {
      const parsed =
        typed.wishKind === 'margin'
          ? share('the margin in per cent').safeParse(typed.wishValue)
          : neededMoney(house).safeParse(typed.wishValue)
      if (parsed.success) return { ...typed, wishValue: parsed.data }
      context.addIssue({ code: 'custom', path: ['wishValue'], message: parsed.error.issues[0]?.message ?? 'Write a figure.' })
      return z.NEVER
    })
export type StudioText = z.input<ReturnType<typeof studioInput>>

export const channelInput = (house: House) =>
  z.object({ id, name: words('where you sell', 80), feePercent: share('its share in per cent'), feeFixed: money(house) })
export type ChannelText = z.input<ReturnType<typeof channelInput>>

export const productInput = (house: House) =>
  z.object({
    id,
    name: words('what stands on the tin', 120),
    family: z.enum(familyCodes as [FamilyCode, ...FamilyCode[]]),
    colourName: optionalWords(60),
    colourHex: z.union([z.literal('').transform(() => null), colourHex]),
    size: figure('the size of the tin', 1, 100_000),
    price: neededMoney(house),
  })
export type ProductText = z.input<ReturnType<typeof productInput>>
