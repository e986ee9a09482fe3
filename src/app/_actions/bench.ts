'use server'
/** What is entered beside the bench's own log: the air. */
import { writeOnce } from '@/app/_server/write'
import { readingInput, type ReadingText } from '@/core/input/entry'
import type { Answer } from '@/core/input/issues'
import { addReading } from '@/db/climate'

export async function addAirReading(typed: ReadingText): Promise<Answer> {
  return writeOnce(
    'reading',
    readingInput,
    typed,
    ({ id }) => id,
    (client, studio, reading) => addReading(client, studio.id, reading),
  )
}
