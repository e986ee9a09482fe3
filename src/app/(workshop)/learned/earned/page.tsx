/** What the pieces that have left taught: what an hour earned, by whatever it is asked by, and where the days went. */
import { loadStudio } from '@/app/_server/session'
import { loadTaught } from '@/app/_server/taught'
import { daysWent, isPaid, lessonsBy, sumOf, type TaughtBy, taughtBy } from '@/core/house/taught'
import { formatMoney } from '@/core/measure/money'
import { formatNumber } from '@/core/measure/number'
import { dayOf } from '@/core/measure/time'
import { Link } from '@/ui/frame/Link'
import { NotYours } from '@/ui/frame/NotYours'
import { DaysWent } from '@/ui/learn/DaysWent'
import { EarnedChart } from '@/ui/learn/EarnedChart'
import { byWords, groupWords } from '@/words/taught'
import { hoursWords } from '@/words/time'

export const metadata = { title: 'What it earned' }

const isBy = (asked: string | undefined): asked is TaughtBy => (taughtBy as readonly (string | undefined)[]).includes(asked)

export default async function EarnedPage({ searchParams }: { searchParams: Promise<{ by?: string }> }) {
  if ((await loadStudio()).hidesMoney) return <NotYours what="What pieces earned" back="/learned" to="To what was learned" />
  const asked = (await searchParams).by
  const by = isBy(asked) ? asked : 'look'
  const { studio, results, channels, people } = await loadTaught()
  const paid = results.filter(isPaid)
  const money = (minor: number) => formatMoney(minor, studio, { short: true })
  const around = { wall: studio, channels, people }
  const lessons = lessonsBy(results, by).map((lesson) => ({ ...lesson, words: groupWords(by, lesson.key, around) }))
  const all = sumOf(paid)
  const planned = paid.reduce((sum, { plannedHours }) => sum + plannedHours, 0)
  return (
    <div className="pt-6">
      <p className="text-lg">
        <Link href="/learned">What the workshop has learned</Link>
      </p>
      <h1 className="title text-5xl">What it earned</h1>
      {paid.length === 0 ? (
        <p className="mt-4 max-w-prose text-xl">
          Nothing has been sold yet. What an hour earned stands here with the first piece that is.
        </p>
      ) : (
        <>
          <div className="mt-4 flex flex-wrap items-end gap-x-14 gap-y-4">
            <p className={all.left < 0 ? 'text-late' : (all.earned ?? 0) >= studio.hourRate ? 'text-now' : ''}>
              <span className="figure block text-[5rem] leading-none sm:text-[7rem]" data-figure="earned">
                {money(all.earned ?? all.left)}
              </span>
              <span className="text-xl font-semibold text-soft">
                {all.earned === null ? 'and no hours' : 'an hour'}, of {paid.length === 1 ? 'one piece' : `${paid.length} pieces`}
              </span>
            </p>
            <p className="text-lg">
              {money(all.left)} left for {hoursWords(all.hours, studio)}; an hour is to cost {money(studio.hourRate)}.
              {planned > 0 &&
                ` The plan had ${hoursWords(planned, studio)} for what was done: ${formatNumber((all.hours / planned) * 100, studio, 0)} % of it.`}
              {results.length > paid.length &&
                ` ${results.length - paid.length === 1 ? 'One more' : `${results.length - paid.length} more`} left without a price.`}
            </p>
          </div>
          <DaysWent {...daysWent(paid)} />
          <nav aria-label="By what" className="mt-10 flex flex-wrap gap-2">
            {taughtBy.map((each) => (
              <Link
                key={each}
                href={`/learned/earned?by=${each}`}
                aria-current={each === by ? 'true' : undefined}
                className={`press ${each === by ? 'press-now' : ''}`}
              >
                {byWords[each]}
              </Link>
            ))}
          </nav>
          <EarnedChart rows={lessons.map(({ words, earned }) => ({ words, earned: earned ?? 0 }))} rate={studio.hourRate} />
          <table className="mt-4 w-full text-lg">
            <thead>
              <tr className="text-right text-base text-soft">
                <th scope="col" className="text-left font-normal">
                  <span className="sr-only">What</span>
                </th>
                {['pieces', 'hours', 'left', 'an hour', 'days'].map((words) => (
                  <th key={words} scope="col" className="font-normal">
                    {words}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {lessons.map(({ key, words, pieces, hours, left, earned, doorDays }) => (
                <tr key={key} className="border-b border-line text-right">
                  <th scope="row" className="py-1 text-left font-semibold">
                    {words}
                  </th>
                  <td>{pieces}</td>
                  <td>{formatNumber(hours, studio, 1)}</td>
                  <td>{money(left)}</td>
                  <td className={`font-bold ${earned !== null && earned < 0 ? 'text-late' : ''}`}>
                    {earned === null ? '—' : money(earned)}
                  </td>
                  <td>{doorDays}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
      <Sheets year={Number(dayOf(new Date().toISOString(), studio.zone).slice(0, 4))} />
    </div>
  )
}

/** What is taken along to a bookkeeper. */
function Sheets({ year }: { year: number }) {
  const sheets = [
    ['/api/studio/earned', 'Every piece, as a sheet'],
    [`/api/studio/books?year=${year}`, `The books of ${year}, by month`],
    [`/api/studio/books?year=${year}&by=posting`, `Every posting of ${year}`],
    [`/api/studio/receipts?year=${year}`, `Invoices and credit notes of ${year}`],
    [`/api/studio/books?year=${year - 1}`, `The books of ${year - 1}, by month`],
  ] as const
  return (
    <section aria-labelledby="books" className="mt-10 border-t-2 border-ink pt-4">
      <h2 id="books" className="title text-3xl">
        For the bookkeeper
      </h2>
      <p className="mt-1 max-w-prose text-soft">
        Double entry: what was bought and worked in stands in stock until it leaves, so that every month balances.
      </p>
      <ul className="mt-3 flex flex-wrap gap-3">
        {sheets.map(([href, words]) => (
          <li key={href}>
            <a href={href} download className="press">
              {words}
            </a>
          </li>
        ))}
      </ul>
    </section>
  )
}
