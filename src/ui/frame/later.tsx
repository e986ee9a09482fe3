'use client'
/** What is shown after a tap: its code comes when the page is at rest, so that the page itself is there sooner. */
import { type ComponentType, lazy, type ReactNode, Suspense, useId, useState } from 'react'

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
  return { come, Coming }
}

/** The component that `load` brings; nothing stands in its place until it is there. */
export function later<P extends object>(load: Load<P>): ComponentType<P> {
  const { come, Coming } = coming(load)
  atRest(() => void come())
  return function Later(props: P) {
    return (
      <Suspense fallback={null}>
        <Coming {...props} />
      </Suspense>
    )
  }
}

/** The same of what most pages of its kind never show: it comes where it is shown; what the server drew stands until then. */
export function whereShown<P extends object>(load: Load<P>): ComponentType<P> {
  const { Coming } = coming(load)
  return function WhereShown(props: P) {
    return (
      <Stays>
        {(drawn) => (
          <Suspense fallback={drawn}>
            <Coming {...props} />
          </Suspense>
        )}
      </Stays>
    )
  }
}

/** A change that comes before the code does throws the server's drawing away; a copy of it keeps its place. */
function Stays({ children }: { children: (drawn: ReactNode) => ReactNode }) {
  const id = useId()
  const [drawn] = useState(() => (typeof document === 'undefined' ? '' : (document.getElementById(id)?.innerHTML ?? '')))
  return (
    <div id={id} className="contents">
      {children(drawn && <div className="contents" inert dangerouslySetInnerHTML={{ __html: drawn }} />)}
    </div>
  )
}
