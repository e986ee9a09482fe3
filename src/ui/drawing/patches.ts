/** A layer that does not go all over, as dashes along the outline of the section: the far ends are the recesses, the bend the edge. */
import { type Place, places, type Where } from '@/core/finish/touch'

/** One patch and the gap after it, in the drawing's own units. */
const period = 17

/**
 * The dashes of a layer on an outline of two straight sides of `side` and a bend of `bend`, as SVG's `stroke-dasharray`; null where it
 * goes all over.
 */
export function patchesOf(where: Where | undefined, side: number, bend: number): string | null {
  const on = where?.places ?? places
  const share = where?.share ?? 1
  if (on.length === places.length && share >= 1) return null
  const end = side * 0.28
  const stretches: [Place, number][] = [
    ['recesses', end],
    ['field', side - end],
    ['edges', bend],
    ['field', side - end],
    ['recesses', end],
  ]
  // painted, not painted, painted, … : the first may be nothing
  const dashes: number[] = [0]
  const draw = (length: number, isPainted: boolean) => {
    const last = dashes.length - 1
    if ((last % 2 === 0) === isPainted) dashes[last] = (dashes[last] ?? 0) + length
    else dashes.push(length)
  }
  for (const [place, length] of stretches) {
    if (!on.includes(place)) draw(length, false)
    else if (share >= 1) draw(length, true)
    else
      for (let at = 0; at < length; at += period) {
        const rest = Math.min(period, length - at)
        draw(Math.min(rest, period * share), true)
        if (rest > period * share) draw(rest - period * share, false)
      }
  }
  if (dashes.length % 2 === 1) dashes.push(0)
  return dashes.map((length) => Math.round(length * 10) / 10).join(' ')
}
