/**
 * Lines of a recipe as steps on a part: product, tool, film, minutes, amount and cautions, each with the window to the one after
 * it. Pure.
 */
import { type CautionCode, materialCautions } from '@/core/craft/cautions'
import { type FamilyCode, getFamily } from '@/core/craft/families'
import { readGrit } from '@/core/craft/grit'
import type { Side } from '@/core/craft/job'
import { mayHoldLead } from '@/core/craft/lead'
import type { HouseMethod } from '@/core/craft/method'
import { standardMinutes } from '@/core/craft/minutes'
import { homeMix, mixingMinutes } from '@/core/craft/mixes'
import { type CheckCode, getOperation, type LayerKind, type OperationCode } from '@/core/craft/operations'
import { getSubstrate } from '@/core/craft/parts'
import { tapeMetres } from '@/core/craft/pattern'
import type { ReasonCode } from '@/core/craft/recipe'
import type { Sheen } from '@/core/craft/sheen'
import { isSprayed } from '@/core/craft/ways'
import { findPlannedWindow, type StepWindow, type WindowAround } from '@/core/craft/windows'
import { filmMinutes } from '@/core/drying/windowFor'
import type { Film } from '@/core/measure/film'
import { adapt } from './adapt'
import { coatAmount, usualShare } from './coatAmount'
import type { Line } from './lines'
import { patternAt } from './pattern'
import { shareOf, type Where } from './touch'
import type { Colour, FinishablePart } from './wish'

export interface PlannedStep {
  operation: OperationCode
  family: FamilyCode | null
  colour: Colour | null
  mix: string | null
  applicator: string | null
  grit: string | null
  film: Film
  /** the sheen that its tin is to have; any unless given */
  sheen?: Sheen | undefined
  minutes: number
  /** of what goes on, the ready mix where it is mixed: ml, or g for wax; null where nothing is laid on */
  amount: number | null
  window: StepWindow | null
  check: CheckCode | null
  cautions: readonly CautionCode[]
  reason: ReasonCode
  /** 1-based number of this coat among its like, and how many there are */
  coat: { number: number; of: number } | null
  /** where on the part; all over unless given */
  where?: Where | null | undefined
  /** the touch of the finish that it belongs to; absent where the rules asked for it */
  touch?: string | null | undefined
  /** the stack rule that asked for it; absent where the look, the topcoat or the painter did */
  rule?: string | null | undefined
  /** the painter's own words, where the operation's do not say it */
  words?: string | undefined
  /** the painter's own step, by its name among them */
  own?: string | undefined
  /** the painter set some of it otherwise than it was planned */
  changed?: boolean | undefined
  /** of the work around the paint: before the parts are painted, or after */
  side?: Side | undefined
  /** laid on two sides: minutes until the first may be turned onto its face, at the reference climate */
  turns?: number | undefined
  /** something breaks where it is left out */
  needed: boolean
}

/** A step that takes so long, lays nothing and leaves nothing to wait for. */
export const plainStep = (operation: OperationCode, minutes: number): PlannedStep => ({
  operation,
  family: null,
  colour: null,
  mix: null,
  applicator: null,
  grit: null,
  film: 'normal',
  minutes,
  amount: null,
  window: null,
  check: null,
  cautions: [],
  reason: 'cover',
  coat: null,
  needed: true,
})

const defaultKnots = 6

/** What the steps of a part depend on beside the part and the wish. */
export interface StepsAround {
  method: HouseMethod
  /** a primer lies under the colour */
  primed: boolean
  /** the house proves the grip of the first coat with a scratch */
  proves: boolean
}

/** Milk paint is mixed; over anything but bare wood or itself it wants its bonding agent, unless it is meant to chip. */
function mixOf(line: Line, part: FinishablePart, first: boolean, primed: boolean): string | null {
  if (line.mix) return line.mix
  if (line.colour && line.family === 'home-chalky') return homeMix
  if (!line.colour || line.family !== 'casein') return null
  const { kind, knotty } = getSubstrate(part.substrate)
  // sealed knots are no bare wood
  return first && part.existing === 'bare' && kind === 'wood' && !primed && !knotty
    ? 'powder : water 1 : 1'
    : 'powder : water 1 : 1, with bonding agent'
}

/** Lines as steps on this part, in their order, without their windows; what this material or house can't have is worked another way or left out. */
export function toSteps(part: FinishablePart, lines: readonly Line[], around: StepsAround): PlannedStep[] {
  const adapted = lines.flatMap((line) => adapt(line, part) ?? [])
  const coloured = adapted.filter(({ colour }) => colour !== undefined)
  const [firstCoat] = coloured
  // nothing but itself lies below
  const first = (line: Line) =>
    coloured.slice(0, coloured.indexOf(line)).every(({ touch, family }) => touch === line.touch && family === line.family)
  // a mix is made up once, for all the coats of it
  const made = new Set<string>()
  /** stripes by their measures; else practice's guess at what is taped */
  const metres = (at: number) => {
    const pattern = part.face && patternAt(adapted, at)
    return part.face && pattern?.kind === 'stripes' ? tapeMetres(pattern, part.face) : 8 * Math.sqrt(part.areaM2)
  }
  return adapted.map((line, at): PlannedStep => {
    const operation = getOperation(line.operation)
    const family = line.family ?? null
    const sprayed = isSprayed(line)
    const film = line.film ?? (sprayed ? 'thin' : 'normal')
    const role = family === null ? null : getFamily(family).role
    const lays = family !== null && (operation.layer !== undefined || role === 'stripper' || role === 'resist')
    const share = line.where ? shareOf(line.where) : null
    // what is small by nature has its minutes for the whole part already
    const areaM2 = part.areaM2 * (share === null ? 1 : Math.min(1, share / Math.min(1, usualShare(line.operation))))
    const mix = mixOf(line, part, first(line), around.primed)
    const batch = `${line.touch} ${mix}`
    const mixing = made.has(batch) ? 0 : mixingMinutes(mix, line.colour?.parts !== undefined, around.method.mixing === 'measure')
    made.add(batch)
    return {
      operation: line.operation,
      family,
      colour: line.colour ?? null,
      mix,
      applicator: line.applicator ?? null,
      grit: line.grit ?? null,
      film,
      minutes: standardMinutes(line.operation, {
        areaM2,
        items: line.operation === 'mask' ? 1 : (part.knots ?? defaultKnots),
        metres: metres(at),
        turned: part.turned ?? 0,
        applicator: line.applicator ?? null,
        grit: line.grit ?? null,
        mixing,
      }),
      amount: lays ? coatAmount(part.areaM2, family, film, line.coat?.number ?? 1, line.operation, share, sprayed) : null,
      window: null,
      check: around.proves && line === firstCoat ? 'scratch' : (operation.check ?? null),
      cautions: cautionsFor(operation.cautions ?? [], part, { ...line, mix: mix ?? undefined }),
      reason: line.reason,
      coat: operation.layer && line.coat && line.coat.of > 1 ? line.coat : null,
      needed: line.optional !== true,
      ...(line.where && { where: line.where }),
      ...(line.touch && { touch: line.touch }),
      ...(line.sheen && { sheen: line.sheen }),
      ...turned(line, part),
    }
  })
}

/** What must be dry before it is laid on its face; waxes and oils are wiped. */
const wet: readonly LayerKind[] = ['primer', 'paint', 'texture', 'medium', 'crackle', 'wash', 'glaze', 'clear']
const usualTouch = 60
function turned({ operation, family }: Line, { twoSided }: FinishablePart): { turns?: number } {
  const { layer } = getOperation(operation)
  if (!twoSided || !family || !layer || !wet.includes(layer)) return {}
  const { touchDry, recoat } = getFamily(family)
  return { turns: (touchDry ?? recoat)?.[1] ?? usualTouch }
}

/** What was done already, its minutes where they are known. */
type Done = Pick<PlannedStep, 'operation' | 'family' | 'film'> & { colour?: Colour | null; minutes?: number }

/** Steps in the order they stand after what was done, each with the window to the one that follows it now. */
export function withWindows<T extends PlannedStep>(
  steps: readonly T[],
  part: FinishablePart,
  method: HouseMethod,
  done: readonly Done[] = [],
): T[] {
  const around = { kind: getSubstrate(part.substrate).kind, method }
  const all: readonly Done[] = [...done, ...steps]
  /** minutes since the layer on top was laid, if all is done as soon as it may be; that layer */
  let [since, top] = [0, null as Done | null]
  const windows = all.map((step, k) => {
    const next = all[k + 1]
    const window = findPlannedWindow(step, next?.operation ?? null, around)
    const lays = getOperation(step.operation).layer !== undefined && step.family !== null
    since = lays ? 0 : since + (step.minutes ?? 0)
    top = lays ? step : top
    const whole = next && top && !lays ? restOf(top, next, since, window, around) : window
    since += whole ? whole.opens[0] * filmMinutes[step.film] : 0
    return whole
  })
  return steps.map((step, k) => {
    const window = windows[done.length + k] ?? null
    // what must be followed up before the first side is dry is worked a side at a time
    const tooSoon = step.turns !== undefined && window?.closes !== undefined && window.closes[0] <= step.turns + step.minutes
    return { ...step, window, ...(tooSoon && { turns: undefined }) }
  })
}

/** The wait before the next layer: the step's own, or what the layer on top still wants of its time, whichever is more. */
function restOf(top: Done, next: Done, since: number, own: StepWindow | null, around: WindowAround): StepWindow | null {
  if (getOperation(next.operation).layer === undefined || next.family === null) return own
  const wanted = findPlannedWindow(top, next.operation, around)
  const film = filmMinutes[top.film]
  const rest = wanted ? Math.ceil(wanted.opens[0] * film - since) : 0
  if (!wanted || rest <= (own?.opens[0] ?? 0)) return own
  return { ...(own ?? wanted), clock: wanted.clock, opens: [rest, Math.max(own?.opens[1] ?? 0, rest)] }
}

/** The operation's own; wet work raises no dust; what disturbs a part that may hold lead says so. */
function cautionsFor(ofOperation: readonly CautionCode[], part: FinishablePart, line: Line): readonly CautionCode[] {
  const own = [...new Set([...ofOperation, ...materialCautions(line)])]
  const said = readGrit(line.grit, line.applicator).wet ? own.filter((code) => code !== 'dust') : own
  return mayHoldLead(part) ? saidOfLead(own, said) : said
}

const disturbing: readonly CautionCode[] = ['dust', 'blade', 'solvent']
/** What is said, lead before all else where the work disturbs what may hold it. */
const saidOfLead = (cautions: readonly CautionCode[], said: readonly CautionCode[]): readonly CautionCode[] =>
  disturbing.some((code) => cautions.includes(code)) && !said.includes('lead') ? ['lead', ...said] : said
/** A step on what may hold lead: what the painter puts in, and the work around the paint. */
export const withLeadSaid = (step: PlannedStep, lead: boolean): PlannedStep =>
  lead ? { ...step, cautions: saidOfLead(step.cautions, step.cautions) } : step
