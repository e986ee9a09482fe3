'use client'
/** Whether something folded away is unfolded, also where that was done before the page was awake. */
import { type RefObject, type SyntheticEvent, useEffect, useRef, useState } from 'react'

interface Unfolded {
  open: boolean
  /** for the `details` itself */
  unfolding: { ref: RefObject<HTMLDetailsElement | null>; onToggle: (event: SyntheticEvent<HTMLDetailsElement>) => void }
  fold: () => void
}
export function useUnfolded(): Unfolded {
  const ref = useRef<HTMLDetailsElement>(null)
  const [open, setOpen] = useState(false)
  useEffect(() => setOpen(ref.current?.open ?? false), [])
  return {
    open,
    unfolding: { ref, onToggle: ({ currentTarget }) => setOpen(currentTarget.open) },
    fold: () => {
      if (ref.current) ref.current.open = false
    },
  }
}
