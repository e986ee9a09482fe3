'use client'
/** "When could it be ready?": the day that is kept in eighty of a hundred weeks, and what it pushes aside. */
import type { PieceId } from '@/core/measure/named'
import { dayOf } from '@/core/measure/time'
import { useHouse } from '@/ui/form/house'
import { momentWords, promiseWords } from '@/words/time'
import { differenceWords } from '@/words/week'
import { type Ready, type ToSuppose, useReady } from './useReady'

const mostSaid = 3

export function ReadyLine({
  pieceId,
  supposed,
  promise,
  promises = 'Promise it for',
  className = '',
}: {
  pieceId: PieceId
  /** what is thought of: steps of a part */
  supposed: ToSuppose
  /** takes the day as the promise, where one may be given here */
  promise?: (day: string) => void
  /** what taking it is called: "Tell them Friday 4 December" */
  promises?: string
  className?: string
}) {
  const { asking, ask } = useReady(pieceId)
  return (
    <section aria-label="When could it be ready?" aria-live="polite" className={className}>
      {asking.state === 'found' && <Found ready={asking.ready} promise={promise} promises={promises} />}
      {asking.state === 'nothing' && <p className="text-lg">No day can be told: no step is ahead of it, or nobody is at work.</p>}
      {asking.state === 'unreachable' && <p className="text-lg">The week can’t be read just now: ask again later.</p>}
      <button type="button" className="press mt-2" disabled={asking.state === 'asking'} onClick={() => void ask(supposed)}>
        {asking.state === 'asking' ? 'Reckoning…' : asking.state === 'found' ? 'Reckon it again' : 'When could it be ready?'}
      </button>
    </section>
  )
}

function Found({
  ready: { piece, before, after, nowMs },
  promise,
  promises,
}: {
  ready: Ready
  promise: ((day: string) => void) | undefined
  promises: string
}) {
  const house = useHouse()
  const today = dayOf(new Date(nowMs).toISOString(), house.zone)
  const safe = dayOf(new Date(piece.safeMs ?? piece.endMs).toISOString(), house.zone)
  const others = { ...after, pieces: after.pieces.filter(({ pieceId }) => pieceId !== piece.pieceId) }
  const pushed = differenceWords(before, others, house, nowMs)
  return (
    <div>
      <p className="text-lg">
        Ready <strong className="figure text-2xl">{promiseWords(safe, today, house)}</strong> in 80 of 100 weeks; as it is planned{' '}
        {momentWords(new Date(piece.endMs).toISOString(), house, nowMs)}.
        {piece.promisedOn && piece.promisedOn < safe && (
          <span className="font-semibold text-late"> It is promised for {promiseWords(piece.promisedOn, today, house)}.</span>
        )}
      </p>
      <ul className="text-soft">
        {pushed.slice(0, mostSaid).map((words) => (
          <li key={words} className={words.includes('breaks') ? 'font-semibold text-late' : ''}>
            {words}
          </li>
        ))}
        {pushed.length === 0 && <li>It pushes nothing else aside.</li>}
      </ul>
      {promise && (
        <button type="button" className="press mt-2 mr-3" onClick={() => promise(safe)}>
          {promises} {promiseWords(safe, today, house)}
        </button>
      )}
    </div>
  )
}
