'use client'
/** What happened at the doors and to what the house goes by, the newest first. */
import type { HappenedGroup } from '@/core/house/doorEvents'
import { useHouse } from '@/ui/form/house'
import { Link } from '@/ui/frame/Link'
import { useNow } from '@/ui/time/now'
import { type Happened, happenedWords } from '@/words/happened'
import { loggedWords } from '@/words/time'

type Line = Happened & { id: number; at: string }

const groupWords: Record<HappenedGroup | 'all', string> = {
  all: 'Everything',
  doors: 'At the door',
  people: 'People',
  house: 'Prices, plans, terms',
}

/** `group`: what is shown alone; null: everything. */
export function HappenedList({ all, group }: { all: readonly Line[]; group: HappenedGroup | null }) {
  const house = useHouse()
  const nowMs = useNow()
  return (
    <>
      <nav aria-label="Show" className="mt-3 flex flex-wrap gap-2">
        {Object.entries(groupWords).map(([code, words]) => (
          <Link
            key={code}
            href={`/house/doors${code === 'all' ? '' : `?of=${code}`}#happened`}
            scroll={false}
            aria-current={code === (group ?? 'all') ? 'true' : undefined}
            className={`press px-3 ${code === (group ?? 'all') ? 'press-now' : ''}`}
          >
            {words}
          </Link>
        ))}
      </nav>
      <ul className="mt-3">
        {all.length === 0 && <li className="text-soft">Nothing of it yet.</li>}
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
