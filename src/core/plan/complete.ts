/**
 * The only place that knows what must come before, between and after. What is wanted is laid act by act on what was done; before
 * each act the rules are asked what is wrong, and the first remedy that this material and house allow goes in before it, until
 * they are silent; what is still wrong at the end is mended there. Pure and deterministic: planning begins with nothing done,
 * re-planning with the log, mending with the log and the remedy first.
 */
import type { HouseMethod } from '@/core/craft/method'
import { getOperation, type OperationCode } from '@/core/craft/operations'
import { kindOf } from '@/core/craft/parts'
import { addedLine, type RemedyStep } from '@/core/craft/preparation'
import { canBeOn } from '@/core/craft/takes'
import { type Line, topcoatLines } from '@/core/finish/lines'
import { type PlannedStep, toSteps, withWindows } from '@/core/finish/step'
import { type Place, places } from '@/core/finish/touch'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { endings, intentOf, meetings, meetingsOf } from '@/core/stack/checkStack'
import { afterActIn, foundSurfaces, statesMet } from '@/core/stack/places'
import type { ConflictCode, Intent, Remedy } from '@/core/stack/rules'
import { rubs } from '@/core/stack/rules/ask'
import type { Act, SurfaceState } from '@/core/stack/surface'

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
/** A remedy may itself need one, and that one another: as deep as this, and no deeper. */
const deepest = 6

/** A remedy that was undone by the next is asked for once more, and not for ever. */
const often = 2

interface Waiting<T> {
  act: T
  /** rules whose remedy went in before it already, and how often */
  asked: ReadonlyMap<ConflictCode, number>
  depth: number
  /** of the part that it is worked on */
  share: number
  /** asked for by no rule: what was wanted, which may have lost its reason */
  wanted: boolean
}

/** The first rule, in the order in which they are put right, that speaks of what is met: of which state, and in all places where it does. */
function firstSaid<C, R, M extends { on: SurfaceState; in: readonly Place[] }>(
  rules: readonly (readonly [C, R])[],
  met: readonly M[],
  asks: (code: C, rule: R) => boolean,
  speaks: (rule: R, of: M) => boolean,
) {
  for (const [code, rule] of rules) {
    const first = met.find((each) => speaks(rule, each))
    if (!first || !asks(code, rule)) continue
    return { code, rule, on: first.on, in: met.filter((each) => speaks(rule, each)).flatMap((each) => each.in) }
  }
  return null
}
const none: ReadonlyMap<ConflictCode, number> = new Map()
/** What comes after the one on top of the pile. */
const aheadIn = (pile: readonly { act: Act }[]): Act[] =>
  pile
    .slice(0, -1)
    .reverse()
    .map(({ act }) => act)

/** What is wanted with all that must come before, between and after it. */
export function complete<T extends PlannedStep>(given: Wanted<T>): (T | PlannedStep)[] {
  const { part, wish, method, done, wanted, departed = [], small } = given
  const intent = intentOf(part, wish, [...done, ...wanted], method)
  const steps: (T | PlannedStep)[] = []
  let surfaces = done.reduce(afterActIn, foundSurfaces(part))
  const own = new Set(wish.touches?.filter(({ by }) => by === 'painter').map(({ id }) => id))
  const mended = meetings.filter(
    ([, { instead, remedies }]) =>
      !instead && remedies.length > 0 && remedies.every(({ operation }) => canBeOn(operation, kindOf(part))),
  )
  /** Lays what is queued, the first last in the pile. */
  const lay = (queue: Waiting<T | PlannedStep>[]) => {
    const pile = queue.reverse()
    for (let first = pile.at(-1); first; first = pile.at(-1)) {
      const { act, depth, share, asked } = first
      const index = done.length + steps.length
      const met = meetingsOf(intent, surfaces, { act, index, ahead: () => aheadIn(pile) })
      // what the painter set stays, though it have nothing to do
      if (first.wanted && !own.has(act.touch ?? '') && met.every(({ on }) => isPointless(act, on, steps.at(-1)))) {
        pile.pop()
        continue
      }
      const next = firstSaid(
        mended,
        met,
        // the painter departs in what was planned; a repair is whole
        (code) => depth < deepest && (asked.get(code) ?? 0) < often && !(first.wanted && departed.includes(code)),
        ({ meets }, met) => meets(met),
      )
      if (next) {
        const { code, rule, on } = next
        pile[pile.length - 1] = { ...first, asked: new Map(asked).set(code, (asked.get(code) ?? 0) + 1) }
        for (const step of askedBy(code, rule.remedies, scaled(intent, share), on, rule.optional, next.in).reverse())
          pile.push({ act: step, asked: none, depth: depth + 1, share, wanted: false })
        continue
      }
      steps.push(act)
      surfaces = afterActIn(surfaces, act, index)
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
      wanted: k >= repairs,
    })),
  )
  const share = small?.share ?? 1
  const ended = new Set<ConflictCode>(departed)
  for (;;) {
    const acts = [...done, ...steps]
    const next = firstSaid(
      endings,
      statesMet(surfaces).map((state) => ({ ...intent, acts, ...state })),
      (code, { instead, severity }) =>
        (!instead || (repairs > 0 && code === ofRepairs)) && severity !== 'advice' && !ended.has(code),
      ({ ends }, met) => ends(met),
    )
    if (!next) return withWindows(steps, part, method, done)
    const { code, rule, on } = next
    ended.add(code)
    lay(
      askedBy(code, rule.remedies, scaled(intent, share), on, false, next.in).map((act) => ({
        act,
        asked: none,
        depth: 1,
        share,
        wanted: true,
      })),
    )
  }
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

/** Rubbed of whatever lies on top, where it lies. */
const rubsOff: readonly OperationCode[] = ['wax-off', 'wipe-oil', 'buff']
/** What is mended by sealing it: as this part is sealed. */
const sealing = new Set<ConflictCode>([
  'left-unsealed',
  'topcoat-missing',
  'wax-in-hard-use',
  'not-for-outdoors',
  'too-few-clears',
  'worn-unsealed',
])
/** Of what is told and put in by nobody: a repair that wears a seal through renews it. */
const ofRepairs: ConflictCode = 'worn-unsealed'

/** Mended by the last coat of the topcoat alone. */
const oneMore: ConflictCode = 'sheen-missed'

/** The steps of a remedy on this part; none where its material takes none of them. */
function askedBy(
  rule: ConflictCode,
  remedies: readonly Remedy[],
  { part, wish, method, seal }: Intent,
  on: SurfaceState,
  optional = false,
  in_: readonly Place[] = places,
): PlannedStep[] {
  // wool is for wax that lies on it; its smear wants the cloth alone
  const smeared = on.wax !== 'thick' && on.layers.at(-1)?.role !== 'wax'
  const top = on.layers.at(-1)?.act
  const asked = remedies
    .filter(({ operation }) => operation !== 'dewax' || !smeared)
    .map(({ in: only, ...step }): Line => ({
      ...addedLine(inHouse(step, method)),
      ...(rubsOff.includes(step.operation) && top?.family && { family: top.family }),
      ...(optional && { optional }),
      ...(only && { where: { places: only } }),
    }))
  const topcoat = sealing.has(rule) || rule === oneMore ? topcoatLines(part, wish, method, seal) : []
  const sealed = rule === oneMore ? topcoat.filter(({ operation }) => operation === 'clear-coat').slice(-1) : topcoat
  const lines = sealed.length > 0 ? sealed : asked
  // what is laid, and the rub of what was laid, goes where it is wanted; the rest of the work is done all over, and knots are sealed wherever they are
  const goes = ({ operation, phase }: Line) =>
    in_.length < places.length &&
    operation !== 'knotting' &&
    (getOperation(operation).layer !== undefined ||
      rubsOff.includes(operation) ||
      (rubs.includes(operation) && (phase === 'wear' || sealed.length > 0)))
  const placed = lines.map((line) => (!line.where && goes(line) ? { ...line, where: { places: in_ } } : line))
  return toSteps(part, placed, { method, primed: true, proves: false }).map((step) => ({ ...step, rule }))
}

/** Cleaned as the house cleans. */
export function inHouse(step: RemedyStep, { cleaner }: HouseMethod): RemedyStep {
  if (step.operation !== 'clean' || step.family) return step
  return cleaner === 'spirits' ? { operation: 'wipe-spirits', reason: 'grease-defeats-paint' } : { ...step, family: cleaner }
}
