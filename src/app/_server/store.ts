/** Storing entries inside a write: what the database refuses undoes all of it. */
import 'server-only'
import { addEntries, type NewEntry } from '../../db/entry'
import type { Client } from '../../db/pool'
import { Refused } from './write'

export async function store(client: Client, studioId: string, entries: readonly NewEntry[]): Promise<void> {
  const trouble = await addEntries(client, studioId, entries)
  if (trouble) throw new Refused(trouble.issue)
}
