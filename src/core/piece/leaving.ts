/** What is not done about a piece that is about to leave: each is asked about before it goes. Pure. */
import { getOperation } from '@/core/craft/operations'
import { isAhead } from '@/core/log/stepStates'
import { checkStack } from '@/core/stack/checkStack'
import type { ConflictCode } from '@/core/stack/rules'
import { factsOf } from './facts'
import type { Journey, PartJourney } from './journey'
import { lanesOf } from './lanes'
import { snagsOf } from './snags'

export const concernCodes = [
  'nothing-done',
  'no-finish',
  'running',
  'steps-ahead',
  'unsealed',
  'left-on-it',
  'still-wet',
  'checks-open',
  'snags-open',
] as const
export type ConcernCode = (typeof concernCodes)[number]
export interface Concern {
  code: ConcernCode
  /** the part's name; null where it is about the whole piece */
  part: string | null
  /** how many steps, checks or snags; 1 where nothing is counted */
  count: number
}

/** What the stack check says of the work done alone that may not leave the house unsaid. */
const ofStack: Partial<Record<ConflictCode, ConcernCode>> = {
  'left-unsealed': 'unsealed',
  'excess-left': 'left-on-it',
  'resist-left': 'left-on-it',
  'tape-left': 'left-on-it',
}

function ofPart(journey: PartJourney): Omit<Concern, 'part'>[] {
  const { part, steps, done, running, window, checks } = journey
  const { plan } = part
  const ahead = steps.filter(({ state }) => isAhead(state)).length
  const stack =
    plan && !plan.care
      ? checkStack({
          part: factsOf(part),
          wish: { ...plan, seal: plan.seal ?? undefined },
          acts: done.map(({ step }) => step),
        })
      : []
  const found = new Set(stack.flatMap(({ code }) => ofStack[code] ?? []))
  const wet = window?.phase === 'shut' && getOperation(window.after.operation).layer !== undefined
  const all: [ConcernCode, number][] = [
    ['no-finish', plan || done.length > 0 ? 0 : 1],
    ['running', running ? 1 : 0],
    ['steps-ahead', ahead],
    ['unsealed', found.has('unsealed') ? 1 : 0],
    ['left-on-it', found.has('left-on-it') ? 1 : 0],
    ['still-wet', wet ? 1 : 0],
    ['checks-open', checks.length],
  ]
  return all.flatMap(([code, count]) => (count > 0 ? [{ code, count }] : []))
}

/** Everything that is not done, part by part; one line where nothing was done at all. */
export function concernsOf(journey: Journey): Concern[] {
  const worked = lanesOf(journey).some(({ done, running }) => done.length > 0 || running !== null)
  if (!worked) return [{ code: 'nothing-done', part: null, count: 1 }]
  const open = snagsOf(journey).filter(({ ahead, steps, entry }) => ahead > 0 || (steps === 0 && entry.severity === 'grave'))
  return [
    ...lanesOf(journey).flatMap((each) => ofPart(each).map((concern) => ({ ...concern, part: each.part.name }))),
    ...(open.length > 0 ? [{ code: 'snags-open' as const, part: null, count: open.length }] : []),
  ]
}
