/** A wish as a list of touches, and what such a list means. Pure. */
import { type FamilyCode, getFamily } from '@/core/craft/families'
import type { Look } from '@/core/craft/looks'
import { type HouseMethod, methodAllows } from '@/core/craft/method'
import { thinnedHome } from '@/core/craft/mixes'
import type { OperationCode } from '@/core/craft/operations'
import { phases, type RecipeLine } from '@/core/craft/recipe'
import { allFamiliesFor, usualFamily, usualWay } from '@/core/craft/takes'
import { getTopcoat, type TopcoatCode } from '@/core/craft/topcoats'
import { ground, type LookTouch, type Touch } from './touch'
import { type FinishWish, looksOf } from './wish'

/** Whether a line is worked with this paint, in this house. */
export const lineApplies = (line: RecipeLine, paint: FamilyCode, method: HouseMethod): boolean =>
  (!line.onlyFor || line.onlyFor.includes(paint)) && !line.notFor?.includes(paint) && methodAllows(line.school, method)

/** What is asked for, bottom up: the painter's own list, or the look's with this house's schools. Without the topcoat, where the wish names one. */
export function touchesOf(wish: FinishWish, method: HouseMethod): readonly (Touch | LookTouch)[] {
  const known = made.get(wish)
  if (known?.method === method) return known.touches
  const touches = wish.touches?.map((touch) => whole(touch, wish.paint)) ?? lookTouches(wish, method)
  made.set(wish, { method, touches })
  return touches
}
/** Lists made before: one plan asks for its own again and again. */
const made = new WeakMap<FinishWish, { method: HouseMethod; touches: readonly (Touch | LookTouch)[] }>()

/** A touch of the painter's with the usual product, mix and tool where nothing else was said. */
function whole(touch: Touch, paint: FamilyCode): Touch {
  const family = touch.family ?? usualFamily(touch.operation, paint)
  const { mix, applicator } = usualWay(touch.operation, family)
  return { ...touch, family, mix: touch.mix ?? mix, applicator: touch.applicator ?? applicator }
}

/** Paint that drags is thinned by so much, where the house thins it and the paint takes it. */
const thinner = 0.1
const brushed: readonly OperationCode[] = ['coat', 'blend']
/** The house's way with chalky paint: mixed instead of bought, thinned instead of misted. */
function inHouse(touch: LookTouch, looks: readonly Look[], { chalky, thinning }: HouseMethod): LookTouch {
  const mixed =
    chalky === 'mix' &&
    touch.family === 'chalk-style' &&
    looks.every(({ paints }) => paints.includes('home-chalky')) &&
    allFamiliesFor(touch.operation).includes('home-chalky')
  const family = mixed ? 'home-chalky' : touch.family
  const drags =
    touch.colour && family && brushed.includes(touch.operation) && (touch.mix === undefined || /misted/.test(touch.mix))
  const thins = thinning === 'thin' && drags && (getFamily(family).waterShare ?? 0) >= thinner && family !== 'casein'
  return { ...touch, family, ...(thins && { mix: family === 'home-chalky' ? thinnedHome : 'paint with 10 % water' }) }
}

function lookTouches(wish: FinishWish, method: HouseMethod): LookTouch[] {
  const looks = looksOf(wish)
  const [main, ...over] = looks
  const stands = (line: RecipeLine) =>
    (line.phase === 'base' && line.operation === 'coat') ||
    main?.recipe.some(({ phase, operation }) => phase === line.phase && operation === line.operation)
  const lines = [...(main?.recipe ?? []), ...over.flatMap(({ recipe }) => recipe.filter((line) => !stands(line)))]
  const applies = (line: RecipeLine) => lineApplies(line, wish.paint, method)
  const apart = looks.some((look) => look.apart)
  const chips = looks.some((look) => look.chips)
  const through = looks.some(({ wear }) => wear === 'through')
  return phases
    .flatMap((phase) => lines.filter((line) => line.phase === phase && applies(line)))
    .map((line, k) => ({
      ...inHouse(touchOf(line, wish, applies, k), looks, method),
      keepApart: apart,
      chips: chips && line.reason === 'chips',
      ...(line.phase === 'wear' && through && { wearTo: ground }),
    }))
}

/** A line of a recipe as a touch: its paint and colour as they were chosen. */
function touchOf(
  { paint, times, between, firstMix, firstFilm, onlyFor: _, notFor: __, school: ___, ...line }: RecipeLine,
  wish: FinishWish,
  applies: (line: RecipeLine) => boolean,
  k: number,
): LookTouch {
  const rub = between?.find(applies)
  return {
    ...line,
    id: `${line.operation}-${k}`,
    by: 'look',
    family: line.family ?? (paint && wish.paint),
    ...(paint && { slot: paint, colour: wish.colours[paint] }),
    repeat: times === 'by-colour' ? 'as-it-covers' : times,
    ...((firstMix || firstFilm) && { first: { ...(firstMix && { mix: firstMix }), ...(firstFilm && { film: firstFilm }) } }),
    ...(rub && { between: { grit: rub.grit ?? '220', reason: rub.reason } }),
  }
}

/** A topcoat's recipe on a finish, as touches. */
export const topcoatTouches = (seal: TopcoatCode, wish: FinishWish, paint: FamilyCode, method: HouseMethod): LookTouch[] => {
  const applies = (line: RecipeLine) => lineApplies(line, paint, method)
  return getTopcoat(seal)
    .recipe.filter(applies)
    .map((line, k) => ({ ...touchOf(line, wish, applies, k), id: `topcoat-${k}`, topcoat: true }))
}

/** What is there is rubbed, cut or heated by these. */
export const wearing: readonly OperationCode[] = [
  'wet-distress',
  'dry-distress',
  'scrape-distress',
  'heat-gun',
  'brush-off-flakes',
  'sand',
]
export interface Aims {
  /** layers that must stay apart */
  apart: boolean
  /** colours that must run into each other */
  blends: boolean
  /** paint that is meant to come off in flakes */
  chips: boolean
  /** the wood itself is to be seen */
  bareWood: boolean
  /** what is there is rubbed, cut or heated */
  abrades: boolean
  /** painted over a resist */
  resists: boolean
}

/** What is meant by a list of touches, whoever made it. */
export function aimsOf(touches: readonly Touch[]): Aims {
  const has = (...codes: readonly OperationCode[]) => touches.some(({ operation }) => codes.includes(operation))
  // colour that lets the ground be seen, with nothing that covers below it
  const bareWood = touches.find(({ colour, family }) => colour !== undefined || family === 'stain')?.operation === 'wash'
  return {
    apart: touches.some(({ keepApart }) => keepApart),
    blends: has('blend'),
    chips: touches.some(({ chips }) => chips),
    bareWood,
    abrades: bareWood || has(...wearing),
    resists: has('resist'),
  }
}
