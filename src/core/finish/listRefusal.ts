/**
 * The painter's own list, where a touch of it can't be had on this part: what stands in the way, and the nearest list that can,
 * found by trying another product for the touch, another way of working it, and at last none. Pure.
 */
import { mayHoldLead } from '@/core/craft/lead'
import { getOperation, laysColour, type OperationCode } from '@/core/craft/operations'
import { getSubstrate, isSoft, kindOf } from '@/core/craft/parts'
import { allFamiliesFor, canBeOn, familiesFor } from '@/core/craft/takes'
import { noWax, topcoatCodes, topcoatFits } from '@/core/craft/topcoats'
import type { FinishRefusal, Nearest, RefusalCode } from './refusal'
import { findTopcoat, lastPaintOf, ownTopcoat } from './topcoat'
import type { Touch } from './touch'
import { wearing } from './touches'
import type { FinishablePart, FinishWish } from './wish'

export type ListWish = FinishWish & { touches: readonly Touch[] }

interface Reason {
  code: RefusalCode
  stands: (part: FinishablePart, touch: Touch, below: readonly Touch[]) => boolean
}
const isColoured = ({ operation }: Touch) => laysColour(operation)

const reasons: readonly Reason[] = [
  { code: 'material', stands: (part, { operation }) => !canBeOn(operation, kindOf(part)) },
  // no blade on veneer; heat melts or cracks
  {
    code: 'material',
    stands: ({ substrate }, { operation }) =>
      (getSubstrate(substrate).veneer === true && operation === 'scrape-distress') ||
      (['glass', 'plastic'].includes(substrate) && operation === 'heat-gun'),
  },
  {
    code: 'material',
    stands: (part, { operation, family }) =>
      isSoft(part.substrate) &&
      family !== undefined &&
      getOperation(operation).layer !== undefined &&
      !familiesFor(operation, kindOf(part)).includes(family),
  },
  // a wash or a stain on the ground itself is for wood
  {
    code: 'material',
    stands: (part, touch, below) => touch.operation === 'wash' && kindOf(part) !== 'wood' && !below.some(isColoured),
  },
  {
    code: 'paint',
    stands: (_, { operation, family }) =>
      family !== undefined && allFamiliesFor(operation).length > 0 && !allFamiliesFor(operation).includes(family),
  },
  {
    code: 'paint',
    stands: (_, { family }, below) => family === 'stain' && below.some((other) => isColoured(other) && other.family !== 'stain'),
  },
  {
    code: 'lead',
    stands: (part, touch, below) =>
      mayHoldLead(part) && (wearing.includes(touch.operation) || (touch.operation === 'wash' && !below.some(isColoured))),
  },
  { code: 'seal-use', stands: ({ use }, { operation }) => noWax.includes(use) && operation === 'tinted-wax' },
  { code: 'colour-missing', stands: (_, touch) => isColoured(touch) && !touch.colour },
]
/** Worked another way with nearly the same end. */
const otherWays: Partial<Record<OperationCode, OperationCode>> = {
  'scrape-distress': 'dry-distress',
  coat: 'fabric-coat',
  undercoat: 'coat',
  wash: 'coat',
  'tinted-wax': 'glaze',
  'wet-distress': 'dry-distress',
  'crackle-coat': 'coat',
}

interface Fault {
  code: RefusalCode
  /** the touch; null where it is the topcoat */
  at: number | null
}
function faultOf(part: FinishablePart, wish: ListWish): Fault | null {
  for (const [at, touch] of wish.touches.entries()) {
    const reason = reasons.find(({ stands }) => stands(part, touch, wish.touches.slice(0, at)))
    if (reason) return { code: reason.code, at }
  }
  const asked = ownTopcoat(wish, part) ?? wish.seal
  if (asked && !topcoatFits(asked, part.use, lastPaintOf(wish))) return { code: 'seal-use', at: null }
  return !asked && findTopcoat(part, wish) === null ? { code: 'no-seal', at: null } : null
}

/** Other lists with this touch otherwise, in another product's usual mix; the nearest first, the last without it. */
export function othersAt(part: FinishablePart, touches: readonly Touch[], at: number): Touch[][] {
  const touch = touches[at]
  if (!touch) return []
  const kind = kindOf(part)
  const laidWith = (operation: OperationCode) =>
    familiesFor(operation, kind).map((family): Touch => ({ ...touch, operation, family, mix: undefined }))
  const way = otherWays[touch.operation]
  const others = [
    ...laidWith(touch.operation).filter(({ family }) => family !== touch.family),
    ...(way ? (allFamiliesFor(way).length > 0 ? laidWith(way) : [{ ...touch, operation: way, family: undefined }]) : []),
  ]
  return [...others.map((other) => touches.with(at, other)), touches.toSpliced(at, 1)]
}

const isTop: readonly OperationCode[] = ['clear-coat', 'clear-wax', 'oil', 'salve', 'wax-off', 'wipe-oil', 'buff']
/** What stands in the way of the list; null where nothing does. */
export function listRefusal(part: FinishablePart, wish: ListWish): FinishRefusal | null {
  const fault = faultOf(part, wish)
  if (!fault) return null
  const touch = fault.at === null ? undefined : wish.touches[fault.at]
  return { code: fault.code, nearest: nearestList(part, wish, fault), ...(touch && { touch: touch.id }) }
}

/** Mended touch by touch; null where only the painter can say. */
function nearestList(part: FinishablePart, wish: ListWish, first: Fault): Nearest | null {
  let [tried, fault] = [wish, first as Fault | null]
  // each round settles a touch for good, or takes it out
  for (let rounds = 2 * wish.touches.length + 3; fault && rounds > 0; rounds -= 1) {
    const { at, code } = fault
    if (code === 'colour-missing') return null
    if (at === null) {
      const seal = topcoatCodes.find((each) => topcoatFits(each, part.use, lastPaintOf(tried)))
      if (!seal) return null
      tried = {
        ...tried,
        seal,
        touches: ownTopcoat(tried, part) ? tried.touches.filter(({ operation }) => !isTop.includes(operation)) : tried.touches,
      }
    } else {
      const settles = (touches: Touch[]) => {
        const left = faultOf(part, { ...tried, touches })
        return left === null || left.at === null || left.at > at || touches.length < tried.touches.length
      }
      tried = { ...tried, touches: othersAt(part, tried.touches, at).find(settles) ?? [] }
    }
    fault = faultOf(part, tried)
  }
  return fault || !tried.touches.some(isColoured) ? null : { touches: tried.touches, seal: tried.seal }
}
