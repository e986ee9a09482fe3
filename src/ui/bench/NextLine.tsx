'use client'
/** A step that can be done too: its section as a chip, its words, its buttons. */
import type { StepCard } from '@/core/bench/stepCard'
import { ranMinutes } from '@/core/log/labour'
import { Section } from '@/ui/drawing/Section'
import { useHouse } from '@/ui/form/house'
import { Link } from '@/ui/frame/Link'
import { useNow } from '@/ui/time/now'
import { pastWords, stepTitle } from '@/words/craft'
import { windowWords } from '@/words/window'
import { StepActions } from './StepActions'

export function NextLine({ card, why, late }: { card: StepCard; why: string; late: boolean }) {
  const nowMs = useNow()
  const house = useHouse()
  const ran = card.startedAt && !card.turning ? Math.floor(ranMinutes(card, nowMs)) : null
  const state =
    ran !== null
      ? card.paused
        ? `paused after ${ran} min`
        : `running for ${ran} min`
      : card.window
        ? windowWords(card.window, house, nowMs)
        : why
  return (
    <li className="flex gap-4 border-b border-line py-4">
      <Section model={card.section} className="size-16 shrink-0" />
      <div className="min-w-0 flex-1">
        <h3 className="text-xl font-semibold leading-tight">{stepTitle(card.step)}</h3>
        <p className="text-soft">
          <Link href={`/pieces/${card.pieceId}`}>{card.pieceName}</Link>, {card.partName.toLowerCase()} · about{' '}
          {card.step.minutes} min
        </p>
        <p className={`mb-3 font-semibold ${late ? 'text-late' : ''}`}>
          {state}
          {late && card.window?.past ? `. ${pastWords[card.window.past]}` : ''}
        </p>
        <StepActions card={card} />
      </div>
    </li>
  )
}
