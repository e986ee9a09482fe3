/**
 * The painter's own list under the hand: layers added, changed, moved, doubled, taken out, and every step of it undone again. What is
 * touched is the painter's from then on. Pure.
 */
import type { HouseMethod } from '@/core/craft/method'
import type { OperationCode } from '@/core/craft/operations'
import { ground, type LookTouch, type Touch } from './touch'
import { touchesOf } from './touches'
import type { FinishWish } from './wish'

export type TouchEdit =
  | { kind: 'add'; at: number; touch: Omit<Touch, 'by'> }
  /** `running`: one of many, letter by letter; they are undone as one */
  | { kind: 'change'; id: string; over: Partial<Omit<Touch, 'id' | 'by'>>; running?: boolean }
  | { kind: 'move'; id: string; to: number }
  | { kind: 'double'; id: string; newId: string }
  | { kind: 'remove'; id: string }

export interface TouchDraft {
  touches: readonly Touch[]
  /** as it was before each edit, the last first */
  past: readonly (readonly Touch[])[]
  /** what was undone, the last first */
  future: readonly (readonly Touch[])[]
  /** the layer that is being changed letter by letter */
  running?: string | undefined
}

export const draftOf = (touches: readonly Touch[]): TouchDraft => ({ touches, past: [], future: [] })
/** Another list at once; undone it is the one before. */
export const replaceList = (draft: TouchDraft | null, touches: readonly Touch[]): TouchDraft =>
  draft ? { touches, past: [draft.touches, ...draft.past], future: [] } : draftOf(touches)

/** Put in by the rules wherever it is wanted: nobody's layer. */
const leftToRules: readonly OperationCode[] = ['dust-off', 'mist-fabric']
/** A look's list as the painter's own to begin with: how often each is laid stays open where the look left it open. */
export const ownList = (wish: FinishWish, method: HouseMethod): Touch[] =>
  touchesOf(wish, method)
    .filter(({ operation }) => !leftToRules.includes(operation))
    .map((touch) => {
      const { phase: _, slot: __, ...own } = touch as LookTouch
      return own
    })

/** A wear goes to a layer that lies below it: one that has gone, or lies above it now, is named no more. */
function joined(touches: readonly Touch[]): Touch[] {
  return touches.map((touch, k) => {
    const { wearTo } = touch
    const there = wearTo === undefined || wearTo === ground || touches.slice(0, k).some(({ id }) => id === wearTo)
    return there ? touch : { ...touch, wearTo: undefined }
  })
}

function edited(touches: readonly Touch[], edit: TouchEdit): readonly Touch[] {
  const at = 'id' in edit ? touches.findIndex(({ id }) => id === edit.id) : -1
  const touch = touches[at]
  switch (edit.kind) {
    case 'add': {
      const to = Math.max(0, Math.min(edit.at, touches.length))
      return touches.toSpliced(to, 0, { ...edit.touch, by: 'painter' })
    }
    case 'change':
      return touch ? touches.with(at, { ...touch, ...edit.over, by: 'painter' }) : touches
    case 'move': {
      const to = Math.max(0, Math.min(edit.to, touches.length - 1))
      return touch && to !== at ? touches.toSpliced(at, 1).toSpliced(to, 0, { ...touch, by: 'painter' }) : touches
    }
    case 'double':
      return touch ? touches.toSpliced(at + 1, 0, { ...touch, id: edit.newId, by: 'painter' }) : touches
    case 'remove':
      return touch && touches.length > 1 ? touches.toSpliced(at, 1) : touches
  }
}

/** The list after one edit; one that changes nothing is not remembered. */
export function editList(draft: TouchDraft, edit: TouchEdit): TouchDraft {
  const touches = edited(draft.touches, edit)
  if (touches === draft.touches) return draft
  const running = edit.kind === 'change' && edit.running ? edit.id : undefined
  const goesOn = running !== undefined && draft.running === running
  return { touches: joined(touches), past: goesOn ? draft.past : [draft.touches, ...draft.past], future: [], running }
}
export function undo({ touches, past, future }: TouchDraft): TouchDraft {
  const [before, ...earlier] = past
  return before ? { touches: before, past: earlier, future: [touches, ...future] } : { touches, past, future }
}
export function redo({ touches, past, future }: TouchDraft): TouchDraft {
  const [after, ...later] = future
  return after ? { touches: after, past: [touches, ...past], future: later } : { touches, past, future }
}

/** What a painter lays or does of their own will, in the order of work; the rest is the engine's to put in. */
export const touchOperations = [
  'coat',
  'undercoat',
  'texture-coat',
  'knock-down',
  'crackle-medium',
  'crackle-coat',
  'fabric-coat',
  'resist',
  'tape',
  'pull-tape',
  'wash',
  'glaze',
  'dry-brush',
  'blend',
  'spray-runs',
  'seal-between',
  'wet-distress',
  'dry-distress',
  'scrape-distress',
  'heat-gun',
  'brush-off-flakes',
  'smooth',
  'clear-coat',
  'clear-wax',
  'tinted-wax',
  'oil',
  'salve',
  'buff',
  'metallic-wax',
] as const satisfies readonly OperationCode[]
