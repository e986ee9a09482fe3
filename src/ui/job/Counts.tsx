'use client'
/** What is counted on a piece: each under a thumb, one more, one fewer, or typed. */
import { type CountCode, countCodes, type Counted } from '@/core/craft/job'
import { Stepper } from '@/ui/form/Stepper'
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
          <Stepper words={countWords[code]} times={counted[code] ?? 0} most={atMost} set={(times) => count(code, times)} />
        </li>
      ))}
    </ul>
  )
}
