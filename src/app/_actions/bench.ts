'use server'
/** What is entered at the bench. */
import { roundMoney } from '../../core/money/money'
import { unitOf } from '../../core/finish/families'
import {
  coatInput,
  costInput,
  endInput,
  leaveOutInput,
  noteInput,
  readingInput,
  startInput,
  type CoatText,
  type CostText,
  type EndText,
  type LeaveOutText,
  type NoteText,
  type ReadingText,
  type StartText,
} from '../../core/input/entry'
import { addEntries, type NewEntry } from '../../db/entry'
import type { Client } from '../../db/pool'
import { addReading, findProduct } from '../../db/studio'
import { Refused, write, type Answer } from '../_server/write'

async function store(client: Client, studioId: string, entries: readonly NewEntry[]): Promise<void> {
  const trouble = await addEntries(client, studioId, entries)
  if (trouble) throw new Refused(trouble.issue)
}

export async function startStep(typed: StartText): Promise<Answer> {
  return write(startInput, typed, (client, studio, { entryId, ...step }) =>
    store(client, studio.id, [{ id: entryId, kind: 'started', ...step }]),
  )
}

export async function endStep(typed: EndText): Promise<Answer> {
  return write(endInput, typed, (client, studio, { entryId, ...step }) =>
    store(client, studio.id, [{ id: entryId, kind: 'ended', ...step }]),
  )
}

export async function leaveOutStep(typed: LeaveOutText): Promise<Answer> {
  return write(leaveOutInput, typed, (client, studio, { entryId, ...step }) =>
    store(client, studio.id, [{ id: entryId, kind: 'left-out', ...step }]),
  )
}

/** A coat's material cost is reckoned here, from the tin's price, and stays as it was on that day. */
export async function logCoat(typed: CoatText): Promise<Answer> {
  return write(coatInput, typed, async (client, studio, { entryId, pieceId, partId, stepId, at, note, ...coat }) => {
    const product = coat.productId ? await findProduct(client, coat.productId) : null
    if (coat.productId && !product) throw new Refused('not-found')
    const money = product ? roundMoney((product.price * coat.amount) / product.size) : 0
    const unit = product?.unit ?? unitOf(coat.family)
    await store(client, studio.id, [
      { id: entryId, kind: 'coat', pieceId, partId, stepId, at, note, money, coat: { ...coat, unit } },
    ])
  })
}

export async function addCost(typed: CostText): Promise<Answer> {
  return write(costInput, typed, (client, studio, { entryId, ...cost }) =>
    store(client, studio.id, [{ id: entryId, kind: 'cost', ...cost }]),
  )
}

export async function addNote(typed: NoteText): Promise<Answer> {
  return write(noteInput, typed, (client, studio, { entryId, ...note }) =>
    store(client, studio.id, [{ id: entryId, kind: 'note', ...note }]),
  )
}

export async function addAirReading(typed: ReadingText): Promise<Answer> {
  return write(readingInput, typed, (client, studio, { id, ...reading }) => addReading(client, studio.id, id, reading))
}
