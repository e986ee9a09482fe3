/** From door to door as one stroke: hands on it, drying or waiting, on sale. */
interface Props {
  door: number
  hands: number
  onSale: number
  rest: number
}
const wide = 1000

export function DaysWent({ door, hands, onSale, rest }: Props) {
  if (door === 0) return null
  const whole = hands + onSale + rest
  const parts = [
    { words: 'hands on it', days: hands, fill: 'var(--now)' },
    { words: 'drying, or waiting for hands', days: rest, fill: 'var(--line)' },
    { words: 'on sale', days: onSale, fill: 'var(--soft)' },
  ].filter(({ days }) => days > 0)
  const starts = parts.map((_, index) => (parts.slice(0, index).reduce((sum, { days }) => sum + days, 0) / whole) * wide)
  return (
    <figure className="mt-8">
      <figcaption className="text-lg">
        The middle piece stood <strong>{door === 1 ? 'one day' : `${door} days`}</strong> from door to door.
      </figcaption>
      <svg viewBox={`0 0 ${wide} 40`} preserveAspectRatio="none" className="mt-2 h-10 w-full" aria-hidden>
        {parts.map(({ words, days, fill }, index) => (
          <rect key={words} x={starts[index]} y={4} width={(days / whole) * wide - 3} height={32} fill={fill} />
        ))}
      </svg>
      <ul className="mt-1 flex flex-wrap gap-x-8">
        {parts.map(({ words, days, fill }) => (
          <li key={words} className="flex items-center gap-2">
            <span aria-hidden className="size-4" style={{ background: fill }} />
            {days} {words}
          </li>
        ))}
      </ul>
    </figure>
  )
}
