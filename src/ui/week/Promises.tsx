'use client'
/** When each piece is done, and how often its promise holds in a hundred weeks: drawn as so many strokes of a hundred. */
import { dayOf } from '@/core/measure/time'
import type { PieceOutlook, WeekOutlook } from '@/core/week/ask'
import { onePieceMore } from '@/core/week/weekData'
import { useHouse } from '@/ui/form/house'
import { Link } from '@/ui/frame/Link'
import { capital } from '@/words/text'
import { momentWords, promiseWords, spanWords } from '@/words/time'
import { holdsWords, placeTitle } from '@/words/week'

export function Promises({ outlook, nowMs }: { outlook: WeekOutlook; nowMs: number }) {
  return (
    <section aria-labelledby="promises" className="border-t-2 border-ink pt-3">
      <h2 id="promises" className="title text-3xl">
        Ready when
      </h2>
      <ul>
        {[...outlook.pieces]
          .sort((a, b) => a.endMs - b.endMs)
          .map((piece) => (
            <Piece key={piece.pieceId} piece={piece} nowMs={nowMs} />
          ))}
      </ul>
    </section>
  )
}

function Piece({ piece, nowMs }: { piece: PieceOutlook; nowMs: number }) {
  const house = useHouse()
  const today = dayOf(new Date(nowMs).toISOString(), house.zone)
  const moment = (ms: number) => momentWords(new Date(ms).toISOString(), house, nowMs)
  const late = piece.lateMinutes > 0
  return (
    <li className="border-b border-line py-3">
      <div className="flex items-baseline justify-between gap-4">
        {piece.pieceId === onePieceMore ? (
          <span className="text-lg font-semibold">{piece.name}</span>
        ) : (
          <Link href={`/pieces/${piece.pieceId}`} className="text-lg font-semibold">
            {piece.name}
          </Link>
        )}
        <span className={`figure text-2xl ${late ? 'text-late' : ''}`}>{moment(piece.endMs)}</span>
      </div>
      {piece.promisedOn && (
        <p className={late ? 'font-semibold text-late' : ''}>
          Promised {promiseWords(piece.promisedOn, today, house)}
          {piece.client ? ` to ${piece.client}` : ''}
          {late ? `: ${spanWords(piece.lateMinutes)} late` : ''}
          {piece.holds !== null && `; ${holdsWords(piece)}`}
        </p>
      )}
      {piece.holds !== null && <Weeks share={piece.holds} />}
      {piece.safeMs !== null && !Number.isFinite(piece.safeMs) ? null : (
        <p className="text-soft">{piece.safeMs !== null && `In 80 of 100 weeks by ${moment(piece.safeMs)}.`}</p>
      )}
      {piece.holds !== null && piece.holds < 0.95 && piece.deciding.length > 0 && (
        <p className="text-soft">
          {capital(piece.deciding.map((place) => placeTitle(place).toLowerCase()).join(', '))} decide it.
        </p>
      )}
    </li>
  )
}

/** A hundred strokes: those in which it holds are full, the others broken. */
function Weeks({ share }: { share: number }) {
  const holds = Math.round(share * 100)
  return (
    <svg viewBox="0 0 500 14" preserveAspectRatio="none" className="my-1.5 h-4 w-full" aria-hidden>
      {Array.from({ length: 100 }, (_, k) => (
        <path
          key={k}
          d={k < holds ? `M${k * 5 + 1.5} 0V14` : `M${k * 5 + 1.5} 0V4M${k * 5 + 1.5} 9V14`}
          stroke={k < holds ? 'var(--now)' : 'var(--late)'}
          strokeWidth="2.6"
        />
      ))}
    </svg>
  )
}
