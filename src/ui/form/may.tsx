'use client'
/** What whoever is in may write here: a button for what they may not is not shown. */
import { createContext, type ReactNode, useContext, useMemo } from 'react'
import { may, type Role } from '@/core/house/roles'

type May = (what: string) => boolean
const MayContext = createContext<May>(() => true)

export function MayProvider({ role, children }: { role: Role | null; children: ReactNode }) {
  const asked = useMemo<May>(() => (what) => role !== null && may(role, what), [role])
  return <MayContext value={asked}>{children}</MayContext>
}
export const useMay = (): May => useContext(MayContext)

/** What is shown to who may write what it leads to. */
export const Mine = ({ what, children }: { what: string; children: ReactNode }) => (useMay()(what) ? children : null)
