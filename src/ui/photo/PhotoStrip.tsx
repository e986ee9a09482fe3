'use client'
/** A piece's photographs in the order they were taken, along a line of time; each opens large, with the next one key away. */
import { useState } from 'react'
import { later } from '@/ui/frame/later'
import { Picture } from './Picture'
import type { StripPhoto } from './stripOf'

const PhotoViewer = later(async () => (await import('./PhotoViewer')).PhotoViewer)

export function PhotoStrip({ photos }: { photos: readonly StripPhoto[] }) {
  const [at, setAt] = useState<number | null>(null)
  const open = at === null ? undefined : photos[at]
  const caption = ({ moment, shows, taken }: StripPhoto) => (
    <>
      <strong className="block">{shows || moment}</strong>
      <span className="text-soft">{taken}</span>
    </>
  )
  const turn = (by: number) => setAt((now) => (now === null ? null : (now + by + photos.length) % photos.length))
  return (
    <>
      <ol
        aria-label="Photographs in the order they were taken"
        className="mt-3 flex snap-x gap-3 overflow-x-auto pb-3"
        // a strip that scrolls is reached by keys too
        tabIndex={0}
      >
        {photos.map((photo, k) => (
          <li key={photo.id} className="w-40 shrink-0 snap-start">
            <button
              type="button"
              className="block w-full cursor-zoom-in"
              onClick={() => setAt(k)}
              aria-haspopup="dialog"
              aria-label={`Larger: ${photo.alt}`}
            >
              <Picture
                photoId={photo.id}
                size="small"
                alt={photo.alt}
                width={photo.width}
                height={photo.height}
                loading="lazy"
                className="h-32 w-full rounded-sm object-cover"
              />
            </button>
            <p className="mt-2 border-t-2 border-ink pt-1 text-sm leading-snug">{caption(photo)}</p>
          </li>
        ))}
      </ol>
      {open && (
        <PhotoViewer photo={open} caption={caption(open)} turn={photos.length > 1 ? turn : null} close={() => setAt(null)} />
      )}
    </>
  )
}
