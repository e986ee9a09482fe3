'use client'
/** When something was first pressed: sent again because no answer came, it is the same thing, and the server must know it for that. */
import { useRef } from 'react'
import type { Instant } from '@/core/measure/named'

/** The returned function gives the instant of its first call under a number; under another number it begins anew. */
export function useMoment(number: string): () => string {
  const first = useRef<{ number: string; at: Instant } | null>(null)
  return () => {
    if (first.current?.number !== number) first.current = { number, at: new Date().toISOString() }
    return first.current.at
  }
}
