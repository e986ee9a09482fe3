/** What may be entered about how a house makes its prices, and how it is kept. */
import * as z from 'zod'
import { codesOf } from '@/core/craft/parts'
import { parseArea } from '@/core/measure/length'
import { articles } from '@/core/piece/articles'
import { overheadRules, type Pricing } from '@/core/price/pricing'
import { figure, type House, money, neededMoney, optionalWords, shareOfPercent } from './fields'

const article = z.enum(codesOf(articles))
const rate = z.object({ article, upToM2: z.number().positive().nullable(), price: z.number().int().nonnegative() })
/** As it is kept with the studio. */
export const pricingKept = z.object({
  markup: z.number().nonnegative(),
  overheadPer: z.enum(codesOf(overheadRules)),
  overheadDay: z.number().int().nonnegative(),
  overheadShare: z.number().nonnegative(),
  ladderWeeks: z.number().int().positive(),
  ladderShare: z.number().nonnegative(),
  rates: z.array(rate),
  letterhead: z.string().default(''),
}) satisfies z.ZodType<Pricing>

const mostRates = 60
const weeks = z
  .string()
  .refine((text) => /^\s*\d{1,2}\s*$/.test(text) && Number(text) >= 1 && Number(text) <= 52, 'Whole weeks, 1 to 52.')
  .transform(Number)

export const pricingInput = (house: House) =>
  z.object({
    markup: figure('what goes on top in per cent', 0, 500).transform((percent) => Math.round(percent * 1000) / 100_000),
    overheadPer: z.enum(codesOf(overheadRules)),
    overheadDay: money(house),
    overheadShare: shareOfPercent('the share in per cent'),
    ladderWeeks: weeks,
    ladderShare: shareOfPercent('what comes off in per cent'),
    letterhead: optionalWords(400)
      .transform((text) => text ?? '')
      .default(''),
    rates: z
      .array(
        z.object({ article, upToM2: z.string(), price: neededMoney(house) }).transform(({ upToM2, ...line }, context) => {
          if (upToM2.trim() === '') return { ...line, upToM2: null }
          const size = parseArea(upToM2, house)
          if (size !== null) return { ...line, upToM2: size }
          context.addIssue({ code: 'custom', path: ['upToM2'], message: 'An area, like 2.5; or leave it empty for any size.' })
          return z.NEVER
        }),
      )
      .max(mostRates, `A rate card has at most ${mostRates} lines.`),
  })
export type PricingText = z.input<ReturnType<typeof pricingInput>>
