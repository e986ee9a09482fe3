/** A day's work on a sheet, to be read across the room: when, what, on what, with what, whose hands; when the next may begin and must. */
import type { CautionCode } from '@/core/craft/cautions'
import type { PersonId } from '@/core/measure/named'
import type { SheetLine } from '@/core/week/sheet'
import { cautionWords, stepTitle, withWhat } from '@/words/craft'
import { clockTime, momentWords, spanWords, type Wall } from '@/words/time'

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
  const minutes = lines.reduce((sum, line) => sum + line.minutes, 0)
  return (
    <article>
      <header className="flex flex-wrap items-end justify-between gap-x-8 border-b-4 border-ink pb-2">
        <h1 className="title text-5xl">{title}</h1>
        <p className="text-xl">
          <strong className="figure text-3xl">{spanWords(minutes)}</strong> of work, by the week taken {taken}
        </p>
      </header>
      <ol>
        {lines.map((line) => (
          <Line
            key={`${line.step.id} ${line.side}`}
            line={line}
            name={names.size > 1 ? names.get(line.personId) : null}
            studio={studio}
          />
        ))}
      </ol>
      {cautions.length > 0 && <Cautions cautions={cautions} />}
    </article>
  )
}

function Line({ line, name, studio }: { line: SheetLine; name: string | null | undefined; studio: Wall }) {
  const { at, step, side, pieceName, partName, minutes, opens, closes } = line
  const moment = (ms: number) => momentWords(new Date(ms).toISOString(), studio, at)
  return (
    <li className="grid break-inside-avoid grid-cols-[2.2rem_5.2rem_1fr] items-start gap-x-4 border-b border-ink py-3 sm:grid-cols-[2.2rem_6rem_1fr_auto]">
      <span aria-hidden className="mt-1 size-8 border-[3px] border-ink" />
      <span className="figure text-4xl leading-none">{clockTime(new Date(at).toISOString(), studio)}</span>
      <div>
        <p className="text-2xl leading-tight">
          <strong>{stepTitle(step)}</strong>
          {side === 2 && ', turned'}
        </p>
        <p className="text-xl">{[pieceName, partName?.toLowerCase()].filter(Boolean).join(', ')}</p>
        <p className="flex flex-wrap items-center gap-x-2 text-lg text-soft">
          {step.colour && (
            <span
              aria-hidden
              className="inline-block size-5 border border-ink [print-color-adjust:exact]"
              style={{ background: step.colour.hex }}
            />
          )}
          {[step.colour?.name, withWhat(step)].filter(Boolean).join(', ')}
        </p>
        {(opens !== null || closes !== null) && (
          <p className="text-lg font-semibold">
            Then {opens === null ? 'at once' : `from ${moment(opens)} on`}
            {closes !== null && `, by ${moment(closes)}`}
          </p>
        )}
      </div>
      <p className="col-start-3 text-xl sm:col-start-4 sm:text-right">
        {name && <strong className="mr-2 sm:mr-0 sm:block">{name}</strong>}
        {minutes} min
      </p>
    </li>
  )
}

function Cautions({ cautions }: { cautions: readonly CautionCode[] }) {
  return (
    <section aria-label="Take care" className="mt-5 break-inside-avoid border-l-4 border-late pl-4">
      <h2 className="text-xl font-bold">Take care today</h2>
      {cautions.map((code) => (
        <p key={code} className="text-lg">
          {cautionWords[code]}
        </p>
      ))}
    </section>
  )
}
