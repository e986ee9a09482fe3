/** The piece's story: its log as an account, day by day, with the section growing along it. */
import { getPieceView } from '@/app/_server/load'
import { loadHouse } from '@/app/_server/session'
import { dayOf } from '@/core/measure/time'
import type { Journey } from '@/core/piece/journey'
import { judgedOf } from '@/core/piece/judged'
import { type StoryFilter, storyFilters, storyOf } from '@/core/piece/story'
import { Section } from '@/ui/drawing/Section'
import { Link } from '@/ui/frame/Link'
import { PhotoStrip } from '@/ui/photo/PhotoStrip'
import { stripOf, type StripPhoto } from '@/ui/photo/stripOf'
import { LogLine } from '@/ui/piece/LogList'
import { PrintButton } from '@/ui/piece/PrintButton'
import { ConflictLine } from '@/ui/plan/ConflictLine'
import { clockTime, dayWords, spanWords } from '@/words/time'

export const metadata = { title: 'Its story' }

export default async function StoryPage({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>
  searchParams: Promise<{ show?: string }>
}) {
  const [{ studio, journey, channels, around, nowMs }, { people }] = await Promise.all([getPieceView(params), loadHouse()])
  const asked = (await searchParams).show ?? 'all'
  const filter: StoryFilter = asked in storyFilters ? (asked as StoryFilter) : 'all'
  // who sees no money finds none to choose
  const filters = Object.entries(storyFilters).filter(([code]) => code !== 'money' || !studio.hidesMoney)
  const { piece } = journey.file
  const days = storyOf(journey.file, around, studio.zone, filter)
  const { parts, photos } = journey.file
  const takenOn = (day: string) => photos.filter(({ takenAt }) => dayOf(takenAt, studio.zone) === day)
  return (
    <div className="pt-6">
      <p className="text-lg">
        <Link href={`/pieces/${piece.id}`}>{piece.name}</Link>
      </p>
      <h1 className="title text-5xl">Its story</h1>
      <div className="unprinted mt-4 flex flex-wrap items-center gap-x-8 gap-y-3">
        <nav aria-label="Show" className="flex flex-wrap gap-2">
          {filters.map(([code, words]) => (
            <Link
              key={code}
              href={`/pieces/${piece.id}/story${code === 'all' ? '' : `?show=${code}`}`}
              aria-current={filter === code ? 'true' : undefined}
              className={`press px-3 ${filter === code ? 'press-now' : ''}`}
            >
              {words}
            </Link>
          ))}
        </nav>
        <div className="flex flex-wrap items-center gap-2">
          <PrintButton isAside />
          <a className="press" href={`/api/pieces/${piece.id}/export?as=csv`} download>
            As CSV
          </a>
          <a className="press" href={`/api/pieces/${piece.id}/export?as=json`} download>
            As JSON
          </a>
        </div>
      </div>
      {days.length === 0 && <p className="mt-6 text-xl">Nothing of this has been written down yet.</p>}
      <div className="mt-6 max-w-4xl space-y-8">
        {days.map(({ day, lines, minutes }) => (
          <section key={day} aria-labelledby={`day-${day}`} className="border-t-2 border-ink pt-3">
            <h2 id={`day-${day}`} className="title text-3xl">
              {dayWords(day, studio)}
            </h2>
            {minutes > 0 && <p className="text-soft">{spanWords(minutes)} of work</p>}
            <ol className="mt-1">
              {lines.map(({ entry, section }) => (
                <LogLine
                  key={entry.id}
                  {...{ entry, journey, channels, people }}
                  house={studio}
                  when={(at) => clockTime(at, studio)}
                  beside={section && <Section model={section} className="size-16 sm:size-20" />}
                />
              ))}
            </ol>
            <PhotosOf photos={stripOf({ parts, photos: takenOn(day) }, studio, nowMs)} />
          </section>
        ))}
      </div>
      <Unanswered journey={journey} />
    </div>
  )
}

/** Stops that stand: taken with the plan or logged, and not mended since. */
function Unanswered({ journey }: { journey: Journey }) {
  const open = journey.parts.flatMap((part) => {
    const { behind, next, ahead } = judgedOf(part)
    const stops = [...behind, ...next, ...ahead].filter(({ severity }) => severity === 'stop')
    return stops.map((conflict) => ({ conflict, part: part.part }))
  })
  if (open.length === 0) return null
  return (
    <section aria-labelledby="unanswered" className="mt-8 max-w-4xl border-t-2 border-ink pt-3">
      <h2 id="unanswered" className="title text-3xl">
        What still stands against it
      </h2>
      <ul className="mt-2 space-y-2">
        {open.map(({ conflict, part }) => (
          <li key={`${part.id} ${conflict.code}`}>
            {part.name}
            <ConflictLine conflict={conflict} />
          </li>
        ))}
      </ul>
    </section>
  )
}

function PhotosOf({ photos }: { photos: readonly StripPhoto[] }) {
  return photos.length === 0 ? null : <PhotoStrip photos={photos} />
}
