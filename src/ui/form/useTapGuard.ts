'use client'
/** A second tap that lands where another button has just come to stand was meant for the one before: it does nothing. */
import { type MouseEvent, useCallback, useEffect, useState } from 'react'

/** as long as the second half of a double tap may take */
const calmMs = 400

/** A key pressed on a button counts no taps: it was meant for what has the focus. */
export const isKey = ({ detail }: MouseEvent): boolean => detail === 0

export interface Calm {
  /** to be spread over a button that must not catch the tap meant for its forerunner */
  guard: (act: () => void) => { onClick: (event: MouseEvent) => void; 'aria-disabled': true | undefined }
  /** the next taps are the second halves of this one */
  stir: () => void
  calm: boolean
}

/** `stirred`: what this belongs to has just appeared under a finger. */
export function useTapGuard(stirred = false): Calm {
  const [stirs, setStirs] = useState(stirred ? 1 : 0)
  useEffect(() => {
    if (stirs === 0) return
    const timer = setTimeout(() => setStirs(0), calmMs)
    return () => clearTimeout(timer)
  }, [stirs])
  const calm = stirs === 0
  const stir = useCallback(() => setStirs((before) => before + 1), [])
  return {
    calm,
    stir,
    guard: (act) => ({
      onClick: (event) => (calm || isKey(event)) && act(),
      'aria-disabled': calm ? undefined : true,
    }),
  }
}

/** as far apart as the two halves of a double tap may fall */
const nearPx = 24
/** What lies over the page goes with a tap: the second half of it, in the same place, was not meant for what lies below. */
export function useNothingBelow(): void {
  useEffect(() => {
    let last = { x: 0, y: 0, at: -Infinity }
    const note = ({ clientX: x, clientY: y }: PointerEvent) => {
      last = { x, y, at: performance.now() }
    }
    document.addEventListener('pointerdown', note, true)
    return () => {
      document.removeEventListener('pointerdown', note, true)
      const { x, y, at } = last
      if (performance.now() - at > calmMs) return
      const fall = (event: globalThis.MouseEvent) => {
        if (event.detail === 0 || Math.hypot(event.clientX - x, event.clientY - y) > nearPx) return
        event.preventDefault()
        event.stopPropagation()
      }
      document.addEventListener('click', fall, true)
      setTimeout(() => document.removeEventListener('click', fall, true), calmMs)
    }
  }, [])
}
