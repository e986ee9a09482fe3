/** What is typed of an offer to a client, what is said to it, and what was paid. An offer that was kept is read by its own shape. */
import * as z from 'zod'
import { layerKinds } from '@/core/craft/operations'
import { codesOf } from '@/core/craft/parts'
import { sheenCodes } from '@/core/craft/sheen'
import { topcoatCodes } from '@/core/craft/topcoats'
import { type Accepted, type Offer, paymentKinds, quoteKinds } from '@/core/price/offer'
import {
  day,
  type House,
  id,
  instant,
  moneyAboveNothing,
  optionalDay,
  optionalWords,
  shareOfPercent,
  signedMoney,
  words,
} from './fields'

export const payWays = { cash: 'In cash', transfer: 'By transfer', card: 'By card, at the counter' } as const
export type PayWay = keyof typeof payWays

const mostLines = 60
const section = z.object({
  part: z.string().max(120),
  wood: z.boolean(),
  layers: z
    .array(
      z.object({
        kind: z.enum([...layerKinds, 'oldPaint', 'oldClear']),
        tone: z.string().max(20),
        count: z.number().int().min(1).max(99),
      }),
    )
    .max(80),
})
/** How the plan makes a way, where it was the plan that offered it. */
const plans = z.object({ partId: id, seal: z.enum(topcoatCodes).optional(), sheen: z.enum(sheenCodes).optional() })
/** An offer as it is typed: its lines, what may be chosen, what else is said. */
export const quoteInput = (house: House) =>
  z
    .object({
      id,
      pieceId: id,
      kind: z.enum(quoteKinds),
      lines: z
        .array(
          z.object({
            id,
            partId: z.union([id, z.literal('')]).transform((part) => part || null),
            words: words('what it is for', 120),
            detail: optionalWords(200),
            money: signedMoney(house),
          }),
        )
        .min(1, 'An offer has a line at least.')
        .max(mostLines, `At most ${mostLines} lines.`),
      options: z
        .array(
          z.object({
            id,
            words: words('what is to be chosen', 120),
            choices: z
              .array(z.object({ id, words: words('what this way is', 160), extra: signedMoney(house), plans: plans.optional() }))
              .min(2, 'A choice has two ways at least.')
              .max(6, 'At most six ways.'),
          }),
        )
        .max(12, 'At most twelve choices.'),
      excluded: optionalWords(1_000),
      words: optionalWords(1_000),
      deposit: shareOfPercent('a share, in percent'),
      validUntil: day,
      /** empty: no day is told */
      readyOn: optionalDay,
    })
    .refine(({ lines, kind }) => kind === 'change' || lines.reduce((sum, { money }) => sum + money, 0) >= 0, {
      message: 'An offer asks for something: its lines come to less than nothing.',
      path: ['lines'],
    })
export type QuoteText = z.input<ReturnType<typeof quoteInput>>

const minor = z.number().int().min(-1e12).max(1e12)
/** An offer as it was kept. */
export const offerShape: z.ZodType<Offer> = z.object({
  piece: z.string(),
  currency: z.string(),
  lines: z.array(
    z.object({ id: z.string(), partId: z.string().nullable(), words: z.string(), detail: z.string().nullable(), money: minor }),
  ),
  options: z.array(
    z.object({
      id: z.string(),
      words: z.string(),
      choices: z.array(z.object({ id: z.string(), words: z.string(), extra: minor, plans: plans.optional() })),
    }),
  ),
  excluded: z.string().nullable(),
  words: z.string().nullable(),
  depositShare: z.number(),
  validUntil: z.string(),
  ready: z.object({ is: z.enum(['promised', 'earliest']), day: z.string() }).nullable(),
  taxShare: z.number().nullable(),
  sections: z.array(section),
})
export const acceptedShape: z.ZodType<Accepted> = z.object({
  offer: offerShape,
  chosen: z.record(z.string(), z.string()),
  total: minor,
  deposit: minor,
  at: z.string(),
})

const chosen = z.record(id, id).refine((all) => Object.keys(all).length <= 12, 'That is more than can be chosen.')
/** On the client's page. `digest`: of what they saw, so that nothing else is accepted. */
export const clientAnswerToQuote = z.object({
  id,
  quoteId: id,
  digest: z.string().regex(/^[0-9a-f]{64}$/),
  answer: z.enum(['accepted', 'declined']),
  name: words('your name', 120),
  chosen,
})
export type ClientAnswerToQuote = z.input<typeof clientAnswerToQuote>
/** At the desk: what the client said there, or why it goes on without. */
export const answerQuoteInput = z.object({
  id,
  quoteId: id,
  pieceId: id,
  answer: z.enum(['accepted', 'declined', 'overridden']),
  reason: words('how you know, or why it goes on without an answer', 500),
  chosen,
})
export type AnswerQuoteText = z.input<typeof answerQuoteInput>
export const withdrawQuoteInput = z.object({ entryId: id, quoteId: id, at: instant })
export type WithdrawQuoteText = z.input<typeof withdrawQuoteInput>

export const paymentInput = (house: House) =>
  z.object({
    id,
    pieceId: id,
    at: instant,
    what: z.enum(codesOf(paymentKinds)),
    way: z.enum(codesOf(payWays)),
    amount: moneyAboveNothing(house),
    note: optionalWords(200),
  })
export type PaymentText = z.input<ReturnType<typeof paymentInput>>
export const strikePaymentInput = z.object({ id, pieceId: id, paymentId: id, at: instant })
export type StrikePaymentText = z.input<typeof strikePaymentInput>
/** On the client's page. */
export const payInput = z.object({ id, what: z.enum(['deposit', 'balance']) })
/** Back by the same way as it came. */
export const refundInput = (house: House) =>
  z.object({
    id,
    pieceId: id,
    paymentId: id,
    amount: moneyAboveNothing(house),
  })
export type RefundText = z.input<ReturnType<typeof refundInput>>
