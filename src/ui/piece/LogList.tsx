/** The log as an account, newest first. A corrected line shows what it was; every line can be put right. */
import Link from 'next/link'
import type { ReactNode } from 'react'
import { historyOf, costKinds, severities, sheens, type Entry } from '../../core/log/entry'
import { getRepair } from '../../core/finish/repairs'
import { checkAsks, resultWords, spotWords } from '../words/checks'
import type { Journey } from '../../core/piece/journey'
import type { SalesChannel } from '../../core/house/studio'
import { getFamily } from '../../core/finish/families'
import { stepTitle } from '../words/craft'
import { entryWords } from '../words/piece'
import { loggedWords, spanWords } from '../words/time'

interface Props {
  journey: Journey
  channels: readonly SalesChannel[]
  zone: string
  nowMs: number
  money: (minor: number) => string
}

/** One entry in a sentence. */
export function entrySentence(entry: Entry, { channels, money }: Pick<Props, 'channels' | 'money'>): string {
  const { coat, batch } = entry
  const channel = channels.find(({ id }) => id === entry.channelId)?.name
  const facts = [
    coat ? `${coat.amount} ${coat.unit} ${getFamily(coat.family).words}` : null,
    coat?.mix,
    coat?.applicator,
    batch && `${batch.volume} ${batch.unit} of ${batch.mix}`,
    coat?.batchId && 'from a mix',
    coat && coat.film !== 'normal' ? `${coat.film} film` : null,
    coat?.sheen && sheens[coat.sheen],
    coat?.place,
    entry.checkCode ? checkAsks[entry.checkCode] : null,
    entry.result && resultWords[entry.result],
    entry.outside && (entry.outside === 'early' ? 'before its window opened' : 'after its window had closed'),
    entry.assist && (entry.assist === 'fan' ? 'fan' : 'heat gun'),
    entry.repair ? `${getRepair(entry.repair).words}. ${getRepair(entry.repair).cause}` : null,
    entry.severity && severities[entry.severity],
    entry.spot !== null ? spotWords[entry.spot] : null,
    entry.temperature !== null && entry.humidity !== null ? `${entry.temperature} °C, ${entry.humidity} %` : null,
    entry.costKind ? costKinds[entry.costKind] : null,
    entry.minutes !== null ? `took ${entry.minutes} min` : null,
    channel,
    entry.money !== null ? money(entry.money) : null,
    entry.fees ? `fees ${money(entry.fees)}` : null,
    entry.detail
      ? Object.entries(entry.detail)
          .map(([name, [before, after]]) => `${name}: ${before ?? '—'} → ${after ?? '—'}`)
          .join('; ')
      : null,
    entry.note,
  ]
  return facts.filter(Boolean).join(' · ')
}

/** One line of the log: when, what, on what; a corrected one shows what it was. */
export function LogLine({
  entry,
  journey,
  channels,
  money,
  when,
  beside,
}: Omit<Props, 'nowMs' | 'zone'> & { entry: Entry; when: (at: string) => string; beside?: ReactNode }) {
  const on = entry.stepId ? findStep(journey, entry.stepId) : undefined
  const before = historyOf(entry, journey.file.log)
  const worked = entry.kind === 'ended' && entry.minutes === null ? workedOn(journey, entry.stepId) : null
  const sentence = [worked !== null && `took ${spanWords(worked)}`, entrySentence(entry, { channels, money })]
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
        {before.map((old) => (
          <span key={old.id} className="block text-soft">
            <span className="sr-only">Before that: </span>
            <s>{[when(old.at), entrySentence(old, { channels, money })].filter(Boolean).join(' · ')}</s>
          </span>
        ))}
      </p>
      {entry.kind !== 'amended' && (
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
const workedOn = (journey: Journey, stepId: string | null): number | null =>
  journey.parts.flatMap(({ gone }) => gone).find(({ step }) => step.id === stepId)?.state.minutes ?? null

function findStep(journey: Journey, stepId: string) {
  for (const part of journey.file.parts) {
    const step = part.plan?.steps.find(({ id }) => id === stepId) ?? part.earlier.find(({ id }) => id === stepId)
    if (step) return { step, part }
  }
  return undefined
}

export function LogList({ journey, channels, zone, nowMs, money }: Props) {
  const lines = [...journey.log].reverse()
  if (lines.length === 0) return <p className="text-soft">Nothing yet. What is done at the bench is written here by itself.</p>
  return (
    <ol className="border-t border-line">
      {lines.map((entry) => (
        <LogLine key={entry.id} {...{ entry, journey, channels, money }} when={(at) => loggedWords(at, zone, nowMs)} />
      ))}
    </ol>
  )
}
