'use client'
/** What there is to do at the desk, always in reach: take the way that stands on it. */
import { useRouter } from 'next/navigation'
import { useDeferredValue, useMemo, useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { replan } from '@/core/plan/replan'
import { editedSteps } from '@/core/plan/stepEdits'
import { useActions } from '@/ui/form/actions'
import { Trouble } from '@/ui/form/Field'
import { makeIds } from '@/ui/form/makeIds'
import { useMoment } from '@/ui/form/useMoment'
import { useWrite } from '@/ui/form/useWrite'
import type { PlanPart } from '@/ui/plan/planPart'
import type { Desk } from '@/ui/plan/useDesk'
import { spanWords } from '@/words/time'

const listed = (names: readonly string[]): string =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`

export function TakeBar({ part, desk }: { part: PlanPart; desk: Desk }) {
  const { planPart } = useActions()
  const write = useWrite(planPart)
  const router = useRouter()
  const moment = useMoment(desk.typed.planId)
  const { kept, unreadable, figures, wish, method, edits } = desk
  const [onAll, setOnAll] = useState(false)
  const [ids] = useState(() => new Map(part.unplanned.map(({ id }) => [id, [uuidv7(), makeIds()] as const])))
  // the wish as each of the others takes it; the one that can't have it is not asked
  const others = useDeferredValue(part.unplanned.length > 0 && kept.length > 0 ? wish : null)
  const takers = useMemo(
    () => (others ? part.unplanned.filter(({ facts }) => 'steps' in replan(facts, others, [], method)) : []),
    [others, part.unplanned, method],
  )
  const save = async () => {
    if (!(await write.send({ ...desk.typed, stepIds: desk.stepIds(kept.length), at: moment() }))) return
    for (const { id, facts } of onAll ? takers : []) {
      const outcome = replan(facts, wish, [], method)
      const [planId, own] = ids.get(id) ?? []
      if (!('steps' in outcome) || !planId || !own) continue
      const steps = editedSteps(outcome.steps, edits).filter(({ left }) => !left)
      const sent = { ...desk.typed, planId, partId: id, stepIds: own(steps.length), at: moment() }
      if (!(await write.send(sent))) return
    }
    desk.taken()
    router.push(`/pieces/${part.pieceId}`)
  }
  return (
    <div className="in-reach z-20 mt-3 py-3 sm:mt-6">
      <Trouble>{write.issue}</Trouble>
      <div className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1 sm:justify-end sm:gap-x-8">
        {takers.length > 0 && (
          <label className="flex min-h-12 w-full items-center gap-3 font-semibold sm:mr-auto sm:w-auto">
            <input
              type="checkbox"
              className="size-6 accent-now"
              checked={onAll}
              onChange={(event) => setOnAll(event.target.checked)}
            />
            The same on {listed(takers.map(({ name }) => name.toLowerCase()))}
          </label>
        )}
        {kept.length > 0 && (
          <p className="min-w-0 flex-1 leading-tight sm:flex-none">
            <span className="figure block text-3xl sm:mr-2 sm:inline">{spanWords(figures.minutes)}</span>
            <span className="text-soft">
              {kept.length} steps, {figures.days === 1 ? 'one day' : `${figures.days} days`}
            </span>
          </p>
        )}
        <button
          type="button"
          data-key="t"
          disabled={kept.length === 0 || unreadable !== null || write.pending}
          onClick={() => void save()}
          className="press press-now min-h-14 shrink-0 px-7 text-xl"
        >
          {write.pending ? 'Writing…' : 'Take this way'}
        </button>
      </div>
    </div>
  )
}
