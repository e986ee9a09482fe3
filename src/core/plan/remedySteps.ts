/**
 * The steps that mend a mistake on a part as it stands: each layer again in its own product and colour, over the share of the
 * part that is usual. What they need before and after is for `complete` to say. Pure.
 */
import { coverFor } from '@/core/craft/colour'
import { getFamily } from '@/core/craft/families'
import { defaultMethod, type HouseMethod } from '@/core/craft/method'
import { getOperation } from '@/core/craft/operations'
import { isSoft } from '@/core/craft/parts'
import { waxed } from '@/core/craft/preparation'
import type { RecipeLine } from '@/core/craft/recipe'
import { getRemedy, type RemedyCode } from '@/core/craft/remedies'
import { type Remedy, type RemedyLine, type Take, type TopKind, worn } from '@/core/craft/remedies/remedy'
import { oiled, tintedWith } from '@/core/craft/topcoats'
import { type Line, primerHex } from '@/core/finish/lines'
import { type PlannedStep, toSteps } from '@/core/finish/step'
import { aimsOf, touchesOf } from '@/core/finish/touches'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { afterActIn, foundSurfaces } from '@/core/stack/places'
import { isEffect, isVeneer, openBelow } from '@/core/stack/rules/ask'
import { type Act, isPainted, type SurfaceState } from '@/core/stack/surface'

/** Where a repair begins: the part, what it is meant to be, what lies on it. */
export interface Spoiled {
  part: FinishablePart
  wish: FinishWish
  method?: HouseMethod
  done: readonly Act[]
}

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
  const on = done.reduce(afterActIn, foundSurfaces(part)).field
  const small = { ...part, areaM2: part.areaM2 * remedy.share, knots: 1 }
  const top = on.layers.at(-1)?.act ?? planned(wish, method)
  return linesFor(remedy, part, wish, method, on).flatMap((line) => {
    const laid = 'take' in line ? takenLines(line.take, line.line ?? {}, top, on, done, planned(wish, method)) : [line]
    return laid.flatMap((worked) =>
      toSteps(small, [worked], { method, primed: true, proves: false }).map((step) => ({
        ...step,
        check: step.check ?? getOperation(step.operation).check ?? null,
      })),
    )
  })
}

/** What is laid where nothing is on it yet: the first paint. */
function planned(wish: FinishWish, method: HouseMethod): Act {
  const first = touchesOf(wish, method).find(({ colour }) => colour !== undefined)
  const { family = wish.paint, colour = null } = first ?? {}
  return { ...byHand, operation: 'coat', family, colour, grit: null, applicator: null }
}

const withoutWax = (on: SurfaceState): SurfaceState => ({ ...on, layers: on.layers.filter(({ role }) => role !== 'wax') })

function linesFor(
  remedy: Remedy,
  part: FinishablePart,
  wish: FinishWish,
  method: HouseMethod,
  on: SurfaceState,
): readonly RemedyLine[] {
  const top = on.layers.at(-1)
  const { bareWood } = aimsOf(touchesOf(wish, method))
  const kinds: Record<TopKind, boolean> = {
    soft: isSoft(part.substrate),
    'bare-look': bareWood,
    clear: top?.role === 'clear',
    wax: top?.role === 'wax',
    oil: top?.role === 'oil',
    crackle: top?.act.operation === 'crackle-coat',
    wash: top !== undefined && isEffect(top.act),
    // wax comes off before a place is washed
    veneer: isVeneer(part) && !top && !bareWood,
    'veneer-kept': isVeneer(part) && !top && bareWood,
    open: openBelow(withoutWax(on)) !== undefined,
    set: top?.act.family !== undefined && top.act.family !== null && !getFamily(top.act.family).rewets,
  }
  const own = (Object.keys(kinds) as TopKind[]).find((kind) => kinds[kind] && remedy.onTop?.[kind])
  return (own && remedy.onTop?.[own]) || remedy.steps
}

/** A layer laid again as it was, save for what the remedy changes; wax and oil with all that follows them. */
function again(act: Act, change: Partial<RecipeLine>): Line[] {
  const family = act.family ?? undefined
  const role = family ? getFamily(family).role : null
  if (role === 'wax') return waxed.map((line) => ({ ...line, family }))
  if (role === 'oil' && family) return [...oiled(family)]
  const line: Line = {
    phase: 'top',
    operation: act.operation,
    family,
    ...(act.colour && { colour: act.colour }),
    // milk paint over what is there wants its bonding agent, unless it is meant to chip
    ...(act.mix && (act.family !== 'casein' || /no bonding/.test(act.mix)) && { mix: act.mix }),
    ...(act.applicator && { applicator: act.applicator }),
    ...(act.grit && { grit: act.grit }),
    reason: isPainted(act) ? 'cover' : 'seal-use',
    ...change,
  }
  return [line]
}

function takenLines(
  take: Take,
  change: Partial<RecipeLine>,
  top: Act,
  on: SurfaceState,
  done: readonly Act[],
  first: Act,
): Line[] {
  const paints = on.layers.map(({ act }) => act).filter(isPainted)
  const last = paints.at(-1) ?? first
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
    case 'tint': {
      const { family, mix } = done.findLast(({ operation }) => operation === 'tinted-wax') ?? byHand
      return tintedWith(family ?? 'dark-wax').map((line) => ({ ...line, ...(line.phase === 'tint' && mix && { mix }) }))
    }
    case 'wear': {
      const wear = done.findLast(({ operation }) => worn.includes(operation)) ?? byHand
      return [
        {
          phase: 'wear',
          operation: wear.operation,
          ...(wear.grit && { grit: wear.grit }),
          applicator: wear.applicator ?? 'abrasive by hand',
          reason: 'wear-to-a',
          ...change,
        },
      ]
    }
  }
}
