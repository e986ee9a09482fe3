/** A piece in the list: its sections, where it is on its way, the next thing and when, the money in it. */
import type { House } from '@/core/input/fields'
import { outcomes } from '@/core/log/entry'
import { dayOf } from '@/core/measure/time'
import type { Journey } from '@/core/piece/journey'
import { heldBy, lanesOf } from '@/core/piece/lanes'
import { sectionOf } from '@/core/piece/section'
import { Section } from '@/ui/drawing/Section'
import { Link } from '@/ui/frame/Link'
import { Picture } from '@/ui/photo/Picture'
import { stepTitle } from '@/words/craft'
import { stageWords } from '@/words/piece'
import { capital } from '@/words/text'
import { momentWords, promiseWords } from '@/words/time'
import { windowWords } from '@/words/window'
import { StageLine } from './StageLine'

/** The next thing in words: what waits, what dries, what is to decide. */
export function nextWords(journey: Journey, house: House, nowMs: number): string {
  const { parts, stage, ending } = journey
  if (ending) return `${capital(outcomes[ending.outcome])} ${momentWords(ending.entry.at, house, nowMs)}`
  const lanes = lanesOf(journey).filter((lane) => heldBy(journey, lane) === null)
  const running = lanes.find((part) => part.running)
  if (running?.running) return `${stepTitle(running.running.step)}: running`
  if (parts.some(({ part }) => part.plan === null)) return 'Choose a finish'
  const ready = lanes.find(({ next, window }) => next && (!window || window.phase !== 'shut'))
  if (ready?.next)
    return `${stepTitle(ready.next)}${ready.window ? `, ${windowWords({ ...ready.window.times, segments: ready.window.segments }, house, nowMs)}` : ''}`
  const drying = lanes
    .filter(({ next }) => next)
    .sort((a, b) => (a.window?.times.opens ?? '').localeCompare(b.window?.times.opens ?? ''))[0]
  if (drying?.next && drying.window)
    return `${stepTitle(drying.next)}, ${windowWords({ ...drying.window.times, segments: drying.window.segments }, house, nowMs)}`
  const use = parts
    .map((part) => part.use?.times.opens ?? '')
    .sort()
    .at(-1)
  if (stage === 'resting' && use) return `Rests; may be used from ${momentWords(use, house, nowMs)}`
  return stage === 'listed' ? 'On sale' : 'Ready to list'
}

export function PieceRow({
  journey,
  house,
  nowMs,
  money,
}: {
  journey: Journey
  house: House
  nowMs: number
  money: string | null
}) {
  const { piece, photos } = journey.file
  const picture = photos.findLast(({ moment }) => moment === 'after') ?? photos[0]
  return (
    <li className="border-b border-line">
      <Link
        href={`/pieces/${piece.id}`}
        className="grid grid-cols-[5.5rem_1fr] items-center gap-x-5 gap-y-1 py-4 no-underline sm:grid-cols-[8rem_minmax(0,1.3fr)_minmax(0,1.2fr)_6.5rem] lg:grid-cols-[8rem_minmax(0,1.3fr)_minmax(0,1.2fr)_11.5rem_6.5rem]"
      >
        {picture ? (
          <Picture
            photoId={picture.id}
            size="small"
            alt={picture.alt}
            width={picture.width}
            height={picture.height}
            loading="lazy"
            className="row-span-3 aspect-[4/3] w-full rounded-sm object-cover sm:row-span-1"
          />
        ) : (
          <span aria-hidden className="row-span-3 aspect-[4/3] rounded-sm bg-well sm:row-span-1" />
        )}
        <span>
          <span className="title block text-2xl">{piece.name}</span>
          <span className="flex items-center gap-3 text-soft">
            <StageLine stage={journey.stage} /> {stageWords[journey.stage]}
          </span>
        </span>
        <span className="text-lg font-semibold leading-snug">
          {nextWords(journey, house, nowMs)}
          {piece.promisedOn && !journey.ending && (
            <span className="block text-base font-normal text-late">
              promised for {promiseWords(piece.promisedOn, dayOf(new Date(nowMs).toISOString(), house.zone), house)}
            </span>
          )}
        </span>
        <span className="hidden justify-end gap-1 lg:flex">
          {journey.parts.slice(0, 3).map((part) => (
            <Section key={part.part.id} model={sectionOf(part)} className="size-14" />
          ))}
        </span>
        {money !== null && (
          <span className="sm:text-right">
            <span className="figure text-2xl">{money}</span> <span className="eyebrow sm:block">in it so far</span>
          </span>
        )}
      </Link>
    </li>
  )
}
