/**
 * Lines of a recipe as steps on a part: product, tool, film, minutes, amount and cautions, each with the window to the one after
 * it. Pure.
 */
import { type FamilyCode, getFamily } from '@/core/craft/families'
import { readGrit } from '@/core/craft/grit'
import { mayHoldLead } from '@/core/craft/lead'
import type { HouseMethod } from '@/core/craft/method'
import { standardMinutes } from '@/core/craft/minutes'
import { type CautionCode, type CheckCode, getOperation, type OperationCode } from '@/core/craft/operations'
import { getSubstrate } from '@/core/craft/parts'
import type { ReasonCode } from '@/core/craft/recipe'
import { findStepWindow, type StepWindow } from '@/core/craft/windows'
import type { Film } from '@/core/measure/film'
import { adapt } from './adapt'
import { coatAmount } from './coatAmount'
import type { Line } from './lines'
import type { Colour, FinishablePart, FinishWish } from './wish'

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
  /** the stack rule that asked for it; absent where the look, the topcoat or the painter did */
  rule?: string
  /** something breaks where it is left out */
  needed: boolean
}

const defaultKnots = 6

/** What the steps of a part depend on beside the part and the wish. */
export interface StepsAround {
  method: HouseMethod
  /** a primer lies under the colour */
  primed: boolean
  /** the house proves the grip of the first coat with a scratch */
  proves: boolean
}

/** Milk paint is mixed; over anything but bare wood it wants its bonding agent, unless it is meant to chip. */
function mixOf(line: Line, part: FinishablePart, wish: FinishWish, primed: boolean): string | null {
  if (line.mix) return line.mix
  if (!line.paint || (line.family ?? wish.paint) !== 'casein') return null
  const onWood = part.existing === 'bare' && getSubstrate(part.substrate).kind === 'wood' && line.phase === 'base'
  // sealed knots are no bare wood
  return onWood && !primed && !getSubstrate(part.substrate).knotty
    ? 'powder : water 1 : 1'
    : 'powder : water 1 : 1, with bonding agent'
}

/** Lines as steps on this part, in their order; what this material or house can't have is worked another way or left out. */
export function toSteps(part: FinishablePart, wish: FinishWish, lines: readonly Line[], around: StepsAround): PlannedStep[] {
  const metres = 8 * Math.sqrt(part.areaM2)
  const adapted = lines.flatMap((line) => adapt(line, part) ?? [])
  const firstCoat = adapted.findIndex(({ paint }) => paint !== undefined)
  const steps = adapted.map((line, index): PlannedStep => {
    const operation = getOperation(line.operation)
    const family = line.family ?? (line.paint ? wish.paint : null)
    const film = line.film ?? 'normal'
    const role = family === null ? null : getFamily(family).role
    const lays = family !== null && (operation.layer !== undefined || role === 'stripper' || role === 'resist')
    return {
      operation: line.operation,
      family,
      colour: line.paint ? (wish.colours[line.paint] ?? null) : null,
      mix: mixOf(line, part, wish, around.primed),
      applicator: line.applicator ?? null,
      grit: line.grit ?? null,
      film,
      minutes: standardMinutes(line.operation, {
        areaM2: part.areaM2,
        items: part.knots ?? defaultKnots,
        metres,
        turned: part.turned ?? 0,
        applicator: line.applicator ?? null,
        grit: line.grit ?? null,
      }),
      amount: lays ? coatAmount(part.areaM2, family, film, line.coat?.number ?? 1, line.operation) : null,
      window: null,
      check: around.proves && index === firstCoat ? 'scratch' : (operation.check ?? null),
      cautions: cautionsFor(operation.cautions ?? [], part, line),
      reason: line.reason,
      coat: operation.layer && line.coat && line.coat.of > 1 ? line.coat : null,
      needed: line.optional !== true,
    }
  })
  return withWindows(steps, part, around.method)
}

/** Steps in the order they stand, each with the window to the one that follows it now. */
export function withWindows<T extends PlannedStep>(steps: readonly T[], part: FinishablePart, method: HouseMethod): T[] {
  const around = { kind: getSubstrate(part.substrate).kind, method }
  return steps.map((step, k) => ({
    ...step,
    window: findStepWindow(step.operation, step.family, steps[k + 1]?.operation ?? null, around),
  }))
}

/** The operation's own; wet work raises no dust; what disturbs a part that may hold lead says so. */
function cautionsFor(own: readonly CautionCode[], part: FinishablePart, line: Line): readonly CautionCode[] {
  const disturbs = own.includes('dust') || own.includes('blade') || own.includes('solvent')
  const said = readGrit(line.grit, line.applicator).wet ? own.filter((code) => code !== 'dust') : own
  return mayHoldLead(part) && disturbs ? ['lead', ...said] : said
}
