/** Storing entries inside a write: what the database refuses undoes all of it. */
import 'server-only'
import type { StudioId } from '@/core/measure/named'
import { addEntries, type NewEntry } from '@/db/entry'
import { addWithMaterial } from '@/db/material'
import type { Client } from '@/db/pool'
import { Refused } from './write'

/** Entries that take nothing off the shelf. */
export async function store(client: Client, studioId: StudioId, entries: readonly NewEntry[]): Promise<void> {
  const trouble = await addEntries(client, studioId, entries)
  if (trouble) throw new Refused(trouble.issue)
}
/** An entry with what it takes off the shelf, where it does. */
export async function storeWithMaterial(client: Client, studioId: StudioId, entry: NewEntry): Promise<void> {
  const trouble = await addWithMaterial(client, studioId, entry)
  if (trouble) throw new Refused(trouble.issue)
}
