/** The week as hands are on it: its days to be ticked, a stroke a day from when work begins until it ends; a night runs on into the next morning. */
import type { UseFormRegisterReturn } from 'react-hook-form'
import { stretchTyped } from '@/core/input/house'
import type { WorkingHours } from '@/core/measure/workingHours'
import { Trouble } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { minuteWords } from '@/words/time'

/** The hours as they are typed: while the times can't be read the usual ones, on the days that are ticked. */
export const hoursTyped = (from: string, to: string, days: readonly string[], usual: WorkingHours): WorkingHours => ({
  ...(stretchTyped(from, to) ?? { from: usual.from, to: usual.to }),
  days: days.map(Number),
})

/** Monday first, by the number a date gives its day. */
const weekdays = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'].map((words, k) => ({ code: (k + 1) % 7, words }))
const day = 1440
const hoursMarked = [360, 720, 1080]

const at = (minute: number) => `${(minute / day) * 100}%`

interface Props {
  field: UseFormRegisterReturn
  trouble: string | undefined
  hours: WorkingHours
}
export function WorkedWeek({ field, trouble, hours: { from, to, days } }: Props) {
  const house = useHouse()
  const isWorked = (weekday: number) => days.includes(weekday % 7)
  return (
    <fieldset className="min-w-0">
      <legend className="text-sm font-semibold">Days worked</legend>
      <div aria-hidden className="relative ml-24 h-6 text-sm text-soft">
        {hoursMarked.map((minute) => (
          <span key={minute} className="absolute -translate-x-1/2" style={{ left: at(minute) }}>
            {minuteWords(minute, house)}
          </span>
        ))}
      </div>
      {weekdays.map(({ code, words }) => (
        <label key={code} className="flex min-h-11 cursor-pointer items-stretch border-b border-line">
          <span className={`flex w-24 items-center gap-3 font-semibold ${isWorked(code) ? '' : 'text-soft'}`}>
            <input type="checkbox" value={code} {...field} className="size-6 accent-now" />
            {words}
          </span>
          <span aria-hidden className="relative grow">
            {hoursMarked.map((minute) => (
              <span key={minute} className="absolute inset-y-0 border-l border-line" style={{ left: at(minute) }} />
            ))}
            {isWorked(code) && <Stroke code={code} from={from} to={to} />}
            {/* what began the evening before */}
            {to > day && isWorked(code + 6) && <Stroke code={code} from={0} to={to - day} />}
          </span>
        </label>
      ))}
      <Trouble>{trouble}</Trouble>
    </fieldset>
  )
}

/** As a brush leaves it: put down full, drawn out. */
function Stroke({ code, from, to }: { code: number; from: number; to: number }) {
  const [end, tail] = to > day ? [day, 'H100V20'] : [to, 'H72Q88 0 100 10Q88 20 72 20']
  return (
    <svg
      viewBox="0 0 100 20"
      preserveAspectRatio="none"
      data-works={code}
      className="absolute inset-y-3 h-5"
      style={{ left: at(from), width: at(end - from) }}
    >
      <path d={`M0 6Q.6 0 2 0${tail}H2Q.6 20 0 14Z`} fill="var(--now)" />
    </svg>
  )
}
