'use client'
/** The air as it was last read, and a new reading: every window follows. */
import { useState } from 'react'
import type { Room } from '@/core/climate/rooms'
import { referenceAir } from '@/core/drying/air'
import type { Reading } from '@/core/drying/windowFor'
import { useHouse } from '@/ui/form/house'
import { later } from '@/ui/frame/later'
import { Link } from '@/ui/frame/Link'
import { useNow } from '@/ui/time/now'
import { airWords } from '@/words/measure'
import { momentWords } from '@/words/time'

const ReadingForm = later(async () => (await import('./ReadingForm')).ReadingForm)

export function AirLine({
  air,
  rooms = [],
  silent = false,
  week = true,
}: {
  air: Reading | null
  rooms?: readonly Room[]
  /** nothing believed has been read for hours */
  silent?: boolean
  /** whether to lead to the week's air */
  week?: boolean
}) {
  const nowMs = useNow()
  const house = useHouse()
  const [asking, setAsking] = useState(false)
  return (
    <div>
      <p className="flex flex-wrap items-center gap-x-4">
        <span className="text-lg">
          Air <strong>{airWords(air ?? referenceAir, house)}</strong>{' '}
          <span className="text-soft">{air ? `read ${momentWords(air.at, house, nowMs)}` : 'assumed, nothing read yet'}</span>
        </span>
        <button type="button" className="press" aria-expanded={asking} onClick={() => setAsking(!asking)}>
          New reading
        </button>
        {week && (
          <Link href="/air" className="tap">
            The week’s air
          </Link>
        )}
      </p>
      {silent && <p className="font-semibold text-late">No believed reading for hours: the last one holds until there is one.</p>}
      {asking && <ReadingForm air={air} rooms={rooms} done={() => setAsking(false)} />}
    </div>
  )
}
