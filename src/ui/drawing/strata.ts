/**
 * The geometry of a sawn edge that shows all three places: a hollow, a flat, an arris and what is below it. Layers lie on it from the
 * bottom up; where one does not go, the next rests on what is below. Pure; the drawing's own units.
 */
import { type Place, places, type Where } from '@/core/finish/touch'

export interface Stratum {
  /** how thick it lies, in the drawing's units */
  thick: number
  where?: Where | undefined
  /** takes away this many strata below it where hands wear it: none unless given */
  wears?: number | undefined
}
export interface Laid {
  /** the outline of the layer, closed; empty where nothing of it is left */
  path: string
  /** its upper surface, open */
  top: string
  /** on the flat: its upper edge, its lower edge */
  upper: number
  lower: number
}
export interface Profile {
  width: number
  height: number
  /** bare, closed */
  ground: string
  laid: Laid[]
  /** across the drawing, where each place is at its clearest */
  centres: Record<Place, number>
}

const hollow = { from: 40, to: 190, deep: 46 }
const arris = { x: 470, r: 46 }
/** how far down the side is shown */
const below = 84
/** what is laid on a side is seen thinner than on the flat, and never wider than this */
const sideScale = 0.42
const sideRoom = 108
/** many layers are drawn thinner, to stay in one picture */
const most = 340
const steps = { flat: 156, bend: 26, side: 14, label: 74 }

interface Sample {
  x: number
  y: number
  /** outward, per unit of thickness */
  nx: number
  ny: number
  in: Record<Place, number>
}
const smooth = (t: number): number => {
  const s = Math.max(0, Math.min(1, t))
  return s * s * (3 - 2 * s)
}

/** The bare surface with the flat at 0, sampled from left to right and down the side; `across` draws the flat shorter. */
const surfaceOf = (across: number): readonly Sample[] => [
  ...Array.from({ length: steps.flat + 1 }, (_, k): Sample => {
    const x = (arris.x * k) / steps.flat
    const t = (x - hollow.from) / (hollow.to - hollow.from)
    const dip = t > 0 && t < 1 ? (1 - Math.cos(2 * Math.PI * t)) / 2 : 0
    const recesses = smooth((dip - 0.25) / 0.4)
    const edges = smooth((x - arris.x + 100) / 100)
    return {
      x: x * across,
      y: dip * hollow.deep,
      nx: 0,
      ny: -1,
      in: { recesses, edges, field: Math.max(0, 1 - recesses - edges) },
    }
  }),
  ...Array.from({ length: steps.bend }, (_, k): Sample => {
    const angle = ((k + 1) / steps.bend) * (Math.PI / 2)
    return {
      x: arris.x * across + arris.r * Math.sin(angle),
      y: arris.r * (1 - Math.cos(angle)),
      nx: Math.sin(angle),
      ny: -Math.cos(angle),
      in: { recesses: 0, edges: 1, field: 0 },
    }
  }),
  ...Array.from({ length: steps.side }, (_, k): Sample => {
    const edges = 1 - smooth((k + 1) / 9)
    return {
      x: arris.x * across + arris.r,
      y: arris.r + ((k + 1) / steps.side) * below,
      nx: 1,
      ny: 0,
      in: { recesses: 0, edges, field: 1 - edges },
    }
  }),
]

/** The picture is as wide as a desk's column, or as a phone. */
export const shapes = { wide: 1, narrow: 0.52 } as const
export type ProfileShape = keyof typeof shapes
const surfaces = { wide: surfaceOf(shapes.wide), narrow: surfaceOf(shapes.narrow) }

/** Samples from one mark of a pattern to the next. */
const patternPeriod = 13

/** A ripple that is another for each layer and the same each time, 0 to 1. */
const ripple = (at: number, layer: number): number => {
  const wave = Math.sin(at * 0.41 + layer * 2.3) + Math.sin(at * 0.23 + layer * 5.1) * 0.8 + Math.sin(at * 0.87 + layer) * 0.35
  return 0.5 + wave / 4.3
}

/** How much of a layer is at a sample, 0 to 1. */
function coverAt(sample: Sample, k: number, layer: number, where: Where | undefined): number {
  const on = where?.places ?? places
  const there = Math.min(
    1,
    on.reduce((sum, place) => sum + sample.in[place], 0),
  )
  const share = where?.share ?? 1
  // ragged: the ripple's low part is painted
  // a pattern repeats itself, with sharp edges
  if (where?.pattern) return (k % patternPeriod) / patternPeriod < share ? there : 0
  return share >= 1 ? there : there * smooth((share - ripple(k, layer)) / 0.14 + 0.5)
}

/** Where hands wear: the arris through, and a rub here and there on the flat. */
const wornAt = (sample: Sample, k: number, layer: number): number =>
  Math.max(smooth((sample.in.edges - 0.25) / 0.7), sample.in.recesses > 0 ? 0 : rubAt(k, layer))
/** One long, shallow rub on the flat. In samples. */
const rub = { at: 98, reach: 24 }
const rubAt = (k: number, layer: number): number => 0.42 * smooth(1 - Math.abs(k - rub.at - ((layer * 5) % 9)) / rub.reach)

const tenth = (n: number) => Math.round(n * 10) / 10
const inTenths = (n: number) => Math.round(n * 10)
/** `tenths` of a unit as a path says it: without a nought before the point. */
function said(tenths: number): string {
  const [whole, rest] = [Math.trunc(tenths / 10), Math.abs(tenths % 10)]
  if (rest === 0) return `${whole}`
  return `${tenths < 0 ? '-' : ''}${whole === 0 ? '' : Math.abs(whole)}.${rest}`
}
/** From the first point, each as far from the one before it: as many of them whatever lies there, so that one line can move into another. */
const line = (points: readonly (readonly [number, number])[]): string => {
  const at = points.map(([x, y]) => [inTenths(x), inTenths(y)] as const)
  const steps = at.slice(1).map(([x, y], k) => {
    const [fromX, fromY] = at[k] ?? [x, y]
    const down = said(y - fromY)
    return `${said(x - fromX)}${down.startsWith('-') ? '' : ' '}${down}`
  })
  const [x, y] = at[0] ?? [0, 0]
  return `M${said(x)} ${said(y)}${steps.length > 0 ? `l${steps.join(' ').replaceAll(' -', '-')}` : ''}`
}

/** The drawing of these layers, the lowest first. `least`: nothing is drawn lower than this. */
export function profileOf(strata: readonly Stratum[], shape: ProfileShape = 'wide', least = 0): Profile {
  const surface = surfaces[shape]
  const across = shapes[shape]
  const width = arris.x * across + arris.r + sideRoom + 16
  const cover = strata.map(({ where }, layer) => surface.map((sample, k) => coverAt(sample, k, layer, where)))
  strata.forEach(({ wears = 0 }, layer) => {
    for (let under = Math.max(0, layer - wears); under < layer; under += 1)
      surface.forEach((sample, k) => {
        const row = cover[under] as number[]
        row[k] = (row[k] ?? 0) * (1 - wornAt(sample, k, layer))
      })
  })
  const wanted = strata.reduce((sum, { thick }) => sum + thick, 0)
  const scale = Math.min(1, most / Math.max(1, wanted))
  const total = wanted * scale
  const side = Math.min(sideScale, sideRoom / Math.max(1, total))
  const ground = Math.max(total + 14, least)
  const height = ground + Math.max(hollow.deep + 24, arris.r + below)
  const out = surface.map(() => 0)
  const point = (k: number) => {
    const { x, y, nx, ny } = surface[k] as Sample
    return [x + nx * side * (out[k] ?? 0), ground + y + ny * (out[k] ?? 0)] as const
  }
  const edge = () => surface.map((_, k) => point(k))
  const flat = steps.label
  const bare = edge()
  let under = bare
  const laid = strata.map(({ thick }, layer): Laid => {
    const there = cover[layer] as number[]
    there.forEach((share, k) => {
      out[k] = (out[k] ?? 0) + share * thick * scale
    })
    const top = edge()
    const [upper, lower] = [top[flat]?.[1] ?? 0, under[flat]?.[1] ?? 0]
    const path = there.some((share) => share > 0.02) ? `${line(top)}${line([...under].reverse()).replace('M', 'L')}Z` : ''
    under = top
    return { path, top: line(top), upper, lower }
  })
  return {
    width,
    height,
    ground: `${line(bare)}L0 ${height}L0 ${tenth(bare[0]?.[1] ?? 0)}Z`,
    laid,
    centres: {
      recesses: ((hollow.from + hollow.to) / 2) * across,
      field: ((arris.x * steps.label) / steps.flat) * across,
      edges: arris.x * across + arris.r / 2,
    },
  }
}
