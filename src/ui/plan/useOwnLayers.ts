/** The painter's own list at the desk: under the hand, or laid aside while a look is looked at; nothing of it is lost either way. */
import { useState } from 'react'
import type { Touch } from '@/core/finish/touch'
import { draftOf, editList, redo, replaceList, type TouchDraft, type TouchEdit, undo } from '@/core/finish/touchList'

export interface OwnLayers {
  /** null while a look is planned */
  draft: TouchDraft | null
  /** a list that was laid aside can be taken up again */
  hasAside: boolean
  /** another list, undone to the one before */
  begin: (touches: readonly Touch[]) => void
  takeUp: () => void
  layAside: () => void
  edit: (edit: TouchEdit) => void
  undo: () => void
  redo: () => void
}

export function useOwnLayers(before: readonly Touch[] | undefined): OwnLayers {
  const [draft, setDraft] = useState<TouchDraft | null>(before ? draftOf(before) : null)
  const [inUse, setInUse] = useState(before !== undefined)
  const change = (to: (draft: TouchDraft) => TouchDraft) => setDraft((now) => now && to(now))
  return {
    draft: inUse ? draft : null,
    hasAside: !inUse && draft !== null,
    begin: (touches) => {
      setDraft((now) => replaceList(now, touches))
      setInUse(true)
    },
    takeUp: () => setInUse(true),
    layAside: () => setInUse(false),
    edit: (edit) => change((now) => editList(now, edit)),
    undo: () => change(undo),
    redo: () => change(redo),
  }
}
