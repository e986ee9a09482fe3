'use client'
/** Steps that two people ended: said at the bench too, where the next of them stands. */
import type { Journey } from '@/core/piece/journey'
import { lanesOf } from '@/core/piece/lanes'
import { whereShown } from '@/ui/frame/later'
import { stepTitle } from '@/words/craft'

const EndConflict = whereShown(async () => (await import('./EndConflict')).EndConflict)

export function EndsToSettle({ journeys }: { journeys: readonly Journey[] }) {
  const open = journeys
    .filter(({ ending }) => !ending)
    .flatMap((journey) =>
      lanesOf(journey).flatMap(({ part, done }) =>
        done.flatMap(({ step, state: { ended, conflict } }) =>
          ended && conflict
            ? [{ name: `${stepTitle(step)}, ${journey.file.piece.name}, ${part.name.toLowerCase()}`, ended, conflict }]
            : [],
        ),
      ),
    )
  if (open.length === 0) return null
  return (
    <section aria-labelledby="ended-twice" className="mt-8">
      <h2 id="ended-twice" className="title text-3xl">
        Which of two counts
      </h2>
      <ul className="mt-2">
        {open.map(({ name, ended, conflict }) => (
          <li key={ended.id} className="border-b border-line py-3">
            <strong className="block text-lg">{name}</strong>
            <EndConflict counts={ended} beside={conflict} />
          </li>
        ))}
      </ul>
    </section>
  )
}
