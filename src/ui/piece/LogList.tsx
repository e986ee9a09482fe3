/** The log as an account, newest first. A corrected line shows what it was; every line can be put right. */
import Link from 'next/link'
import { historyOf, costKinds, type Entry } from '../../core/log/entry'
import type { Journey } from '../../core/piece/journey'
import type { SalesChannel } from '../../core/house/studio'
import { getFamily } from '../../core/finish/families'
import { stepTitle } from '../words/craft'
import { entryWords } from '../words/piece'
import { loggedWords } from '../words/time'

interface Props {
  journey: Journey
  channels: readonly SalesChannel[]
  zone: string
  nowMs: number
  money: (minor: number) => string
}

/** One entry in a sentence. */
export function entrySentence(entry: Entry, { channels, money }: Pick<Props, 'channels' | 'money'>): string {
  const { coat } = entry
  const channel = channels.find(({ id }) => id === entry.channelId)?.name
  const facts = [
    coat ? `${coat.amount} ${coat.unit} ${getFamily(coat.family).words}` : null,
    coat?.mix,
    coat?.applicator,
    coat && coat.film !== 'normal' ? `${coat.film} film` : null,
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

export function LogList({ journey, channels, zone, nowMs, money }: Props) {
  const steps = new Map(
    journey.file.parts.flatMap((part) =>
      [...(part.plan?.steps ?? []), ...part.earlier].map((step) => [step.id, { step, part }] as const),
    ),
  )
  const lines = [...journey.log].reverse()
  if (lines.length === 0) return <p className="text-soft">Nothing yet. What is done at the bench is written here by itself.</p>
  return (
    <ol className="border-t border-line">
      {lines.map((entry) => {
        const on = entry.stepId ? steps.get(entry.stepId) : undefined
        const before = historyOf(entry, journey.file.log)
        const sentence = entrySentence(entry, { channels, money })
        return (
          <li
            key={entry.id}
            className="grid grid-cols-[6.5rem_1fr_auto] items-baseline gap-x-4 border-b border-line py-1.5 sm:grid-cols-[8.5rem_1fr_auto]"
          >
            <time dateTime={entry.at} className="text-soft">
              {loggedWords(entry.at, zone, nowMs)}
            </time>
            <p className="min-w-0">
              <strong>{entryWords[entry.kind]}</strong> {on && `${stepTitle(on.step)}, ${on.part.name.toLowerCase()}`}
              {sentence && <span className="block">{sentence}</span>}
              {before.map((old) => (
                <span key={old.id} className="block text-soft">
                  <span className="sr-only">Before that: </span>
                  <s>{[loggedWords(old.at, zone, nowMs), entrySentence(old, { channels, money })].filter(Boolean).join(' · ')}</s>
                </span>
              ))}
            </p>
            {entry.kind !== 'amended' && (
              <Link
                href={`/pieces/${entry.pieceId}/log/${entry.id}`}
                className="unprinted inline-flex min-h-12 items-center"
                aria-label={`Put right: ${entryWords[entry.kind]}, ${loggedWords(entry.at, zone, nowMs)}`}
              >
                Put right
              </Link>
            )}
          </li>
        )
      })}
    </ol>
  )
}
