/** The log as an account, newest first. A corrected line shows what it was; every line can be put right. */
import type { ReactNode } from 'react'
import type { Person, SalesChannel } from '@/core/house/studio'
import type { House } from '@/core/input/fields'
import { historyOf } from '@/core/log/effectiveLog'
import type { Entry } from '@/core/log/entry'
import type { Instant, StepId } from '@/core/measure/named'
import type { Journey } from '@/core/piece/journey'
import { lanesOf } from '@/core/piece/lanes'
import { stepTitle } from '@/words/craft'
import { entrySentence, whoWords } from '@/words/log'
import { entryWords } from '@/words/piece'
import { loggedWords, spanWords } from '@/words/time'
import { type Line, LogRow, LogRows } from './LogRow'

interface Props {
  journey: Journey
  channels: readonly SalesChannel[]
  /** who works here; alone, nobody asks who it was */
  people: readonly Person[]
  house: House
  nowMs: number
}

interface Told extends Omit<Props, 'nowMs'> {
  entry: Entry
  when: (at: Instant) => string
}
/** One line of the log: when, what, on what; a corrected one shows what it was. */
export const LogLine = ({ beside, ...told }: Told & { beside?: ReactNode }) => <LogRow line={lineOf(told)} beside={beside} />

function lineOf({ entry, journey, channels, people, house, when }: Told): Line {
  const on = entry.stepId ? findStep(journey, entry.stepId) : undefined
  const before = historyOf(entry, journey.file.log)
  const worked = entry.kind === 'ended' && entry.minutes === null ? workedOn(journey, entry.stepId) : null
  return {
    href: putRight(entry),
    at: entry.at,
    when: when(entry.at),
    what: entryWords[entry.kind],
    on: on ? `${stepTitle(on.step)}, ${on.part.name.toLowerCase()}` : '',
    said: [worked !== null && `took ${spanWords(worked)}`, entrySentence(entry, { channels, house })].filter(Boolean).join(' · '),
    who: people.length > 1 ? whoWords(entry, people) : '',
    before: before.map((old) => [when(old.at), entrySentence(old, { channels, house })].filter(Boolean).join(' · ')),
  }
}
/** Where it is put right; null where that is done elsewhere. */
const putRight = ({ kind, pieceId, id }: Entry): string | null =>
  kind === 'amended' || kind === 'split' || kind === 'put-by' ? null : `/pieces/${pieceId}/log/${id}`

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
  const when = (at: Instant) => loggedWords(at, house, nowMs)
  return (
    <LogRows lines={lines.map((entry) => ({ id: entry.id, ...lineOf({ entry, journey, channels, people, house, when }) }))} />
  )
}
