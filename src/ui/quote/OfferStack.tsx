/** The layers of a part as they were offered, from the wood up: small, beside the line that they are paid by. */
import type { OfferSection } from '@/core/price/offer'

const width = 56
const height = 48
const ground = 12
export function OfferStack({ section: { wood, layers } }: { section: OfferSection }) {
  const all = layers.flatMap(({ kind, tone, count }) => Array.from({ length: Math.min(count, 4) }, () => ({ kind, tone })))
  const each = all.length === 0 ? 0 : Math.min(7, (height - ground) / all.length)
  return (
    <svg viewBox={`0 0 ${width} ${height}`} aria-hidden className="h-12 w-14 shrink-0">
      <path d={`M0 ${height - ground}H${width}V${height}H0Z`} fill={wood ? '#b98f5a' : '#b9b4aa'} />
      {all.map(({ kind, tone }, index) => (
        <rect
          key={index}
          x="0"
          y={height - ground - (index + 1) * each}
          width={width}
          height={Math.max(1, each - 0.75)}
          fill={tone}
          stroke="var(--ink)"
          strokeOpacity={kind === 'clear' || kind === 'wax' || kind === 'oil' ? 0.55 : 0.25}
          strokeWidth="0.6"
        />
      ))}
    </svg>
  )
}
