/** A bench with nothing on it: what to do first, in order, each with what is known of it already. */
import type { ReactNode } from 'react'
import type { Studio } from '@/core/house/studio'
import { formatMoney } from '@/core/measure/money'
import { Link } from '@/ui/frame/Link'
import { unitWords } from '@/words/measure'

interface Props {
  studio: Studio
  /** asks how the house reckons, until somebody has said so */
  start: ReactNode
  /** tins on the shelf */
  tins: number
}

export function FirstSteps({ studio, start, tins }: Props) {
  const { currency, zone, units, hourRate, kept } = studio
  const steps = [
    {
      key: 'house',
      title: 'Say how you reckon',
      words: kept
        ? `${currency}, ${zone.replaceAll('_', ' ')}, ${unitWords[units]}, ${formatMoney(hourRate, studio)} an hour of work.`
        : 'Prices, times and measures follow it. It can be changed at any time, on the house’s page.',
      form: kept ? null : start,
      href: '/house',
      act: 'Look at the house',
      done: kept,
    },
    {
      key: 'tin',
      title: 'Put a first tin on the shelf',
      words:
        tins > 0
          ? `${tins === 1 ? 'One tin stands' : `${tins} tins stand`} there.`
          : 'What you paint with, its size and what it cost: coats take from it, and you see what is left.',
      href: '/shelf',
      act: tins > 0 ? 'To the shelf' : 'Put a tin there',
      form: null,
      done: tins > 0,
    },
    {
      key: 'piece',
      title: 'Take a piece in',
      words: 'Where from, for how much, its parts and what they measure. Then choose a finish, and the steps stand here.',
      href: '/pieces/new',
      act: 'Take a piece in',
      form: null,
      done: false,
    },
  ]
  const next = steps.find(({ done }) => !done)
  return (
    <div className="pt-6">
      <p className="eyebrow">The bench</p>
      <h1 className="title max-w-prose text-5xl">Nothing is on the bench</h1>
      <ol className="mt-8 max-w-3xl border-t-2 border-ink">
        {steps.map(({ key, title, words, href, act, form, done }, k) => (
          <li
            key={key}
            className="grid grid-cols-[4rem_1fr] items-start gap-x-4 border-b border-line py-6 sm:grid-cols-[5rem_1fr_auto]"
          >
            <span className={`figure text-6xl leading-none ${done ? 'text-soft' : 'text-now'}`} aria-hidden>
              {done ? '✓' : k + 1}
            </span>
            <div className={form ? 'sm:col-span-2' : ''}>
              <h2 className="title text-3xl">{title}</h2>
              <p className="mt-1 text-lg text-soft">{words}</p>
              {form}
            </div>
            {!form && (
              <Link
                href={href}
                className={`press col-start-2 mt-4 justify-self-start px-6 text-lg sm:col-start-3 sm:mt-0 sm:self-center ${key === next?.key ? 'press-now min-h-14' : ''}`}
              >
                {act}
              </Link>
            )}
          </li>
        ))}
      </ol>
    </div>
  )
}
