/** A tin as if sawn through: what is in it stands at its level, in its colour; what plans will take of it is only outlined. */

interface Props {
  size: number
  remaining: number
  hex: string | null
  /** its lid is on it until it is opened */
  lid?: boolean
  /** what plans ahead take of it */
  planned?: number
  /** what it was thought to hold */
  thought?: number
}
const [wide, tall] = [44, 56]
const [floor, brim] = [tall - 2, 5]

export function Tin({ size, remaining, hex, lid = false, planned = 0, thought }: Props) {
  const level = (amount: number) => floor - (floor - brim) * Math.min(1, Math.max(0, amount / size))
  const colour = hex ?? 'var(--line)'
  const [top, after] = [level(remaining), level(remaining - planned)]
  return (
    <svg viewBox={`0 0 ${wide} ${tall}`} aria-hidden className="size-full">
      <path d={`M3 ${brim}H41V${floor}H3z`} fill="var(--sheet)" />
      <path d={`M3 ${after}H41V${floor}H3z`} fill={colour} />
      {remaining > 0 && <path d={`M3 ${top}H41`} stroke="var(--ink)" strokeWidth="0.75" opacity="0.6" />}
      {planned > 0 && (
        <path
          d={`M4.5 ${top + 0.5}H39.5V${after - 0.5}H4.5z`}
          fill={colour}
          fillOpacity="0.3"
          stroke="var(--ink)"
          strokeDasharray="3.5 2.5"
        />
      )}
      <path d={`M3 ${brim}V${floor}H41V${brim}`} fill="none" stroke="var(--ink)" strokeWidth="2" />
      {lid ? (
        <path d={`M1 1.5H43V${brim + 0.5}H1z`} fill="var(--ink)" />
      ) : (
        <path d={`M3 ${brim}H41`} stroke="var(--ink)" strokeWidth="2" strokeDasharray="3 3" />
      )}
      {thought !== undefined && <path d={`M0 ${level(thought)}H44`} stroke="var(--now)" strokeWidth="2" strokeDasharray="4 3" />}
    </svg>
  )
}

/** How wide a tin is drawn: a larger one larger, by its edges as volumes go. */
export const tinWidth = (size: number): string =>
  `${(4.6 * Math.min(1.12, Math.max(0.62, Math.cbrt(size / 1_000)))).toFixed(2)}rem`

/** Where one would stand. */
export const NoTin = ({ hex }: { hex: string | null }) => (
  <svg viewBox={`0 0 ${wide} ${tall}`} aria-hidden className="w-16">
    <path
      d={`M3 ${brim}V${floor}H41V${brim}z`}
      fill={hex ?? 'none'}
      fillOpacity="0.2"
      stroke="var(--soft)"
      strokeDasharray="4 3"
    />
  </svg>
)
