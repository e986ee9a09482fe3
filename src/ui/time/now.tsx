'use client'
/** One clock for all that shows time: the server's moment first, then the device's, ticking. Tests may hold it still. */
import { createContext, type ReactNode, useContext, useEffect, useState } from 'react'

const NowContext = createContext(0)
const BeatContext = createContext(0)
const tickMs = 1_000
/** how often what is reckoned from the time is reckoned anew; figures that run have the tick */
const beatMs = 10_000

export function NowProvider({ startMs, children }: { startMs: number; children: ReactNode }) {
  const [nowMs, setNowMs] = useState(startMs)
  useEffect(() => {
    const tick = () => setNowMs(Date.now())
    tick()
    const timer = setInterval(tick, tickMs)
    return () => clearInterval(timer)
  }, [])
  return (
    <BeatContext value={Math.floor(nowMs / beatMs) * beatMs}>
      <NowContext value={nowMs}>{children}</NowContext>
    </BeatContext>
  )
}

/** Now in ms since 1970, to ten seconds: for what is too much to reckon every second. */
export const useBeat = (): number => useContext(BeatContext)

/** Now in ms since 1970, to the second. */
export const useNow = (): number => useContext(NowContext)
