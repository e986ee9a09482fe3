/**
 * The section: a part's finish as if its edge had been sawn through. The corner is where hands wear it, so wear shows there.
 * One drawing from a 24-pixel chip to a full screen; colours are the paints' own.
 */
import type { CrossSection as SectionModel, Layer } from '@/core/piece/section'
import { sectionWords } from '@/words/section'
import { patchesOf } from './patches'
import { corner, size } from './sawn'

const thickness: Record<Layer['film'], number> = { thin: 7, normal: 11, heavy: 17 }
const clearKinds = new Set<Layer['kind']>(['clear', 'wax', 'oil', 'medium', 'oldClear'])
/** The texture that stands for a kind of layer: in place of its tone, or over it. */
export const layerFills: Partial<Record<Layer['kind'], string>> = { wax: 'url(#section-haze)', clear: 'url(#section-film)' }
export const layerOverlays: Partial<Record<Layer['kind'], string>> = {
  wash: 'url(#section-washed)',
  crackle: 'url(#section-cracked)',
  texture: 'url(#section-rough)',
  glaze: 'url(#section-lifted)',
  metallic: 'url(#section-gilt)',
}

const tenth = (n: number) => Math.round(n * 10) / 10

/** The outline of the block, grown outwards by `out`. */
function block(grown: number): string {
  const { x, y, r } = corner
  const out = tenth(grown)
  const radius = r + out
  return `M${x - out} ${size + 4}V${y + r}A${radius} ${radius} 0 0 1 ${x + r} ${y - out}H${size + 4}V${size + 4}Z`
}

/** The same outline, open: what does not go all over is drawn along it. */
const outline = (grown: number): string => block(grown).replace(/V\d+Z$/, '')

/** Worn through: at the arris a layer thins to nothing, and what lies below shows. */
function wornBlock(grown: number, below: number): string {
  const { x, y, r } = corner
  const [out, depth] = [tenth(grown), tenth(grown - below)]
  const reach = 26 + out
  const [left, top] = [x - out, y - out]
  // where the arris is worn to the layer below: on the diagonal, 0.29 r in from the corner of the square
  const bend = tenth(r * 0.29 - below * 0.71)
  const dip = tenth(depth * 0.2)
  return `M${left} ${size + 4}V${y + r + reach}C${left} ${y + r + 8} ${x + bend - dip} ${y + bend + 14} ${x + bend} ${y + bend}C${x + bend + 14} ${y + bend - dip} ${x + r + 8} ${top} ${x + r + reach} ${top}H${size + 4}V${size + 4}Z`
}

interface Placed extends Layer {
  out: number
  under: number
}
function place(layers: readonly Layer[]): Placed[] {
  let out = 0
  const room = 88
  const wanted = layers.reduce((sum, { film }) => sum + thickness[film], 0)
  const scale = wanted > room ? room / wanted : 1
  return layers.map((layer) => {
    const under = out
    out += thickness[layer.film] * scale
    return { ...layer, out, under }
  })
}

/** A layer here and there, as a stroke of its own thickness; what is only planned is paler. */
const patchLook = ({ tone, kind, out, under, state }: Placed) => ({
  stroke: layerFills[kind] ? 'var(--soft)' : tone,
  strokeWidth: Math.max(2, tenth(out - under)),
  strokeOpacity: state === 'planned' ? 0.45 : 1,
})

/** The kinds that wear takes; what is under the paints stays. */
const wearable = new Set<Layer['kind']>(['paint', 'wash', 'crackle'])

/** The joint between two layers that do not get on: a torn line. */
function Joint({ out }: { out: number }) {
  return (
    <>
      <path d={block(out)} fill="none" stroke="var(--sheet)" strokeWidth="5" />
      <path d={block(out)} fill="none" stroke="var(--late)" strokeWidth="3.4" strokeDasharray="3 4 9 4" />
    </>
  )
}

export function Section({
  model,
  className,
  label,
  clashes,
}: {
  model: SectionModel
  className?: string
  label?: string
  /** layers whose lower joint will not hold */
  clashes?: ReadonlySet<number>
}) {
  const placed = place(model.layers)
  const margin = Math.max(0, corner.x - (placed.at(-1)?.out ?? 0) - 8)
  const paints = placed.filter(({ kind, state }) => wearable.has(kind) && state !== 'planned')
  const topTone = paints.at(-1)?.tone
  const shape = (layer: Placed) => {
    const worn =
      wearable.has(layer.kind) &&
      layer.state !== 'planned' &&
      (model.wear === 'through' || (model.wear === 'edges' && layer.tone === topTone))
    return worn ? wornBlock(layer.out, layer.under) : block(layer.out)
  }
  return (
    <svg
      viewBox={`${margin} ${margin} ${size - margin} ${size - margin}`}
      className={className}
      role="img"
      aria-label={label ?? sectionWords(model)}
    >
      {[...placed].reverse().map((layer, k) => {
        const mid = (layer.out + layer.under) / 2
        const patches = patchesOf(layer.where, size + 4 - corner.y - corner.r, (Math.PI / 2) * (corner.r + mid))
        if (patches) return <path key={k} d={outline(mid)} fill="none" {...patchLook(layer)} strokeDasharray={patches} />
        const d = shape(layer)
        if (layer.state === 'planned')
          return (
            <path
              key={k}
              d={block(layer.out)}
              fill="var(--sheet)"
              fillOpacity="0.35"
              stroke={`color-mix(in oklab, ${clearKinds.has(layer.kind) ? 'var(--soft)' : layer.tone}, var(--ink) 25%)`}
              strokeWidth="1.6"
              strokeDasharray="5 4"
            />
          )
        const overlay = layerOverlays[layer.kind]
        return (
          <g key={k}>
            <path d={d} fill={layerFills[layer.kind] ?? layer.tone} stroke="var(--ink)" strokeOpacity="0.28" strokeWidth="0.8" />
            {overlay && <path d={d} fill={overlay} />}
            {layer.state === 'wet' && (
              <>
                <path
                  d={d}
                  fill="none"
                  stroke="#ffffff"
                  strokeOpacity="0.9"
                  strokeWidth="3.2"
                  strokeDasharray="16 6 4 18"
                  strokeLinecap="round"
                  className="wet-sheen"
                />
                {[150, 186, 222].map((x) => (
                  <path
                    key={x}
                    d={`M${x} ${corner.y - layer.out - 1}q4 -9 8 0z`}
                    fill={layer.tone}
                    stroke="var(--ink)"
                    strokeOpacity="0.35"
                    strokeWidth="0.8"
                  />
                ))}
              </>
            )}
          </g>
        )
      })}
      <path d={block(0)} fill={model.substrate.tone} stroke="var(--ink)" strokeOpacity="0.45" strokeWidth="1" />
      {model.substrate.wood && (
        <use href="#section-grain" stroke={`color-mix(in oklab, ${model.substrate.tone}, #1d120a 38%)`} opacity="0.55" />
      )}
      {clashes && placed.map(({ under }, k) => clashes.has(k) && <Joint key={k} out={under} />)}
    </svg>
  )
}
