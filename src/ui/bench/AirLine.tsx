'use client'
/** The air as it was last read, and a new reading: every window follows. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { Room } from '@/core/climate/rooms'
import { referenceAir } from '@/core/drying/air'
import type { Reading } from '@/core/drying/windowFor'
import { readingInput, type ReadingText } from '@/core/input/entry'
import { useActions } from '@/ui/form/actions'
import { ChoiceField, TextField, Trouble } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { useEntryForm } from '@/ui/form/useEntryForm'
import { Link } from '@/ui/frame/Link'
import { useNow } from '@/ui/time/now'
import { airWords } from '@/words/measure'
import { momentWords } from '@/words/time'

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
          <Link href="/air" className="inline-flex min-h-12 items-center">
            The week’s air
          </Link>
        )}
      </p>
      {silent && <p className="font-semibold text-late">No believed reading for hours: the last one holds until there is one.</p>}
      {asking && <ReadingForm air={air} rooms={rooms} done={() => setAsking(false)} />}
    </div>
  )
}

function ReadingForm({ air, rooms, done }: { air: Reading | null; rooms: readonly Room[]; done: () => void }) {
  const { addAirReading } = useActions()
  const router = useRouter()
  const [first] = useState(() => ({ id: uuidv7(), at: new Date().toISOString() }))
  const { form, submit, pending, issue, troubleOf } = useEntryForm<ReadingText>(
    readingInput,
    {
      ...first,
      roomId: rooms[0]?.id ?? '',
      temperature: air ? String(air.temperature) : '',
      humidity: air ? String(air.humidity) : '',
    },
    addAirReading,
    () => {
      done()
      router.refresh()
    },
  )
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="mt-3 flex max-w-xl flex-wrap items-end gap-3">
      {rooms.length > 1 && (
        <ChoiceField label="Room" {...form.register('roomId')} options={rooms.map(({ id, name }) => [id, name] as const)} />
      )}
      <TextField
        label="Temperature, °C"
        inputMode="decimal"
        {...form.register('temperature')}
        trouble={troubleOf('temperature')}
        className="w-40"
      />
      <TextField
        label="Humidity, %"
        inputMode="decimal"
        {...form.register('humidity')}
        trouble={troubleOf('humidity')}
        className="w-40"
      />
      <button type="submit" disabled={pending} className="press press-now">
        Write it down
      </button>
      <Trouble>{issue}</Trouble>
    </form>
  )
}
