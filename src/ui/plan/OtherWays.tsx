'use client'
/** Other ways to the same part: what each changes, one of them beside this one in full, one tap takes it. */
import { useState } from 'react'
import { type FamilyCode, getFamily } from '@/core/craft/families'
import type { CrossSection } from '@/core/piece/section'
import type { Alternative, Change } from '@/core/plan/alternatives'
import type { PlanFigures } from '@/core/plan/figures'
import { changeWords } from '@/words/change'
import { spanWords } from '@/words/time'
import { SideBySide, type Way } from './SideBySide'

const counted = (n: number, one: string) => `${Math.abs(n)} ${one}${Math.abs(n) === 1 ? '' : 's'}`
const signed = (n: number, words: string) => (n === 0 ? null : `${n > 0 ? '+' : '−'}${words}`)

function againstWords(own: PlanFigures, figures: PlanFigures): string {
  const minutes = figures.minutes - own.minutes
  const days = figures.days - own.days
  const hurried = figures.hurried - own.hurried
  const facts = [
    signed(minutes, spanWords(Math.abs(minutes))),
    signed(days, counted(days, 'day')),
    signed(hurried, counted(hurried, 'short window')),
    figures.lacking.length > 0 ? `to buy: ${figures.lacking.map((code) => getFamily(code).words).join(', ')}` : null,
  ].filter(Boolean)
  return facts.length > 0 ? facts.join(' · ') : 'the same time'
}

export function OtherWays({
  own,
  ways,
  take,
  takeFromShelf,
  draw,
}: {
  own: Way
  ways: readonly Alternative[]
  take: (change: Change) => void
  /** makes do with the shelf; answers with what is lacking where it can't */
  takeFromShelf: () => FamilyCode[]
  draw: (way: Alternative) => CrossSection
}) {
  const [beside, setBeside] = useState<string | null>(null)
  // what the shelf could not give, said of the way it was asked for
  const [asked, setAsked] = useState<{ of: string; lacking: FamilyCode[] } | null>(null)
  if (ways.length === 0) return null
  const wants = own.figures.lacking.join()
  const short = asked?.of === wants ? asked.lacking : []
  return (
    <details className="border-t-2 border-ink">
      <summary className="flex min-h-14 cursor-pointer flex-wrap items-baseline gap-x-4 py-2 sm:min-h-16 sm:py-3">
        <h2 className="title text-2xl sm:text-3xl">Other ways</h2>
        <span className="text-soft">{ways.length}, each against this plan</span>
      </summary>
      <div className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-1">
        {own.figures.lacking.length > 0 && (
          <button type="button" className="press" onClick={() => setAsked({ of: wants, lacking: takeFromShelf() })}>
            Only what is on the shelf
          </button>
        )}
        <span role="status" className={short.length > 0 ? 'font-semibold' : 'text-soft'}>
          {own.figures.lacking.length === 0 && 'This way takes nothing but what is on the shelf.'}
          {short.length > 0 &&
            `The shelf gives no plan for this part. It lacks ${short.map((code) => getFamily(code).words).join(', ')}.`}
        </span>
      </div>
      <ul className="mt-2">
        {ways.map((way) => {
          const words = changeWords(way.change)
          const open = beside === words
          return (
            <li key={words} className="border-b border-line py-1.5">
              <div className="flex flex-wrap items-center justify-between gap-x-4 gap-y-2">
                <span className="min-w-0 flex-1 basis-52">
                  <span className="font-semibold">{words}</span>
                  <span className="block text-soft">{againstWords(own.figures, way.figures)}</span>
                </span>
                <span className="flex gap-2">
                  <button
                    type="button"
                    className="press shrink-0"
                    aria-expanded={open}
                    aria-label={`Side by side: ${words}`}
                    onClick={() => setBeside(open ? null : words)}
                  >
                    Side by side
                  </button>
                  <button
                    type="button"
                    className="press shrink-0"
                    onClick={() => take(way.change)}
                    aria-label={`Take it: ${words}`}
                  >
                    Take it
                  </button>
                </span>
              </div>
              {open && <SideBySide own={own} other={{ figures: way.figures, section: draw(way) }} words={words} />}
            </li>
          )
        })}
      </ul>
    </details>
  )
}
