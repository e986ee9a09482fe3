'use server'
/** What is entered beside the bench's own log: costs and the air. */
import { costInput, readingInput, type CostText, type ReadingText } from '../../core/input/entry'
import { addReading } from '../../db/climate'
import { store } from '../_server/store'
import { write, type Answer } from '../_server/write'

export async function addCost(typed: CostText): Promise<Answer> {
  return write(costInput, typed, (client, studio, { entryId, ...cost }) =>
    store(client, studio.id, [{ id: entryId, kind: 'cost', ...cost }]),
  )
}

export async function addAirReading(typed: ReadingText): Promise<Answer> {
  return write(readingInput, typed, (client, studio, reading) => addReading(client, studio.id, reading))
}
