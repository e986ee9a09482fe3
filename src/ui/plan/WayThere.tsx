'use client'
/** The way there: hours and days, the section when it is done, what can't be had, the steps, and the tap that takes it. */
import { useRouter } from 'next/navigation'
import { Section } from '@/ui/drawing/Section'
import { useActions } from '@/ui/form/actions'
import { Trouble } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { useMoment } from '@/ui/form/useMoment'
import { useWrite } from '@/ui/form/useWrite'
import { adviceWords, refusalWords } from '@/words/craft'
import { differenceWords, nearestWords, wholeWords } from '@/words/plan'
import { spanWords } from '@/words/time'
import { ConflictLine } from './ConflictLine'
import { clashesIn } from './plannedSection'
import type { PlanPart } from './planPart'
import { StepList } from './StepList'
import type { Desk } from './useDesk'

export function WayThere({ part, desk }: { part: PlanPart; desk: Desk }) {
  const { planPart } = useActions()
  const house = useHouse()
  const write = useWrite(planPart)
  const router = useRouter()
  const moment = useMoment(desk.typed.planId)
  const { refusal, unreadable, planned, plan, steps, kept, acts, at, told, overall, figures } = desk
  const { difference, wholeWay, nearest, shownSection, edited, setEdits, takeNearest, toggle, move } = desk
  const save = async () => {
    const order = kept.map(({ position }) => position)
    const stepIds = desk.typed.stepIds.slice(0, order.length)
    if (await write.send({ ...desk.typed, stepIds, order, at: moment() })) router.push(`/pieces/${part.pieceId}`)
  }
  return (
    <section aria-labelledby="steps" aria-live="polite" className="border-t-2 border-ink pt-4">
      <div className="flex items-start justify-between gap-6">
        <div>
          <h2 id="steps" className="title text-3xl">
            The way there
          </h2>
          {planned.length > 0 && (
            <p className="mt-2">
              <span className="figure mr-1.5 text-5xl">{spanWords(figures.minutes)}</span>{' '}
              <span className="text-soft">
                of work over {figures.days === 1 ? 'one working day' : `${figures.days} days`}
                {figures.hurried > 0 ? `, ${figures.hurried} short ${figures.hurried === 1 ? 'window' : 'windows'}` : ''}
              </span>
            </p>
          )}
          {wholeWay && <p className="mt-1 text-soft">{wholeWords(wholeWay)}</p>}
        </div>
        {shownSection && (
          <Section model={shownSection} clashes={clashesIn(acts, told, shownSection)} className="-mt-1 w-36 shrink-0" />
        )}
      </div>
      {unreadable && <p className="mt-3 border-l-4 border-late pl-4 text-lg font-semibold">There is no way yet. {unreadable}</p>}
      {refusal && (
        <div className="mt-3 border-l-4 border-late pl-4">
          <p className="text-lg font-semibold">{refusalWords[refusal.code]}</p>
          {nearest && (
            <button type="button" className="press mt-3" onClick={takeNearest}>
              Nearest: {nearestWords(nearest)}
            </button>
          )}
        </div>
      )}
      {planned.length > 0 && (
        <>
          {figures.awkward > 0 && (
            <p className="mt-3 border-l-4 border-late pl-3 font-semibold">
              A window here closes outside the working hours: somebody must stay, or a fan must help.
            </p>
          )}
          {plan?.advice.map((code) => (
            <p key={code} className="mt-3 border-l-4 border-now pl-3">
              {adviceWords[code]}
            </p>
          ))}
          {difference && (
            <p className="mt-3 border-l-4 border-now pl-3">What is done stays done. {differenceWords(difference, house)}</p>
          )}
          {overall.map((conflict) => (
            <ConflictLine key={conflict.code} conflict={conflict} />
          ))}
          <StepList steps={steps} conflicts={at} toggle={toggle} move={move} />
          {edited && (
            <button type="button" data-key="u" className="press mt-3" onClick={() => setEdits(null)}>
              As it was planned
            </button>
          )}
        </>
      )}
      <div className="mt-5 space-y-3">
        <Trouble>{write.issue}</Trouble>
        <button
          type="button"
          data-key="t"
          disabled={kept.length === 0 || write.pending}
          onClick={() => void save()}
          className="press press-now min-h-16 px-8 text-xl"
        >
          {write.pending ? 'Writing…' : 'Take this way'}
        </button>
      </div>
    </section>
  )
}
