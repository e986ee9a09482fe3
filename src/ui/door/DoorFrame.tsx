/** The door's own page: what it is on the one side, who comes in on the other. On a phone the drawing stays outside. */
import type { ReactNode } from 'react'
import { DoorDrawing } from './DoorDrawing'

export function DoorFrame({ title, words, children }: { title: string; words?: ReactNode; children: ReactNode }) {
  return (
    <div className="mx-auto grid min-h-dvh max-w-[78rem] px-4 sm:px-6 lg:grid-cols-[minmax(0,30rem)_minmax(0,1fr)] lg:gap-20">
      <div className="hidden lg:flex lg:items-end">
        <DoorDrawing className="max-h-[90dvh] w-full" />
      </div>
      <main id="main" className="max-w-xl self-center py-10">
        <p className="title text-2xl">Itinerum</p>
        <h1 className="title mt-6 text-5xl sm:text-6xl">{title}</h1>
        {words && <p className="mt-3 max-w-prose text-lg text-soft">{words}</p>}
        {children}
      </main>
    </div>
  )
}
