/**
 * The plan desk's state: what is wished, what was moved or left out by hand, and all that follows from it through the core.
 */
import { useDeferredValue, useMemo, useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { FamilyCode } from '@/core/craft/families'
import { getLook, type LookCode, lookCodes } from '@/core/craft/looks'
import { type HouseMethod, type SchoolCode, schoolCodes } from '@/core/craft/method'
import type { Slot } from '@/core/craft/recipe'
import type { TopcoatCode } from '@/core/craft/topcoats'
import { looksOf } from '@/core/finish/lines'
import { findRefusal } from '@/core/finish/refusals'
import { type PlannedStep, withWindows } from '@/core/finish/step'
import type { Colour, FinishWish } from '@/core/finish/wish'
import type { HouseRecipe } from '@/core/house/recipe'
import { planInput, type PlanText, type RecipeText } from '@/core/input/piece'
import { factsOf } from '@/core/piece/facts'
import { type Change, findFromShelf, listAlternatives } from '@/core/plan/alternatives'
import { figuresOf, type HouseResources } from '@/core/plan/figures'
import { planFinish } from '@/core/plan/planFinish'
import { differenceOf, replan } from '@/core/plan/replan'
import { wholePiece } from '@/core/plan/wholePiece'
import { checkStack, type Conflict } from '@/core/stack/checkStack'
import type { LookDrawn } from './LookChoice'
import { plannedSection } from './plannedSection'
import type { DeskTin, PlanPart } from './planPart'
import type { DeskStep } from './StepList'

const fallbackColours: Record<Slot, Colour> = {
  a: { name: 'First colour', hex: '#3d5661' },
  b: { name: 'Second colour', hex: '#e3d7bd' },
}

export function useDesk(part: PlanPart, tins: readonly DeskTin[], means: HouseResources) {
  const { pieceId } = part
  const [planId] = useState(() => uuidv7())
  const [stepIds] = useState(() => Array.from({ length: 80 }, () => uuidv7()))
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
  // what was moved or left out by hand; forgotten when the plan becomes another
  const [edits, setEdits] = useState<{ of: string; order: number[]; left: number[] } | null>(null)

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
  const wish = wishFor(look)
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
  }
  const readable = planInput.safeParse(typed)
  const troubles = readable.success
    ? {}
    : Object.fromEntries(readable.error.issues.map(({ path, message }) => [path.join('.'), message]))
  const outcome = readable.success ? replan(facts, wish, part.done, method) : null
  const planned: PlannedStep[] = outcome && 'steps' in outcome ? outcome.steps : []
  const whole = outcome && 'steps' in outcome ? planFinish(facts, wish, method) : null
  const plan = whole && 'plan' in whole ? whole.plan : null

  const key = planned.map(({ operation, family, colour }) => `${operation} ${family} ${colour?.hex}`).join()
  const mine = edits?.of === key ? edits : { of: key, order: planned.map((_, k) => k), left: [] as number[] }
  const ordered: DeskStep[] = mine.order.flatMap((position) => {
    const step = planned[position]
    return step ? [{ step, position, left: mine.left.includes(position) }] : []
  })
  // a step's window is the one to what follows it now
  const worked = ordered.filter(({ left }) => !left)
  const joined = withWindows(
    worked.map(({ step }) => step),
    facts,
    method,
  )
  const kept = worked.map((each, k) => ({ ...each, step: joined[k] ?? each.step }))
  const steps = ordered.map((each) => kept.find(({ position }) => position === each.position) ?? each)
  const acts = [...part.done, ...kept.map(({ step }) => step)]
  const conflicts = plan ? checkStack({ part: facts, wish, method, acts }) : []
  const at = new Map<number, Conflict[]>()
  // said once, where it first shows
  const told = conflicts.filter(({ code }, k) => conflicts.findIndex((each) => each.code === code) === k)
  for (const conflict of told) {
    const position = kept[(conflict.acts.at(-1) ?? -1) - part.done.length]?.position
    if (position !== undefined) at.set(position, [...(at.get(position) ?? []), conflict])
  }
  const overall = told.filter(({ acts }) => acts.length === 0)
  const figures = figuresOf(
    kept.map(({ step }) => step),
    means,
  )
  // what is looked at beside the plan follows a moment later, and not at every letter of a colour's name
  const asked = useDeferredValue(
    JSON.stringify({
      look,
      with: extras,
      paint,
      seal,
      departures,
      a: colours.a.hex,
      b: colours.b.hex,
      readable: readable.success,
    }),
  )
  const later = useMemo(
    () => ({
      ways: part.done.length === 0 && readable.success ? listAlternatives(facts, wish, method, means).slice(0, 12) : [],
      drawn: lookCodes.map((code): LookDrawn => {
        const own = wishFor(code)
        const made = planFinish(facts, own, method)
        return 'plan' in made
          ? { code, section: plannedSection(part, own, made.plan.steps) }
          : { code, refusal: made.refusal.code }
      }),
    }),
    // `asked` says all of what these are made from
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [asked],
  )
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
          { id: part.id, kind: part.kind },
          part.ahead,
          kept.map(({ step }) => step),
          means.hours,
        )
      : null

  const chooseLook = (code: LookCode) => {
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
    if (change.kind === 'paint') choosePaint(change.to)
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
    if (found.wish.paint !== paint) choosePaint(found.wish.paint)
    setExtras([...(found.wish.with ?? [])])
    setSeal(found.wish.seal ?? '')
    return []
  }
  const nearest = outcome && 'refusal' in outcome ? outcome.refusal.nearest : null
  const takeNearest = () => {
    if (nearest?.look) chooseLook(nearest.look)
    if (nearest?.paint) choosePaint(nearest.paint)
    if (nearest?.with) setExtras([...nearest.with])
    if (nearest?.seal) setSeal(nearest.seal)
  }
  const shownSection = plan && plannedSection(part, wish, acts)

  const edited = edits?.of === key
  const recipe: RecipeText['wish'] = {
    look,
    with: typed.with,
    paint: wish.paint,
    colours: typed.colours,
    ...(seal !== '' && { seal }),
    departures,
  }
  const takeRecipe = (kept: HouseRecipe['wish']) => {
    setLook(kept.look)
    setExtras([...(kept.with ?? [])])
    setPaint(kept.paint)
    setSeal(kept.seal ?? '')
    setDepartures(kept.departures ?? {})
    setColours({ ...colours, ...kept.colours })
  }
  return {
    look,
    extras,
    seal,
    colours,
    wish,
    looks,
    slots,
    troubles,
    outcome,
    planned,
    plan,
    steps,
    kept,
    at,
    overall,
    acts,
    figures,
    ways: later.ways,
    drawn: later.drawn,
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

/** A look that the material allows, to begin with. */
function firstLook(part: PlanPart): LookCode {
  const facts = factsOf(part)
  const wish: FinishWish = { look: 'smooth-solid', paint: 'chalk-mineral', colours: fallbackColours }
  return findRefusal(facts, wish)?.nearest?.look ?? 'smooth-solid'
}

/** Two tins of a paint to begin with, the second another colour than the first. */
function twoTins(tins: readonly DeskTin[], family: FamilyCode, first: Colour | undefined): Partial<Record<Slot, Colour>> {
  const fitting = tins.filter((tin) => tin.family === family).map(({ name, hex }): Colour => ({ name, hex }))
  const a = first ?? fitting[0]
  const b = fitting.find(({ hex }) => hex !== a?.hex)
  return { ...(a && { a }), ...(b && { b }) }
}
