'use client'
/** A photograph to point at: tap where it is; the arrow keys move the mark. Shares of width and height from the top left. */
import type { KeyboardEvent, MouseEvent } from 'react'
import type { Mark } from '@/core/log/entry'
import type { Photo } from '@/core/piece/piece'
import { Picture } from './Picture'

const keySteps: Record<string, readonly [dx: number, dy: number]> = {
  ArrowLeft: [-0.02, 0],
  ArrowRight: [0.02, 0],
  ArrowUp: [0, -0.02],
  ArrowDown: [0, 0.02],
}
const within = (share: number) => Math.round(Math.min(1, Math.max(0, share)) * 1000) / 1000

export function MarkOnPhoto({ photo, mark, set }: { photo: Photo; mark: Mark | null; set: (mark: Mark) => void }) {
  const put = (x: number, y: number) => set({ photoId: photo.id, x: within(x), y: within(y) })
  const tap = (event: MouseEvent<HTMLButtonElement>) => {
    // pressed by a key it has no place: the middle is where one begins
    if (event.detail === 0) return put(mark?.x ?? 0.5, mark?.y ?? 0.5)
    const box = event.currentTarget.getBoundingClientRect()
    put((event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height)
  }
  const key = (event: KeyboardEvent) => {
    const step = keySteps[event.key]
    if (!step) return
    event.preventDefault()
    put((mark?.x ?? 0.5) + step[0], (mark?.y ?? 0.5) + step[1])
  }
  const said = mark ? `${Math.round(mark.x * 100)} % from the left, ${Math.round(mark.y * 100)} % from the top` : 'not marked yet'
  return (
    <button
      type="button"
      onClick={tap}
      onKeyDown={key}
      aria-label={`Mark where it is on: ${photo.alt}. ${said}. Arrow keys move the mark.`}
      className="relative block w-full cursor-crosshair overflow-hidden rounded-sm"
    >
      <MarkedPhoto photo={photo} mark={mark} size="large" alt="" />
    </button>
  )
}

/** A photograph with the ring where something is wrong. */
export function MarkedPhoto({
  photo,
  mark,
  size,
  alt,
}: {
  photo: Pick<Photo, 'id' | 'width' | 'height'>
  mark: Mark | null
  size: 'small' | 'large'
  alt: string
}) {
  return (
    <span className="relative block">
      <Picture photoId={photo.id} size={size} alt={alt} width={photo.width} height={photo.height} className="h-auto w-full" />
      {mark && (
        <span
          aria-hidden
          className={`absolute -translate-x-1/2 -translate-y-1/2 rounded-full border-late bg-late/20 outline-2 outline-ground ${size === 'small' ? 'size-5 border-3' : 'size-12 border-4'}`}
          style={{ left: `${mark.x * 100}%`, top: `${mark.y * 100}%` }}
        />
      )}
    </span>
  )
}
