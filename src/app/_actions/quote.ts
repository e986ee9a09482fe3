'use server'
/** What is offered to a client, what they say at the desk, and what they pay. */
import * as z from 'zod'
import { findPieceView } from '@/app/_server/load'
import { answerAtDesk, basisOf, makeQuote } from '@/app/_server/quoting'
import { refundByService } from '@/app/_server/refunding'
import { Refused, writeOnce } from '@/app/_server/write'
import type { Answer } from '@/core/input/issues'
import {
  answerQuoteInput,
  type AnswerQuoteText,
  paymentInput,
  type PaymentText,
  quoteInput,
  type QuoteText,
  type RefundText,
  strikePaymentInput,
  type StrikePaymentText,
  withdrawQuoteInput,
  type WithdrawQuoteText,
} from '@/core/input/quote'
import { addPayment, strikePayment as strike } from '@/db/payment'
import { withdrawQuote as withdraw } from '@/db/quote'

export async function offerQuote(typed: QuoteText): Promise<Answer> {
  const pieceId = z.object({ pieceId: z.uuid() }).safeParse(typed)
  // who is signed in no more is told so by the write itself
  const view = pieceId.success ? await findPieceView(pieceId.data.pieceId).catch(() => null) : null
  const basis = view ? await basisOf(view).catch(() => null) : null
  return writeOnce(
    'offerQuote',
    quoteInput,
    typed,
    ({ id }) => id,
    (client, studio, entered) => makeQuote(client, studio, entered, { view, basis }),
  )
}

export async function withdrawQuote(typed: WithdrawQuoteText): Promise<Answer> {
  return writeOnce(
    'withdrawQuote',
    withdrawQuoteInput,
    typed,
    ({ entryId }) => entryId,
    async (client, _studio, { quoteId, at }) => {
      if (!(await withdraw(client, quoteId, at))) throw new Refused('offer-over')
    },
  )
}

export async function answerQuote(typed: AnswerQuoteText): Promise<Answer> {
  return writeOnce('answerQuote', answerQuoteInput, typed, ({ id }) => id, answerAtDesk)
}

export async function keepPayment(typed: PaymentText): Promise<Answer> {
  return writeOnce(
    'keepPayment',
    paymentInput,
    typed,
    ({ id }) => id,
    (client, studio, payment) => addPayment(client, studio.id, payment),
  )
}

export async function strikePayment(typed: StrikePaymentText): Promise<Answer> {
  return writeOnce(
    'strikePayment',
    strikePaymentInput,
    typed,
    ({ id }) => id,
    async (client, studio, wrong) => {
      if (!(await strike(client, studio.id, wrong))) throw new Refused('not-found')
    },
  )
}

export const refund = async (typed: RefundText): Promise<Answer> => refundByService(typed)
