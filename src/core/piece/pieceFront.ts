/**
 * A piece from the front, a little from above, as its measured parts make it: every part has its place on it, and what is nowhere to be
 * seen from there stands beside it. Corners in mm from the floor's left, y upwards. Pure.
 */
import type { PartKind } from '@/core/craft/parts'
import type { MeasuredFace } from '@/core/measure/surfaceArea'
import type { Part } from './piece'
import { setSize } from './set'

export type Corner = readonly [x: number, y: number]
export interface Bounds {
  x: number
  y: number
  width: number
  height: number
}
export interface FrontPart {
  partId: Part['id']
  kind: PartKind
  /** each by its corners, those behind first */
  shapes: Corner[][]
  bounds: Bounds
}
export interface PieceFront {
  width: number
  height: number
  /** how many alike ones the piece is; one of them is drawn */
  alike: number
  parts: FrontPart[]
}
type FrontOf = Pick<Part, 'id' | 'kind' | 'count'> & { surfaces: readonly MeasuredFace[] }

/** what was never measured is as large as this, mm */
const usual = { width: 600, depth: 400, height: 600, legs: 420, board: 24, legWidth: 45 }
/** so much of a depth is seen from above, and so far its back edge is drawn in */
const [seenDepth, drawnIn] = [0.38, 0.16]

type Panel = Extract<MeasuredFace, { shape: 'panel' }>
const panelsOf = ({ surfaces }: FrontOf): Panel[] => surfaces.flatMap((face) => (face.shape === 'panel' ? [face] : []))
const mainPanel = (part: FrontOf): Panel | undefined =>
  panelsOf(part).reduce<Panel | undefined>(
    (most, face) => (most && most.width * most.height >= face.width * face.height ? most : face),
    undefined,
  )
const longest = (lengths: readonly number[]): number | undefined => (lengths.length > 0 ? Math.max(...lengths) : undefined)
const legLength = ({ surfaces }: FrontOf) => longest(surfaces.flatMap((face) => (face.shape === 'panel' ? [] : [face.length])))
const legWidth = ({ surfaces }: FrontOf): number =>
  longest(
    surfaces.flatMap((face) =>
      face.shape === 'panel' ? [] : [face.shape === 'squareLeg' ? face.width : 'top' in face ? face.top : face.diameter],
    ),
  ) ?? usual.legWidth

const rect = (x: number, y: number, width: number, height: number): Corner[] => [
  [x, y],
  [x + width, y],
  [x + width, y + height],
  [x, y + height],
]
/** A board seen from the front and from above. */
function slab(x: number, y: number, width: number, thick: number, depth: number): Corner[] {
  const inwards = Math.min(width, depth) * drawnIn
  const back = y + thick + depth * seenDepth
  return [
    [x, y],
    [x + width, y],
    [x + width, y + thick],
    [x + width - inwards, back],
    [x + inwards, back],
    [x, y + thick],
  ]
}
/** `count` boxes one over the other, or side by side, with a joint between them. */
function rowOf(how: 'over' | 'beside', count: number, { x, y, width, height }: Bounds): Corner[][] {
  const joint = Math.min(width, height) * 0.02
  const each = (how === 'over' ? height : width) / count
  return Array.from({ length: count }, (_, k) =>
    how === 'over'
      ? rect(x + joint, y + k * each + joint, width - 2 * joint, each - 2 * joint)
      : rect(x + k * each + joint, y + joint, each - 2 * joint, height - 2 * joint),
  )
}
const under = new Set<PartKind>(['legs', 'feet', 'base'])
const fronts = new Set<PartKind>(['drawer-fronts', 'doors'])

/** What stands on the floor and carries the rest. */
function legsOf(part: FrontOf, width: number, from: number, length: number): Corner[][] {
  const thick = Math.min(legWidth(part), width * 0.2)
  const pair = [rect(0, from, thick, length), rect(width - thick, from, thick, length)]
  return part.kind === 'base' ? [...pair, rect(thick, from + length * 0.78, width - 2 * thick, length * 0.22)] : pair
}
/** Posts, rail and slats. */
function backOf(width: number, from: number, height: number): Corner[][] {
  const post = width * 0.1
  const inner = width - 2 * post
  return [
    rect(0, from, post, height),
    rect(width - post, from, post, height),
    rect(post, from + height * 0.8, inner, height * 0.2),
    ...[0.18, 0.44, 0.7].map((at) => rect(post + inner * at, from, inner * 0.12, height * 0.8)),
  ]
}

interface Sized {
  part: FrontOf
  /** of one of the alike ones */
  count: number
  width: number
  height: number
}
const sized = (part: FrontOf, alike: number): Sized => {
  const panel = mainPanel(part)
  const [width, height] = [panel?.width ?? usual.width / 2, panel?.height ?? legLength(part) ?? usual.height / 2]
  return { part, count: Math.max(1, part.count / alike), width, height }
}
/** Drawers over doors where both fit into the body's height, else beside them. */
function layFronts(all: readonly Sized[], body: Bounds): [FrontOf, Corner[][]][] {
  const heightOf = ({ part, count, height }: Sized) => (part.kind === 'doors' ? height : count * height)
  const widthOf = ({ part, count, width }: Sized) => (part.kind === 'doors' ? count * width : width)
  const over = all.reduce((sum, each) => sum + heightOf(each), 0) <= body.height * 1.15
  const whole = all.reduce((sum, each) => sum + (over ? heightOf(each) : widthOf(each)), 0)
  let at = over ? body.y + body.height : body.x
  return all.map((each) => {
    const share = (over ? heightOf(each) / whole : widthOf(each) / whole) || 0
    const room: Bounds = over
      ? { ...body, y: at - share * body.height, height: share * body.height }
      : { ...body, x: at, width: share * body.width }
    at += over ? -room.height : room.width
    return [each.part, rowOf(each.part.kind === 'doors' ? 'beside' : 'over', each.count, room)]
  })
}

export function boundsOf(shapes: readonly (readonly Corner[])[]): Bounds {
  const [xs, ys] = [shapes.flat().map(([x]) => x), shapes.flat().map(([, y]) => y)]
  const [x, y] = [Math.min(...xs), Math.min(...ys)]
  return { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y }
}

/** Every part given has its place; none where there are none. */
export function pieceFront(parts: readonly FrontOf[]): PieceFront {
  const alike = setSize(parts)
  const all = parts.map((part) => sized(part, alike))
  const of = (...kinds: PartKind[]) => all.filter(({ part }) => kinds.includes(part.kind))
  const laid: [FrontOf, Corner[][]][] = []
  const tops = of('top', 'seat')
  const bodies = of('carcass')
  const inBody = all.filter(({ part }) => fronts.has(part.kind))
  const boards = of('shelves')
  const width =
    longest(tops.map((top) => Math.max(top.width, top.part.kind === 'seat' ? 0 : top.height))) ??
    longest([...bodies.flatMap(({ part }) => panelsOf(part).map((face) => face.width)), ...inBody.map((each) => each.width)]) ??
    longest(of('back').map((back) => back.width)) ??
    usual.width
  let floor = 0
  for (const { part } of all.filter((each) => under.has(each.part.kind))) {
    const length = legLength(part) ?? mainPanel(part)?.height ?? usual.legs
    laid.push([part, legsOf(part, width, floor, length)])
    floor += length
  }
  if (bodies.length > 0 || inBody.length > 0 || boards.length > 0) {
    const own = bodies.flatMap(({ part }) => panelsOf(part).map((face) => face.height))
    const height =
      longest(own) ?? longest(inBody.map((each) => each.height * (each.part.kind === 'doors' ? 1 : each.count))) ?? usual.height
    const feet = floor > 0 ? 0 : (longest(bodies.flatMap(({ part }) => legLength(part) ?? [])) ?? 0)
    const body = { x: 0, y: floor + feet, width, height }
    const each = body.width / Math.max(1, bodies.length)
    bodies.forEach(({ part }, k) => {
      const [x, foot] = [k * each, Math.min(legWidth(part), each * 0.2)]
      const standing = feet > 0 ? [rect(x, floor, foot, feet), rect(x + each - foot, floor, foot, feet)] : []
      laid.push([part, [...standing, rect(x, body.y, each, body.height)]])
    })
    const rim = Math.min(width, height) * 0.05
    const inside = { x: rim, y: body.y + rim, width: width - 2 * rim, height: height - 2 * rim }
    laid.push(...layFronts(inBody, inside))
    if (inBody.length === 0)
      for (const { part, count } of boards)
        laid.push([
          part,
          Array.from({ length: count }, (_, k) =>
            rect(
              inside.x,
              inside.y + ((k + 1) * inside.height) / (count + 1),
              inside.width,
              Math.max(usual.board, height * 0.05),
            ),
          ),
        ])
    floor = body.y + height
  }
  for (const { part, width: wide, height: deep } of tops) {
    const depth = part.kind === 'seat' ? deep : Math.min(wide, deep)
    const shape = slab(0, floor, width, Math.max(usual.board, width * 0.03), depth)
    laid.push([part, [shape]])
    floor = boundsOf([shape]).y + boundsOf([shape]).height
  }
  for (const { part, height } of of('back')) {
    laid.push([part, backOf(width, floor, height)])
    floor += height
  }
  const drawn = new Set(laid.map(([{ id }]) => id))
  const beside = all.filter(({ part }) => !drawn.has(part.id))
  const gap = width * 0.12
  const room = (floor || usual.height) / Math.max(1, beside.length)
  let at = 0
  for (const { part, width: wide, height: high } of beside) {
    const scale = Math.min(1, (width * 0.4) / wide, (room * 0.86) / high)
    const left = drawn.size > 0 ? width + gap : 0
    laid.push([part, [rect(left, at, wide * scale, high * scale)]])
    at += room
  }
  const whole = laid.length > 0 ? boundsOf(laid.flatMap(([, shapes]) => shapes)) : { x: 0, y: 0, width: 0, height: 0 }
  return {
    ...{ width: whole.width, height: whole.height, alike },
    parts: laid.map(([{ id, kind }, shapes]) => {
      const moved = shapes.map((shape) => shape.map(([x, y]): Corner => [x - whole.x, y - whole.y]))
      return { partId: id, kind, shapes: moved, bounds: boundsOf(moved) }
    }),
  }
}

/** Which ninth of a part a point lies on, as snags are noted: 0 top left to 8 bottom right. */
export function spotAt({ bounds }: Pick<FrontPart, 'bounds'>, [x, y]: Corner): number {
  const third = (share: number) => Math.min(2, Math.max(0, Math.floor(share * 3)))
  return third((bounds.y + bounds.height - y) / bounds.height) * 3 + third((x - bounds.x) / bounds.width)
}
/** Where a ninth of a part has its middle; the part's own where none was said. */
export function pointOf({ bounds: { x, y, width, height } }: Pick<FrontPart, 'bounds'>, spot: number | null): Corner {
  const at = spot ?? 4
  return [x + (width * ((at % 3) * 2 + 1)) / 6, y + height - (height * (Math.floor(at / 3) * 2 + 1)) / 6]
}
