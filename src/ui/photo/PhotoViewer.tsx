'use client'
/** One photograph as large as the screen, with the next one key away. */
import { Dialog } from 'radix-ui'
import type { KeyboardEvent, ReactNode } from 'react'
import { NothingBelow, useFocusBack } from '@/ui/frame/Sheet'
import { Picture } from './Picture'
import type { StripPhoto } from './stripOf'

interface Props {
  photo: StripPhoto
  caption: ReactNode
  /** to the next one or the one before; null where there is no other */
  turn: ((by: 1 | -1) => void) | null
  close: () => void
}
export function PhotoViewer({ photo, caption, turn, close }: Props) {
  const back = useFocusBack()
  const key = (event: KeyboardEvent) => {
    if (event.key === 'ArrowRight') turn?.(1)
    if (event.key === 'ArrowLeft') turn?.(-1)
  }
  return (
    <Dialog.Root open onOpenChange={close}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-30 bg-black/80" />
        <Dialog.Content
          onKeyDown={key}
          onCloseAutoFocus={back}
          aria-describedby={undefined}
          className="fixed inset-0 z-40 flex flex-col items-center justify-center gap-3 p-4"
        >
          <NothingBelow />
          <Dialog.Title className="sr-only">{photo.alt}</Dialog.Title>
          <Picture
            photoId={photo.id}
            size="large"
            alt={photo.alt}
            width={photo.width}
            height={photo.height}
            className="min-h-0 max-w-full flex-1 rounded-sm object-contain"
          />
          <div className="sheet flex w-full max-w-3xl flex-wrap items-center justify-between gap-3 p-3">
            <p>{caption}</p>
            <div className="flex gap-2">
              {turn && (
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
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
