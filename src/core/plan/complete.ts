/**
 * The only place that knows what must come before, between and after. What is wanted is laid act by act on what was done; before
 * each act the rules are asked what is wrong, and the first remedy that this material and house allow goes in before it, until
 * they are silent; what is still wrong at the end is mended there. Pure and deterministic: planning begins with nothing done,
 * re-planning with the log, mending with the log and the remedy first.
 */
import { addedLine, type RemedyStep } from '@/core/craft/added'
import type { HouseMethod } from '@/core/craft/method'
import type { OperationCode } from '@/core/craft/operations'
import { getTopcoat } from '@/core/craft/topcoats'
import { colourLines, type Line } from '@/core/finish/lines'
import { type PlannedStep, toSteps, withWindows } from '@/core/finish/step'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { afterAct } from '@/core/stack/afterAct'
import { type Conflict, intentOf, rulesEnded, rulesMet } from '@/core/stack/checkStack'
import type { ConflictCode, Intent } from '@/core/stack/rules'
import { type Act, foundSurface, type SurfaceState } from '@/core/stack/surface'

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
  /** the first wanted steps are of a repair that takes this share of the part, and so does what they ask for */
  small?: { share: number; until: number }
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
  /** of the part that it is worked on */
  share: number
  /** asked for by no rule: what was wanted may have lost its reason */
  mayDrop: boolean
}

const none: ReadonlySet<ConflictCode> = new Set()
/** What comes after the one on top of the pile. */
const aheadIn = (pile: readonly { act: Act }[]): Act[] =>
  pile
    .slice(0, -1)
    .reverse()
    .map(({ act }) => act)

/** What is wanted with all that must come before, between and after it. */
export function complete<T extends PlannedStep>(asked: Wanted<T>): Completed<T> {
  const { part, wish, method, done, wanted, departed = [], small } = asked
  const intent = intentOf(part, wish, [...done, ...wanted], method)
  const steps: (T | PlannedStep)[] = []
  const stops: Conflict[] = []
  let on = done.reduce(afterAct, foundSurface(part))
  /** Lays what is queued, the first last in the pile. */
  const lay = (queue: Waiting<T | PlannedStep>[]) => {
    const pile = queue.reverse()
    for (let first = pile.at(-1); first; first = pile.at(-1)) {
      const { act, depth, share, mayDrop } = first
      if (mayDrop && isPointless(act, on, steps.at(-1))) {
        pile.pop()
        continue
      }
      const index = done.length + steps.length
      const met = rulesMet({ ...intent, act, index, on, ahead: () => aheadIn(pile) })
      const { asked } = first
      const [code, rule] =
        met.find(
          ([met, { instead, remedies }]) =>
            !instead && remedies.length > 0 && !asked.has(met) && !departed.includes(met) && depth < deepest,
        ) ?? []
      if (code && rule) {
        pile[pile.length - 1] = { ...first, asked: new Set([...asked, code]) }
        for (const step of remedySteps(code, rule.remedies, scaled(intent, share), on, rule.optional).reverse())
          pile.push({ act: step, asked: none, depth: depth + 1, share, mayDrop: false })
        continue
      }
      for (const [still, { severity, remedies }] of met)
        if (severity === 'stop') stops.push({ code: still, severity, remedies, acts: [steps.length] })
      steps.push(act)
      on = afterAct(on, act, index)
      pile.pop()
    }
  }
  const repairs = small?.until ?? 0
  lay(
    wanted.map((act, k) => ({
      act,
      asked: none,
      depth: 0,
      share: k < repairs ? (small?.share ?? 1) : 1,
      mayDrop: k >= repairs,
    })),
  )
  const share = small?.share ?? 1
  const ended = new Set<ConflictCode>(departed)
  for (;;) {
    const wrong = rulesEnded({ ...intent, acts: [...done, ...steps], on })
    const [code, rule] =
      wrong.find(([code, { instead, severity }]) => !instead && severity !== 'advice' && !ended.has(code)) ?? []
    if (!code || !rule) {
      for (const [still, { severity, remedies }] of wrong)
        if (severity === 'stop') stops.push({ code: still, severity, remedies, acts: [] })
      break
    }
    ended.add(code)
    lay(
      remedySteps(code, rule.remedies, scaled(intent, share), on).map((act) => ({
        act,
        asked: none,
        depth: 1,
        share,
        mayDrop: true,
      })),
    )
  }
  return { steps: withWindows(steps, part, method), stops }
}

/** What there is no longer any reason for: nothing to take off, to lay down or to brush away. */
const pointless: Partial<Record<OperationCode, (on: SurfaceState) => boolean>> = {
  'wax-off': ({ excess }) => excess !== 'wax',
  'wipe-oil': ({ excess }) => excess !== 'oil',
  buff: ({ layers }) => layers.every(({ role }) => role !== 'wax'),
  rinse: ({ cleaner }) => !cleaner,
  'dust-off': ({ dusty, lint }) => !dusty && !lint,
  'de-lint': ({ dusty, lint }) => !dusty && !lint,
  'knock-down': ({ peaks }) => !peaks,
  'remove-resist': ({ resist }) => resist === 'none',
  'pull-tape': ({ taped }) => taped === 'none',
}
const isPointless = ({ operation }: Act, on: SurfaceState, before: Act | undefined) =>
  (pointless[operation]?.(on) ?? false) || (operation === 'smooth' && before?.operation === 'smooth')

const scaled = (intent: Intent, share: number): Intent =>
  share === 1 ? intent : { ...intent, part: { ...intent.part, areaM2: intent.part.areaM2 * share } }

/** What is mended by sealing it: as this part is sealed. */
const sealing = new Set<ConflictCode>([
  'left-unsealed',
  'topcoat-missing',
  'wax-in-hard-use',
  'not-for-outdoors',
  'too-few-clears',
])

/** The steps of a remedy on this part; none where its material takes none of them. */
function remedySteps(
  rule: ConflictCode,
  remedies: readonly RemedyStep[],
  { part, wish, method, seal, cover }: Intent,
  on: SurfaceState,
  optional = false,
): PlannedStep[] {
  // wool is for wax that lies on it; its smear wants the cloth alone
  const smeared = on.wax !== 'thick' && on.layers.at(-1)?.role !== 'wax'
  const asked = remedies
    .filter(({ operation }) => operation !== 'dewax' || !smeared)
    .map((step): Line => ({ ...addedLine(inHouse(step, method)), ...(optional && { optional }) }))
  const sealed = sealing.has(rule) ? colourLines(getTopcoat(seal).recipe, part, wish, method, seal, cover) : []
  const lines = sealed.length > 0 ? sealed : asked
  return toSteps(part, wish, lines, { method, primed: true, proves: false }).map((step) => ({ ...step, rule }))
}

/** Cleaned as the house cleans. */
function inHouse(step: RemedyStep, { cleaner }: HouseMethod): RemedyStep {
  if (step.operation !== 'clean' || step.family) return step
  return cleaner === 'spirits' ? { operation: 'wipe-spirits', reason: 'grease-defeats-paint' } : { ...step, family: cleaner }
}
