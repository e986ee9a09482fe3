/** A part from the front, drawn by its kind and to its proportions: where a snag is pointed at. Strokes in the ink of the page. */
import type { PartKind } from '@/core/craft/parts'

interface Props {
  kind: PartKind
  count: number
  /** width by height */
  face: number
  className?: string
}

/** Drawn 100 high; as wide as the face says. */
const height = 100
type Draw = (width: number, count: number) => React.ReactNode

const box = (width: number, inset = 3) => (
  <rect x={inset} y={inset} width={width - 2 * inset} height={height - 2 * inset} rx="1.5" />
)
const rows = (count: number) => Array.from({ length: count }, (_, k) => k)
const between = (low: number, count: number, high: number) => Math.min(high, Math.max(low, count))

const drawings: Record<PartKind, Draw> = {
  top: (width) => (
    <>
      {box(width)}
      {[0.28, 0.52, 0.76].map((at) => (
        <path
          key={at}
          d={`M4 ${height * at}C${width * 0.3} ${height * at - 5} ${width * 0.6} ${height * at + 5} ${width - 4} ${height * at}`}
        />
      ))}
    </>
  ),
  leaf: (width) => (
    <>
      {box(width)}
      <path d={`M${width * 0.5} 4V${height - 4}`} strokeDasharray="4 4" />
    </>
  ),
  carcass: (width) => (
    <>
      {box(width)}
      <rect x="9" y="9" width={width - 18} height={height - 24} />
      <path d={`M3 ${height - 9}H${width - 3}`} />
    </>
  ),
  'drawer-fronts': (width, count) => {
    const fronts = between(1, count, 6)
    const each = (height - 6) / fronts
    return rows(fronts).map((k) => (
      <g key={k}>
        <rect x="3" y={3 + k * each + 1} width={width - 6} height={each - 2} rx="1.5" />
        <path d={`M${width / 2 - 7} ${3 + k * each + each / 2}h14`} strokeWidth="2.5" />
      </g>
    ))
  },
  doors: (width, count) => {
    const doors = between(1, count, 3)
    const each = (width - 6) / doors
    return rows(doors).map((k) => (
      <g key={k}>
        <rect x={3 + k * each + 1} y="3" width={each - 2} height={height - 6} rx="1.5" />
        <rect x={3 + k * each + each * 0.16} y="14" width={each * 0.68} height={height - 28} />
        <circle cx={3 + k * each + (k % 2 === 0 && doors > 1 ? each - 5 : 6)} cy={height / 2} r="2" />
      </g>
    ))
  },
  legs: (width) => [0.1, 0.37, 0.63, 0.9].map((at) => <path key={at} d={`M${width * at - 6} 3h12l-3 ${height - 6}h-6z`} />),
  base: (width) => (
    <>
      <rect x="3" y="3" width={width - 6} height={height * 0.24} />
      <path d={`M5 ${height * 0.27}h10l-3 ${height * 0.7}h-5zM${width - 15} ${height * 0.27}h10l-2 ${height * 0.7}h-5z`} />
    </>
  ),
  seat: (width) => (
    <>
      <path d={`M8 3H${width - 8}Q${width - 2} ${height / 2} ${width - 4} ${height - 3}H4Q2 ${height / 2} 8 3z`} />
      <path d={`M14 ${height * 0.45}Q${width / 2} ${height * 0.6} ${width - 14} ${height * 0.45}`} />
    </>
  ),
  back: (width) => (
    <>
      <path d={`M5 ${height - 3}V10Q${width / 2} -2 ${width - 5} 10V${height - 3}`} />
      {[0.28, 0.5, 0.72].map((at) => (
        <path key={at} d={`M${width * at} 9V${height - 12}`} />
      ))}
      <path d={`M5 ${height - 12}H${width - 5}`} />
    </>
  ),
  feet: (width) =>
    [0.12, 0.38, 0.62, 0.88].map((at) => <path key={at} d={`M${width * at - 7} 30h14q4 26 -3 44h-8q-7 -18 -3 -44z`} />),
  shelves: (width, count) => {
    const boards = between(2, count + 1, 6)
    return (
      <>
        {box(width)}
        {rows(boards - 1).map((k) => (
          <path key={k} d={`M3 ${3 + ((k + 1) * (height - 6)) / boards}H${width - 3}`} strokeWidth="2.5" />
        ))}
      </>
    )
  },
  other: (width) => box(width),
}

export function PartDrawing({ kind, count, face, className }: Props) {
  const width = height * face
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      preserveAspectRatio="none"
      aria-hidden
      fill="var(--sheet)"
      stroke="var(--ink)"
      strokeWidth="1.5"
      strokeLinejoin="round"
      className={className}
    >
      {drawings[kind](width, count)}
    </svg>
  )
}
