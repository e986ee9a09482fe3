'use client'
/** What is shown after a tap: its code comes when the page is at rest, so that the page itself is there sooner. */
import { type ComponentType, lazy, Suspense } from 'react'

const againMs = 1_000
/** Asked for again until it is there: a page that stays open outlives a lost connection. */
export async function insist<T>(load: () => Promise<T>): Promise<T> {
  for (;;)
    try {
      return await load()
    } catch {
      await new Promise((wait) => setTimeout(wait, againMs))
    }
}

/** no page is so busy that what a tap opens is not there by then */
const restMs = 1_500
function atRest(work: () => void): void {
  if (typeof window === 'undefined') return
  if ('requestIdleCallback' in window) window.requestIdleCallback(work, { timeout: restMs })
  else setTimeout(work, restMs / 3)
}

type Load<P> = () => Promise<ComponentType<P>>
function coming<P extends object>(load: Load<P>) {
  let asked: Promise<{ default: ComponentType<P> }> | undefined
  const come = () => (asked ??= insist(load).then((component) => ({ default: component })))
  const Coming = lazy(come)
  const Shown: ComponentType<P> = (props) => (
    <Suspense fallback={null}>
      <Coming {...props} />
    </Suspense>
  )
  return { come, Shown }
}

/** The component that `load` brings; nothing stands in its place until it is there. */
export function later<P extends object>(load: Load<P>): ComponentType<P> {
  const { come, Shown } = coming(load)
  atRest(() => void come())
  return Shown
}
/** The same of what most pages of its kind never show: it comes where it is shown. */
export const whereShown = <P extends object>(load: Load<P>): ComponentType<P> => coming(load).Shown
