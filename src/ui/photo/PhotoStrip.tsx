'use client'
/** A piece's photographs in the order they were taken, along a line of time; each opens large, with the next one key away. */
import { Dialog } from 'radix-ui'
import { type KeyboardEvent, useRef, useState } from 'react'
import type { Photo } from '@/core/piece/piece'
import { useHouse } from '@/ui/form/house'
import { NothingBelow } from '@/ui/frame/Sheet'
import { useNow } from '@/ui/time/now'
import { loggedWords } from '@/words/time'
import { Picture } from './Picture'

export interface StripPhoto extends Photo {
  /** "Top, coat 1 of 2" */
  shows: string
}

export function PhotoStrip({ photos }: { photos: readonly StripPhoto[] }) {
  const [at, setAt] = useState<number | null>(null)
  const opener = useRef<HTMLButtonElement | null>(null)
  const house = useHouse()
  const nowMs = useNow()
  const open = at === null ? undefined : photos[at]
  const caption = ({ moment, shows, takenAt }: StripPhoto) => (
    <>
      <strong className="block">{shows || moment}</strong>
      <span className="text-soft">{loggedWords(takenAt, house, nowMs)}</span>
    </>
  )
  const turn = (by: number) => setAt((now) => (now === null ? null : (now + by + photos.length) % photos.length))
  const key = (event: KeyboardEvent) => {
    if (event.key === 'ArrowRight') turn(1)
    if (event.key === 'ArrowLeft') turn(-1)
  }
  return (
    <Dialog.Root open={open !== undefined} onOpenChange={(next) => !next && setAt(null)}>
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
              onClick={(event) => {
                opener.current = event.currentTarget
                setAt(k)
              }}
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
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-30 bg-black/80" />
        <Dialog.Content
          onKeyDown={key}
          // whoever goes by keys goes on from where it was opened
          onCloseAutoFocus={(event) => {
            event.preventDefault()
            opener.current?.focus()
          }}
          aria-describedby={undefined}
          className="fixed inset-0 z-40 flex flex-col items-center justify-center gap-3 p-4"
        >
          <NothingBelow />
          {open && (
            <>
              <Dialog.Title className="sr-only">{open.alt}</Dialog.Title>
              <Picture
                photoId={open.id}
                size="large"
                alt={open.alt}
                width={open.width}
                height={open.height}
                className="min-h-0 max-w-full flex-1 rounded-sm object-contain"
              />
              <div className="sheet flex w-full max-w-3xl flex-wrap items-center justify-between gap-3 p-3">
                <p>{caption(open)}</p>
                <div className="flex gap-2">
                  {photos.length > 1 && (
                    <>
                      <button type="button" className="press" onClick={() => turn(-1)}>
                        Earlier
                      </button>
                      <button type="button" className="press" onClick={() => turn(1)}>
                        Later
                      </button>
                    </>
                  )}
                  <Dialog.Close className="press">Close</Dialog.Close>
                </div>
              </div>
            </>
          )}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
