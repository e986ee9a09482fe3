/** The record of a piece, composed for paper: what it is, its layers bottom up, what was done, its care. */
import { getPieceView } from '@/app/_server/load'
import { mayHoldLead } from '@/core/craft/lead'
import { getExistingFinish, getSubstrate } from '@/core/craft/parts'
import type { StepState } from '@/core/log/stepStates'
import { formatArea } from '@/core/measure/length'
import type { Instant } from '@/core/measure/named'
import type { Measuring } from '@/core/measure/units'
import { areaOfPart } from '@/core/piece/area'
import { handoverOf } from '@/core/piece/handover'
import type { PartJourney } from '@/core/piece/journey'
import { lanesOf } from '@/core/piece/lanes'
import type { Photo, PlanStep } from '@/core/piece/piece'
import { sectionOf } from '@/core/piece/section'
import { Section } from '@/ui/drawing/Section'
import { Link } from '@/ui/frame/Link'
import { Picture } from '@/ui/photo/Picture'
import { PrintButton } from '@/ui/piece/PrintButton'
import { verdictWords } from '@/words/checks'
import { leadBelow, stepTitle, withWhat } from '@/words/craft'
import { planWords } from '@/words/job'
import { laidWords } from '@/words/stock'
import { dateWords, spanWords } from '@/words/time'
import { measuresWords } from '@/words/where'

export const metadata = { title: 'Record' }

export default async function RecordPage({ params }: { params: Promise<{ id: string }> }) {
  const { studio, journey, nowMs } = await getPieceView(params)
  const { piece, photos } = journey.file
  const shown = [photos.find(({ moment }) => moment === 'before'), photos.findLast(({ moment }) => moment === 'after')].filter(
    (photo) => photo !== undefined,
  )
  const date = (instant: Instant) => dateWords(instant, studio)
  const { usable } = handoverOf(journey)
  return (
    <article className="mx-auto max-w-[52rem] pt-6">
      <div className="unprinted mb-4 flex items-center justify-between">
        <Link href={`/pieces/${piece.id}`} className="text-lg">
          {piece.name}
        </Link>
        <span className="flex gap-3">
          <a href={`/api/pieces/${piece.id}/paper`} className="press">
            To hand over (PDF)
          </a>
          <PrintButton />
        </span>
      </div>
      <header className="border-b-2 border-ink pb-4">
        <p className="eyebrow">
          {studio.name} · record of {date(new Date(nowMs).toISOString())}
        </p>
        <h1 className="title text-5xl">{piece.name}</h1>
        <p className="mt-1 font-serif text-lg">
          {[
            piece.client && `For ${piece.client}`,
            `In the workshop since ${date(piece.takenInAt)}`,
            `${spanWords(journey.minutesDone)} of work so far`,
          ]
            .filter(Boolean)
            .join(' · ')}
        </p>
      </header>
      {shown.length > 0 && (
        <div className="mt-5 grid grid-cols-2 gap-4">
          {shown.map(({ id, alt, width, height, moment }) => (
            <figure key={id}>
              <Picture photoId={id} size="large" alt={alt} width={width} height={height} className="h-auto w-full rounded-sm" />
              <figcaption className="eyebrow">{moment}</figcaption>
            </figure>
          ))}
        </div>
      )}
      {lanesOf(journey).map((part) => (
        <PartRecord key={part.part.id} part={part} photos={photos} house={studio} date={date} />
      ))}
      <footer className="mt-8 break-inside-avoid border-t-2 border-ink pt-4 font-serif text-lg">
        <h2 className="title text-2xl">Care</h2>
        <p>
          {usable
            ? `It may be washed with mild soap, sat on and loaded from ${date(usable)}.`
            : 'It is not finished yet; the dates for its use follow with the last coat.'}{' '}
          Until then handle it gently and set nothing wet or hot on it. Wax dulls with the years and may be renewed. The labels of
          the products decide over anything written here.
        </p>
        <p className="mt-2">
          Tall furniture is fixed to the wall. On children’s furniture and food surfaces only what a product’s label certifies
          holds.
        </p>
      </footer>
    </article>
  )
}

interface RecordProps {
  part: PartJourney
  photos: readonly Photo[]
  house: Measuring
  date: (instant: Instant) => string
}

/** One part: its section, and everything that was done on it, by whatever plan, in the order it was done. */
function PartRecord({ part, photos, house, date }: RecordProps) {
  const { part: facts, done } = part
  const isJob = facts.plan?.care === 'job'
  // a coat may be written down on a step that nobody ended
  const loose = part.steps.filter(({ state }) => state.status !== 'done' && state.coats.length > 0)
  return (
    <section className="mt-8 grid break-inside-avoid gap-x-6 gap-y-3 sm:grid-cols-[11rem_1fr] print:grid-cols-[11rem_1fr]">
      <div>
        {!isJob && (
          <>
            <Section model={sectionOf(part)} className="w-36 sm:w-full" />
            <p className="eyebrow mt-2">
              {getSubstrate(facts.substrate).words}; found on it: {getExistingFinish(facts.existing).words};{' '}
              {formatArea(areaOfPart(facts), house)}
            </p>
          </>
        )}
      </div>
      <div className="min-w-0">
        <h2 className="title text-3xl">{facts.name}</h2>
        {facts.plan && <p className="font-serif text-lg">{planWords(facts.plan)}</p>}
        {mayHoldLead(facts) && <p className="mt-2 border-l-4 border-late pl-3 font-semibold">{leadBelow}</p>}
        <table className="mt-2 w-full">
          <thead>
            <tr className="border-b border-ink text-left text-sm">
              <th scope="col">Done</th>
              <th scope="col">With</th>
              <th scope="col" className="text-right">
                On
              </th>
            </tr>
          </thead>
          <tbody>
            {[...done, ...loose].map(({ step, state }) => (
              <tr key={step.id} className="border-b border-line align-top">
                <td className="py-1 pr-3">
                  {stepTitle(step)}
                  <Tried step={step} state={state} photos={photos} />
                </td>
                <td className="py-1 pr-3 text-soft">
                  {state.coats.length > 0
                    ? state.coats.map(({ id, coat }) => (
                        <span key={id} className="block">
                          {laidWords(coat, house)}
                        </span>
                      ))
                    : withWhat(step)}
                  {step.where?.pattern && <span className="block">{measuresWords(step.where.pattern, house)}</span>}
                </td>
                <td className="whitespace-nowrap py-1 text-right">{date(state.endedAt ?? state.coats[0]?.at ?? '')}</td>
              </tr>
            ))}
            {done.length + loose.length === 0 && (
              <tr>
                <td colSpan={3} className="py-2 text-soft">
                  Nothing done yet.
                </td>
              </tr>
            )}
          </tbody>
        </table>
      </div>
    </section>
  )
}

/** What a trial came to, and how it looked. */
function Tried({ step, state, photos }: { step: PlanStep; state: StepState; photos: readonly Photo[] }) {
  const taken = photos.filter(({ stepId }) => stepId === step.id)
  const isTrial = step.operation === 'trial'
  if (!isTrial) return null
  return (
    <>
      {state.check && <span className="block text-soft">{verdictWords[state.check.result]}</span>}
      {taken.map(({ id, alt, width, height }) => (
        <Picture
          key={id}
          photoId={id}
          size="small"
          alt={alt}
          width={width}
          height={height}
          className="mt-1 h-auto w-32 rounded-sm"
        />
      ))}
    </>
  )
}
