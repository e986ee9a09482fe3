/** What a piece's log says of work: its steps' clocks, and whose minutes they were where other pieces' clocks ran beside them. Pure. */
import type { FamilyCode } from '@/core/craft/families'
import { effectiveLog } from '@/core/log/effectiveLog'
import type { Entry } from '@/core/log/entry'
import { clocksAt, type Labour, labourOf, openClocks, type StepClock, type WorkEntry, workIn } from '@/core/log/labour'
import { shareSetUp, type WorkedStep } from '@/core/log/sharedSetUp'
import { compareText } from '@/core/measure/compareText'
import type { StepId } from '@/core/measure/named'
import { onceFor } from '@/core/measure/once'
import type { PieceFile, PlanStep } from './piece'

/** What is worked at a step. */
interface WorkKind {
  operation: PlanStep['operation']
  family: FamilyCode | null
  hex: string | null
}
/** An entry of another piece's clock, with what was worked. */
export type OtherWork = WorkEntry & WorkKind

/** Every step that the log may speak of, of parts that were taken out too, by its id. */
export const stepsOf = ({ parts, takenOut, whole }: Pick<PieceFile, 'parts' | 'takenOut' | 'whole'>): Map<StepId, PlanStep> =>
  new Map(
    [...parts, ...takenOut, ...(whole ? [whole] : [])]
      .flatMap(({ plan, earlier }) => [...(plan?.steps ?? []), ...earlier])
      .map((step) => [step.id, step]),
  )

/** A piece's effective log, its steps' clocks as it leaves them, and what was worked at each that is known. */
export interface FileWork {
  file: PieceFile
  log: Entry[]
  clocks: ReadonlyMap<StepId, StepClock>
  kinds: ReadonlyMap<StepId, WorkKind>
}
export const workOf: (file: PieceFile) => FileWork = onceFor((file) => {
  const log = effectiveLog(file.log)
  const clocks = openClocks(workIn(log))
  const steps = stepsOf(file)
  const kinds = new Map<StepId, WorkKind>()
  for (const stepId of clocks.keys()) {
    const step = steps.get(stepId)
    if (step) kinds.set(stepId, { operation: step.operation, family: step.family, hex: step.colour?.hex ?? null })
  }
  return { file, log, clocks, kinds }
})

/** Minutes by step and person: each person's minute once, set-up and cleaning shared among what was worked in one go. */
export function everybodysLabour(files: readonly FileWork[], others: readonly OtherWork[], nowMs: number): Labour {
  const kinds = new Map(
    others.map(({ stepId, operation, family, hex }): [StepId, WorkKind] => [stepId, { operation, family, hex }]),
  )
  const open = openClocks([...others].sort((a, b) => compareText(a.at, b.at)))
  for (const file of files)
    for (const [stepId, kind] of file.kinds) {
      kinds.set(stepId, kind)
      const clock = file.clocks.get(stepId)
      if (clock) open.set(stepId, clock)
    }
  const clocks = clocksAt(open, nowMs)
  const labour = labourOf(clocks)
  const worked = [...clocks].flatMap(([stepId, { startedAt, endedAt, typed }]): WorkedStep[] => {
    const kind = kinds.get(stepId)
    if (!kind || !startedAt || !endedAt || typed !== null) return []
    const minutes = [...(labour.get(stepId)?.values() ?? [])].reduce((sum, each) => sum + each, 0)
    return [{ stepId, ...kind, startedMs: Date.parse(startedAt), endedMs: Date.parse(endedAt), minutes }]
  })
  const shares = shareSetUp(worked)
  return new Map(
    [...labour].map(([stepId, byPerson]) => {
      const whole = [...byPerson.values()].reduce((sum, each) => sum + each, 0)
      const factor = whole > 0 ? Math.max(0, whole + (shares.get(stepId) ?? 0)) / whole : 1
      return [stepId, new Map([...byPerson].map(([person, minutes]) => [person, minutes * factor]))]
    }),
  )
}
