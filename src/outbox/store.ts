/** What was written on this device and is not known to be stored: kept in the browser's own database, in order. */
import { type DBSchema, deleteDB, type IDBPDatabase, openDB } from 'idb'
import type { AwayAction } from '@/core/input/away'
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
  action: BenchAction | AwayAction | 'addPhoto'
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
let owner = ''
const nameOf = (membershipId: string) => `itinerum-${membershipId}`
/** from before anybody signed in */
const oldName = 'itinerum'
const open = (name: string) =>
  openDB<Schema>(name, 1, {
    upgrade: (made) => void made.createObjectStore('outbox', { keyPath: 'seq', autoIncrement: true }),
    // another page signs out: what it throws away is not held here
    blocking: (_version, _wanted, event) => {
      ;(event.target as IDBDatabase).close()
    },
  })

/** Whose entries are kept and sent from here on: each person of a device has a store of their own. */
export function belongsTo(membershipId: string): void {
  if (membershipId === owner) return
  owner = membershipId
  opened = undefined
}
/** Whose they are, as a request says it: the server takes them in nobody else's session. */
export const sentFor = (): Record<string, string> => (owner === '' ? {} : { 'itinerum-member': owner })
const database = () => (opened ??= openOwn(owner))
async function openOwn(membershipId: string): Promise<IDBPDatabase<Schema>> {
  const own = await open(nameOf(membershipId))
  await adopt(own).catch(() => undefined)
  return own
}
/** What was written on this device before anybody signed in goes to who is the first to. */
async function adopt(own: IDBPDatabase<Schema>): Promise<void> {
  const all = await indexedDB.databases()
  if (!all.some(({ name }) => name === oldName)) return
  const old = await open(oldName)
  for (const { seq, ...kept } of await old.getAll('outbox')) {
    await own.add('outbox', kept)
    if (seq !== undefined) await old.delete('outbox', seq)
  }
  old.close()
  await deleteDB(oldName)
}
/** Throws away what a person kept on this device. */
export async function throwAway(membershipId: string): Promise<void> {
  if (membershipId === owner) {
    const own = await opened?.catch(() => null)
    own?.close()
    // what asks for it still, until this page has gone, must not make it anew
    opened = Promise.reject(new Error('the outbox of this page was thrown away'))
    opened.catch(() => undefined)
  }
  await deleteDB(nameOf(membershipId))
}

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
