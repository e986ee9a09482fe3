'use client'
/** The sheet of a step that has ended, over whichever page it ended on. */
import { createContext, type ReactNode, useCallback, useContext, useState } from 'react'
import type { StepCard } from '@/core/bench/stepCard'
import type { Reading } from '@/core/drying/windowFor'
import type { Instant } from '@/core/measure/named'
import { later } from '@/ui/frame/later'

const DoneDialog = later(async () => (await import('./DoneDialog')).DoneDialog)

type Open = (card: StepCard, endedAt: Instant, only?: 'coat') => void
const DoneSheetContext = createContext<Open>(() => undefined)
/** Opens the sheet for a step that ended at a moment; nothing opens where there is nothing to say. */
export const useDoneSheet = (): Open => useContext(DoneSheetContext)

export function DoneSheetProvider({ air, children }: { air: Reading | null; children: ReactNode }) {
  const [open, setOpen] = useState<{ card: StepCard; endedAt: Instant } | null>(null)
  const show = useCallback<Open>(
    (card, endedAt, only) => setOpen(card.coat || card.check ? { card: only ? { ...card, check: null } : card, endedAt } : null),
    [],
  )
  return (
    <DoneSheetContext value={show}>
      {children}
      {open && <DoneDialog key={open.card.stepId} {...open} air={air} done={() => setOpen(null)} />}
    </DoneSheetContext>
  )
}
