'use client'
/** The phone's own lamp, where it can be had: held low along a face it shows what daylight hides. It goes out with the sheet. */
import { useEffect, useRef, useState, useSyncExternalStore } from 'react'

const never = () => () => undefined
/** What a browser that knows the lamp asks of it; the types of the web don't yet. */
interface Lamp {
  torch?: boolean
}
const knowsLamp = (): boolean =>
  Boolean((navigator.mediaDevices?.getSupportedConstraints() as Lamp | undefined)?.torch) &&
  window.matchMedia('(pointer: coarse)').matches

/** The stream whose lamp is on. Throws where this device has none, or nobody may use it. */
async function lit(): Promise<MediaStream> {
  const stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } })
  const [track] = stream.getVideoTracks()
  try {
    if (!(track?.getCapabilities() as Lamp | undefined)?.torch) throw new Error('no lamp')
    await track?.applyConstraints({ advanced: [{ torch: true } as MediaTrackConstraintSet] })
    return stream
  } catch (error) {
    putOut(stream)
    throw error
  }
}
const putOut = (stream: MediaStream | null): void => stream?.getTracks().forEach((track) => track.stop())

export function Torch() {
  const knows = useSyncExternalStore(never, knowsLamp, () => false)
  const burning = useRef<MediaStream | null>(null)
  const isHere = useRef(true)
  const [state, setState] = useState<'off' | 'coming' | 'on' | 'none'>('off')
  useEffect(() => {
    isHere.current = true
    return () => {
      isHere.current = false
      putOut(burning.current)
      burning.current = null
    }
  }, [])
  const toggle = async () => {
    if (state === 'coming') return
    if (state === 'on') {
      putOut(burning.current)
      burning.current = null
      return setState('off')
    }
    setState('coming')
    const stream = await lit().catch(() => null)
    // the sheet was shut while it came
    if (!isHere.current) return putOut(stream)
    burning.current = stream
    setState(stream ? 'on' : 'none')
  }
  if (!knows) return null
  return (
    <span className="mt-2 flex flex-wrap items-center gap-3">
      <button
        type="button"
        className="press min-h-14 px-5 aria-pressed:outline-3 aria-pressed:outline-now"
        aria-pressed={state === 'on'}
        onClick={() => void toggle()}
      >
        The phone’s lamp
      </button>
      <span role="status">{state === 'none' ? 'It has none that a page may light. Hold another lamp low.' : ''}</span>
    </span>
  )
}
