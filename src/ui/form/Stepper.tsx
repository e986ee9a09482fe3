/** A small whole number, one more or one fewer by a tap, or typed. */
import { Minus, Plus } from 'lucide-react'

interface Props {
  /** what is counted, as a screen reader says it */
  words: string
  times: number
  set: (times: number) => void
  least?: number
  most: number
  small?: boolean
}

export function Stepper({ words, times, set, least = 0, most, small = false }: Props) {
  const button = `press grid place-items-center p-0 ${small ? 'size-12' : 'size-14'}`
  const icon = small ? 20 : 22
  return (
    <span className="flex items-center gap-1">
      <button
        type="button"
        className={button}
        aria-label={`One fewer: ${words}`}
        disabled={times <= least}
        onClick={() => set(times - 1)}
      >
        <Minus aria-hidden size={icon} />
      </button>
      <input
        aria-label={words}
        inputMode="numeric"
        className={`figure w-14 bg-transparent text-center ${small ? 'text-3xl' : 'text-4xl'}`}
        value={times}
        onChange={(event) => set(Math.max(least, Math.min(most, Number(event.target.value.replace(/\D/g, '')))))}
      />
      <button
        type="button"
        className={button}
        aria-label={`One more: ${words}`}
        disabled={times >= most}
        onClick={() => set(times + 1)}
      >
        <Plus aria-hidden size={icon} />
      </button>
    </span>
  )
}
