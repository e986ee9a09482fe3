'use client'
/** What happened at the doors and to what the house goes by, the newest first. */
import { useHouse } from '@/ui/form/house'
import { useNow } from '@/ui/time/now'
import { type Happened, happenedWords } from '@/words/happened'
import { loggedWords } from '@/words/time'

type Line = Happened & { id: number; at: string }

export function HappenedList({ all }: { all: readonly Line[] }) {
  const house = useHouse()
  const nowMs = useNow()
  return (
    <>
      <ul className="mt-2">
        {all.map((each) => (
          <li key={each.id} className="grid grid-cols-[8.5rem_1fr] gap-x-4 border-b border-line py-2">
            <span className="text-soft">{loggedWords(each.at, house, nowMs)}</span>
            <span>{happenedWords(each, house)}</span>
          </li>
        ))}
      </ul>
      <a href="/api/happened" className="press mt-3">
        All of it as CSV
      </a>
    </>
  )
}
