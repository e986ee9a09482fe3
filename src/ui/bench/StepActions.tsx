'use client'
/** One tap starts, one ends; pausing; what was forgotten is typed or dragged: "it took 35 min". */
import { type MouseEvent, useState } from 'react'
import type { StepCard } from '@/core/bench/stepCard'
import { phaseAt } from '@/core/drying/phase'
import type { SectionClock } from '@/core/finish/sections'
import { isForgotten, ranMinutes } from '@/core/log/labour'
import type { Instant } from '@/core/measure/named'
import { Trouble } from '@/ui/form/Field'
import { useTapGuard } from '@/ui/form/useTapGuard'
import { later, whereShown } from '@/ui/frame/later'
import { useNow } from '@/ui/time/now'
import { stepTitle } from '@/words/craft'
import { issueWords } from '@/words/issues'
import { spanWords } from '@/words/time'
import { useDoneSheet } from './DoneSheet'
import { useStep } from './useStep'

const TookForm = later(async () => (await import('./TookForm')).TookForm)
const StepPhoto = whereShown(async () => (await import('@/ui/photo/AddPhotos')).StepPhoto)
const ChangeWaits = whereShown(async () => (await import('./ChangeWaits')).ChangeWaits)
const MixButton = whereShown(async () => (await import('./MixButton')).MixButton)
const RemedyButton = whereShown(async () => (await import('./RemedyButton')).RemedyButton)
const SectionTimer = later(async () => (await import('./SectionTimer')).SectionTimer)

export function StepActions({ card, large = false }: { card: StepCard; large?: boolean }) {
  const step = useStep(card)
  const nowMs = useNow()
  const showDone = useDoneSheet()
  const [asking, setAsking] = useState(false)
  const { guard, stir } = useTapGuard()
  const { status } = step.clock
  const paused = status === 'paused'
  const running = status === 'running' || paused
  const size = large ? 'min-h-16 px-8 text-2xl' : ''
  const ran = ranMinutes(step.clock, nowMs)
  const forgotten = status === 'running' && isForgotten(ran, card.step.minutes)
  const phase = card.window ? phaseAt(card.window.segments, nowMs) : null
  // laid on two sides: the first, a wait until it can lie on it, the second
  const turning = paused && step.clock.laidAt !== null
  const first = status === 'running' && card.step.turns !== undefined && step.clock.laidAt === null

  const finish = (at: Instant, minutes: string) => {
    showDone(card, at)
    void step.end(at, minutes)
    setAsking(false)
  }
  const tap = (act: () => void) =>
    guard(() => {
      stir()
      act()
    })
  if (status === 'done' || status === 'left-out') return <p className="font-semibold text-soft">Done. On its way into the log.</p>
  return (
    <div>
      {forgotten && (
        <p className="mb-3 border-l-4 border-late pl-3 font-semibold">
          This clock has run {spanWords(ran)} for a step of {card.step.minutes} min. Was it forgotten? Say how long it took.
        </p>
      )}
      <div className="flex flex-wrap items-center gap-3">
        {turning && (
          <Main
            words={phase === 'shut' ? 'Turn it all the same' : 'Turned: the second side'}
            {...{ step, size }}
            {...tap(() => void step.resume())}
          />
        )}
        {first && <Main words="First side laid" {...{ step, size }} {...tap(() => void step.laySide())} />}
        {card.waits && !running ? (
          <ChangeWaits pieceId={card.pieceId} />
        ) : running ? (
          <Main words="Done" {...{ step, size }} beside={turning || first} {...tap(() => finish(new Date().toISOString(), ''))} />
        ) : (
          <Main
            words={phase === 'shut' ? 'Start all the same' : 'Start'}
            said="Start"
            {...{ step, size }}
            {...tap(() => void step.start())}
          />
        )}
        {running && !turning && (
          <button
            type="button"
            className="press"
            {...tap(() => void (paused ? step.resume() : step.pause()))}
            data-key="p"
            aria-label={`${paused ? 'Go on' : 'Pause'}: ${step.name}`}
          >
            {paused ? 'Go on' : 'Pause'}
          </button>
        )}
        {running && card.sectionClock && <BySections title={stepTitle(card.step)} clock={card.sectionClock} />}
        <button type="button" className="press" aria-expanded={asking} onClick={() => setAsking(!asking)}>
          {running ? 'It took…' : 'Done already…'}
        </button>
        {card.coat?.making && <MixButton card={card} plan={card.coat} making={card.coat.making} />}
        {running && <StepPhoto card={card} />}
        {!running && phase === 'gone' && card.window?.remedy && <RemedyButton card={card} remedy={card.window.remedy} />}
      </div>
      {(asking || forgotten) && <TookForm step={step} running={running} nowMs={nowMs} finish={finish} />}
      <div className="mt-3 empty:hidden">
        <Trouble>{step.issue ? issueWords[step.issue] : null}</Trouble>
      </div>
    </div>
  )
}

/** Counts section by section, the whole screen for it. */
function BySections(counted: { title: string; clock: SectionClock }) {
  const [open, setOpen] = useState(false)
  return (
    <>
      <button type="button" className="press" aria-haspopup="dialog" aria-expanded={open} onClick={() => setOpen(true)}>
        By sections
      </button>
      {open && <SectionTimer {...counted} close={() => setOpen(false)} />}
    </>
  )
}

interface MainProps {
  words: string
  /** how it is called, where its words change with the clock */
  said?: string
  step: ReturnType<typeof useStep>
  size: string
  /** another is the thing to press */
  beside?: boolean
  onClick: (event: MouseEvent) => void
  'aria-disabled': true | undefined
}

/** What there is to press now; the key presses the first of them. */
function Main({ words, said = words, step, size, beside = false, ...guarded }: MainProps) {
  return (
    <button
      type="button"
      {...guarded}
      className={beside ? 'press' : `press press-now ${size}`}
      data-key={beside ? undefined : 's'}
      aria-label={`${said}: ${step.name}`}
    >
      {words}
    </button>
  )
}
