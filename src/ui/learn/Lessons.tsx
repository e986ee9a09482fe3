/** What this studio has seen of drying, beside the label: how often, how far, and taken up only on purpose. */
import { type FamilyCode, getFamily } from '@/core/craft/families'
import type { Learned } from '@/core/learn/learned'
import type { Instant } from '@/core/measure/named'
import { timesWords } from '@/words/measure'
import { capital } from '@/words/text'
import { dateWords, spanWords, type Wall } from '@/words/time'
import { DriesBeside } from './DriesBeside'
import { TakeUp } from './TakeUp'

export interface LessonLine {
  family: FamilyCode
  p50: number
  p80: number
  count: number
  /** the label's opening, reference minutes */
  label: readonly [number, number]
}
export interface FigureLine {
  id: string
  family: FamilyCode
  p50: number
  p80: number
  count: number
  at: Instant
}
/** fewer than this, and it is early to believe them */
const enough = 3
const rangeWords = (low: number, high: number) => (low === high ? spanWords(low) : `${spanWords(low)} to ${spanWords(high)}`)

export function Lessons({
  lessons,
  learned,
  figures,
  house,
}: {
  lessons: readonly LessonLine[]
  learned: Learned
  figures: readonly FigureLine[]
  house: Wall
}) {
  if (lessons.length === 0)
    return (
      <p className="mt-2 max-w-prose">
        Nothing yet. At the bench, “Dry now” and “Still wet” on a drying part are compared with the label, and what they teach
        stands here.
      </p>
    )
  return (
    <>
      <ul className="mt-2">
        {lessons.map(({ family, p50, p80, count, label }) => {
          const inForce = learned[family]
          const same = inForce && Math.abs(inForce.p50 - p50) < 0.005 && Math.abs(inForce.p80 - p80) < 0.005
          return (
            <li key={family} className="flex flex-wrap items-center justify-between gap-x-6 gap-y-2 border-b border-line py-3">
              <div className="min-w-0 grow">
                <strong className="text-lg">{capital(getFamily(family).words)}</strong>
                <p>
                  The label says {rangeWords(label[0], label[1])}. Seen {count === 1 ? 'once' : `${count} times`}: usually{' '}
                  {timesWords(p50, house)}, four times in five within {timesWords(p80, house)}.
                </p>
                <p className="text-soft">
                  {inForce
                    ? `In force: ${timesWords(inForce.p50, house)} to ${timesWords(inForce.p80, house)}, from ${inForce.count}.`
                    : 'In force: the label.'}{' '}
                  {!same && `It would open after ${rangeWords(label[0] * p50, label[1] * p80)} at 21 °C and 50 %.`}
                </p>
                <DriesBeside
                  lines={[
                    { words: 'the label', opens: label },
                    { words: 'here', opens: [label[0] * p50, label[1] * p80] },
                  ]}
                />
              </div>
              <TakeUp family={family} canTake={!same} isEnough={count >= enough} isTaken={inForce !== undefined} />
            </li>
          )
        })}
      </ul>
      {figures.length > 0 && (
        <details className="mt-3">
          <summary className="tap underline">What was taken up, and when</summary>
          <ol>
            {figures.map(({ id, family, p50, p80, count, at }, k) => {
              const before = figures.slice(0, k).findLast((each) => each.family === family)
              const said = (each: { p50: number; p80: number; count: number } | undefined) =>
                each && each.count > 0 ? `${timesWords(each.p50, house)} to ${timesWords(each.p80, house)}` : 'the label'
              return (
                <li key={id} className="border-b border-line py-1.5">
                  <span className="text-soft">{dateWords(at, house)}</span> {getFamily(family).words}: {said(before)} →{' '}
                  <strong>{said({ p50, p80, count })}</strong>
                  {count > 0 && `, because of ${count === 1 ? 'one observation' : `${count} observations`}`}
                </li>
              )
            })}
          </ol>
        </details>
      )}
    </>
  )
}
