/** What the workshop has learned: how its coats really dry, and what goes wrong and costs. */
import { loadLessons } from '@/app/_server/lessons'
import { loadPace } from '@/app/_server/pace'
import { loadStudio, readStudio } from '@/app/_server/session'
import { getFamily } from '@/core/craft/families'
import { getRemedy } from '@/core/craft/remedies'
import { formatMoney } from '@/core/measure/money'
import { sumSnags } from '@/core/piece/snags'
import { listBids } from '@/db/bid'
import { listDryingFigures, listLearned } from '@/db/dryingFigures'
import { findSnagRecord } from '@/db/entry'
import { Link } from '@/ui/frame/Link'
import { BidList } from '@/ui/learn/BidList'
import { Lessons } from '@/ui/learn/Lessons'
import { PaceList } from '@/ui/learn/PaceList'
import { spanWords } from '@/words/time'

export const metadata = { title: 'Learned' }
/** snags looked back on */
const mostSnags = 60
/** what was bid for lately */
const mostBids = 20
/** figures taken up that are still told of */
const mostFigures = 40

export default async function Learned() {
  const studio = await loadStudio()
  const [snagRecord, lessons, learned, figures, pace, bids] = await readStudio((client, studioId, beganMs) =>
    Promise.all([
      findSnagRecord(client, mostSnags),
      loadLessons(client, studioId, beganMs),
      listLearned(client),
      listDryingFigures(client, mostFigures),
      loadPace(client, studioId, beganMs),
      studio.hidesMoney ? [] : listBids(client, mostBids),
    ]),
  )
  const snags = sumSnags(snagRecord, clock())
  return (
    <div className="pt-6">
      <h1 className="title text-5xl">What the workshop has learned</h1>
      {!studio.hidesMoney && (
        <p className="mt-3">
          <Link href="/learned/earned" className="press">
            What it earned
          </Link>
        </p>
      )}
      <section aria-labelledby="drying" className="mt-8 border-t-2 border-ink pt-4">
        <h2 id="drying" className="title text-3xl">
          How it really dries here
        </h2>
        <Lessons
          lessons={lessons.map(({ family, p50, p80, count, observations }) => ({
            family,
            p50,
            p80,
            count,
            label: observations[0]?.seen.label.opens ?? getFamily(family).recoat ?? [0, 0],
          }))}
          learned={learned}
          figures={figures}
          house={studio}
        />
      </section>
      <section aria-labelledby="pace" className="mt-10 border-t-2 border-ink pt-4">
        <h2 id="pace" className="title text-3xl">
          How long it takes here
        </h2>
        <PaceList pace={pace} studio={studio} />
      </section>
      {bids.length > 0 && <BidList bids={bids} studio={studio} />}
      <section aria-labelledby="snags" className="mt-10 border-t-2 border-ink pt-4">
        <h2 id="snags" className="title text-3xl">
          What goes wrong
        </h2>
        {snags.length === 0 ? (
          <p className="mt-2">No snag has been written down.</p>
        ) : (
          <ul className="mt-2">
            {snags.map(({ remedy, count, minutes, money }) => (
              <li
                key={remedy ?? 'other'}
                className="flex flex-wrap items-baseline justify-between gap-x-6 border-b border-line py-2"
              >
                <span>
                  <strong className="text-lg">{remedy ? getRemedy(remedy).words : 'Other'}</strong>{' '}
                  <span className="text-soft">{remedy && getRemedy(remedy).cause}</span>
                </span>
                <span>
                  {count === 1 ? 'once' : `${count} times`}
                  <span className="text-soft">
                    {' '}
                    · {[spanWords(minutes), !studio.hidesMoney && formatMoney(money, studio)].filter(Boolean).join(' · ')}
                  </span>
                </span>
              </li>
            ))}
          </ul>
        )}
      </section>
    </div>
  )
}

const clock = () => Date.now()
