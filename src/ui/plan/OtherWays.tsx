'use client'
/** Other ways to the same part, each with what it changes in minutes, days and what must be bought; one tap takes it. */
import { getFamily } from '../../core/finish/families'
import { getLook } from '../../core/finish/looks'
import { schools } from '../../core/finish/method'
import { getSeal } from '../../core/finish/seals'
import type { Alternative, Change, PlanFigures } from '../../core/plan/alternatives'
import { schoolWords } from '../words/method'
import { spanWords } from '../words/time'

function changeWords(change: Change): string {
  if (change.kind === 'look') return `Look: ${getLook(change.to).words.toLowerCase()}`
  if (change.kind === 'paint') return `In ${getFamily(change.to).words}`
  if (change.kind === 'seal') return `Topcoat: ${getSeal(change.to).words}`
  return `${schoolWords[change.code]}: ${(schools[change.code] as Record<string, string>)[change.to]}`
}
const counted = (n: number, one: string) => `${Math.abs(n)} ${one}${Math.abs(n) === 1 ? '' : 's'}`
const signed = (n: number, words: string) => (n === 0 ? null : `${n > 0 ? '+' : '−'}${words}`)

export function OtherWays({
  own,
  ways,
  take,
}: {
  own: PlanFigures
  ways: readonly Alternative[]
  take: (change: Change) => void
}) {
  if (ways.length === 0) return null
  return (
    <section aria-labelledby="other-ways" className="mt-10 border-t-2 border-ink pt-4">
      <h2 id="other-ways" className="title text-3xl">
        Other ways
      </h2>
      <p className="text-soft">Each against this plan. Quickest first.</p>
      <ul className="mt-2">
        {ways.map(({ change, figures }) => {
          const words = changeWords(change)
          const days = figures.days - own.days
          const minutes = figures.minutes - own.minutes
          const facts = [
            signed(minutes, spanWords(Math.abs(minutes))),
            signed(days, counted(days, 'day')),
            signed(figures.hurried - own.hurried, counted(figures.hurried - own.hurried, 'short window')),
            figures.lacking.length > 0 ? `to buy: ${figures.lacking.map((code) => getFamily(code).words).join(', ')}` : null,
          ].filter(Boolean)
          return (
            <li key={words} className="flex items-center justify-between gap-4 border-b border-line py-1.5">
              <span>
                <span className="font-semibold">{words}</span>
                <span className="block text-soft">{facts.length > 0 ? facts.join(' · ') : 'the same time'}</span>
              </span>
              <button type="button" className="press shrink-0" onClick={() => take(change)} aria-label={`Take it: ${words}`}>
                Take it
              </button>
            </li>
          )
        })}
      </ul>
    </section>
  )
}
