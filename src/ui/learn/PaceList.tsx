/** How long each kind of work takes here, against the plan's minutes; the week is reckoned by it. */
import { getOperation, type OperationCode } from '@/core/craft/operations'
import type { Pace } from '@/core/learn/pace'
import type { Writing } from '@/core/measure/number'
import { timesWords } from '@/words/measure'

/** the plan's own minutes stand in the middle of a bar */
const [middle, most] = [120, 240]

export function PaceList({ pace, studio }: { pace: Pace; studio: Writing }) {
  const seen = (Object.entries(pace) as [OperationCode, NonNullable<Pace[OperationCode]>][]).sort(
    ([, one], [, other]) => other.count - one.count || other.p50 - one.p50,
  )
  if (seen.length === 0)
    return (
      <p className="mt-2 max-w-prose">
        Nothing yet. Clocks that are started and ended at the bench are compared with the plan’s minutes, and what they teach
        stands here.
      </p>
    )
  return (
    <>
      <p className="mt-1 max-w-prose text-soft">
        The minutes that hands were on it, against the plan’s; from the last work that was ended. The week is planned by the
        middle, and its chances by the spread.
      </p>
      <ul className="mt-2">
        {seen.map(([operation, { p50, p80, count }]) => (
          <li
            key={operation}
            className="grid grid-cols-[1fr_auto] items-center gap-x-6 border-b border-line py-2 sm:grid-cols-[1.2fr_15rem_1fr]"
          >
            <strong className="text-lg">{getOperation(operation).words}</strong>
            <Bar p50={p50} p80={p80} />
            <span className="col-span-2 sm:col-span-1">
              {timesWords(p50, studio)}
              <span className="text-soft">
                , four times in five within {timesWords(p80, studio)}; seen {count === 1 ? 'once' : `${count} times`}
              </span>
            </span>
          </li>
        ))}
      </ul>
    </>
  )
}

/** The plan's minutes as a line in the middle; to the right of it what takes longer. */
function Bar({ p50, p80 }: { p50: number; p80: number }) {
  const x = (factor: number) => Math.max(4, Math.min(most - 4, middle + (factor - 1) * most))
  const [from, to] = [Math.min(middle, x(p50)), Math.max(middle, x(p50))]
  return (
    <svg viewBox={`0 0 ${most} 22`} className="hidden h-6 w-60 sm:block" aria-hidden>
      <rect x={from} y="6" width={to - from} height="10" fill="var(--ink)" />
      <path d={`M${x(p50)} 11H${x(p80)}`} stroke="var(--ink)" strokeWidth="2" />
      <path d={`M${x(p80)} 6V16`} stroke="var(--ink)" strokeWidth="2" />
      <path d={`M${middle} 0V22`} stroke="var(--now)" strokeWidth="3" />
    </svg>
  )
}
