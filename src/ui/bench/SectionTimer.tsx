'use client'
/** For windows of minutes: the whole screen counts one section down; tap anywhere for the next. The screen stays awake. */
import { Dialog } from 'radix-ui'
import { useEffect, useState } from 'react'
import type { SectionClock } from '@/core/finish/sections'
import { NothingBelow, useFocusBack } from '@/ui/frame/Sheet'
import { chime } from '@/ui/time/chime'
import { useAwake } from '@/ui/time/useAwake'
import { sectionDueWords as dueWords, sectionLateWords as lateWords } from '@/words/inSections'

interface Props {
  title: string
  clock: SectionClock
  close: () => void
}
export function SectionTimer({ title, clock, close }: Props) {
  const back = useFocusBack()
  return (
    <Dialog.Root open onOpenChange={close}>
      <Dialog.Portal>
        <Dialog.Content className="fixed inset-0 z-50 bg-ground text-ink" aria-describedby={undefined} onCloseAutoFocus={back}>
          <NothingBelow />
          <Counting {...{ title, clock, close }} />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}

/** told so long before it is time, or a tenth of a long one */
const nearSeconds = (seconds: number) => Math.max(15, Math.min(120, Math.round(seconds / 10)))

function Counting({ title, clock, close }: Props) {
  const { seconds } = clock
  const nearAt = nearSeconds(seconds)
  const [section, setSection] = useState(1)
  const [begun, setBegun] = useState(() => Date.now())
  const [nowMs, setNowMs] = useState(begun)
  useAwake(true)
  useEffect(() => {
    const timer = setInterval(() => setNowMs(Date.now()), 200)
    return () => clearInterval(timer)
  }, [])
  const left = seconds - Math.floor((nowMs - begun) / 1000)
  const near = left <= nearAt
  useEffect(() => {
    if (left === nearAt || left === 0) chime(left === 0 ? 2 : 1)
  }, [left, nearAt])
  const next = () => {
    setSection(section + 1)
    setBegun(Date.now())
    setNowMs(Date.now())
  }
  const shown = Math.abs(left)
  return (
    <div className="flex h-full flex-col">
      <button type="button" onClick={next} className="flex min-h-0 flex-1 flex-col items-center justify-center px-4">
        <Dialog.Title className="text-center text-2xl font-semibold">{title}</Dialog.Title>
        <span className="mt-2 text-2xl text-soft">section {section}</span>
        <span
          role="timer"
          className={`figure text-[38vmin] leading-none ${left < 0 ? 'text-late' : near ? 'text-late' : 'text-now'}`}
        >
          {left < 0 ? '+' : ''}
          {Math.floor(shown / 60)}:{String(shown % 60).padStart(2, '0')}
        </span>
        <span className="mt-2 text-xl font-semibold">
          {left < 0 ? lateWords(clock) : near ? dueWords(clock) : 'Tap anywhere for the next section.'}
        </span>
      </button>
      <div className="flex items-center justify-between gap-4 border-t-2 border-ink p-4">
        <span className="text-lg">{section === 1 ? 'One section so far' : `${section} sections so far`}</span>
        <button type="button" className="press min-h-14 px-8 text-lg" onClick={close}>
          Close
        </button>
      </div>
    </div>
  )
}
