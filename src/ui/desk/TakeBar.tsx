'use client'
/** What there is to do at the desk, always in reach: take the way that stands on it. */
import { useRouter } from 'next/navigation'
import { useActions } from '@/ui/form/actions'
import { Trouble } from '@/ui/form/Field'
import { useMoment } from '@/ui/form/useMoment'
import { useWrite } from '@/ui/form/useWrite'
import type { PlanPart } from '@/ui/plan/planPart'
import type { Desk } from '@/ui/plan/useDesk'
import { spanWords } from '@/words/time'

export function TakeBar({ part, desk }: { part: PlanPart; desk: Desk }) {
  const { planPart } = useActions()
  const write = useWrite(planPart)
  const router = useRouter()
  const moment = useMoment(desk.typed.planId)
  const { kept, unreadable, figures } = desk
  const save = async () => {
    const stepIds = desk.typed.stepIds.slice(0, kept.length)
    if (!(await write.send({ ...desk.typed, stepIds, at: moment() }))) return
    desk.taken()
    router.push(`/pieces/${part.pieceId}`)
  }
  return (
    <div className="sticky bottom-16 z-20 mt-6 border-t-2 border-ink bg-ground py-3 sm:bottom-0">
      <Trouble>{write.issue}</Trouble>
      <div className="flex items-center justify-between gap-4 sm:justify-end sm:gap-8">
        {kept.length > 0 && (
          <p className="leading-tight">
            <span className="figure text-3xl">{spanWords(figures.minutes)}</span>{' '}
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
