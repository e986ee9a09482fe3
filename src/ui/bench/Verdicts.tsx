'use client'
/** The check that ends a step, in its own words, and the three answers to it. */
import { Dialog } from 'radix-ui'
import type { CheckCode } from '@/core/craft/operations'
import { checkAsks, checkHows } from '@/words/checks'
import { Torch } from './Torch'

/** judged by a lamp that is held low */
const byLamp: readonly CheckCode[] = ['no-shine', 'raking-light', 'lap-marks']

export type Judged = 'pass' | 'later' | 'fail'

export function Question({ check }: { check: CheckCode | null }) {
  if (!check) return null
  return (
    <div className="mt-3 border-l-4 border-now pl-3">
      <strong className="block text-xl">{checkAsks[check]}</strong>
      <span className="text-soft">{checkHows[check]}</span>
      {byLamp.includes(check) && <Torch />}
    </div>
  )
}

export function Verdicts({
  words,
  judge,
  check,
  pending,
}: {
  words: string
  judge: (verdict: Judged) => void
  check: boolean
  pending?: boolean
}) {
  return (
    <div className="flex flex-wrap items-center justify-between gap-3">
      <button
        type="submit"
        disabled={pending}
        onClick={() => judge('pass')}
        className="press press-now min-h-16 basis-full px-6 text-xl sm:order-last sm:flex-1 sm:basis-auto"
      >
        {words}
      </button>
      {check ? (
        <>
          <button type="submit" disabled={pending} onClick={() => judge('later')} className="press min-h-14">
            Look later
          </button>
          <button type="submit" disabled={pending} onClick={() => judge('fail')} className="press min-h-14">
            Something is wrong
          </button>
        </>
      ) : (
        <Dialog.Close className="press min-h-14">Not now</Dialog.Close>
      )}
    </div>
  )
}
