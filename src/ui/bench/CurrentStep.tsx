'use client'
/** The one thing to do now: its section sawn at the edge of the screen, its figure large enough for two metres. */
import type { StepCard } from '@/core/bench/stepCard'
import { phaseAt } from '@/core/drying/phase'
import { ranMinutes } from '@/core/log/labour'
import type { Judged } from '@/core/piece/judged'
import { Section } from '@/ui/drawing/Section'
import { scaleFor, WindowLine } from '@/ui/drawing/WindowLine'
import { useHouse } from '@/ui/form/house'
import { whereShown } from '@/ui/frame/later'
import { Link } from '@/ui/frame/Link'
import { useNow } from '@/ui/time/now'
import { checkAsks, checkHows } from '@/words/checks'
import { cautionWords, pastWords, stepTitle, whyWords, withWhat } from '@/words/craft'
import { sectionWords } from '@/words/inSections'
import { windowFigure, windowWords } from '@/words/window'
import { Judgement } from './Judgement'
import { StepActions } from './StepActions'

const PatternHere = whereShown(async () => (await import('./PatternHere')).PatternHere)

export function CurrentStep({ card, judged, why }: { card: StepCard; judged: Judged; why: string }) {
  const nowMs = useNow()
  const house = useHouse()
  const { window } = card
  const running = card.startedAt !== null && !card.turning
  const ran = ranMinutes(card, nowMs) * 60_000
  const shown = running ? null : window && windowFigure(window, nowMs)
  const phase = window ? phaseAt(window.segments, nowMs) : null
  return (
    <section aria-labelledby="one-thing" className="relative -mx-4 overflow-hidden sm:mx-0">
      <div className="grid gap-x-8 sm:grid-cols-[17rem_1fr] lg:grid-cols-[23rem_1fr]">
        <Section model={card.section} className="-mb-2 -ml-14 hidden w-[115%] self-end sm:block" />
        <div className="px-4 pb-6 pt-5 sm:px-0 sm:pt-8">
          <div className="flex items-start gap-4">
            <Section model={card.section} className="w-24 shrink-0 sm:hidden" />
            <div>
              <p className="text-lg font-semibold">
                <Link href={`/pieces/${card.pieceId}`}>{card.pieceName}</Link>{' '}
                <span className="text-soft">· {card.partName}</span>
              </p>
              <h1 id="one-thing" className="title mt-1 text-[2.1rem] sm:text-5xl lg:text-6xl">
                {stepTitle(card.step)}
              </h1>
            </div>
          </div>
          <p className="mt-3 text-lg text-soft">
            {[withWhat(card.step), `about ${card.step.minutes} min`].filter(Boolean).join(' · ')}
          </p>
          {card.sections > 1 && <p className="mt-1 text-lg font-semibold">{sectionWords(card.sections)}</p>}
          <div className="mt-5 flex flex-wrap items-end gap-x-8 gap-y-5">
            {running ? (
              <p className="figure text-[6.5rem] text-now sm:text-[8rem]" role="timer" aria-label="Running for">
                {Math.floor(ran / 60_000)}
                <span className="text-[0.45em]">:{String(Math.floor(ran / 1000) % 60).padStart(2, '0')}</span>
                <span className="ml-2 text-2xl font-semibold tracking-normal text-soft sm:text-3xl">
                  {card.paused ? 'paused' : 'running'}
                </span>
              </p>
            ) : shown ? (
              <p className={`figure text-[6.5rem] sm:text-[8rem] ${shown.late || phase === 'gone' ? 'text-late' : 'text-now'}`}>
                {shown.figure}
                <span className="ml-2 text-2xl font-semibold tracking-normal text-soft sm:text-3xl">
                  {shown.unit}{' '}
                  {card.turning
                    ? phase === 'shut'
                      ? 'until it can be turned'
                      : 'dry: turn it'
                    : shown.late
                      ? 'too late'
                      : phase === 'shut'
                        ? 'to go'
                        : 'left'}
                </span>
              </p>
            ) : (
              <p className="figure text-[6.5rem] sm:text-[8rem]">
                {card.step.minutes}
                <span className="ml-2 text-2xl font-semibold tracking-normal text-soft sm:text-3xl">min of work</span>
              </p>
            )}
            <StepActions key={card.stepId} card={card} large />
          </div>
          {window && !running && (
            <div className="mt-6">
              <WindowLine
                segments={window.segments}
                scale={scaleFor(window.segments, nowMs)}
                words={windowWords(window, house, nowMs)}
                className="h-11 w-full"
              />
              <p className={`mt-1 text-lg font-semibold ${phase === 'gone' ? 'text-late' : ''}`}>
                {windowWords(window, house, nowMs)}
                {phase === 'gone' && window.past ? `. ${pastWords[window.past]}` : ''}
              </p>
            </div>
          )}
          {card.pattern && <PatternHere pattern={card.pattern} step={card.step} house={house} />}
          <Judgement judged={judged} className="mt-4" />
          {card.step.cautions.length > 0 && (
            <ul className="mt-4 space-y-1">
              {card.step.cautions.map((code) => (
                <li key={code} className="border-l-4 border-late pl-3 font-semibold">
                  {cautionWords[code]}
                </li>
              ))}
            </ul>
          )}
          <details className="mt-4 text-soft">
            <summary className="tap text-ink underline">Why this, and how it ends</summary>
            <p className="mt-1 max-w-prose">
              {why} {whyWords(card.step)} {card.check && `${checkAsks[card.check]} ${checkHows[card.check]}`}
            </p>
          </details>
        </div>
      </div>
    </section>
  )
}
