/** The pattern that a step is worked to, in words and drawn to scale. */
import type { StepCard } from '@/core/bench/stepCard'
import { tapeMetres } from '@/core/craft/pattern'
import type { House } from '@/core/input/fields'
import { formatNumber } from '@/core/measure/number'
import { PatternDrawing } from '@/ui/drawing/PatternDrawing'
import { measuresWords } from '@/words/where'

interface Props {
  pattern: NonNullable<StepCard['pattern']>
  step: Pick<StepCard['step'], 'operation' | 'colour'>
  house: House
}
export function PatternHere({ pattern: { pattern, face }, step: { operation, colour }, house }: Props) {
  return (
    <div className="mt-5 max-w-md">
      <p className="text-lg font-semibold">{measuresWords(pattern, house)}</p>
      {operation === 'tape' && pattern.kind === 'stripes' && (
        <p className="text-lg">{formatNumber(tapeMetres(pattern, face), house, 1)} m of tape</p>
      )}
      <PatternDrawing
        {...{ pattern, face, house }}
        hex={colour?.hex ?? 'var(--line)'}
        under="var(--sheet)"
        className="mt-2 max-h-[34vh] w-full"
      />
    </div>
  )
}
