/** A layer pulled to another place: by the mouse at once, by a finger after it has rested on it, so that a page can still be scrolled. */
import { type PointerEvent as ReactPointerEvent, useEffect, useRef, useState } from 'react'

/** px before a press is a pull */
const slack = 5
/** ms that a finger rests before it has hold */
const hold = 260

export interface Drag {
  id: string
  /** place in the list where it would be put down */
  to: number
}
interface Given {
  /** where a pointer at this height, in the drawing's units, would put a layer */
  placeAt: (y: number, id: string) => number
  drop: (id: string, to: number) => void
  /** where it is held; null where it was let go */
  hover: (at: Drag | null) => void
  tap: (id: string) => void
}

export function useDrag({ placeAt, drop, tap, hover }: Given) {
  const svg = useRef<SVGSVGElement>(null)
  const [drag, setDrag] = useState<Drag | null>(null)
  /** scale and top: of the drawing on the screen */
  const held = useRef<{ id: string; startY: number; scale: number; top: number; pulls: boolean; timer: number } | null>(null)
  const frame = useRef(0)
  useEffect(() => {
    const element = svg.current
    // once a layer is held the page stays where it is
    const still = (event: TouchEvent) => {
      if (held.current?.pulls) event.preventDefault()
    }
    element?.addEventListener('touchmove', still, { passive: false })
    return () => element?.removeEventListener('touchmove', still)
  }, [])
  const letGo = () => {
    if (held.current) window.clearTimeout(held.current.timer)
    cancelAnimationFrame(frame.current)
    held.current = null
    setDrag(null)
    hover(null)
  }
  const now = useRef({ placeAt, drop, tap, hover })
  useEffect(() => {
    now.current = { placeAt, drop, tap, hover }
  })
  const follow = (clientY: number) => {
    const layer = held.current
    if (!layer) return
    cancelAnimationFrame(frame.current)
    frame.current = requestAnimationFrame(() => {
      const next = { id: layer.id, to: placeAt((clientY - layer.top) / layer.scale, layer.id) }
      setDrag((before) => (before?.to === next.to ? before : next))
      hover(next)
    })
  }
  /** The layer that is held may be drawn elsewhere meanwhile: the window hears what becomes of it. */
  const listen = () => {
    const move = (event: PointerEvent) => {
      const layer = held.current
      if (!layer) return
      if (!layer.pulls && Math.abs(event.clientY - layer.startY) > slack) {
        // a finger that moves before it has hold scrolls the page
        if (event.pointerType !== 'mouse') return end()
        layer.pulls = true
      }
      if (layer.pulls) follow(event.clientY)
    }
    const release = (event: PointerEvent) => {
      const layer = held.current
      end()
      if (!layer) return
      if (layer.pulls) now.current.drop(layer.id, now.current.placeAt((event.clientY - layer.top) / layer.scale, layer.id))
      else now.current.tap(layer.id)
    }
    const escape = (event: KeyboardEvent) => {
      if (event.key === 'Escape') end()
    }
    const end = () => {
      window.removeEventListener('pointermove', move)
      window.removeEventListener('pointerup', release)
      window.removeEventListener('pointercancel', end)
      window.removeEventListener('keydown', escape)
      letGo()
    }
    window.addEventListener('pointermove', move)
    window.addEventListener('pointerup', release)
    window.addEventListener('pointercancel', end)
    window.addEventListener('keydown', escape)
  }
  return {
    svg,
    drag,
    press: (id: string) => (event: ReactPointerEvent<SVGElement>) => {
      const onScreen = svg.current?.getScreenCTM()
      if (!onScreen || event.button !== 0 || held.current) return
      const { clientY } = event
      const rests = event.pointerType === 'mouse' ? 0 : hold
      const timer =
        rests === 0
          ? 0
          : window.setTimeout(() => {
              if (!held.current) return
              held.current.pulls = true
              follow(clientY)
            }, rests)
      held.current = { id, startY: clientY, scale: onScreen.d, top: onScreen.f, pulls: false, timer }
      listen()
    },
  }
}
