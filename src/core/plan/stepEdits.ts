/**
 * What the painter does to the steps of a plan: left out, moved, changed, done once more, steps of their own. It hangs on what a step
 * is, not on where it stands, so that it outlives a change of the layers. Pure.
 */
import { mayHoldLead } from '@/core/craft/lead'
import type { HouseMethod } from '@/core/craft/method'
import { type CheckCode, getOperation, type OperationCode } from '@/core/craft/operations'
import type { StepWindow } from '@/core/craft/windows'
import { plainStep, type PlannedStep, withLeadSaid, withWindows } from '@/core/finish/step'
import type { FinishablePart } from '@/core/finish/wish'

/** Minutes, ml or g, minutes of waiting after it, words. What is absent is as planned. */
export interface StepChange {
  minutes?: number | undefined
  amount?: number | undefined
  wait?: number | undefined
  grit?: string | undefined
  applicator?: string | undefined
}
/** Where a step stands: after one, before another, by their keys; last where neither is there. */
export interface Spot {
  after: string | null
  before: string | null
}
export interface OwnStep {
  id: string
  at: Spot
  /** once more as this one, by its key; else an operation of its own */
  like: string | null
  operation: OperationCode
  /** in the painter's own words */
  words: string | null
  minutes: number
  check: CheckCode | null
}
export interface StepEdits {
  left: readonly string[]
  moves: readonly { key: string; to: Spot }[]
  changes: Readonly<Record<string, StepChange>>
  own: readonly OwnStep[]
}
export const noEdits: StepEdits = { left: [], moves: [], changes: {}, own: [] }
export const isEdited = ({ left, moves, changes, own }: StepEdits): boolean =>
  left.length + moves.length + own.length + Object.keys(changes).length > 0

/** What a painter puts among the steps beside the layers: preparation, rubbing, work around the paint, a trial, words of their own. */
export const ownOperations: readonly OperationCode[] = [
  'own',
  'trial',
  'turn-over',
  'clean',
  'rinse',
  'wipe-spirits',
  'scuff',
  'sand',
  'dust-off',
  'mask',
  'smooth',
  'de-lint',
  'buff',
  'repair',
  'fill',
  'photograph',
  'inspect',
]

export interface EditedStep {
  key: string
  step: PlannedStep
  left: boolean
}
type Named = Pick<PlannedStep, 'operation' | 'touch' | 'rule' | 'coat' | 'own'>

/** A name for each step: by its layer and coat; what the rules put in by the layer that it was put in for. */
export function keysOf(steps: readonly Named[]): string[] {
  const keys: string[] = []
  const used = new Map<string, number>()
  let next = 'end'
  for (const step of [...steps].reverse()) {
    const { operation, touch, rule, coat, own } = step
    const name = own ?? (touch ? `${touch} ${operation}${coat ? ` ${coat.number}` : ''}` : `${operation} ${rule ?? ''}>${next}`)
    const times = used.get(name) ?? 0
    used.set(name, times + 1)
    const key = times === 0 ? name : `${name} #${times}`
    if (touch) next = name
    keys.push(key)
  }
  return keys.reverse()
}

/** The usual window, opened when the painter says. */
const waits = (window: StepWindow | null, wait: number): StepWindow => ({
  ...(window ?? { clock: 'evaporation' }),
  opens: [wait, wait],
  source: 'painter',
})
/** A step's window as the painter set it, or as it is. */
const withWait = (step: PlannedStep, change: StepChange | undefined): PlannedStep =>
  change?.wait === undefined ? step : { ...step, window: waits(step.window, change.wait) }

function changed(step: PlannedStep, change: StepChange | undefined): PlannedStep {
  if (!change || Object.keys(change).length === 0) return step
  const { minutes, amount, grit, applicator } = change
  return {
    ...step,
    ...(minutes !== undefined && { minutes }),
    // nothing is laid where nothing is
    ...(amount !== undefined && step.amount !== null && { amount }),
    ...(grit !== undefined && { grit }),
    ...(applicator !== undefined && { applicator }),
    changed: true,
  }
}

/** What an operation is by itself, with the painter's words and minutes. */
function ownStep({ id, operation, words, minutes, check }: OwnStep): PlannedStep {
  const known = getOperation(operation)
  return {
    ...plainStep(operation, minutes),
    check: check ?? known.check ?? null,
    cautions: known.cautions ?? [],
    reason: 'as-wished',
    ...(words !== null && { words }),
    own: id,
  }
}

const spotIn = (list: readonly EditedStep[], { after, before }: Spot): number => {
  const at = (key: string | null) => list.findIndex((each) => each.key === key)
  if (at(after) >= 0) return at(after) + 1
  if (at(before) >= 0) return at(before)
  return list.length
}

/** The steps as the painter has them, what is left out still in its place; windows are joined afterwards. */
export function editedSteps(planned: readonly PlannedStep[], { left, moves, changes, own }: StepEdits): EditedStep[] {
  const names = keysOf(planned)
  const list: EditedStep[] = planned.map((step, k) => ({ key: names[k] ?? '', step, left: left.includes(names[k] ?? '') }))
  for (const each of own) {
    const model = each.like === null ? null : planned[names.indexOf(each.like)]
    // once more as one that is there no longer
    if (model === undefined) continue
    const step = model
      ? { ...model, coat: null, reason: 'as-wished' as const, needed: false, rule: null, own: each.id }
      : ownStep(each)
    list.splice(spotIn(list, each.at), 0, { key: each.id, step, left: left.includes(each.id) })
  }
  for (const { key, to } of moves) {
    const from = list.findIndex((each) => each.key === key)
    const [moved] = from < 0 ? [] : list.splice(from, 1)
    if (moved) list.splice(spotIn(list, to), 0, moved)
  }
  return list.map((each) => ({ ...each, step: changed(each.step, changes[each.key]) }))
}

/** What is left of them to work, each with the window to the one that follows it now, or the wait that the painter set. */
export function workedSteps(
  edited: readonly EditedStep[],
  { changes }: StepEdits,
  ...[part, method, done]: [part: FinishablePart, method: HouseMethod, done: readonly PlannedStep[]]
): { key: string; step: PlannedStep }[] {
  const worked = edited.filter(({ left }) => !left)
  const steps = worked.map(({ step }) => step)
  return withWindows(steps, part, method, done).map((step, k) => {
    const { key } = worked[k] as EditedStep
    return { key, step: withLeadSaid(withWait(step, changes[key]), mayHoldLead(part)) }
  })
}

/** Where a step stands between its neighbours in a list of keys. */
export const spotAt = (keys: readonly string[], index: number): Spot => ({
  after: keys[index - 1] ?? null,
  before: keys[index] ?? null,
})
