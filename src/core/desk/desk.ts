/**
 * The plan desk: what is wished for a part, and everything the painter may do to it. One state, one function from it to the next; all
 * else on the desk follows from the state. Pure; ids are made by whoever asks.
 */
import type { FamilyCode } from '@/core/craft/families'
import { type LookCode, paintFor } from '@/core/craft/looks'
import type { HouseMethod, SchoolCode } from '@/core/craft/method'
import type { Slot } from '@/core/craft/recipe'
import type { Sheen } from '@/core/craft/sheen'
import type { TopcoatCode } from '@/core/craft/topcoats'
import type { Nearest } from '@/core/finish/refusal'
import { findRefusal } from '@/core/finish/refusals'
import type { Touch } from '@/core/finish/touch'
import { editTouches, ownList, runningOf, type TouchEdit } from '@/core/finish/touchList'
import type { Colour, FinishWish } from '@/core/finish/wish'
import type { HouseRecipe } from '@/core/house/recipe'
import { goOn, type History } from '@/core/measure/history'
import { type Change, inPaint } from '@/core/plan/alternatives'
import { noEdits, type OwnStep, type Spot, type StepChange, type StepEdits } from '@/core/plan/stepEdits'
import { twoTins } from './begin'
import type { DeskAround, DeskState } from './state'

export type DeskAct =
  | { kind: 'look'; to: LookCode }
  | { kind: 'over'; look: LookCode; on: boolean }
  | { kind: 'paint'; to: FamilyCode }
  | { kind: 'seal'; to: TopcoatCode | null }
  | { kind: 'sheen'; to: Sheen | null }
  | { kind: 'school'; code: SchoolCode; to: string | null }
  | { kind: 'colour'; slot: Slot; to: Colour }
  /** a look's list becomes the painter's own; `then`: and is changed at once */
  | { kind: 'own'; then?: TouchEdit }
  | { kind: 'take-up' }
  | { kind: 'lay-aside' }
  | { kind: 'touch'; edit: TouchEdit }
  | { kind: 'recipe'; wish: HouseRecipe['wish'] }
  | { kind: 'wish'; wish: FinishWish }
  | { kind: 'nearest'; nearest: Nearest }
  | { kind: 'other-way'; change: Change }
  | { kind: 'leave'; key: string; out: boolean }
  | { kind: 'move-step'; key: string; to: Spot }
  /** absent is as planned again */
  | { kind: 'change-step'; key: string; over: StepChange }
  | { kind: 'add-step'; step: OwnStep }
  | { kind: 'drop-step'; id: string }
  | { kind: 'as-planned' }

/** The wish with another look, in the same paint and colours. */
export const wishForLook = ({ look, extras, paint, colours, seal, sheen }: DeskState, code: LookCode): FinishWish => ({
  look: code,
  with: code === look ? extras.filter((each) => each !== code) : [],
  paint: paintFor(code, paint),
  colours,
  seal: code === look ? (seal ?? undefined) : undefined,
  sheen: sheen ?? undefined,
})
export const wishOf = (state: DeskState): FinishWish => ({
  ...wishForLook(state, state.look),
  ...(state.touches && { touches: state.touches, seal: state.seal ?? undefined }),
})
export const methodOf = ({ departures }: DeskState, method: HouseMethod): HouseMethod => ({ ...method, ...departures })

const inLook = (state: DeskState, code: LookCode, { facts }: DeskAround): DeskState => ({
  ...state,
  look: code,
  seal: null,
  touches: null,
  aside: state.touches ?? state.aside,
  extras: state.extras.filter(
    (each) => each !== code && !findRefusal(facts, { ...wishForLook({ ...state, seal: null }, code), with: [each] }),
  ),
})
const inFamily = (state: DeskState, paint: FamilyCode, { tins }: DeskAround): DeskState => ({
  ...state,
  paint,
  colours: { ...state.colours, ...twoTins(tins, paint, undefined) },
})
/** A list of the painter's, in place of what is there. */
const withList = (state: DeskState, touches: readonly Touch[] | undefined): DeskState =>
  touches ? { ...state, touches } : { ...state, touches: null, aside: state.touches ?? state.aside }

function otherWay(state: DeskState, change: Change, around: DeskAround): DeskState {
  switch (change.kind) {
    case 'look':
      return inLook(state, change.to, around)
    case 'seal':
      return { ...state, seal: change.to }
    case 'school':
      return { ...state, departures: { ...state.departures, [change.code]: change.to } }
    case 'paint':
      return inFamily(
        state.touches ? withList(state, inPaint(wishOf(state), change.to).touches ?? state.touches) : state,
        change.to,
        around,
      )
  }
}

/** A wish from elsewhere, with its own colours where it has any. */
const withWish = (state: DeskState, wish: HouseRecipe['wish']): DeskState => ({
  ...withList(state, wish.touches),
  look: wish.look,
  extras: [...(wish.with ?? [])],
  paint: wish.paint,
  seal: wish.seal ?? null,
  sheen: wish.sheen ?? null,
  colours: { ...state.colours, ...wish.colours },
})

function withEdits(state: DeskState, over: Partial<StepEdits>): DeskState {
  return { ...state, edits: { ...state.edits, ...over } }
}
const without = <T>(record: Readonly<Record<string, T>>, key: string): Record<string, T> =>
  Object.fromEntries(Object.entries(record).filter(([each]) => each !== key))
/** What is set back to as planned is no change. */
const setOf = (change: StepChange): StepChange =>
  Object.fromEntries(Object.entries(change).filter(([, value]) => value !== undefined))

function stepsEdited(state: DeskState, act: DeskAct): DeskState {
  const { edits } = state
  switch (act.kind) {
    case 'leave': {
      const rest = edits.left.filter((key) => key !== act.key)
      return withEdits(state, { left: act.out ? [...rest, act.key] : rest })
    }
    case 'move-step':
      return withEdits(state, { moves: [...edits.moves.filter(({ key }) => key !== act.key), { key: act.key, to: act.to }] })
    case 'change-step': {
      const change = setOf({ ...edits.changes[act.key], ...act.over })
      const rest = without(edits.changes, act.key)
      return withEdits(state, { changes: Object.keys(change).length === 0 ? rest : { ...rest, [act.key]: change } })
    }
    case 'add-step':
      return withEdits(state, { own: [...edits.own.filter(({ id }) => id !== act.step.id), act.step] })
    case 'drop-step':
      return withEdits(state, {
        own: edits.own.filter(({ id }) => id !== act.id),
        left: edits.left.filter((key) => key !== act.id),
        moves: edits.moves.filter(({ key }) => key !== act.id),
        changes: without(edits.changes, act.id),
      })
    case 'as-planned':
      return { ...state, edits: noEdits }
    default:
      return state
  }
}

/** The desk after one act; the same state where it changes nothing. */
export function deskAfter(state: DeskState, act: DeskAct, around: DeskAround): DeskState {
  switch (act.kind) {
    case 'look':
      return inLook(state, act.to, around)
    case 'over': {
      const rest = state.extras.filter((each) => each !== act.look)
      return { ...state, extras: act.on ? [...rest, act.look] : rest }
    }
    case 'paint':
      return inFamily(state, act.to, around)
    case 'seal':
      return { ...state, seal: act.to }
    case 'sheen':
      return { ...state, sheen: act.to }
    case 'school': {
      const { [act.code]: _, ...rest } = state.departures
      return { ...state, departures: act.to === null ? rest : { ...rest, [act.code]: act.to } }
    }
    case 'colour':
      return { ...state, colours: { ...state.colours, [act.slot]: act.to } }
    case 'own': {
      const list = state.touches ?? ownList(wishOf(state), methodOf(state, around.method))
      return { ...state, touches: act.then ? editTouches(list, act.then) : list }
    }
    case 'take-up':
      return state.aside && !state.touches ? { ...state, touches: state.aside, aside: null } : state
    case 'lay-aside':
      return state.touches ? { ...state, touches: null, aside: state.touches } : state
    case 'touch': {
      if (!state.touches) return state
      const touches = editTouches(state.touches, act.edit)
      return touches === state.touches ? state : { ...state, touches }
    }
    case 'recipe':
      return { ...withWish(state, act.wish), departures: act.wish.departures ?? {} }
    case 'wish':
      return withWish(state, act.wish)
    case 'nearest': {
      const { look, paint, seal, sheen, touches } = act.nearest
      let next = look ? inLook(state, look, around) : state
      if (paint) next = inFamily(next, paint, around)
      return {
        ...next,
        ...(act.nearest.with && { extras: act.nearest.with }),
        ...(seal && { seal }),
        ...(sheen && { sheen }),
        ...(touches && { touches }),
      }
    }
    case 'other-way':
      return otherWay(state, act.change, around)
    default:
      return stepsEdited(state, act)
  }
}

/** What an act changes letter by letter. */
function runsOn(state: DeskState, act: DeskAct): string | undefined {
  if (act.kind === 'touch') return runningOf(act.edit)
  if (act.kind === 'change-step') return `step ${act.key} ${Object.keys(act.over).join()}`
  if (act.kind !== 'colour') return undefined
  const { name, hex } = state.colours[act.slot]
  // the name, or the value, letter by letter; a tin is a change of its own
  return name === act.to.name || hex === act.to.hex ? `colour ${act.slot}` : undefined
}
/** The desk with all that it was before. */
export const onDesk = (desk: History<DeskState>, act: DeskAct, around: DeskAround): History<DeskState> =>
  goOn(desk, deskAfter(desk.now, act, around), runsOn(desk.now, act))
