/** An invoice for a piece that was sold, and credit notes that take of it back. */
import 'server-only'
import * as z from 'zod'
import type { Studio } from '@/core/house/studio'
import type { Answer } from '@/core/input/issues'
import { creditInput, invoiceInput } from '@/core/input/receipt'
import { dayOf } from '@/core/measure/time'
import type { Journey } from '@/core/piece/journey'
import { spentByKind, taxFor } from '@/core/piece/ledger'
import { creditFor, invoiceFor, type NewReceipt } from '@/core/price/receipt'
import type { Client } from '@/db/pool'
import { addReceipt, listReceipts } from '@/db/receipt'
import { readDeal } from './clientDeal'
import { findPieceView } from './load'
import { Refused, writeOnce } from './write'

/** What it was sold or handed over for; null where it was not. */
export const soldFor = ({ ending }: Journey): number | null => (ending && 'money' in ending.entry ? ending.entry.money : null)

const taxOn = (journey: Journey, studio: Studio) => taxFor(studio, spentByKind(journey).get('bought') ?? 0)
/** Its piece as it stands; who is signed in no more is told so by the write itself. */
async function viewOf(typed: unknown) {
  const asked = z.object({ pieceId: z.uuid() }).safeParse(typed)
  return asked.success ? findPieceView(asked.data.pieceId).catch(() => null) : null
}

async function billOf(client: Client, studio: Studio, journey: Journey): Promise<NewReceipt | null> {
  const { piece } = journey.file
  const price = soldFor(journey)
  if (price === null || price <= 0) return null
  const { quotes, agreed } = await readDeal(client, piece.id, studio.zone)
  return invoiceFor({
    ...{ studio: studio.name, letterhead: studio.pricing?.letterhead ?? '', client: piece.client, piece: piece.name },
    ...{ currency: studio.currency, day: dayOf(new Date().toISOString(), studio.zone), price },
    tax: taxOn(journey, studio),
    agreed: quotes,
    paid: agreed.total === null ? null : agreed.paid,
  })
}

/** Made of what the log and the agreement say just now; once for a piece, until all of it was taken back. */
export async function makeInvoice(typed: unknown): Promise<Answer> {
  const view = await viewOf(typed)
  return writeOnce(
    'invoice',
    invoiceInput,
    typed,
    ({ id }) => id,
    async (client, studio, { id, pieceId }) => {
      const bill = view && (await billOf(client, studio, view.journey))
      if (!bill) throw new Refused('not-found')
      await addReceipt(client, studio.id, { id, pieceId, kind: 'invoice', credits: null, ...bill })
    },
  )
}

export async function makeCredit(typed: unknown): Promise<Answer> {
  const view = await viewOf(typed)
  return writeOnce(
    'credit note',
    creditInput,
    typed,
    ({ id }) => id,
    async (client, studio, { id, pieceId, invoiceId, amount, reason }) => {
      const all = await listReceipts(client, pieceId)
      const invoice = all.find((each) => each.id === invoiceId && each.kind === 'invoice')
      if (!invoice || !view) throw new Refused('not-found')
      const day = dayOf(new Date().toISOString(), studio.zone)
      const note = creditFor(invoice, all, { amount, reason, day, tax: taxOn(view.journey, studio) })
      if (!note) throw new Refused('over-invoice')
      await addReceipt(client, studio.id, { id, pieceId, kind: 'credit', credits: invoiceId, ...note })
    },
  )
}
