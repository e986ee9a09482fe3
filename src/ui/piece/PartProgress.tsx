/** One part on its way: the section large, what is done folded away, the next step with its buttons, what is still ahead. */
import { isAhead } from '@/core/log/stepStates'
import Link from 'next/link'
import type { Journey, PartJourney } from '@/core/piece/journey'
import { areaOfPart } from '@/core/piece/area'
import { sectionOf } from '@/core/piece/section'
import { getExistingFinish, getSubstrate } from '@/core/craft/parts'
import { getLook } from '@/core/craft/looks'
import { formatArea, type UnitSystem } from '@/core/measure/length'
import { Section } from '@/ui/drawing/Section'
import { StepActions } from '@/ui/bench/StepActions'
import { faceOf, loggedCoats, photosOf, toStepCard, type CardContext } from '@/core/bench/stepCard'
import { checkOf, likelyRemedies } from '@/core/craft/checks'
import { EndConflict } from './EndConflict'
import { SnagList } from './SnagList'
import { cautionWords, reasonWords, stepTitle, withWhat } from '@/words/craft'
import { amountWords } from '@/words/measure'
import { momentWords, spanWords } from '@/words/time'
import type { PlanStep } from '@/core/piece/piece'
import { MendForm } from './MendForm'
import { PartWindow } from './PartWindow'
import { LogCoatButton } from './LogCoatButton'

interface Props {
  journey: Journey
  part: PartJourney
  /** the shelf and the mixes */
  stock: Pick<CardContext, 'products' | 'lots' | 'batches'>
  zone: string
  units: UnitSystem
  money: (minor: number) => string
  nowMs: number
}

export function PartProgress({ journey, part, stock, zone, units, money, nowMs }: Props) {
  const { piece } = journey.file
  const { steps, next, running, part: facts } = part
  const earlier = facts.earlier.length
  const done = steps.filter(({ state }) => !isAhead(state))
  const current = running?.step ?? next
  const ahead = steps.filter(({ step, state }) => state.status === 'waiting' && step.id !== current?.id)
  const lastDone = part.done.at(-1)
  const around: CardContext = { ...stock, journeys: [journey], coats: loggedCoats([journey]), nowMs }
  const card = current && toStepCard(journey, part, current, around)
  const planHref = `/pieces/${piece.id}/plan/${facts.id}`
  const snagOn = {
    pieceId: piece.id,
    pieceName: piece.name,
    partId: facts.id,
    partName: facts.name,
    face: faceOf(part),
    likely: lastDone ? likelyRemedies(checkOf(lastDone.step), lastDone.step.operation) : [],
    photos: photosOf(journey.file, facts.id),
    failed: null,
  }
  const amountOf = ({ family, amount }: PlanStep) =>
    family === null || amount === null ? '' : amountWords(family, amount, units)
  return (
    <section aria-labelledby={`part-${facts.id}`} className="grid gap-x-8 border-t-2 border-ink pt-5 sm:grid-cols-[13rem_1fr]">
      <div className="flex items-start gap-4 sm:block">
        <Section model={sectionOf(part)} className="w-28 shrink-0 sm:w-full" />
        <p className="text-soft sm:mt-3">
          {facts.count > 1 ? `${facts.count} × ` : ''}
          {getSubstrate(facts.substrate).words}, {getExistingFinish(facts.existing).words}
          <br />
          {formatArea(areaOfPart(facts), units)}
        </p>
      </div>
      <div className="min-w-0 pb-6">
        <div className="flex flex-wrap items-baseline justify-between gap-x-4">
          <h2 id={`part-${facts.id}`} className="title text-3xl">
            {facts.name}
          </h2>
          {!journey.ending && (
            <Link href={planHref} className="inline-flex min-h-12 items-center font-semibold">
              {facts.plan ? 'Change the finish' : 'Choose a finish'}
            </Link>
          )}
        </div>
        {facts.plan && <p className="text-soft">{getLook(facts.plan.look).words}</p>}
        {!facts.plan && !journey.ending && (
          <Link href={planHref} className="press press-now mt-3">
            Choose a finish
          </Link>
        )}
        {part.finishedAt && part.handle && part.use && (
          <dl className="mt-3 grid grid-cols-2 gap-x-6">
            <div>
              <dt className="eyebrow">Handle it gently</dt>
              <dd className="text-xl font-semibold">
                {part.handle.times.opens ? momentWords(part.handle.times.opens, zone, nowMs) : 'too cold to dry'}
              </dd>
            </div>
            <div>
              <dt className="eyebrow">Wash it, load it</dt>
              <dd className="text-xl font-semibold">
                {part.use.times.opens ? momentWords(part.use.times.opens, zone, nowMs) : 'too cold to cure'}
              </dd>
            </div>
          </dl>
        )}
        {current && card && !journey.ending && (
          <div className="mt-4">
            <h3 className="text-2xl font-semibold leading-tight">{stepTitle(current)}</h3>
            <p className="mb-3 text-soft">
              {[withWhat(current), `about ${current.minutes} min`, amountOf(current)].filter(Boolean).join(' · ')}
            </p>
            {current.cautions.map((code) => (
              <p key={code} className="mb-2 border-l-4 border-late pl-3 font-semibold">
                {cautionWords[code]}
              </p>
            ))}
            <PartWindow card={card} />
            <StepActions key={current.id} card={card} />
          </div>
        )}
        {facts.plan && part.done.length > 0 && !journey.ending && <MendForm on={snagOn} />}
        <SnagList journey={journey} partId={facts.id} zone={zone} nowMs={nowMs} money={money} />
        {ahead.length > 0 && (
          <ol className="mt-5 border-t border-line">
            {ahead.map(({ step }) => (
              <li key={step.id} className="border-b border-line py-1">
                <details>
                  <summary className="flex min-h-12 cursor-pointer flex-wrap items-center justify-between gap-x-4">
                    <span className="font-semibold">{stepTitle(step)}</span>
                    <span className="text-soft">{[amountOf(step), `${step.minutes} min`].filter(Boolean).join(' · ')}</span>
                  </summary>
                  <p className="max-w-prose pb-3 text-soft">
                    {withWhat(step)}
                    {withWhat(step) && '. '}
                    {reasonWords[step.reason]}
                  </p>
                </details>
              </li>
            ))}
          </ol>
        )}
        {part.done.map(
          ({ step, state }) =>
            state.ended && state.conflict && <EndConflict key={step.id} counts={state.ended} beside={state.conflict} />,
        )}
        {done.length + earlier > 0 && (
          <details className="mt-4">
            <summary className="inline-flex min-h-12 cursor-pointer items-center font-semibold underline">
              {done.length === 1 ? 'One step behind it' : `${done.length} steps behind it`}
            </summary>
            <ol>
              {done.map(({ step, state }) => (
                <li key={step.id} className="flex min-h-12 flex-wrap items-center justify-between gap-x-4 border-b border-line">
                  <span>{stepTitle(step)}</span>
                  <span className="flex items-center gap-3 text-soft">
                    {state.status === 'left-out'
                      ? 'left out'
                      : `${spanWords(state.minutes)}, ${state.endedAt ? momentWords(state.endedAt, zone, nowMs) : ''}`}
                    {state.status === 'done' && step.amount !== null && state.coat === null && (
                      <LogCoatButton card={toStepCard(journey, part, step, around)} endedAt={state.endedAt ?? ''} />
                    )}
                  </span>
                </li>
              ))}
            </ol>
          </details>
        )}
      </div>
    </section>
  )
}
