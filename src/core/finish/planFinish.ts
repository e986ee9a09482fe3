/**
 * A part and a wanted look in, its steps out: preparation, primer, colour, wear, seal, each with product, window, minutes,
 * amount and reason; or a refusal that names the nearest look that can be had. Pure and deterministic.
 */
import { coatVolumes, type Film } from '../mix/coatVolumes'
import { getOperation, standardMinutes, type CautionCode, type CheckCode, type OperationCode } from '../labour/operations'
import { coatsToCover, contrast, enoughContrast, isPale } from './colour'
import { getFamily, isPaint, safeCoverage, type FamilyCode } from './families'
import { getLook, type LookCode, type ReasonCode, type RecipeLine, type Slot } from './looks'
import { getSubstrate, type ExistingFinishCode, type LeadFinding, type SubstrateCode, type UseCode } from './parts'
import { primers, soundFrom, strippedWood, veneerPass, type PrepLine, type PrepReasonCode } from './preparation'
import { findStepWindow, type StepWindow } from './windows'

export interface Colour {
  /** invented by the studio */
  name: string
  /** #rrggbb, lower case */
  hex: string
}
export interface FinishablePart {
  substrate: SubstrateCode
  existing: ExistingFinishCode
  lead: LeadFinding
  use: UseCode
  areaM2: number
  /** knots to seal; counted for knotty softwood */
  knots?: number
  /** a test patch bled, or dye stain is known */
  bleeds?: boolean
}
export interface FinishWish {
  look: LookCode
  paint: FamilyCode
  colours: Partial<Record<Slot, Colour>>
}

export interface PlannedStep {
  operation: OperationCode
  family: FamilyCode | null
  colour: Colour | null
  mix: string | null
  applicator: string | null
  grit: string | null
  film: Film
  minutes: number
  /** ml, or g for wax; null where nothing is laid on */
  amount: number | null
  window: StepWindow | null
  check: CheckCode | null
  cautions: readonly CautionCode[]
  reason: ReasonCode | PrepReasonCode
  /** 1-based number of this coat among its like, and how many there are */
  coat: { number: number; of: number } | null
}

export type AdviceCode = 'low-contrast' | 'contrast-none' | 'knots-show' | 'test-lead' | 'wax-for-light-use'
export interface FinishPlan {
  steps: PlannedStep[]
  advice: AdviceCode[]
}
export type RefusalCode = 'lead' | 'not-wood' | 'veneer-strip' | 'use' | 'paint' | 'colour-missing'
export interface FinishRefusal {
  code: RefusalCode
  nearest: LookCode | null
}

/** What is lost in brush and tin. */
const waste = 0.1
const defaultKnots = 6

/** The steps for one part, or why not. Throws on a colour value that is none. */
export function planFinish(part: FinishablePart, wish: FinishWish): { plan: FinishPlan } | { refusal: FinishRefusal } {
  const refusal = findRefusal(part, wish)
  if (refusal) return { refusal }
  const lines = [...preparationFor(part, wish), ...colourLines(part, wish)]
  return { plan: { steps: toSteps(part, wish, lines), advice: adviceFor(part, wish) } }
}

/** What stands in the way of a look on this part; null where nothing does. */
export function findRefusal(part: FinishablePart, wish: FinishWish): FinishRefusal | null {
  const look = getLook(wish.look)
  const substrate = getSubstrate(part.substrate)
  if (part.lead === 'suspected' && look.abrades && isOld(part)) return { code: 'lead', nearest: 'smooth-clear' }
  if (look.bareWood && !substrate.wood) return { code: 'not-wood', nearest: 'smooth-clear' }
  if (look.bareWood && substrate.veneer && part.existing !== 'bare') return { code: 'veneer-strip', nearest: 'smooth-clear' }
  if (look.notForUse.some((use) => use === part.use)) return { code: 'use', nearest: 'smooth-clear' }
  if (!look.paints.includes(wish.paint)) return { code: 'paint', nearest: wish.look }
  if (look.slots.some((slot) => !wish.colours[slot])) return { code: 'colour-missing', nearest: null }
  return null
}

/** Lead matters where there is an old finish to disturb. */
const isOld = (part: FinishablePart) => ['water-paint', 'oil-paint', 'casein', 'varnish', 'unknown'].includes(part.existing)

interface Line extends Omit<RecipeLine, 'reason' | 'times' | 'between'> {
  reason: ReasonCode | PrepReasonCode
  coat?: { number: number; of: number }
}

function preparationFor(part: FinishablePart, wish: FinishWish): Line[] {
  const look = getLook(wish.look)
  const substrate = getSubstrate(part.substrate)
  const leadThere = part.lead === 'suspected' && isOld(part)
  const base: readonly PrepLine[] = look.bareWood && part.existing !== 'bare' ? strippedWood : soundFrom[part.existing]
  const kept = leadThere ? base.filter(({ operation }) => !['scuff', 'sand', 'dewax'].includes(operation)) : base
  const eased = kept.map((line) =>
    substrate.veneer && (line.operation === 'sand' || line.operation === 'scuff') ? { ...line, ...veneerPass } : line,
  )
  if (look.bareWood) return eased
  const pale = Object.values(wish.colours).some(({ hex }) => isPale(hex))
  const mayBleed = part.bleeds === true || (substrate.bleeds === true && part.existing !== 'water-paint')
  const needed: PrepLine[] = []
  if (substrate.knotty) needed.push(primers.knotty)
  if (leadThere) needed.push(primers.lead)
  else if (substrate.slick) needed.push(primers.slick)
  if (mayBleed && pale) needed.push(primers.bleeding)
  else if (part.existing === 'unknown' && !leadThere && !substrate.slick) needed.push(primers.unknown)
  return [...eased, ...needed]
}

function timesOf(line: RecipeLine, part: FinishablePart, wish: FinishWish): number {
  if (line.times === 'by-use') return part.use === 'heavy' || part.use === 'damp' ? 3 : 2
  if (line.times === 'by-colour') return coatsToCover(wish.colours[line.paint ?? 'a']?.hex ?? '#808080')
  return line.times ?? 1
}

function colourLines(part: FinishablePart, wish: FinishWish): Line[] {
  const { recipe } = getLook(wish.look)
  const fits = (line: RecipeLine) => (!line.onlyFor || line.onlyFor.includes(wish.paint)) && !line.notFor?.includes(wish.paint)
  return recipe.filter(fits).flatMap((line) => {
    const of = timesOf(line, part, wish)
    return Array.from({ length: of }, (_, k): Line[] => [
      ...(k > 0 ? (line.between ?? []) : []),
      { ...hardened(line, part), coat: { number: k + 1, of } },
    ]).flat()
  })
}

/** Damp and outdoors ask for the hard clear in place of the water-based one. */
const hardened = (line: RecipeLine, part: FinishablePart): RecipeLine =>
  line.operation === 'clear-coat' && part.use === 'damp' ? { ...line, family: 'hard-clear' } : line

function toSteps(part: FinishablePart, wish: FinishWish, lines: readonly Line[]): PlannedStep[] {
  return lines.map((line, index) => {
    const operation = getOperation(line.operation)
    const family = line.paint ? wish.paint : (line.family ?? null)
    const film = line.film ?? 'normal'
    const lays = family !== null && (operation.layer !== undefined || getFamily(family).role === 'stripper')
    const next = lines[index + 1]?.operation ?? null
    return {
      operation: line.operation,
      family,
      colour: line.paint ? (wish.colours[line.paint] ?? null) : null,
      mix: line.mix ?? null,
      applicator: line.applicator ?? null,
      grit: line.grit ?? null,
      film,
      minutes: standardMinutes(line.operation, { areaM2: part.areaM2, items: part.knots ?? defaultKnots }),
      amount: lays ? amountOf(part.areaM2, family, film, line.coat?.number ?? 1, line.operation) : null,
      window: findStepWindow(line.operation, family, next),
      check: operation.check ?? null,
      cautions: cautionsFor(operation.cautions ?? [], part),
      reason: line.reason,
      coat: operation.layer && line.coat && line.coat.of > 1 ? line.coat : null,
    }
  })
}

/** ml or g for one coat: the product's careful coverage; thinned washes carry half the paint. */
function amountOf(areaM2: number, family: FamilyCode, film: Film, number: number, operation: OperationCode): number {
  const volumes = coatVolumes({
    area: operation === 'knotting' ? areaM2 * 0.05 : areaM2,
    coverage: safeCoverage(family),
    coats: [...Array.from({ length: number - 1 }, () => film), film],
    waste,
  })
  const ml = volumes.ml.at(-1) ?? 0
  return Math.max(1, Math.round(operation === 'wash' && isPaint(family) ? ml / 2 : ml))
}

function cautionsFor(own: readonly CautionCode[], part: FinishablePart): readonly CautionCode[] {
  const disturbs = own.includes('dust') || own.includes('blade') || own.includes('solvent')
  return part.lead === 'suspected' && isOld(part) && disturbs ? ['lead', ...own] : own
}

function adviceFor(part: FinishablePart, wish: FinishWish): AdviceCode[] {
  const advice: AdviceCode[] = []
  const { a, b } = wish.colours
  if (getLook(wish.look).slots.length === 2 && a && b) {
    const distance = contrast(a.hex, b.hex)
    if (distance < 0.03) advice.push('contrast-none')
    else if (distance < enoughContrast) advice.push('low-contrast')
  }
  if (getSubstrate(part.substrate).knotty && wish.look === 'whitewash') advice.push('knots-show')
  if (part.lead === 'suspected' && isOld(part)) advice.push('test-lead')
  if (part.use === 'light' && getLook(wish.look).recipe.some(({ operation }) => operation === 'clear-wax'))
    advice.push('wax-for-light-use')
  return advice
}

/**
 * What is left of a new plan when some of its work is done already: leading steps that match finished operations are
 * dropped, so that nobody cleans a clean piece twice. What was done stays in the log.
 */
export function remainingAfter(steps: readonly PlannedStep[], done: readonly OperationCode[]): PlannedStep[] {
  let matched = 0
  const prep = (code: OperationCode) => ['prep', 'prime', 'intake'].includes(getOperation(code).stage)
  while (matched < steps.length && matched < done.length) {
    const step = steps[matched]
    if (!step || !prep(step.operation) || step.operation !== done[matched]) break
    matched += 1
  }
  return steps.slice(matched)
}
