/** What went wrong on a part: where, why, what mends it, and what it has cost so far. */
import { faceOf } from '@/core/bench/stepCard'
import { getRemedy } from '@/core/craft/remedies'
import type { House } from '@/core/input/fields'
import { severities } from '@/core/log/entry'
import { formatMoney } from '@/core/measure/money'
import type { Journey, PartJourney } from '@/core/piece/journey'
import { snagsOf } from '@/core/piece/snags'
import { PartDrawing } from '@/ui/drawing/PartDrawing'
import { MarkedPhoto } from '@/ui/photo/MarkOnPhoto'
import { spotWords } from '@/words/checks'
import { toMendWords } from '@/words/piece'
import { loggedWords, spanWords } from '@/words/time'

interface Props {
  journey: Journey
  part: PartJourney
  house: House
  nowMs: number
}

export function SnagList({ journey, part, house, nowMs }: Props) {
  const snags = snagsOf(journey).filter(({ entry }) => entry.partId === part.part.id)
  if (snags.length === 0) return null
  return (
    <ul aria-label="Snags" className="mt-4">
      {snags.map(({ entry, minutes, money: spent, steps, ...snag }) => {
        const photo = journey.file.photos.find(({ id }) => id === entry.mark?.photoId)
        const repair = entry.remedy ? getRemedy(entry.remedy) : null
        return (
          <li key={entry.id} className="flex gap-3 border-b border-line py-2">
            {photo ? (
              <span className="w-24 shrink-0 self-start">
                <MarkedPhoto photo={photo} mark={entry.mark} size="small" alt={`Where it is, on: ${photo.alt}`} />
              </span>
            ) : (
              <span aria-hidden className="relative mt-1 w-12 shrink-0 self-start" style={{ aspectRatio: faceOf(part) }}>
                <PartDrawing kind={part.part.kind} count={part.part.count} face={faceOf(part)} className="size-full" />
                {entry.spot !== null && (
                  <span
                    className="absolute size-3 -translate-1/2 rounded-full bg-late"
                    style={{
                      left: `${((entry.spot % 3) * 2 + 1) * (100 / 6)}%`,
                      top: `${(Math.floor(entry.spot / 3) * 2 + 1) * (100 / 6)}%`,
                    }}
                  />
                )}
              </span>
            )}
            <p>
              <strong>{repair?.words ?? 'Snag'}</strong>{' '}
              <span className="text-soft">
                {[
                  entry.severity && severities[entry.severity],
                  entry.spot !== null && spotWords[entry.spot],
                  loggedWords(entry.at, house, nowMs),
                ]
                  .filter(Boolean)
                  .join(', ')}
              </span>
              <span className="block">
                {[repair && `${repair.cause} ${repair.remedy}`, entry.note].filter(Boolean).join(' ')}
              </span>
              <span className="block text-soft">
                {toMendWords(snag) ?? (steps > 0 ? 'mended' : 'noted')}
                {minutes > 0
                  ? `, ${[spanWords(minutes), spent > 0 && formatMoney(spent, house)].filter(Boolean).join(' and ')} spent on it`
                  : ''}
              </span>
            </p>
          </li>
        )
      })}
    </ul>
  )
}
