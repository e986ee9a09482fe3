/**
 * The painter's own list under the hand: layers added, changed, moved, doubled, taken out, and every step of it undone again. What is
 * touched is the painter's from then on. Pure.
 */
import type { HouseMethod } from '@/core/craft/method'
import type { OperationCode } from '@/core/craft/operations'
import type { Pattern } from '@/core/craft/pattern'
import { ground, type LookTouch, places, type Touch } from './touch'
import { touchesOf } from './touches'
import type { FinishWish } from './wish'

export type TouchEdit =
  | { kind: 'add'; at: number; touch: Omit<Touch, 'by'> }
  /** `running`: one of many, letter by letter; they are undone as one */
  | { kind: 'change'; id: string; over: Partial<Omit<Touch, 'id' | 'by'>>; running?: boolean }
  | { kind: 'move'; id: string; to: number }
  | { kind: 'double'; id: string; newId: string }
  /** its last coat, or the flats apart from the edges and the recesses, a layer of its own above it */
  | { kind: 'split'; id: string; newId: string }
  /** laid in a pattern, with its tape before and after it where it is laid in stripes; null: all over again, its tape gone */
  | { kind: 'pattern'; id: string; pattern: Pattern | null; share: number; tapeId: string; pullId: string; running?: boolean }
  | { kind: 'remove'; id: string }

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

/** A layer as two, the lower one first; null where there is nothing to part. */
export function splitOf(touch: Touch): [Touch, Touch] | null {
  const { repeat, where, by: _, ...own } = touch
  const mine = (over: Partial<Touch>): Touch => ({ ...own, where, repeat, ...over, by: 'painter' })
  if (typeof repeat === 'number' && repeat > 1) return [mine({ repeat: repeat - 1 }), mine({ repeat: 1 })]
  const [first, ...rest] = where?.places ?? places
  if (!first || rest.length === 0) return null
  return [mine({ where: { ...where, places: [first] } }), mine({ where: { ...where, places: rest } })]
}

/** Tape lies right below what is laid in stripes, and comes off right after it. */
function patterned(
  touches: readonly Touch[],
  at: number,
  { pattern, share, tapeId, pullId }: Extract<TouchEdit, { kind: 'pattern' }>,
): readonly Touch[] {
  const touch = touches[at]
  if (!touch) return touches
  const { pattern: _, share: __, ...kept } = touch.where ?? {}
  const bare = Object.values(kept).some((value) => value !== undefined) ? kept : undefined
  const own: Touch = { ...touch, where: pattern ? { ...kept, share, pattern } : bare, by: 'painter' }
  const [before, after] = [touches[at - 1], touches[at + 1]]
  const tapes = pattern?.kind === 'stripes'
  const below = before?.operation === 'tape' ? [before] : []
  const above = after?.operation === 'pull-tape' ? [after] : []
  return [
    ...touches.slice(0, at - below.length),
    ...(tapes ? (below.length > 0 ? below : [{ id: tapeId, operation: 'tape', by: 'painter' } as const]) : []),
    own,
    ...(tapes ? (above.length > 0 ? above : [{ id: pullId, operation: 'pull-tape', by: 'painter' } as const]) : []),
    ...touches.slice(at + 1 + above.length),
  ]
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
    case 'split': {
      const parted = touch && splitOf(touch)
      if (!parted) return touches
      const [below, above] = parted
      return touches.toSpliced(at, 1, below, { ...above, id: edit.newId })
    }
    case 'pattern':
      return touch ? patterned(touches, at, edit) : touches
    case 'remove':
      return touch && touches.length > 1 ? touches.toSpliced(at, 1) : touches
  }
}

/** The list after one edit: the same list, where the edit changes nothing. */
export function editTouches(touches: readonly Touch[], edit: TouchEdit): readonly Touch[] {
  const next = edited(touches, edit)
  return next === touches ? touches : joined(next)
}
/** What an edit changes letter by letter, to be undone as one. */
export const runningOf = (edit: TouchEdit): string | undefined =>
  (edit.kind === 'change' || edit.kind === 'pattern') && edit.running ? `touch ${edit.id}` : undefined

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
