/** The log as an account, newest first. A corrected line shows what it was; every line can be put right. */
import type { ReactNode } from 'react'
import type { Person, SalesChannel } from '@/core/house/studio'
import type { House } from '@/core/input/fields'
import { historyOf } from '@/core/log/effectiveLog'
import type { Entry } from '@/core/log/entry'
import type { Instant, StepId } from '@/core/measure/named'
import type { Journey } from '@/core/piece/journey'
import { lanesOf } from '@/core/piece/lanes'
import { Link } from '@/ui/frame/Link'
import { stepTitle } from '@/words/craft'
import { entrySentence, whoWords } from '@/words/log'
import { entryWords } from '@/words/piece'
import { loggedWords, spanWords } from '@/words/time'

interface Props {
  journey: Journey
  channels: readonly SalesChannel[]
  /** who works here; alone, nobody asks who it was */
  people: readonly Person[]
  house: House
  nowMs: number
}

/** One line of the log: when, what, on what; a corrected one shows what it was. */
export function LogLine({
  entry,
  journey,
  channels,
  people,
  house,
  when,
  beside,
}: Omit<Props, 'nowMs'> & { entry: Entry; when: (at: Instant) => string; beside?: ReactNode }) {
  const on = entry.stepId ? findStep(journey, entry.stepId) : undefined
  const before = historyOf(entry, journey.file.log)
  const worked = entry.kind === 'ended' && entry.minutes === null ? workedOn(journey, entry.stepId) : null
  const sentence = [worked !== null && `took ${spanWords(worked)}`, entrySentence(entry, { channels, house })]
    .filter(Boolean)
    .join(' · ')
  return (
    <li
      className={`grid items-baseline gap-x-4 border-b border-line py-1.5 ${
        beside === undefined
          ? 'grid-cols-[6.5rem_1fr_auto] sm:grid-cols-[8.5rem_1fr_auto]'
          : 'grid-cols-[3.2rem_4rem_1fr] sm:grid-cols-[5rem_5rem_1fr_auto]'
      }`}
    >
      <time dateTime={entry.at} className="text-soft">
        {when(entry.at)}
      </time>
      {beside !== undefined && <div className="row-span-2 self-start">{beside}</div>}
      <p className="min-w-0">
        <strong>{entryWords[entry.kind]}</strong> {on && `${stepTitle(on.step)}, ${on.part.name.toLowerCase()}`}
        {sentence && <span className="block">{sentence}</span>}
        {people.length > 1 && <span className="block text-soft empty:hidden">{whoWords(entry, people)}</span>}
        {before.map((old) => (
          <span key={old.id} className="block text-soft">
            <span className="sr-only">Before that: </span>
            <s>{[when(old.at), entrySentence(old, { channels, house })].filter(Boolean).join(' · ')}</s>
          </span>
        ))}
      </p>
      {entry.kind !== 'amended' && entry.kind !== 'split' && entry.kind !== 'put-by' && (
        <Link
          href={`/pieces/${entry.pieceId}/log/${entry.id}`}
          className={`unprinted inline-flex min-h-12 items-center ${beside === undefined ? '' : 'col-start-3 sm:col-start-auto'}`}
          aria-label={`Put right: ${entryWords[entry.kind]}, ${when(entry.at)}`}
        >
          Put right
        </Link>
      )}
    </li>
  )
}

/** Minutes that went into a step, as they were reckoned. */
const workedOn = (journey: Journey, stepId: StepId | null): number | null =>
  lanesOf(journey)
    .flatMap(({ done }) => done)
    .find(({ step }) => step.id === stepId)?.state.minutes ?? null

function findStep(journey: Journey, stepId: StepId) {
  const { parts, takenOut, whole } = journey.file
  for (const part of [...parts, ...takenOut, ...(whole ? [whole] : [])]) {
    const step = part.plan?.steps.find(({ id }) => id === stepId) ?? part.earlier.find(({ id }) => id === stepId)
    if (step) return { step, part }
  }
  return undefined
}

/** The last lines, the newest first; at most `most`. */
export function LogList({ journey, channels, people, house, nowMs, most }: Props & { most: number }) {
  const lines = journey.log.slice(-most).reverse()
  if (lines.length === 0) return <p className="text-soft">Nothing yet. What is done at the bench is written here by itself.</p>
  return (
    <ol className="border-t border-line">
      {lines.map((entry) => (
        <LogLine key={entry.id} {...{ entry, journey, channels, people, house }} when={(at) => loggedWords(at, house, nowMs)} />
      ))}
    </ol>
  )
}
