'use client'
/** What happened at the doors and to what the house goes by, the newest first. */
import type { ChangedFacts, DoorEvent, HouseThing } from '@/core/house/doorEvents'
import type { Role } from '@/core/house/roles'
import { useHouse } from '@/ui/form/house'
import { useNow } from '@/ui/time/now'
import { happenedWords } from '@/words/happened'
import { loggedWords } from '@/words/time'

interface Happened {
  id: number
  at: string
  what: DoorEvent
  by: string | null
  about: string | null
  role: Role | null
  agent: string | null
  thing: HouseThing | null
  named: string | null
  facts: ChangedFacts | null
}

export function HappenedList({ all }: { all: readonly Happened[] }) {
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
