'use client'
/** What is wrong with a part, asked over the page where the part was tapped. */
import { Dialog } from 'radix-ui'
import { SnagForm, type SnagOn } from '@/ui/bench/SnagForm'
import { Sheet } from '@/ui/frame/Sheet'

export function SnagSheet({ on, spot, close }: { on: SnagOn; spot: number | null; close: () => void }) {
  return (
    <Dialog.Root open onOpenChange={close}>
      <Sheet>
        <p className="eyebrow">{on.pieceName}</p>
        <Dialog.Title className="title text-3xl">{on.partName}: what is wrong?</Dialog.Title>
        <Dialog.Description className="mb-4 text-soft">The plan grows by what mends it.</Dialog.Description>
        <SnagForm on={on} begun={spot} done={close} />
        <Dialog.Close className="press mt-3 min-h-14">Nothing is wrong</Dialog.Close>
      </Sheet>
    </Dialog.Root>
  )
}
