/**
 * A part and a wanted look in, its steps out: preparation, primer, colour, wear, seal, each with product, window, minutes,
 * amount and reason; or a refusal that names the nearest that can be had. Pure and deterministic.
 */
import { contrast, type Cover, coverFor, enoughContrast, hidesBadly, isPale } from '@/core/craft/colour'
import { type FamilyCode, getFamily } from '@/core/craft/families'
import { mayHoldLead } from '@/core/craft/lead'
import { getLook, type Look } from '@/core/craft/looks'
import { defaultMethod, type HouseMethod, methodAllows } from '@/core/craft/method'
import { type CautionCode, type CheckCode, getOperation, type OperationCode, standardMinutes } from '@/core/craft/operations'
import { getExistingFinish, getSubstrate, type UseCode } from '@/core/craft/parts'
import { primers, softPrep, soundFrom, strippedWood, veneerPass } from '@/core/craft/preparation'
import { phases, type ReasonCode, type RecipeLine, type Slot } from '@/core/craft/recipe'
import { getTopcoat, type TopcoatCode, topcoatFits } from '@/core/craft/topcoats'
import { findStepWindow, type StepWindow } from '@/core/craft/windows'
import type { Film } from '@/core/measure/film'
import { coatAmount } from './coatAmount'
import { findRefusal, findTopcoat, type FinishRefusal } from './refusals'
import type { Colour, FinishablePart, FinishWish } from './wish'

export type { Colour, FinishablePart, FinishWish } from './wish'

export interface PlannedStep {
  operation: OperationCode
  family: FamilyCode | null
  colour: Colour | null
  mix: string | null
  applicator: string | null
  grit: string | null
  film: Film
  minutes: number
  /** of what goes on, the ready mix where it is mixed: ml, or g for wax; null where nothing is laid on */
  amount: number | null
  window: StepWindow | null
  check: CheckCode | null
  cautions: readonly CautionCode[]
  reason: ReasonCode
  /** 1-based number of this coat among its like, and how many there are */
  coat: { number: number; of: number } | null
  /** something breaks where it is left out */
  needed: boolean
}

export type AdviceCode =
  | 'low-contrast'
  | 'contrast-none'
  | 'knots-show'
  | 'test-lead'
  | 'wax-for-light-use'
  | 'prove-grip'
  | 'veneer-care'
  | 'chips-as-it-likes'
  | 'pale-over-tannin'
  | 'children-label'
export interface FinishPlan {
  steps: PlannedStep[]
  advice: AdviceCode[]
  seal: TopcoatCode
  /** how many coats each colour needs, and why */
  cover: Partial<Record<Slot, Cover>>
}

const defaultKnots = 6
const primerHex = '#e9e4d8'

/** The steps for one part, or why not. Throws on a colour value that is none. */
export function planFinish(
  part: FinishablePart,
  wish: FinishWish,
  method: HouseMethod = defaultMethod,
): { plan: FinishPlan } | { refusal: FinishRefusal } {
  const refusal = findRefusal(part, wish)
  if (refusal) return { refusal }
  const looks = looksOf(wish)
  const seal = chooseTopcoat(part, wish, looks, method)
  const prep = preparationFor(part, wish, looks, method)
  const cover = coverOf(part, wish, isPrimed(prep))
  const recipe = mergeRecipes(looks, seal)
  const lines = [...prep, ...colourLines(recipe, part, wish, method, seal, cover)]
  const steps = toSteps(part, wish, lines, method)
  return { plan: { steps, seal, cover, advice: adviceFor(part, wish, looks, seal, method) } }
}

export const looksOf = (wish: Pick<FinishWish, 'look' | 'with'>): Look[] => [wish.look, ...(wish.with ?? [])].map(getLook)

/** The topcoat: as wished, else the house's where look, use and paint allow it, else the look's first that does. */
export function chooseTopcoat(part: FinishablePart, wish: FinishWish, looks: readonly Look[], method: HouseMethod): TopcoatCode {
  if (wish.seal) return wish.seal
  const house = method.topcoat
  if (house !== 'by-look' && looks.every(({ seals }) => seals.includes(house)) && topcoatFits(house, part.use, wish.paint))
    return house
  const own = findTopcoat(looks, wish.paint, part)
  if (!own) throw new Error(`no topcoat for ${wish.look} in ${wish.paint}, use ${part.use}`)
  return own
}

/** Lines of every look and of the topcoat in one order; what two looks both ask for stands once. */
export function mergeRecipes(looks: readonly Look[], seal: TopcoatCode): RecipeLine[] {
  const [main, ...over] = looks
  const stands = (line: RecipeLine) =>
    (line.phase === 'base' && line.operation === 'coat') ||
    main?.recipe.some(({ phase, operation }) => phase === line.phase && operation === line.operation)
  const added = over.flatMap(({ recipe }) => recipe.filter((line) => !stands(line)))
  const all: RecipeLine[] = [...getTopcoat(seal).recipe, ...(main?.recipe ?? []), ...added]
  const last = (line: RecipeLine) => all.findLast(({ phase, operation }) => phase === line.phase && operation === line.operation)
  const once = all.filter((line) => !['rub', 'buff'].includes(line.phase) || last(line) === line)
  return phases.flatMap((phase) => once.filter((line) => line.phase === phase))
}

function preparationFor(part: FinishablePart, wish: FinishWish, looks: readonly Look[], method: HouseMethod): RecipeLine[] {
  const substrate = getSubstrate(part.substrate)
  const withCleaner = (line: RecipeLine): RecipeLine =>
    line.family === 'degreaser' && method.cleaner === 'soap' ? { ...line, family: 'soap' } : line
  if (substrate.kind === 'fabric' || substrate.kind === 'leather') {
    const wiped =
      part.existing === 'bare' ? softPrep : soundFrom[part.existing].filter(({ operation }) => !abrading.has(operation))
    return wiped.map(withCleaner)
  }
  const leadThere = mayHoldLead(part)
  const bareWood = looks.some((look) => look.bareWood)
  const base = bareWood && part.existing !== 'bare' ? strippedWood : soundFrom[part.existing]
  const proven = isProven(part, wish, method)
  const kept = base.filter(({ operation }) => {
    if (leadThere) return !abrading.has(operation)
    return !(proven && (operation === 'scuff' || operation === 'dust-off'))
  })
  // slick materials are scuffed, not sanded; bare glass takes neither
  const keyed = kept
    .filter(({ operation }) => part.substrate !== 'glass' || part.existing !== 'bare' || !abrading.has(operation))
    .map((line): RecipeLine =>
      substrate.kind === 'slick' && line.operation === 'sand'
        ? { ...line, operation: 'scuff', grit: '180–220', reason: 'key' }
        : line,
    )
  const eased = keyed.map((line): RecipeLine => {
    const veneered = substrate.veneer && (line.operation === 'sand' || line.operation === 'scuff')
    return withCleaner(veneered ? { ...line, ...veneerPass } : line)
  })
  if (bareWood) return eased
  return [...eased, ...primersFor(part, wish, leadThere)]
}

const abrading = new Set<OperationCode>(['scuff', 'sand', 'dewax', 'dust-off'])

/** Whether this part's ground comes through a colour that shows it. */
export function bleedsThrough(part: FinishablePart, hexes: readonly string[]): boolean {
  const covered = part.existing === 'water-paint' || part.existing === 'oil-paint'
  if (['fabric', 'leather', 'pile'].includes(getSubstrate(part.substrate).kind)) return false
  const mayBleed = part.bleeds === true || (getSubstrate(part.substrate).bleeds === true && !covered)
  return mayBleed && hexes.some((hex) => isPale(hex) || hidesBadly(hex))
}

function primersFor(part: FinishablePart, wish: FinishWish, leadThere: boolean): RecipeLine[] {
  const substrate = getSubstrate(part.substrate)
  const slick = substrate.kind === 'slick'
  const needed: RecipeLine[] = []
  if (substrate.knotty) needed.push(primers.knotty)
  if (leadThere) needed.push(primers.lead)
  else if (slick) needed.push(primers.slick)
  const used = new Set(looksOf(wish).flatMap(({ slots }) => slots))
  const hexes = [...used].flatMap((slot) => wish.colours[slot]?.hex ?? [])
  if (bleedsThrough(part, hexes)) needed.push(primers.bleeding)
  else if (part.existing === 'unknown' && !leadThere && !slick) needed.push(primers.unknown)
  return needed
}

/** Whether a primer lies under the colour. */
export const isPrimed = (steps: readonly { operation: OperationCode }[]): boolean =>
  steps.some(({ operation }) => operation === 'block-prime' || operation === 'adhesion-prime')

/** How many coats each colour of a wish needs on this part. */
export function coverOf(part: FinishablePart, wish: FinishWish, primed: boolean): Partial<Record<Slot, Cover>> {
  const existing = getExistingFinish(part.existing)
  const below = primed ? primerHex : (existing.tone ?? getSubstrate(part.substrate).tone)
  const { a, b } = wish.colours
  return {
    ...(a && { a: coverFor(a.hex, below, primed || existing.layer === 'oldPaint') }),
    ...(b && { b: coverFor(b.hex, a?.hex ?? below, true) }),
  }
}

/** What of a line is otherwise in its first coat. */
const firstOf = ({ firstMix, firstFilm }: RecipeLine): Partial<RecipeLine> => ({
  ...(firstMix && { mix: firstMix }),
  ...(firstFilm && { film: firstFilm }),
})

export interface Line extends Omit<RecipeLine, 'times' | 'between'> {
  coat?: { number: number; of: number }
}

/** How often a line is worked on this part. */
export function timesOf(line: RecipeLine, use: UseCode, seal: TopcoatCode, cover: Partial<Record<Slot, Cover>>): number {
  if (line.times === 'by-use') return getTopcoat(seal).coats[use] ?? 2
  if (line.times === 'by-colour') return cover[line.paint ?? 'a']?.coats ?? 2
  return line.times ?? 1
}

/** Whether a line is worked with this paint, in this house. */
export const lineApplies = (line: RecipeLine, paint: FamilyCode, method: HouseMethod): boolean =>
  (!line.onlyFor || line.onlyFor.includes(paint)) && !line.notFor?.includes(paint) && methodAllows(line.school, method)

function colourLines(
  recipe: readonly RecipeLine[],
  part: FinishablePart,
  wish: FinishWish,
  method: HouseMethod,
  seal: TopcoatCode,
  cover: Partial<Record<Slot, Cover>>,
): Line[] {
  // cane has no flat to rub
  const woven = getSubstrate(part.substrate).kind === 'cane'
  const fits = (line: RecipeLine) => lineApplies(line, wish.paint, method) && !(woven && line.operation === 'smooth')
  const worked = recipe.filter(fits).flatMap((line) => {
    const of = timesOf(line, part.use, seal, cover)
    // a clear more than the use asks for at least is a choice
    const needed = line.times === 'by-use' ? (getTopcoat(seal).least[part.use] ?? of) : of
    return Array.from({ length: of }, (_, k): Line[] => [
      ...(k > 0 ? (line.between ?? []).filter(fits) : []),
      { ...line, ...(k === 0 && firstOf(line)), ...(k >= needed && { optional: true }), coat: { number: k + 1, of } },
    ]).flat()
  })
  // a surface just dusted needs no second dusting
  return worked.filter(({ operation }, k) => operation !== 'de-lint' || worked[k - 1]?.operation !== 'dust-off')
}

/** Milk paint is mixed; over anything but bare wood it wants its bonding agent, unless it is meant to chip. */
function mixOf(line: Line, lines: readonly Line[], part: FinishablePart, wish: FinishWish): string | null {
  if (line.mix) return line.mix
  if (!line.paint || wish.paint !== 'casein') return null
  const onWood = part.existing === 'bare' && getSubstrate(part.substrate).kind === 'wood' && line.phase === 'base'
  return onWood && !lines.some(({ phase }) => phase === 'prime')
    ? 'powder : water 1 : 1'
    : 'powder : water 1 : 1, with bonding agent'
}

/** Lines of a recipe as steps on this part, each with the window to the one after it. */
export function toSteps(part: FinishablePart, wish: FinishWish, lines: readonly Line[], method: HouseMethod): PlannedStep[] {
  const metres = 8 * Math.sqrt(part.areaM2)
  const proves = isProven(part, wish, method)
  const firstCoat = lines.findIndex(({ paint }) => paint !== undefined)
  const steps = lines.map((line, index): PlannedStep => {
    const operation = getOperation(line.operation)
    const family = line.family ?? (line.paint ? wish.paint : null)
    const film = line.film ?? 'normal'
    const role = family === null ? null : getFamily(family).role
    const lays = family !== null && (operation.layer !== undefined || role === 'stripper' || role === 'resist')
    return {
      operation: line.operation,
      family,
      colour: line.paint ? (wish.colours[line.paint] ?? null) : null,
      mix: mixOf(line, lines, part, wish),
      applicator: line.applicator ?? null,
      grit: line.grit ?? null,
      film,
      minutes: standardMinutes(line.operation, { areaM2: part.areaM2, items: part.knots ?? defaultKnots, metres }),
      amount: lays ? coatAmount(part.areaM2, family, film, line.coat?.number ?? 1, line.operation) : null,
      window: null,
      check: proves && index === firstCoat ? 'scratch' : (operation.check ?? null),
      cautions: cautionsFor(operation.cautions ?? [], part),
      reason: line.reason,
      coat: operation.layer && line.coat && line.coat.of > 1 ? line.coat : null,
      needed: line.optional !== true,
    }
  })
  return withWindows(steps, part, method)
}

/** Steps in the order they stand, each with the window to the one that follows it now. */
export function withWindows<T extends PlannedStep>(steps: readonly T[], part: FinishablePart, method: HouseMethod): T[] {
  const around = { kind: getSubstrate(part.substrate).kind, method }
  return steps.map((step, k) => ({
    ...step,
    window: findStepWindow(step.operation, step.family, steps[k + 1]?.operation ?? null, around),
  }))
}

function cautionsFor(own: readonly CautionCode[], part: FinishablePart): readonly CautionCode[] {
  const disturbs = own.includes('dust') || own.includes('blade') || own.includes('solvent')
  return mayHoldLead(part) && disturbs ? ['lead', ...own] : own
}

/** Whether the house leaves the shine unbroken here and proves the grip with a scratch. */
function isProven(part: FinishablePart, wish: FinishWish, method: HouseMethod): boolean {
  const { film, gloss } = getExistingFinish(part.existing)
  const primed = primersFor(part, wish, mayHoldLead(part)).some(({ operation }) => operation !== 'knotting')
  return (
    method.key === 'prove' &&
    getFamily(wish.paint).grips === 'most' &&
    film === true &&
    !gloss &&
    getSubstrate(part.substrate).kind === 'wood' &&
    !primed &&
    !looksOf(wish).some(({ bareWood }) => bareWood)
  )
}

function adviceFor(
  part: FinishablePart,
  wish: FinishWish,
  looks: readonly Look[],
  seal: TopcoatCode,
  method: HouseMethod,
): AdviceCode[] {
  const substrate = getSubstrate(part.substrate)
  const { a, b } = wish.colours
  const distance = looks.some(({ slots }) => slots.length === 2) && a && b ? contrast(a.hex, b.hex) : Infinity
  const given: [AdviceCode, boolean][] = [
    ['contrast-none', distance < 0.03],
    ['low-contrast', distance >= 0.03 && distance < enoughContrast],
    ['knots-show', substrate.knotty === true && looks.some(({ bareWood }) => bareWood)],
    ['test-lead', mayHoldLead(part)],
    ['wax-for-light-use', part.use === 'light' && seal === 'wax'],
    ['prove-grip', isProven(part, wish, method)],
    ['veneer-care', substrate.veneer === true && looks.some(({ bareWood, abrades }) => bareWood || abrades)],
    ['chips-as-it-likes', looks.some(({ chips }) => chips)],
    [
      'pale-over-tannin',
      seal === 'clear' && substrate.bleeds === true && a !== undefined && isPale(a.hex) && looks.some(({ bareWood }) => bareWood),
    ],
    ['children-label', part.use === 'heavy'],
  ]
  return given.filter(([, holds]) => holds).map(([code]) => code)
}
