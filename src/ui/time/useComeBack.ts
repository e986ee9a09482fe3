'use client'
/** Goes on by itself where a page could not be shown: asks for the records until they answer, then shows the page again. */
import { useEffect } from 'react'
import { recordsAnswer } from './recordsAnswer'

const firstMs = 1_500
const longestMs = 30_000
/** a page that fails again and again is tried ever more rarely; what went well for so long is forgotten */
const forgottenMs = 120_000
const before = { tries: 0, atMs: 0 }

export function useComeBack(showAgain: () => void): void {
  useEffect(() => {
    if (Date.now() - before.atMs > forgottenMs) before.tries = 0
    const everyMs = Math.min(longestMs, firstMs * 2 ** before.tries)
    const timer = setInterval(() => {
      void recordsAnswer().then((there) => {
        if (!there) return
        clearInterval(timer)
        before.tries += 1
        before.atMs = Date.now()
        showAgain()
      })
    }, everyMs)
    return () => clearInterval(timer)
  }, [showAgain])
}
