'use client'
/** The best use of so many minutes: what of all that can be done now fits into them. */
import type { BenchLine, WhyCode } from '@/core/bench/benchOrder'
import type { StepCard } from '@/core/bench/stepCard'
import { whatFits } from '@/core/bench/whatFits'
import { getOperation } from '@/core/craft/operations'
import { NextLine } from './NextLine'

interface Props {
  doable: readonly BenchLine[]
  minutes: number
  cardOf: (line: BenchLine) => StepCard
  whyWords: Readonly<Record<WhyCode, string>>
}
export function FitLines({ doable, minutes, cardOf, whyWords }: Props) {
  const fit = whatFits(doable, minutes, ({ step }) => getOperation(step.operation).overhead)
  return (
    <>
      <p role="status" className="mt-3 text-lg font-semibold">
        {fit.taken.length === 0
          ? 'Nothing that can be done now is so short.'
          : `${fit.minutes} minutes of work, alike steps sharing their set-up.`}
      </p>
      <ul className="mt-2">
        {fit.taken.map((line) => (
          <NextLine key={line.step.id} card={cardOf(line)} why={whyWords[line.why]} late={line.group === 'missed'} />
        ))}
      </ul>
    </>
  )
}
