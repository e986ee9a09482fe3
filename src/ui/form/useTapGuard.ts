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
