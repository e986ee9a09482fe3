/** The thread of each pair of hands: wound through the drawing in the order of work, and told apart by its dashes. */
import type { OutlookLine, WeekOutlook } from '@/core/week/ask'
import type { DayScale } from './scale'

const dashes = ['', '9 6', '2 6', '14 5 2 5'] as const
const dashOf = (hand: number) => dashes[hand % dashes.length]

interface Drawn extends Pick<WeekOutlook, 'hands'> {
  lines: readonly OutlookLine[]
  scale: DayScale
  yOf: (piece: number) => number
}
export const DrawnThreads = ({ hands, lines, scale, yOf }: Drawn) =>
  hands.map((name, hand) => (
    <path
      key={name ?? hand}
      d={threadOf(lines, hand, scale, yOf)}
      fill="none"
      stroke="var(--ink)"
      strokeWidth="2.5"
      strokeDasharray={dashOf(hand)}
      strokeLinejoin="round"
    />
  ))

/** Whose thread is which; nothing where there is one pair of hands. */
export function Threads({ hands }: Pick<WeekOutlook, 'hands'>) {
  if (hands.length < 2) return null
  return (
    <ul className="mt-2 flex flex-wrap items-center gap-x-3">
      {hands.map((name, k) => (
        <li key={name ?? k} data-hand={k} className="flex min-h-11 items-center gap-2 pr-4 text-lg">
          <svg viewBox="0 0 56 8" className="h-2 w-14" aria-hidden>
            <path d="M0 4H56" stroke="var(--ink)" strokeWidth="2.5" strokeDasharray={dashOf(k)} />
          </svg>
          {name}
        </li>
      ))}
      <li className="unprinted hidden text-soft sm:block">Pull a stroke along its line to another time, or onto a name.</li>
    </ul>
  )
}

/** The way of one pair of hands from step to step. */
function threadOf(lines: readonly OutlookLine[], hand: number, { x }: DayScale, yOf: (piece: number) => number): string {
  const own = lines.filter((line) => line.hand === hand)
  return own
    .map((line, k) => {
      const [from, to, y] = [x(line.startMs), x(line.endMs), yOf(line.piece)]
      const before = own[k - 1]
      if (!before) return `M${from} ${y}H${to}`
      const [x0, y0] = [x(before.endMs), yOf(before.piece)]
      const bend = Math.min(26, Math.max(8, (from - x0) / 2))
      return `C${x0 + bend} ${y0} ${from - bend} ${y} ${from} ${y}H${to}`
    })
    .join('')
}
