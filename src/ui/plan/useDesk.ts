/**
 * The plan desk's state: what is wished, what was moved or left out by hand, and all that follows from it through the core.
 */
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { FamilyCode } from '@/core/craft/families'
import { getLook, type LookCode } from '@/core/craft/looks'
import { type HouseMethod, type SchoolCode, schoolCodes } from '@/core/craft/method'
import type { Slot } from '@/core/craft/recipe'
import type { TopcoatCode } from '@/core/craft/topcoats'
import { findRefusal } from '@/core/finish/refusals'
import type { PlannedStep } from '@/core/finish/step'
import { ownList } from '@/core/finish/touchList'
import { type Colour, type FinishWish, looksOf } from '@/core/finish/wish'
import type { HouseRecipe } from '@/core/house/recipe'
import { planInput, type PlanText, type RecipeText } from '@/core/input/piece'
import { dryDay } from '@/core/piece/daysAhead'
import { factsOf } from '@/core/piece/facts'
import { type Change, findFromShelf, inPaint } from '@/core/plan/alternatives'
import { figuresOf, type HouseResources } from '@/core/plan/figures'
import { planFinish } from '@/core/plan/planFinish'
import { differenceOf, replan } from '@/core/plan/replan'
import { wholePiece } from '@/core/plan/wholePiece'
import { fallbackColours, firstLook, twoTins } from './deskStart'
import { type DeskEdits, deskSteps, editsOf } from './deskSteps'
import { plannedSection } from './plannedSection'
import type { DeskTin, PlanPart } from './planPart'
import { useBeside } from './useBeside'
import { useOwnLayers } from './useOwnLayers'

export function useDesk(part: PlanPart, tins: readonly DeskTin[], means: HouseResources) {
  const { pieceId } = part
  const [planId] = useState(() => uuidv7())
  const [stepIds] = useState(() => Array.from({ length: 200 }, () => uuidv7()))
  const [openedAt] = useState(() => new Date().toISOString())
  const facts = factsOf(part)
  const [look, setLook] = useState<LookCode>(part.before?.look ?? firstLook(part))
  const [extras, setExtras] = useState<LookCode[]>(part.before?.with ?? [])
  const [paint, setPaint] = useState<FamilyCode>(part.before?.paint ?? 'chalk-mineral')
  const [seal, setSeal] = useState<TopcoatCode | ''>(part.before?.seal ?? '')
  const [departures, setDepartures] = useState<Partial<HouseMethod>>(part.before?.departures ?? {})
  const [colours, setColours] = useState<Record<Slot, Colour>>({
    ...fallbackColours,
    ...twoTins(tins, part.before?.paint ?? 'chalk-mineral', part.before?.colours.a),
    ...part.before?.colours,
  })
  const layers = useOwnLayers(part.before?.touches)
  const own = layers.draft
  const [edits, setEdits] = useState<DeskEdits | null>(null)

  const method = { ...part.method, ...departures }
  const paintFor = (code: LookCode): FamilyCode => {
    const { paints } = getLook(code)
    return paints.includes(paint) ? paint : (paints[0] ?? 'chalk-style')
  }
  const wishFor = (code: LookCode): FinishWish => ({
    look: code,
    with: code === look ? extras.filter((each) => each !== code) : [],
    paint: paintFor(code),
    colours,
    seal: code === look && seal !== '' ? seal : undefined,
  })
  const wish: FinishWish = { ...wishFor(look), ...(own && { touches: own.touches, seal: seal === '' ? undefined : seal }) }
  const looks = looksOf(wish)
  const slots = [...new Set(looks.flatMap((each) => each.slots))]

  const typed: PlanText = {
    planId,
    partId: part.id,
    pieceId,
    stepIds,
    at: openedAt,
    look,
    with: [...(wish.with ?? [])],
    paint: wish.paint,
    seal,
    departures,
    order: [],
    colours: { a: colours.a, ...(slots.includes('b') && { b: colours.b }) },
    ...(own && { touches: [...own.touches] }),
  }
  const readable = planInput.safeParse(typed)
  const troubles = readable.success
    ? {}
    : Object.fromEntries(readable.error.issues.map(({ path, message }) => [path.join('.'), message]))
  const outcome = readable.success ? replan(facts, wish, part.done, method) : null
  const planned: PlannedStep[] = outcome && 'steps' in outcome ? outcome.steps : []
  const whole = outcome && 'steps' in outcome ? planFinish(facts, wish, method) : null
  const plan = whole && 'plan' in whole ? whole.plan : null

  const mine = editsOf(planned, edits)
  const { steps, kept, acts, told, at, overall } = deskSteps(planned, mine, { facts, wish, method, done: part.done })
  const figures = figuresOf(
    kept.map(({ step }) => step),
    means,
  )
  const beside = useBeside({ part, facts, wish, wishFor, method, means, isReadable: readable.success, isOwn: own !== null })
  const difference =
    part.ahead.length > 0 && part.done.length > 0
      ? differenceOf(
          part.ahead,
          kept.map(({ step }) => step),
          means.hours,
        )
      : null

  const wholeWay =
    part.others.length > 0 && kept.length > 0
      ? wholePiece(
          part.others,
          { id: part.id, kind: part.kind, begun: part.done.length > 0, rests: dryDay },
          part.ahead,
          kept.map(({ step }) => step),
          means.hours,
        )
      : null

  const chooseLook = (code: LookCode) => {
    layers.layAside()
    setLook(code)
    setSeal('')
    setExtras(extras.filter((each) => each !== code && !findRefusal(facts, { ...wishFor(code), with: [each] })))
  }
  const choosePaint = (family: FamilyCode) => {
    setPaint(family)
    setColours({ ...colours, ...twoTins(tins, family, undefined) })
  }
  const take = (change: Change) => {
    if (change.kind === 'look') chooseLook(change.to)
    if (change.kind === 'paint') {
      if (own) layers.begin(inPaint(wish, change.to).touches ?? own.touches)
      choosePaint(change.to)
    }
    if (change.kind === 'seal') setSeal(change.to)
    if (change.kind === 'school') setDepartures({ ...departures, [change.code]: change.to })
  }
  const toggle = (position: number) =>
    setEdits({
      ...mine,
      left: mine.left.includes(position) ? mine.left.filter((each) => each !== position) : [...mine.left, position],
    })
  const move = (from: number, to: number) => {
    const order = [...mine.order]
    const [moved] = order.splice(from, 1)
    if (moved !== undefined) order.splice(to, 0, moved)
    setEdits({ ...mine, order })
  }
  const returnTo = (code: SchoolCode) =>
    setDepartures(Object.fromEntries(Object.entries(departures).filter(([each]) => each !== code)))
  const takeFromShelf = (): FamilyCode[] => {
    const found = findFromShelf(facts, wish, method, means)
    if ('lacking' in found) return found.lacking
    if (found.wish.look !== look) chooseLook(found.wish.look)
    else if (found.wish.touches) layers.begin(found.wish.touches)
    if (found.wish.paint !== paint) choosePaint(found.wish.paint)
    setExtras([...(found.wish.with ?? [])])
    setSeal(found.wish.seal ?? '')
    return []
  }
  const refusal = outcome && 'refusal' in outcome ? outcome.refusal : null
  const nearest = refusal?.nearest ?? null
  const takeNearest = () => {
    if (nearest?.look) chooseLook(nearest.look)
    if (nearest?.paint) choosePaint(nearest.paint)
    if (nearest?.with) setExtras([...nearest.with])
    if (nearest?.seal) setSeal(nearest.seal)
    if (nearest?.touches) layers.begin(nearest.touches)
  }
  const shownSection = plan && plannedSection(part, wish, acts)

  const edited = edits?.of === mine.of
  const recipe: RecipeText['wish'] = {
    look,
    with: typed.with,
    paint: wish.paint,
    colours: typed.colours,
    ...(seal !== '' && { seal }),
    ...(own && { touches: [...own.touches] }),
    departures,
  }
  const takeRecipe = (kept: HouseRecipe['wish']) => {
    setLook(kept.look)
    if (kept.touches) layers.begin(kept.touches)
    else layers.layAside()
    setExtras([...(kept.with ?? [])])
    setPaint(kept.paint)
    setSeal(kept.seal ?? '')
    setDepartures(kept.departures ?? {})
    setColours({ ...colours, ...kept.colours })
  }
  return {
    layers,
    makeOwn: () => layers.begin(ownList(wish, method)),
    look,
    extras,
    seal,
    colours,
    wish,
    looks,
    slots,
    troubles,
    /** the first thing that can't be read */
    unreadable: readable.success ? null : (readable.error.issues[0]?.message ?? null),
    refusal,
    planned,
    plan,
    steps,
    kept,
    at,
    overall,
    acts,
    figures,
    ...beside,
    difference,
    wholeWay,
    nearest,
    shownSection,
    facts,
    typed,
    told,
    edited,
    recipe,
    takeRecipe,
    chooseLook,
    choosePaint,
    take,
    takeFromShelf,
    departed: schoolCodes.filter((code) => departures[code] !== undefined && departures[code] !== part.method[code]),
    returnTo,
    method,
    toggle,
    move,
    takeNearest,
    setExtras,
    setSeal,
    setColours,
    setEdits,
  }
}

export type Desk = ReturnType<typeof useDesk>
