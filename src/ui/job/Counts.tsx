'use client'
/** What is counted on a piece: each under a thumb, one more, one fewer, or typed. */
import { Minus, Plus } from 'lucide-react'
import { type CountCode, countCodes, type Counted } from '@/core/craft/job'
import { countWords } from '@/words/job'

const atMost = 200

export function Counts({
  counted,
  count,
  className = '',
}: {
  counted: Counted
  count: (code: CountCode, times: number) => void
  className?: string
}) {
  return (
    <ul className={className}>
      {countCodes.map((code) => (
        <li key={code} className="flex min-h-16 items-center justify-between gap-4 border-b border-line py-1">
          <span className="text-lg font-semibold leading-tight">{countWords[code]}</span>
          <Stepper words={countWords[code]} times={counted[code] ?? 0} set={(times) => count(code, times)} />
        </li>
      ))}
    </ul>
  )
}

function Stepper({ words, times, set }: { words: string; times: number; set: (times: number) => void }) {
  const step = 'press grid size-14 place-items-center p-0'
  return (
    <span className="flex items-center gap-1">
      <button
        type="button"
        className={step}
        aria-label={`One fewer: ${words}`}
        disabled={times === 0}
        onClick={() => set(times - 1)}
      >
        <Minus aria-hidden size={22} />
      </button>
      <input
        aria-label={words}
        inputMode="numeric"
        className="figure w-14 bg-transparent text-center text-4xl"
        value={times}
        onChange={(event) => set(Math.min(atMost, Number(event.target.value.replace(/\D/g, ''))))}
      />
      <button
        type="button"
        className={step}
        aria-label={`One more: ${words}`}
        disabled={times >= atMost}
        onClick={() => set(times + 1)}
      >
        <Plus aria-hidden size={22} />
      </button>
    </span>
  )
}
