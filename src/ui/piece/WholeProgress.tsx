/** The work around the paint on its way: the step at hand with its buttons, what is ahead on both sides of the paint, what is behind. */
import { type CardContext, loggedCoats } from '@/core/bench/stepCard'
import type { Journey } from '@/core/piece/journey'
import { heldBy } from '@/core/piece/lanes'
import { Mine } from '@/ui/form/may'
import { Link } from '@/ui/frame/Link'
import { cautionWords, stepTitle } from '@/words/craft'
import { heldWords } from '@/words/job'
import { currentCard, CurrentStep } from './CurrentStep'
import { type PartProps, StepsAhead, StepsBehind } from './PartSteps'

type Props = Omit<PartProps, 'part'>

export function WholeProgress(props: Props) {
  const { journey, stock, house, nowMs } = props
  const { whole, ending, file } = journey
  const to = `/pieces/${file.piece.id}/around`
  if (!whole)
    return ending ? null : (
      <Mine what="plan">
        <Unplanned to={to} />
      </Mine>
    )
  const around: CardContext = { ...stock, journeys: [journey], coats: loggedCoats([journey]), nowMs }
  const card = ending ? null : currentCard({ journey, part: whole }, around)
  const current = card?.step
  const held = heldBy(journey, whole)
  return (
    <section aria-labelledby="around" className="border-t-2 border-ink pb-6 pt-5">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 id="around" className="title text-3xl">
          Around the paint
        </h2>
        {!ending && (
          <Mine what="plan">
            <Link href={to} className="tap">
              Change the work
            </Link>
          </Mine>
        )}
      </div>
      {card && current && (
        <div className="mt-2">
          <h3 className="text-2xl font-semibold leading-tight">{stepTitle(current)}</h3>
          <p className="mb-3 text-soft">
            about {current.minutes} min{held && `. ${heldWords[held]}`}
          </p>
          {current.cautions.map((code) => (
            <p key={code} className="mb-2 border-l-4 border-late pl-3 font-semibold">
              {cautionWords[code]}
            </p>
          ))}
          {held ? (
            <details>
              <summary className="tap underline">Begin it all the same</summary>
              <CurrentStep card={card} />
            </details>
          ) : (
            <CurrentStep card={card} />
          )}
        </div>
      )}
      <StepsAhead part={whole} house={house} />
      <StepsBehind {...{ journey, part: whole, stock, house, nowMs, around }} />
    </section>
  )
}

/** Whether the work before the paint is not done yet: it stands above the parts then. */
export const isFirst = ({ whole }: Journey): boolean => whole?.next?.side === 'before'

function Unplanned({ to }: { to: string }) {
  return (
    <section aria-labelledby="around" className="border-t-2 border-ink pb-6 pt-5">
      <h2 id="around" className="title text-3xl">
        Around the paint
      </h2>
      <p className="mt-1 max-w-prose text-soft">
        Photographs, taking apart, glue, filler, masking; handles, runners, putting together, a last look. Not planned yet, so its
        hours are in no price.
      </p>
      <Link href={to} className="press mt-3">
        Count what is on it
      </Link>
    </section>
  )
}
