/** How a draft is read as the entry it will be: known a moment after a page is open that writes. Pages that only show need none of it. */
import type { House } from '@/core/input/fields'
import type { Entry } from '@/core/log/entry'
import type { Kept } from '@/outbox/store'

/** null: it is no entry, or can’t be read; undefined: nobody can tell yet */
export type Read = (draft: Pick<Kept, 'action' | 'typed'>, house: House) => Entry | null | undefined

let read: Read = () => undefined
const listeners = new Set<() => void>()

export const readDraft: Read = (draft, house) => read(draft, house)
export function setReader(reader: Read): void {
  read = reader
  for (const listener of listeners) listener()
}
/** Called when drafts can be read that could not be before; the returned function ends it. */
export function onReader(listener: () => void): () => void {
  listeners.add(listener)
  return () => listeners.delete(listener)
}
