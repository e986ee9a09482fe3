/** How long a coat is shut by the label, and below it as fingers found it here: hatched while it is too wet, half drawn while it may be, full when it is dry. */

interface Opening {
  words: string
  /** minutes: at the earliest, and when it is sure */
  opens: readonly [number, number]
}
const room = 1.15
const hatch = 'repeating-linear-gradient(135deg, var(--ink) 0 2px, transparent 2px 7px)'

export function DriesBeside({ lines }: { lines: readonly Opening[] }) {
  const whole = Math.max(1, ...lines.map(({ opens }) => opens[1])) * room
  const at = (minutes: number) => `${(minutes / whole) * 100}%`
  return (
    <div aria-hidden className="mt-2 grid w-full max-w-2xl grid-cols-[4rem_1fr] items-center gap-y-1.5 text-sm">
      {lines.map(({ words, opens: [least, most] }) => (
        <div key={words} className="contents">
          <span className="text-soft">{words}</span>
          <span className="relative h-4">
            <span
              className="absolute inset-y-1 left-0 border-y border-ink"
              style={{ width: at(least), backgroundImage: hatch }}
            />
            <span className="absolute inset-y-0 bg-now/45" style={{ left: at(least), width: at(most - least) }} />
            <span className="absolute inset-y-0 right-0 rounded-l-sm bg-now" style={{ left: at(most) }} />
          </span>
        </div>
      ))}
    </div>
  )
}
