'use client'
/** What was told, until it is seen; below the ways to other pages, which it would else stand on. */
import { Toast } from 'radix-ui'

const standsMs = 60_000

export interface Told {
  key: string
  words: string
}
export function Toasts({ told, seen }: { told: readonly Told[]; seen: (key: string) => void }) {
  return (
    <Toast.Provider duration={standsMs} swipeDirection="up">
      {told.map(({ key, words }) => (
        <Toast.Root
          key={key}
          className="sheet flex items-center justify-between gap-4 p-3 pl-5"
          onOpenChange={(open) => open || seen(key)}
        >
          <Toast.Title className="text-lg font-semibold">{words}</Toast.Title>
          <Toast.Close className="press">Seen</Toast.Close>
        </Toast.Root>
      ))}
      <Toast.Viewport className="fixed inset-x-4 top-3 z-50 mx-auto grid max-w-xl gap-2 sm:top-20" />
    </Toast.Provider>
  )
}
