/**
 * The steps that mend a mistake on a part as it stands: each layer again in its own product and colour, over the share of the
 * part that is usual. What they need before and after is for `complete` to say. Pure.
 */
import { coverFor } from '@/core/craft/colour'
import { getFamily } from '@/core/craft/families'
import { defaultMethod, type HouseMethod } from '@/core/craft/method'
import { getOperation } from '@/core/craft/operations'
import type { RecipeLine } from '@/core/craft/recipe'
import { getRemedy, type RemedyCode } from '@/core/craft/remedies'
import type { Remedy, RemedyLine, Take, TopKind } from '@/core/craft/remedies/remedy'
import { oiled, waxed } from '@/core/craft/topcoats'
import { type Line, looksOf } from '@/core/finish/lines'
import { type PlannedStep, toSteps } from '@/core/finish/step'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { afterAct } from '@/core/stack/afterAct'
import { type Act, foundSurface, isPainted, kindOf, type SurfaceState } from '@/core/stack/surface'

/** Where a repair begins: the part, what it is meant to be, what lies on it. */
export interface Spoiled {
  part: FinishablePart
  wish: FinishWish
  method?: HouseMethod
  done: readonly Act[]
}

const primerHex = '#e9e4d8'
const byHand: Act = {
  operation: 'dry-distress',
  family: null,
  colour: null,
  mix: null,
  grit: '220',
  film: 'normal',
  check: null,
  cautions: [],
  applicator: 'abrasive by hand',
}

/** The steps of a remedy here. */
export function remedySteps(code: RemedyCode, { part, wish, method = defaultMethod, done }: Spoiled): PlannedStep[] {
  const remedy: Remedy = getRemedy(code)
  const on = done.reduce(afterAct, foundSurface(part))
  const small = { ...part, areaM2: part.areaM2 * remedy.share, knots: 1 }
  const top = on.layers.at(-1)?.act ?? planned(wish)
  return linesFor(remedy, part, wish, on).flatMap((line) => {
    const laid = 'take' in line ? takenLines(line.take, line.line ?? {}, top, on, done, wish) : [{ line } as Worked]
    return laid.flatMap(({ line: worked, act }) =>
      toSteps(small, act ? { ...wish, colours: { a: act.colour ?? undefined } } : wish, [worked], {
        method,
        primed: true,
        proves: false,
      }).map((step) => ({ ...step, check: step.check ?? getOperation(step.operation).check ?? null })),
    )
  })
}

/** What is laid where nothing is on it yet: the look's first paint. */
const planned = ({ paint, colours }: FinishWish): Act => ({
  ...byHand,
  operation: 'coat',
  family: paint,
  colour: colours.a ?? null,
  grit: null,
  applicator: null,
})

function linesFor(remedy: Remedy, part: FinishablePart, wish: FinishWish, on: SurfaceState): readonly RemedyLine[] {
  const top = on.layers.at(-1)
  const kinds: Record<TopKind, boolean> = {
    soft: ['fabric', 'leather'].includes(kindOf(part)),
    'bare-look': looksOf(wish).some(({ bareWood }) => bareWood),
    clear: top?.role === 'clear',
    wax: top?.role === 'wax',
    oil: top?.role === 'oil',
    crackle: top?.act.operation === 'crackle-coat',
    wash: top !== undefined && ['wash', 'glaze', 'dry-brush', 'spray-runs'].includes(top.act.operation),
    set: top?.act.family !== undefined && top.act.family !== null && !getFamily(top.act.family).rewets,
  }
  const own = (Object.keys(kinds) as TopKind[]).find((kind) => kinds[kind] && remedy.onTop?.[kind])
  return (own && remedy.onTop?.[own]) || remedy.steps
}

interface Worked {
  line: Line
  /** the layer that it lays again */
  act?: Act
}
/** A layer laid again as it was, save for what the remedy changes; wax and oil with all that follows them. */
function again(act: Act, change: Partial<RecipeLine>): Worked[] {
  const family = act.family ?? undefined
  const role = family ? getFamily(family).role : null
  if (role === 'wax') return waxed.map((line) => ({ line: { ...line, family } }))
  if (role === 'oil' && family) return oiled(family).map((line) => ({ line }))
  const line: Line = {
    phase: 'top',
    operation: act.operation,
    family,
    ...(act.colour && { paint: 'a' as const }),
    // milk paint over what is there wants its bonding agent, unless it is meant to chip
    ...(act.mix && (act.family !== 'casein' || /no bonding/.test(act.mix)) && { mix: act.mix }),
    ...(act.applicator && { applicator: act.applicator }),
    ...(act.grit && { grit: act.grit }),
    reason: isPainted(act) ? 'cover' : 'seal-use',
    ...change,
  }
  return [{ line, act }]
}

function takenLines(
  take: Take,
  change: Partial<RecipeLine>,
  top: Act,
  on: SurfaceState,
  done: readonly Act[],
  wish: FinishWish,
): Worked[] {
  const paints = on.layers.map(({ act }) => act).filter(isPainted)
  const last = paints.at(-1) ?? planned(wish)
  const plain = (act: Act): Act =>
    act.operation === 'crackle-coat' || act.operation === 'undercoat' ? { ...act, operation: 'coat' } : act
  switch (take) {
    case 'again':
      return again(top, change)
    case 'cover': {
      const coats = last.colour && last.operation === 'coat' ? coverFor(last.colour.hex, primerHex, true).coats : 1
      return Array.from({ length: coats }, () => again(plain(last), change)).flat()
    }
    case 'layers': {
      const distinct = paints.filter(
        (act, k) => paints.findIndex((other) => other.colour?.hex === act.colour?.hex && other.operation === act.operation) === k,
      )
      return (distinct.length > 0 ? distinct : [last]).flatMap((act) => again(plain(act), change))
    }
    case 'below': {
      const below = paints.findLast((act) => act !== last && act.colour?.hex !== last.colour?.hex) ?? last
      return again({ ...plain(below), mix: null, applicator: null }, change)
    }
    case 'wear': {
      const wear =
        done.findLast(({ operation }) => ['dry-distress', 'wet-distress', 'scrape-distress'].includes(operation)) ?? byHand
      return [
        {
          line: {
            phase: 'wear',
            operation: wear.operation,
            ...(wear.grit && { grit: wear.grit }),
            applicator: wear.applicator ?? 'abrasive by hand',
            reason: 'wear-to-a',
            ...change,
          },
        },
      ]
    }
  }
}
