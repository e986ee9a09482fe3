'use client'
import { useEffect } from 'react'

/** Keeps the screen on for as long as it is wished, and looked at; where the device can't, nothing is lost but that. */
export function useAwake(wished: boolean): void {
  useEffect(() => {
    if (!wished || !('wakeLock' in navigator)) return
    let isOver = false
    let lock: WakeLockSentinel | undefined
    // a screen that was away gave its own back
    const ask = () => {
      if (document.visibilityState !== 'visible') return
      navigator.wakeLock.request('screen').then(
        (got) => {
          if (isOver) void got.release()
          else lock = got
        },
        () => undefined,
      )
    }
    ask()
    document.addEventListener('visibilitychange', ask)
    return () => {
      isOver = true
      document.removeEventListener('visibilitychange', ask)
      void lock?.release()
    }
  }, [wished])
}
