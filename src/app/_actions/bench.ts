'use server'
/** What is entered beside the bench's own log: the air. */
import { readingInput, type ReadingText } from '../../core/input/entry'
import { addReading } from '../../db/climate'
import { write, type Answer } from '../_server/write'

export async function addAirReading(typed: ReadingText): Promise<Answer> {
  return write(readingInput, typed, (client, studio, reading) => addReading(client, studio.id, reading))
}
