'use client'
/** How much it is to shine: each with the light that it throws back, on the colour that is chosen. */
import { useId } from 'react'
import { type Sheen, sheenCodes, sheens } from '@/core/craft/sheen'

interface Props {
  value: Sheen | null
  choose: (to: Sheen | null) => void
  /** what it shines like as it comes; undefined where nothing is planned */
  usual: Sheen | undefined
  /** what can be had; all, where nobody knows */
  had: readonly Sheen[]
  hex: string
}
export function SheenChoice({ value, choose, usual, had, hex }: Props) {
  const offered: [Sheen | null, string][] = [
    [null, usual ? `as it comes: ${sheens[usual]}` : 'as it comes'],
    ...sheenCodes.map((code): [Sheen, string] => [code, sheens[code]]),
  ]
  const can = (code: Sheen | null) => code === null || had.length === 0 || had.includes(code)
  const not = sheenCodes.filter((code) => !can(code))
  return (
    <fieldset className="beside min-w-0 sm:col-span-2">
      <legend className="mb-1 text-sm font-semibold">Sheen</legend>
      <div className="strip">
        {offered.map(([code, words]) => (
          <button
            key={words}
            type="button"
            aria-pressed={value === code}
            disabled={!can(code)}
            onClick={() => choose(code)}
            className="press flex items-center gap-2 px-3 aria-pressed:outline-3 aria-pressed:outline-now"
          >
            {code && <Light sheen={code} hex={hex} />}
            {words}
          </button>
        ))}
      </div>
      {not.length > 0 && (
        <p className="mt-1 text-sm text-soft">Not to be had on this part: {not.map((code) => sheens[code]).join(', ')}.</p>
      )}
    </fieldset>
  )
}

/** The window in a painted board: the glossier, the smaller and the sharper. How far it spreads, how bright it is. */
const lights: Record<Sheen, { spread: number; bright: number }> = {
  flat: { spread: 1, bright: 0 },
  matt: { spread: 1, bright: 0.22 },
  satin: { spread: 0.7, bright: 0.5 },
  gloss: { spread: 0.25, bright: 0.95 },
}
function Light({ sheen, hex }: { sheen: Sheen; hex: string }) {
  const id = useId()
  const { spread, bright } = lights[sheen]
  return (
    <svg viewBox="0 0 32 24" aria-hidden className="h-6 w-8 shrink-0 rounded-sm border border-ink/30">
      <radialGradient id={id} cx="0.3" cy="0.3" r={0.75 * spread}>
        <stop offset={sheen === 'gloss' ? 0.55 : 0} stopColor="#fff" stopOpacity={bright} />
        <stop offset="1" stopColor="#fff" stopOpacity="0" />
      </radialGradient>
      <rect width="32" height="24" fill={hex} />
      <rect width="32" height="24" fill={`url(#${id})`} />
    </svg>
  )
}
