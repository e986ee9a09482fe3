/**
 * The only place that knows what must come before, between and after. What is wanted is laid act by act on what was done; before
 * each act the rules are asked what is wrong, and the first remedy that this material and house allow goes in before it, until
 * they are silent; what is still wrong at the end is mended there. Pure and deterministic: planning begins with nothing done,
 * re-planning with the log, mending with the log and the remedy first.
 */
import { addedLine, type RemedyStep } from '@/core/craft/added'
import { readGrit } from '@/core/craft/grit'
import type { HouseMethod } from '@/core/craft/method'
import { getTopcoat } from '@/core/craft/topcoats'
import { colourLines, type Line } from '@/core/finish/lines'
import { type PlannedStep, toSteps, withWindows } from '@/core/finish/step'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { type Conflict, intentOf, rulesEnded, rulesMet } from '@/core/stack/checkStack'
import type { ConflictCode, Intent } from '@/core/stack/rules'
import { type Act, afterAct, foundSurface, type SurfaceState } from '@/core/stack/surface'

export interface Wanted<T extends PlannedStep> {
  part: FinishablePart
  wish: FinishWish
  method: HouseMethod
  /** what lies on the part already, in order */
  done: readonly Act[]
  /** what is to be laid on it, bottom up */
  wanted: readonly T[]
  /** rules that the painter departs from: nothing is put in for them, and their conflicts stand */
  departed?: readonly ConflictCode[]
}
export interface Completed<T extends PlannedStep> {
  steps: (T | PlannedStep)[]
  /** what no remedy could put right, with positions in `steps` */
  stops: Conflict[]
}

/** A remedy may itself need one, and that one another: as deep as this, and no deeper. */
const deepest = 6

interface Waiting<T> {
  act: T
  /** rules whose remedy went in before it already */
  asked: ReadonlySet<ConflictCode>
  depth: number
}

/** What is wanted with all that must come before, between and after it. */
export function complete<T extends PlannedStep>({ part, wish, method, done, wanted, departed = [] }: Wanted<T>): Completed<T> {
  const intent = intentOf(part, wish, [...done, ...wanted], method)
  const steps: (T | PlannedStep)[] = []
  const stops: Conflict[] = []
  let on = done.reduce(afterAct, foundSurface(part))
  let waiting: Waiting<T | PlannedStep>[] = wanted.map((act) => ({ act, asked: new Set(), depth: 0 }))
  while (waiting[0]) {
    const { act, asked, depth } = waiting[0]
    const ahead = waiting.slice(1).map((each) => each.act)
    const index = done.length + steps.length
    const met = rulesMet({ ...intent, act, index, on, ahead })
    const mended = met.find(
      ([code, rule]) =>
        !rule.instead && rule.remedies.length > 0 && !asked.has(code) && !departed.includes(code) && depth < deepest,
    )
    const remedy = mended && remedySteps(mended[0], mended[1].remedies, intent, on, mended[1].optional)
    if (mended && remedy) {
      waiting[0] = { act, asked: new Set([...asked, mended[0]]), depth }
      waiting = [...remedy.map((step) => ({ act: step, asked: new Set<ConflictCode>(), depth: depth + 1 })), ...waiting]
      continue
    }
    for (const [code, { severity, remedies }] of met)
      if (severity === 'stop') stops.push({ code, severity, remedies, acts: [steps.length] })
    steps.push(act)
    on = afterAct(on, act, index)
    waiting = waiting.slice(1)
  }
  const ends = endingSteps(intent, on, [...done, ...steps], departed)
  const whole = withWindows([...steps, ...ends.steps], part, method)
  return { steps: whole, stops: [...stops, ...ends.stops] }
}

/** What is mended by sealing it: as this part is sealed. */
const sealing = new Set<ConflictCode>([
  'left-unsealed',
  'topcoat-missing',
  'wax-in-hard-use',
  'not-for-outdoors',
  'too-few-clears',
])

/** The steps of a remedy on this part; null where its material takes none of them. */
function remedySteps(
  rule: ConflictCode,
  remedies: readonly RemedyStep[],
  { part, wish, method, seal, cover }: Intent,
  on: SurfaceState,
  optional?: boolean,
): PlannedStep[] | null {
  const cleaner = method.cleaner
  // wool is for wax that lies on it; its smear wants the cloth alone
  const smeared = on.wax !== 'thick' && on.layers.at(-1)?.role !== 'wax'
  const lines = remedies.flatMap((step): readonly Line[] => {
    if (step.operation === 'dewax' && smeared) return []
    if (step.operation === 'clean' && method.cleaner === 'spirits')
      return [addedLine({ operation: 'wipe-spirits', reason: 'grease-defeats-paint' })]
    if (step.operation === 'rinse' && method.cleaner === 'spirits' && !on.cleaner) return []
    const own = step.operation === 'clean' ? { ...step, family: cleaner } : step
    return [{ ...addedLine(own), ...(optional && step.operation !== 'dust-off' && { optional: true }) }]
  })
  const sealed = sealing.has(rule) ? colourLines(getTopcoat(seal).recipe, part, wish, method, seal, cover) : []
  const steps = toSteps(part, wish, sealed.length > 0 ? sealed : lines, { method, primed: true, proves: false }).map((step) => ({
    ...step,
    rule,
  }))
  // what is rubbed wet leaves no dust
  const kept = steps.filter(
    ({ operation }, k) => operation !== 'dust-off' || !readGrit(steps[k - 1]?.grit, steps[k - 1]?.applicator).wet,
  )
  return kept.length > 0 ? kept : null
}

function endingSteps(
  intent: Intent,
  on: SurfaceState,
  acts: readonly (Act | PlannedStep)[],
  departed: readonly ConflictCode[],
): { steps: PlannedStep[]; stops: Conflict[] } {
  const stops: Conflict[] = []
  const steps: PlannedStep[] = []
  let surface = on
  for (const [code, rule] of rulesEnded({ ...intent, acts, on })) {
    const remedy =
      !rule.instead && !departed.includes(code) && rule.severity !== 'advice'
        ? remedySteps(code, rule.remedies, intent, surface)
        : null
    const still = rulesEnded({ ...intent, acts: [...acts, ...steps], on: surface }).some(([again]) => again === code)
    if (still && remedy) {
      for (const step of remedy) {
        steps.push(step)
        surface = afterAct(surface, step, acts.length + steps.length)
      }
    } else if (still && rule.severity === 'stop') stops.push({ code, severity: 'stop', remedies: rule.remedies, acts: [] })
  }
  return { steps, stops }
}
