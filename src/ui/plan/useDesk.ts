/** The plan desk on the page: its state with all that it was before, kept as a draft until it is taken, and what follows from it. */
import { useEffect, useMemo, useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { FamilyCode } from '@/core/craft/families'
import { schoolCodes } from '@/core/craft/method'
import { beginDesk } from '@/core/desk/begin'
import { type DeskAct, methodOf, onDesk, wishForLook, wishOf } from '@/core/desk/desk'
import { keepDraft, readDraft } from '@/core/desk/draft'
import type { DeskState, DeskTin } from '@/core/desk/state'
import { deskSteps } from '@/core/desk/steps'
import type { PlannedStep } from '@/core/finish/step'
import { looksOf } from '@/core/finish/wish'
import { planInput, type PlanText, type RecipeText } from '@/core/input/piece'
import { beginHistory, type History, redo, undo } from '@/core/measure/history'
import { dryDay } from '@/core/piece/daysAhead'
import { factsOf } from '@/core/piece/facts'
import { findFromShelf } from '@/core/plan/alternatives'
import { figuresOf, type HouseResources } from '@/core/plan/figures'
import { planFinish } from '@/core/plan/planFinish'
import { differenceOf, replan } from '@/core/plan/replan'
import { wholePiece } from '@/core/plan/wholePiece'
import { makeIds } from '@/ui/form/makeIds'
import { useStored } from '@/ui/form/useStored'
import { plannedSection } from './plannedSection'
import type { PlanPart } from './planPart'
import { useBeside } from './useBeside'

/** The desk's history, kept on the device from the first change until a plan is taken. */
function useDeskHistory(part: PlanPart, tins: readonly DeskTin[]) {
  const facts = factsOf(part)
  const around = { facts, tins, method: part.method }
  const [begun] = useState(() =>
    beginDesk(
      facts,
      part.before,
      tins,
      part.done.flatMap(({ own }) => own ?? []),
    ),
  )
  const key = `desk:${part.id}`
  const plan = part.before?.id ?? null
  const [stored, store] = useStored(key)
  const left = useMemo(() => readDraft(stored, plan), [stored, plan])
  /** null until something is changed here */
  const [changed, setChanged] = useState<History<DeskState> | null>(null)
  const base: History<DeskState> = left ? { now: left, past: [begun], future: [] } : beginHistory(begun)
  const history = changed ?? base
  const change = (to: (now: History<DeskState>) => History<DeskState>) => setChanged((now) => to(now ?? base))
  useEffect(() => {
    if (changed) store(changed.now === begun ? null : keepDraft(changed.now, plan))
  }, [changed, begun, plan, store])
  return {
    state: history.now,
    around,
    act: (act: DeskAct) => change((now) => onDesk(now, act, around)),
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
    undo: () => change(undo),
    redo: () => change(redo),
    /** a draft that was left here stands on the desk */
    found: changed === null && left !== null,
    putDraftAway: () => setChanged(beginHistory(begun)),
    /** taken: no longer a draft */
    taken: () => {
      setChanged(null)
      store(null)
    },
  }
}

export function useDesk(part: PlanPart, tins: readonly DeskTin[], means: HouseResources) {
  const [planId] = useState(() => uuidv7())
  const [stepIds] = useState(makeIds)
  const [openedAt] = useState(() => new Date().toISOString())
  const { state, around, act, ...history } = useDeskHistory(part, tins)
  const { look, extras, seal, sheen, colours, departures, touches, edits } = state
  const { facts } = around
  const method = methodOf(state, part.method)
  const wish = wishOf(state)
  const looks = looksOf(wish)
  const slots = [...new Set(looks.flatMap((each) => each.slots))]

  const asked: RecipeText['wish'] = {
    look,
    with: [...(wish.with ?? [])],
    paint: wish.paint,
    colours: { a: colours.a, ...(slots.includes('b') && { b: colours.b }) },
    departures,
    ...(sheen && { sheen }),
    ...(touches && { touches: [...touches] }),
  }
  const typed: PlanText = {
    ...asked,
    with: asked.with ?? [],
    departures,
    seal: seal ?? '',
    edits: { ...edits },
    planId,
    partId: part.id,
    pieceId: part.pieceId,
    stepIds: [],
    at: openedAt,
  }
  const readable = planInput.safeParse(typed)
  const issues = readable.success ? [] : readable.error.issues
  const troubles = Object.fromEntries(issues.map(({ path, message }) => [path.join('.'), message]))
  // a step that is half typed takes nothing from the others
  const isReadable = issues.every(({ path }) => path[0] === 'edits')
  const outcome = isReadable ? replan(facts, wish, part.done, method) : null
  const planned: PlannedStep[] = outcome && 'steps' in outcome ? outcome.steps : []
  const whole = outcome && 'steps' in outcome ? planFinish(facts, wish, method) : null
  const plan = whole && 'plan' in whole ? whole.plan : null
  const refusal = outcome && 'refusal' in outcome ? outcome.refusal : null

  const laid = deskSteps(planned, edits, { facts, wish, method, done: part.done })
  const kept = laid.kept.map(({ step }) => step)
  const beside = useBeside({
    part,
    facts,
    wish,
    wishFor: (code) => wishForLook(state, code),
    method,
    means,
    isReadable,
    isOwn: touches !== null,
  })
  const takeFromShelf = (): FamilyCode[] => {
    const found = findFromShelf(facts, wish, method, means)
    if ('lacking' in found) return found.lacking
    act({ kind: 'wish', wish: found.wish })
    return []
  }
  return {
    ...laid,
    ...beside,
    ...history,
    state,
    act,
    wish,
    edits,
    method,
    looks,
    slots,
    facts,
    troubles,
    /** the first thing that can't be read */
    unreadable: issues[0]?.message ?? null,
    refusal,
    nearest: refusal?.nearest ?? null,
    planned,
    plan,
    edited: laid.steps.some(
      ({ key, left, step }) =>
        left || step.own || step.changed || key in edits.changes || edits.moves.some((move) => move.key === key),
    ),
    figures: figuresOf(kept, means),
    difference: part.ahead.length > 0 && part.done.length > 0 ? differenceOf(part.ahead, kept, means.hours) : null,
    wholeWay:
      part.others.length > 0 && kept.length > 0
        ? wholePiece(
            part.others,
            { id: part.id, kind: part.kind, begun: part.done.length > 0, rests: dryDay },
            part.ahead,
            kept,
            means.hours,
          )
        : null,
    shownSection: plan && plannedSection(part, wish, laid.acts),
    typed,
    /** of the steps that are taken, one each */
    stepIds,
    recipe: { ...asked, ...(seal && { seal }) },
    takeFromShelf,
    departed: schoolCodes.filter((code) => departures[code] !== undefined && departures[code] !== part.method[code]),
    extras,
  }
}

export type Desk = ReturnType<typeof useDesk>
