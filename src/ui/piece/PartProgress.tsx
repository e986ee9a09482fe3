/** One part on its way: the section large, the next step with its buttons, what is still ahead, what is behind folded away. */
import { type CardContext, loggedCoats } from '@/core/bench/stepCard'
import { getExistingFinish, getSubstrate } from '@/core/craft/parts'
import { formatArea } from '@/core/measure/length'
import { areaOfPart } from '@/core/piece/area'
import { judgedOf } from '@/core/piece/judged'
import { sectionOf } from '@/core/piece/section'
import { EndConflict } from '@/ui/bench/EndConflict'
import { Judgement } from '@/ui/bench/Judgement'
import type { SnagOn } from '@/ui/bench/SnagForm'
import { SectionHere } from '@/ui/drawing/SectionHere'
import { Mine } from '@/ui/form/may'
import { Link } from '@/ui/frame/Link'
import { cautionWords, stepTitle, withWhat } from '@/words/craft'
import { planWords } from '@/words/job'
import { amountWords } from '@/words/measure'
import { momentWords } from '@/words/time'
import { currentCard, CurrentStep } from './CurrentStep'
import { MendForm } from './MendForm'
import { PartLinks } from './PartLinks'
import { type PartProps, StepsAhead, StepsBehind } from './PartSteps'
import { SnagList } from './SnagList'

export function PartProgress(props: PartProps & { snagOn: SnagOn | null }) {
  const { journey, part, stock, house, nowMs, snagOn } = props
  const { part: facts } = part
  const around: CardContext = { ...stock, journeys: [journey], coats: loggedCoats([journey]), nowMs }
  const card = journey.ending ? null : currentCard(props, around)
  const current = card?.step
  return (
    <section
      aria-labelledby={`part-${facts.id}`}
      className="grid gap-x-8 gap-y-4 border-t-2 border-ink pt-5 sm:grid-cols-[13rem_1fr]"
    >
      <div className="flex items-start gap-4 sm:block">
        <SectionHere model={card?.section ?? sectionOf(part)} className="w-28 shrink-0 sm:w-full" />
        <p className="text-soft sm:mt-3">
          {facts.count > 1 ? `${facts.count} × ` : ''}
          {getSubstrate(facts.substrate).words}, {getExistingFinish(facts.existing).words}
          <br />
          {formatArea(areaOfPart(facts), house)}
        </p>
      </div>
      <div className="min-w-0 pb-6">
        <PartHead journey={journey} part={part} />
        <Finished part={part} house={house} nowMs={nowMs} />
        {!journey.ending && <Judgement judged={judgedOf(part)} className="mt-3" />}
        {card && current && (
          <div className="mt-4">
            <h3 className="text-2xl font-semibold leading-tight">{stepTitle(current)}</h3>
            <p className="mb-3 text-soft">
              {[
                withWhat(current),
                `about ${current.minutes} min`,
                current.family && current.amount !== null && amountWords(current.family, current.amount, house),
              ]
                .filter(Boolean)
                .join(' · ')}
            </p>
            {current.cautions.map((code) => (
              <p key={code} className="mb-2 border-l-4 border-late pl-3 font-semibold">
                {cautionWords[code]}
              </p>
            ))}
            <CurrentStep card={card} />
          </div>
        )}
        {snagOn && <MendForm on={snagOn} />}
        <SnagList journey={journey} part={part} house={house} nowMs={nowMs} />
        <StepsAhead part={part} house={house} />
        {part.done.map(
          ({ step, state }) =>
            state.ended && state.conflict && <EndConflict key={step.id} counts={state.ended} beside={state.conflict} />,
        )}
        <StepsBehind {...props} around={around} />
      </div>
    </section>
  )
}

/** Its name, its finish, and the ways to find out, plan and put right. */
function PartHead({ journey, part: { part } }: Pick<PartProps, 'journey' | 'part'>) {
  const { piece } = journey.file
  return (
    <>
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 id={`part-${part.id}`} className="title text-3xl">
          {part.name}
        </h2>
        {!journey.ending && <PartLinks pieceId={piece.id} partId={part.id} name={part.name} planned={part.plan !== null} />}
      </div>
      {part.plan && <p className="text-soft">{planWords(part.plan)}</p>}
      {!part.plan && !journey.ending && (
        <Mine what="plan">
          <Link href={`/pieces/${piece.id}/plan/${part.id}`} className="press press-now mt-3">
            Choose a finish
          </Link>
        </Mine>
      )}
    </>
  )
}

/** When a finished part may be handled and used. */
function Finished({ part, house, nowMs }: Pick<PartProps, 'part' | 'house' | 'nowMs'>) {
  const { finishedAt, handle, use } = part
  if (!finishedAt || !handle || !use) return null
  return (
    <dl className="mt-3 grid grid-cols-2 gap-x-6">
      <div>
        <dt className="eyebrow">Handle it gently</dt>
        <dd className="text-xl font-semibold">
          {handle.times.opens ? momentWords(handle.times.opens, house, nowMs) : 'too cold to dry'}
        </dd>
      </div>
      <div>
        <dt className="eyebrow">Wash it, load it</dt>
        <dd className="text-xl font-semibold">
          {use.times.opens ? momentWords(use.times.opens, house, nowMs) : 'too cold to cure'}
        </dd>
      </div>
    </dl>
  )
}
