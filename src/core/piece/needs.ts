/** What all pieces together still take from the shelf, by product family and colour. Amounts in ml or g; pure. */
import { getFamily } from '@/core/craft/families'
import { amountBy, type LabelledTin, labelOf } from '@/core/craft/label'
import { ofKind } from '@/core/log/entry'
import { untouchedClock } from '@/core/log/labour'
import { isAhead } from '@/core/log/stepStates'
import type { PieceId, StepId } from '@/core/measure/named'
import { onceFor } from '@/core/measure/once'
import { materialsOf, productKey } from '@/core/plan/amounts'
import type { Need } from '@/core/stock/buy'
import type { PieceFile } from './piece'
import { workOf } from './work'

export interface PiecesNeed extends Need {
  uses: number[]
  pieces: { id: PieceId; name: string }[]
  /** ms; when the first of its coats is to be laid, as the week was planned; null where no week says */
  byMs: number | null
}

/** Steps of a piece that still take something: ahead, and no coat of them is written down yet. */
const takingOf = onceFor((file: PieceFile) => {
  const { log, clocks } = workOf(file)
  const laid = new Set(ofKind(log, 'coat').map(({ stepId }) => stepId))
  return file.parts.flatMap(({ plan }) =>
    (plan?.steps ?? [])
      .filter(({ id }) => !laid.has(id) && isAhead(clocks.get(id) ?? untouchedClock))
      .flatMap((step) => materialsOf(step, plan?.paint ?? null).map((material) => ({ ...material, stepId: step.id }))),
  )
})

/** `startsAt`: when a step begins by the week in force, ms. `labels`: tins that go further, or less far, than their family. Cleaners are not reckoned: nobody runs out of water. */
export function needsOf(
  files: readonly PieceFile[],
  startsAt: ReadonlyMap<StepId, number>,
  labels: readonly LabelledTin[] = [],
): PiecesNeed[] {
  const needs = new Map<string, PiecesNeed>()
  for (const file of files)
    for (const { stepId, family, hex, name, sheen, amount } of takingOf(file)) {
      if (getFamily(family).role === 'cleaner' || amount <= 0) continue
      const key = productKey({ family, hex, sheen })
      const need = needs.get(key) ?? { family, hex, name, sheen, uses: [], pieces: [], byMs: null }
      needs.set(key, need)
      const label = labelOf(labels, { family, colour: hex === null ? null : { hex }, sheen })
      need.uses.push(amountBy(amount, family, label))
      if (need.pieces.at(-1)?.id !== file.piece.id) need.pieces.push({ id: file.piece.id, name: file.piece.name })
      const start = startsAt.get(stepId)
      if (start !== undefined) need.byMs = Math.min(need.byMs ?? Infinity, start)
    }
  return [...needs.values()].sort(
    (one, other) => (one.byMs ?? Infinity) - (other.byMs ?? Infinity) || one.family.localeCompare(other.family),
  )
}
