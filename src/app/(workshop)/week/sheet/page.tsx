/** A day of the week that was taken, as a sheet for the wall. */
import { loadSheet } from '@/app/_server/loadWeek'
import { loadStudio } from '@/app/_server/session'
import { dayBegins } from '@/core/measure/workingHours'
import { readPiece } from '@/core/piece/journey'
import { hoursOfAll, workDayOf } from '@/core/week/hands'
import { sheetsOf } from '@/core/week/sheet'
import { Link } from '@/ui/frame/Link'
import { PrintButton } from '@/ui/piece/PrintButton'
import { DaySheet } from '@/ui/week/DaySheet'
import { capital } from '@/words/text'
import { dayWords, momentWords, promiseWords } from '@/words/time'

export const metadata = { title: 'For the wall' }
const daysOffered = 7

export default async function Sheet({ searchParams }: { searchParams: Promise<{ day?: string }> }) {
  const studio = await loadStudio()
  const { day: asked } = await searchParams
  const { week, hands, files } = await loadSheet()
  const nowMs = clock()
  const begins = dayBegins(hoursOfAll(hands))
  // what is ahead does not hang on the air
  const journeys = files.map((file) => readPiece(file, { climate: [], nowMs }))
  const days = sheetsOf(week?.lines ?? [], journeys, { zone: studio.zone, begins })
  const today = workDayOf(nowMs, studio.zone, begins)
  const day = asked && days.has(asked) ? asked : ([...days.keys()].find((each) => each >= today) ?? [...days.keys()].at(-1))
  if (!week || !day)
    return (
      <section className="py-14">
        <h1 className="title text-5xl">For the wall</h1>
        <p className="mt-4 max-w-prose text-xl">
          {week ? 'Nothing of the week that was taken is ahead any more.' : 'No week was taken yet.'} Take the week as it stands
          now, and each of its days can be printed here.
        </p>
        <Link href="/week" className="press press-now mt-6 inline-flex min-h-14 px-7 text-lg">
          To the week
        </Link>
      </section>
    )
  return (
    <div className="pt-6">
      <div className="unprinted mb-6 flex flex-wrap items-center justify-between gap-4">
        <nav aria-label="Days" className="flex flex-wrap gap-2">
          {[...days.keys()].slice(0, daysOffered).map((each) => (
            <Link
              key={each}
              href={`/week/sheet?day=${each}`}
              aria-current={each === day ? 'page' : undefined}
              className={`press ${each === day ? 'press-now' : ''}`}
            >
              {capital(promiseWords(each, today, studio))}
            </Link>
          ))}
        </nav>
        <PrintButton />
      </div>
      <DaySheet
        title={dayWords(day, studio)}
        lines={days.get(day) ?? []}
        names={new Map(hands.map(({ id, name }) => [id, name]))}
        taken={momentWords(week.madeAt, studio, nowMs)}
        studio={studio}
      />
    </div>
  )
}

const clock = () => Date.now()
