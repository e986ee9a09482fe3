/** What a worker reckons, out of the page's sight: asked anew where the question is another, or it came to nothing and is asked once more. */
import { useDeferredValue, useEffect, useState } from 'react'

export interface FromWorker<A> {
  /** the last that came, also while a newer question is reckoned; null until there is one */
  answer: A | null
  /** whether it answers what is asked now */
  isNewest: boolean
  /** no worker could be had, or it stopped */
  failed: boolean
  again: () => void
}

/** `begin`, always the same, makes a worker that is posted the question and posts the answer. `ask`: plain data; null where nothing is asked. */
export function useFromWorker<Ask, A>(begin: () => Worker, ask: Ask | null): FromWorker<A> {
  const [found, setFound] = useState<{ to: string; answer: A | null } | null>(null)
  const [tries, setTries] = useState(1)
  // a page read anew brings the same question as another object, and what is being pulled is not asked at every step
  const asked = useDeferredValue(ask === null ? '' : JSON.stringify(ask))
  useEffect(() => {
    if (asked === '') return
    const worker = begin()
    worker.onmessage = ({ data }: MessageEvent<A>) => setFound({ to: asked, answer: data })
    worker.onerror = () => setFound({ to: asked, answer: null })
    worker.postMessage(JSON.parse(asked))
    return () => worker.terminate()
  }, [begin, asked, tries])
  const isNewest = found !== null && found.to === asked
  return {
    answer: found?.answer ?? null,
    isNewest,
    failed: isNewest && found.answer === null,
    again: () => {
      setFound(null)
      setTries(tries + 1)
    },
  }
}
