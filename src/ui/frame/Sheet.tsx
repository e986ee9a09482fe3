'use client'
/** A sheet laid over the page: from below on a phone, in the middle of a desk. */
import { Dialog } from 'radix-ui'
import { type ComponentProps, useState } from 'react'
import { isKey, useNothingBelow, useTapGuard } from '@/ui/form/useTapGuard'

const place =
  'sheet fixed inset-x-0 bottom-0 z-40 max-h-[92dvh] overflow-y-auto p-5 sm:inset-x-auto sm:bottom-auto sm:left-1/2 sm:top-1/2 sm:w-[40rem] sm:-translate-x-1/2 sm:-translate-y-1/2 sm:p-7'

/** Inside a `Dialog.Root`; there for as long as it is open. */
export function Sheet({ children, ...props }: Omit<ComponentProps<typeof Dialog.Content>, 'className'>) {
  const back = useFocusBack()
  // the second half of the double tap that opened it presses nothing on it, and does not close it
  const { calm } = useTapGuard(true)
  return (
    <Dialog.Portal>
      <Dialog.Overlay className="fixed inset-0 z-30 bg-black/50" />
      <Dialog.Content
        onCloseAutoFocus={back}
        onPointerDownOutside={(event) => calm || event.preventDefault()}
        onClickCapture={(event) => {
          if (calm || isKey(event)) return
          event.preventDefault()
          event.stopPropagation()
        }}
        {...props}
        className={place}
      >
        <NothingBelow />
        <div role="group" aria-disabled={calm ? undefined : true}>
          {children}
        </div>
      </Dialog.Content>
    </Dialog.Portal>
  )
}
/** Keys go on from where they were before a sheet lay there, whatever opened it; for `onCloseAutoFocus`. */
export function useFocusBack(): (event: Event) => void {
  const [opener] = useState(() => (typeof document === 'undefined' ? null : document.activeElement))
  return (event) => {
    if (!(opener instanceof HTMLElement || opener instanceof SVGElement) || !opener.isConnected || opener === document.body)
      return
    event.preventDefault()
    opener.focus()
  }
}
/** Stands in the sheet for as long as it lies there. */
export function NothingBelow() {
  useNothingBelow()
  return null
}
