'use client'
/** A sheet laid over the page: from below on a phone, in the middle of a desk. */
import { Dialog } from 'radix-ui'
import type { ComponentProps } from 'react'
import { useNothingBelow } from '@/ui/form/useTapGuard'

const place =
  'sheet fixed inset-x-0 bottom-0 z-40 max-h-[92dvh] overflow-y-auto p-5 sm:inset-x-auto sm:bottom-auto sm:left-1/2 sm:top-1/2 sm:w-[40rem] sm:-translate-x-1/2 sm:-translate-y-1/2 sm:p-7'

/** Inside a `Dialog.Root`, which says whether it lies there. */
export function Sheet({ children, ...props }: Omit<ComponentProps<typeof Dialog.Content>, 'className'>) {
  return (
    <Dialog.Portal>
      <Dialog.Overlay className="fixed inset-0 z-30 bg-black/50" />
      <Dialog.Content {...props} className={place}>
        <NothingBelow />
        {children}
      </Dialog.Content>
    </Dialog.Portal>
  )
}
/** Stands in the sheet for as long as it lies there. */
export function NothingBelow() {
  useNothingBelow()
  return null
}
