'use client'
/** The way there: hours and days, the section when it is done, what can't be had, and the steps. */
import { v7 as uuidv7 } from 'uuid'
import { keysOf, spotAt } from '@/core/plan/stepEdits'
import { AddStep } from '@/ui/desk/AddStep'
import { useHouse } from '@/ui/form/house'
import { adviceWords, refusalWords, stepTitle } from '@/words/craft'
import { differenceWords, nearestWords, wholeWords } from '@/words/plan'
import { spanWords } from '@/words/time'
import { ConflictLine } from './ConflictLine'
import { StepList } from './StepList'
import type { Desk } from './useDesk'

export function WayThere({ desk }: { desk: Desk }) {
  const house = useHouse()
  const { state, act, refusal, unreadable, planned, plan, steps, at, overall, figures, difference, wholeWay, nearest } = desk
  const names = keysOf(planned)
  const spots = [
    { words: 'first', at: spotAt(names, 0) },
    ...steps.map(({ key, step }, k) => ({
      words: `after ${stepTitle(step).toLowerCase()}`,
      at: spotAt(
        steps.map((each) => each.key),
        k + 1,
      ),
      key,
    })),
  ]
  return (
    <section aria-labelledby="steps" aria-live="polite" className="border-t-2 border-ink pt-2 sm:pt-4">
      <h2 id="steps" className="title text-2xl sm:text-3xl">
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
      {unreadable && <p className="mt-3 border-l-4 border-late pl-4 text-lg font-semibold">There is no way yet. {unreadable}</p>}
      {refusal && (
        <div className="mt-3 border-l-4 border-late pl-4">
          <p className="text-lg font-semibold">{refusalWords[refusal.code]}</p>
          {nearest && (
            <button type="button" className="press mt-3" onClick={() => act({ kind: 'nearest', nearest })}>
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
            <p key={code} className="mt-2 border-l-4 border-now pl-3 sm:mt-3">
              {adviceWords[code]}
            </p>
          ))}
          {difference && (
            <p className="mt-2 border-l-4 border-now pl-3 sm:mt-3">
              What is done stays done. {differenceWords(difference, house)}
            </p>
          )}
          {overall.map((conflict) => (
            <ConflictLine key={conflict.code} conflict={conflict} />
          ))}
          <StepList
            steps={steps}
            planned={new Map(planned.map((step, k) => [names[k] ?? '', step]))}
            conflicts={at}
            edits={state.edits}
            act={act}
          />
          <AddStep areaM2={desk.facts.areaM2} spots={spots} newId={uuidv7} add={(step) => act({ kind: 'add-step', step })} />
          {desk.edited && (
            <button type="button" data-key="u" className="press mt-3" onClick={() => act({ kind: 'as-planned' })}>
              As it was planned
            </button>
          )}
        </>
      )}
    </section>
  )
}
