/** A day's work on a sheet, to be read across the room: when, what, on what, with what, whose hands; when the next may begin and must. */
import type { CautionCode } from '@/core/craft/cautions'
import type { PersonId } from '@/core/measure/named'
import type { SheetLine } from '@/core/week/sheet'
import { cautionWords, stepTitle, withWhat } from '@/words/craft'
import { clockTime, momentWords, type Wall } from '@/words/time'

interface Props {
  title: string
  lines: readonly SheetLine[]
  /** of hands, by id */
  names: ReadonlyMap<PersonId | null, string | null>
  /** when the plan was taken, in words */
  taken: string
  studio: Wall
}

export function DaySheet({ title, lines, names, taken, studio }: Props) {
  const cautions = [...new Set(lines.flatMap(({ step }) => step.cautions))]
  // whose hands work each is a column of their own
  const hands = [...names].filter(([id]) => lines.some(({ personId }) => personId === id))
  return (
    <article className="print:text-[11pt]">
      <header className="flex flex-wrap items-end justify-between gap-x-8 border-b-4 border-ink pb-2">
        <h1 className="title text-5xl print:text-3xl">{title}</h1>
        <p className="text-lg text-soft">by the week taken {taken}</p>
      </header>
      <div className={hands.length > 1 ? 'grid gap-x-10 lg:grid-cols-2 print:grid-cols-2 print:gap-x-6' : ''}>
        {hands.map(([id, name]) => {
          const own = lines.filter(({ personId }) => personId === id)
          return (
            <section key={id} aria-label={name ?? title} className="pt-3">
              {name && hands.length > 1 && (
                <h2 className="flex items-baseline justify-between border-b-2 border-ink pb-1">
                  <span className="text-2xl font-bold print:text-xl">{name}</span>
                  <span className="text-lg">{own.length === 1 ? '1 step' : `${own.length} steps`}</span>
                </h2>
              )}
              <ol>
                {own.map((line) => (
                  <Line key={`${line.step.id} ${line.side}`} line={line} studio={studio} />
                ))}
              </ol>
            </section>
          )
        })}
      </div>
      {cautions.length > 0 && <Cautions cautions={cautions} />}
    </article>
  )
}

function Line({ line, studio }: { line: SheetLine; studio: Wall }) {
  const { at, step, side, pieceName, partName, minutes, opens, closes } = line
  const moment = (ms: number) => momentWords(new Date(ms).toISOString(), studio, at)
  const then = [opens !== null && `from ${moment(opens)}`, closes !== null && `by ${moment(closes)}`].filter(Boolean).join(', ')
  return (
    <li className="grid break-inside-avoid grid-cols-[1.5rem_4.6rem_1fr] items-baseline gap-x-3 border-b border-line py-1.5 sm:grid-cols-[1.5rem_4.6rem_1fr_auto] print:grid-cols-[1.5rem_4rem_1fr_auto] print:py-1">
      <span aria-hidden className="size-5 self-start border-2 border-ink" />
      <span className="figure text-3xl leading-none print:text-xl">{clockTime(new Date(at).toISOString(), studio)}</span>
      <div>
        <p className="text-xl leading-snug print:text-[12pt]">
          <strong>{stepTitle(step)}</strong>
          {side === 2 && ', turned'}
        </p>
        <p className="leading-snug">{[pieceName, partName?.toLowerCase()].filter(Boolean).join(', ')}</p>
        <p className="flex flex-wrap items-center gap-x-2 leading-snug text-soft">
          {step.colour && (
            <span
              aria-hidden
              className="inline-block size-4 border border-ink [print-color-adjust:exact]"
              style={{ background: step.colour.hex }}
            />
          )}
          {withWhat(step)}
        </p>
      </div>
      <p className="col-start-3 leading-snug sm:col-start-4 sm:text-right print:col-start-4 print:text-right">
        {minutes} min
        {then && <span className="font-semibold sm:block sm:max-w-32 print:block print:max-w-32"> then {then}</span>}
      </p>
    </li>
  )
}

function Cautions({ cautions }: { cautions: readonly CautionCode[] }) {
  return (
    <section aria-label="Take care" className="mt-4 break-inside-avoid border-l-4 border-late pl-4">
      <h2 className="text-xl font-bold print:text-[12pt]">Take care today</h2>
      {cautions.map((code) => (
        <p key={code} className="leading-snug">
          {cautionWords[code]}
        </p>
      ))}
    </section>
  )
}
