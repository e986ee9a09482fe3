/** What was written on this device and is not known to be stored: kept in the browser's own database, in order. */
import { type DBSchema, type IDBPDatabase, openDB } from 'idb'
import type { BenchAction } from '@/core/input/bench'
import type { IssueCode } from '@/core/input/issues'
import type { EntryId, Instant, PartId, PieceId, StepId } from '@/core/measure/named'
import type { Photo } from '@/core/piece/piece'

/** A photograph beside what is written: where it belongs; its id is its entry's. */
export interface PhotoTyped {
  entryId: EntryId
  pieceId: PieceId
  partId: PartId | null
  stepId: StepId | null
  at: Instant
  moment: Photo['moment']
  alt: string
}
export interface Kept {
  /** the order in which it was written; made by the database */
  seq: number
  action: BenchAction | 'addPhoto'
  typed: { entryId: EntryId; pieceId: PieceId; at: Instant } & Record<string, unknown>
  /** the photograph itself */
  file?: Blob
  /** what it is about, in words, for the list of what waits */
  about: string
  /** the server read it and would not have it; it stays here until somebody decides */
  issue: IssueCode | null
  /** what was wrong with which field, where the server said so */
  fields?: Record<string, string>
  /** how often the server broke over it */
  faults?: number
}
export type Draft = Omit<Kept, 'seq' | 'issue' | 'fields' | 'faults'>

interface Schema extends DBSchema {
  outbox: { key: number; value: Omit<Kept, 'seq'> & { seq?: number } }
}
let opened: Promise<IDBPDatabase<Schema>> | undefined
const database = () =>
  (opened ??= openDB<Schema>('itinerum', 1, {
    upgrade: (made) => void made.createObjectStore('outbox', { keyPath: 'seq', autoIncrement: true }),
  }))

/** Puts it on the device for good; resolves once it is written to the disk. */
export async function keep(draft: Draft): Promise<Kept> {
  const tx = (await database()).transaction('outbox', 'readwrite', { durability: 'strict' })
  const seq = await tx.store.add({ ...draft, issue: null })
  await tx.done
  return { ...draft, seq, issue: null }
}
export const listKept = async (): Promise<Kept[]> => (await (await database()).getAll('outbox')) as Kept[]
export const forget = async (seq: number): Promise<void> => (await database()).delete('outbox', seq)
export const mark = async (kept: Kept): Promise<number> => (await database()).put('outbox', kept)
