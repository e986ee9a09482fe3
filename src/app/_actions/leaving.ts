'use server'
/** Listing a piece, and letting it go: what is not done about it is asked for first. */
import { momentOf } from '@/app/_server/moment'
import { makeCredit as credit, makeInvoice as bill } from '@/app/_server/receipts'
import { store } from '@/app/_server/store'
import { Refused, writeOnce } from '@/app/_server/write'
import type { Answer, IssueCode } from '@/core/input/issues'
import { endingInput, type EndingText, listingInput, type ListingText } from '@/core/input/piece'
import type { CreditText, InvoiceText } from '@/core/input/receipt'
import type { PieceId } from '@/core/measure/named'
import { readPiece } from '@/core/piece/journey'
import { type ConcernCode, concernsOf } from '@/core/piece/leaving'
import type { NewEntry } from '@/db/entry'
import { findPieceFile } from '@/db/piece'
import { takePieceInHand } from '@/db/pieceWrite'
import type { Client } from '@/db/pool'

/** Refuses where the piece has left, or where something is not done that whoever lets it go has not said to know. */
async function mayLeave(client: Client, pieceId: PieceId, despite: readonly ConcernCode[] | 'all'): Promise<void> {
  const refuse = (issue: IssueCode): never => {
    throw new Refused(issue)
  }
  // three who sell it at one moment come one after the other
  if (!(await takePieceInHand(client, pieceId))) return refuse('not-found')
  const file = await findPieceFile(client, pieceId)
  if (!file) return refuse('not-found')
  const journey = readPiece(file, { climate: [], nowMs: Date.now() })
  if (journey.ending) return refuse('already-ended')
  if (despite !== 'all' && concernsOf(journey).some(({ code }) => code !== 'still-wet' && !despite.includes(code)))
    return refuse('leaves-unfinished')
}

export async function listForSale(typed: ListingText): Promise<Answer> {
  return writeOnce(
    'list',
    listingInput,
    typed,
    ({ entryId }) => entryId,
    async (client, studio, entered) => {
      const { entryId, pieceId, channelId, price, on, note, despite } = entered
      await mayLeave(client, pieceId, despite)
      await store(client, studio.id, [
        { id: entryId, pieceId, kind: 'listed', at: momentOf(on, studio.zone), channelId, money: price, note },
      ])
    },
  )
}

export async function endPiece(typed: EndingText): Promise<Answer> {
  return writeOnce(
    'end',
    endingInput,
    typed,
    ({ entryId }) => entryId,
    async (client, studio, entered) => {
      const { entryId, pieceId, outcome, channelId, price, fees, on, note, despite } = entered
      await mayLeave(client, pieceId, outcome === 'scrapped' ? 'all' : despite)
      const base = { id: entryId, pieceId, at: momentOf(on, studio.zone), note }
      await store(client, studio.id, [endingOf()])

      function endingOf(): NewEntry {
        if (outcome === 'sold' && channelId !== null && price !== null)
          return { ...base, kind: outcome, channelId, money: price, fees }
        if (outcome === 'handed-over' && price !== null) return { ...base, kind: outcome, channelId, money: price, fees }
        if (outcome === 'sold' || outcome === 'handed-over') throw new Refused('not-whole')
        return { ...base, kind: outcome }
      }
    },
  )
}

export const makeInvoice = async (typed: InvoiceText): Promise<Answer> => bill(typed)
/** Takes some of an invoice back. */
export const makeCredit = async (typed: CreditText): Promise<Answer> => credit(typed)
