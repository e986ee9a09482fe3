/**
 * Patterns with their measures, as they are set out with tape and rule on one face: where each mark lies, how much of the face they
 * cover, how much tape they take. Lengths in mm, areas in mm²; pure plane geometry.
 */

export type PatternKind = 'stripes' | 'stencil'
export const runs = ['upright', 'across'] as const
export interface Stripes {
  kind: 'stripes'
  count: number
  width: number
  /** between one stripe and the next */
  gap: number
  run: (typeof runs)[number]
  /** set out from the middle, or from the left (the top, where they run across) */
  from: 'middle' | 'edge'
}
export interface Stencil {
  kind: 'stencil'
  /** repeats across and down */
  across: number
  down: number
  /** of one repeat */
  width: number
  height: number
  gap: number
}
export type Pattern = Stripes | Stencil

/** The face that a pattern is set out on; `count` alike ones. */
export interface Face {
  width: number
  height: number
  count: number
}
export interface PatternMark {
  x: number
  y: number
  width: number
  height: number
}

/** Starts of so many things of a size along a length. */
function startsAlong(count: number, size: number, gap: number, length: number, from: Stripes['from']): number[] {
  const whole = count * size + (count - 1) * gap
  const first = from === 'middle' ? (length - whole) / 2 : gap
  return Array.from({ length: count }, (_, k) => first + k * (size + gap))
}
function clip(mark: PatternMark, face: Face): PatternMark[] {
  const x = Math.max(0, mark.x)
  const y = Math.max(0, mark.y)
  const width = Math.min(face.width, mark.x + mark.width) - x
  const height = Math.min(face.height, mark.y + mark.height) - y
  return width > 0 && height > 0 ? [{ x, y, width, height }] : []
}

/** Where the marks lie, from the top left; what would lie beyond the face is cut at its edge. */
export function marksOf(pattern: Pattern, face: Face): PatternMark[] {
  if (pattern.kind === 'stripes') {
    const { count, width, gap, run, from } = pattern
    const upright = run === 'upright'
    return startsAlong(count, width, gap, upright ? face.width : face.height, from).flatMap((at) =>
      clip(upright ? { x: at, y: 0, width, height: face.height } : { x: 0, y: at, width: face.width, height: width }, face),
    )
  }
  const { across, down, width, height, gap } = pattern
  const columns = startsAlong(across, width, gap, face.width, 'middle')
  const rows = startsAlong(down, height, gap, face.height, 'middle')
  return rows.flatMap((y) => columns.flatMap((x) => clip({ x, y, width, height }, face)))
}

/** The share of a face that a stencil's openings let through. Practice. */
const opening = 0.35
/** What the marks cover of one face, mm². */
const markedArea = (pattern: Pattern, face: Face): number =>
  marksOf(pattern, face).reduce((sum, { width, height }) => sum + width * height, 0) * (pattern.kind === 'stencil' ? opening : 1)

/** The share of a part that a pattern covers, of its area in m². Above 0, at most 1. */
export const patternShare = (pattern: Pattern, face: Face, areaM2: number): number =>
  Math.min(1, Math.max(0.01, Math.round(((markedArea(pattern, face) * face.count) / (areaM2 * 1e6)) * 1000) / 1000))

/** Metres of tape on all the faces: along both edges of every stripe, but where that is the face's own. */
export function tapeMetres(pattern: Pattern, face: Face): number {
  if (pattern.kind === 'stencil') return 0
  const upright = pattern.run === 'upright'
  const end = upright ? face.width : face.height
  const edges = marksOf(pattern, face).flatMap((mark) => {
    const from = upright ? mark.x : mark.y
    const to = from + (upright ? mark.width : mark.height)
    return [from, to].filter((at) => at > 0 && at < end)
  })
  return (edges.length * (upright ? face.height : face.width) * face.count) / 1000
}

/** Why a pattern can't be set out on a face; null where it can. */
export function patternFault(pattern: Pattern, face: Face): 'too-wide' | null {
  const { width: length, height } = face
  if (pattern.kind === 'stencil')
    return pattern.across * (pattern.width + pattern.gap) - pattern.gap > length ||
      pattern.down * (pattern.height + pattern.gap) - pattern.gap > height
      ? 'too-wide'
      : null
  const room = pattern.run === 'upright' ? length : height
  const whole = pattern.count * (pattern.width + pattern.gap) - pattern.gap + (pattern.from === 'edge' ? pattern.gap : 0)
  return whole > room ? 'too-wide' : null
}
