/** Money that goes back by the way it came: asked of the service, booked when it says that it went. */
import 'server-only'
import { headers } from 'next/headers'
import type { Answer } from '@/core/input/issues'
import { refundInput, type RefundText } from '@/core/input/quote'
import { askForPayment, findRequest, listPayments, oneDealAtATime, sumRefundsAsked } from '@/db/payment'
import { ownOrigin } from '@/origin'
import { askRefund, hasPaymentService } from './paymentService'
import { readStudio } from './session'
import { Refused, writeOnce } from './write'

/** Under one number it is one wish: sent again, the service is asked again, and gives back once. */
export async function refundByService(typed: RefundText): Promise<Answer> {
  const kept = await writeOnce(
    'refund',
    refundInput,
    typed,
    ({ id }) => id,
    async (client, studio, { id, pieceId, paymentId, amount }) => {
      await oneDealAtATime(client, pieceId)
      const payments = (await listPayments(client, pieceId)).filter(({ way }) => way === 'service')
      const payment = payments.find((each) => each.id === paymentId && each.what !== 'refund')
      if (!payment || !hasPaymentService()) throw new Refused('not-found')
      const came = payments.reduce((sum, each) => sum + (each.what === 'refund' ? 0 : each.amount), 0)
      if (amount > Math.min(payment.amount, came - (await sumRefundsAsked(client, pieceId, id))))
        throw new Refused('not-readable', { amount: 'No more goes back than came.' })
      await askForPayment(client, studio.id, { id, pieceId, what: 'refund', amount, currency: studio.currency })
    },
  )
  if ('issue' in kept) return kept
  const { id, pieceId, paymentId } = typed
  const [request, of] = await readStudio(async (client) => {
    const payment = (await listPayments(client, pieceId)).find((each) => each.id === paymentId)
    return [await findRequest(client, id), payment?.mark ?? null] as const
  })
  if (!request || of === null || request.isPaid) return kept
  const { amount, currency } = request
  const isTaken = await askRefund({ id, of, amount, currency, notice: `${ownOrigin(await headers())}/api/payments` })
  return isTaken ? kept : { issue: 'service-silent' }
}
