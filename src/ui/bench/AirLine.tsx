'use client'
/** The air as it was last read, and a new reading: every window follows. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { Reading } from '../../core/drying/windowFor'
import { readingInput, type ReadingText } from '../../core/input/entry'
import { useActions } from '../form/actions'
import { TextField, Trouble } from '../form/Field'
import { useHouse } from '../form/house'
import { useEntryForm } from '../form/useEntryForm'
import { useNow } from '../time/now'
import { momentWords } from '../words/time'

export function AirLine({ air }: { air: Reading | null }) {
  const nowMs = useNow()
  const { zone } = useHouse()
  const [asking, setAsking] = useState(false)
  return (
    <div>
      <p className="flex flex-wrap items-center gap-x-4">
        <span className="text-lg">
          Air <strong>{air ? `${air.temperature} °C, ${air.humidity} %` : '21 °C, 50 %'}</strong>{' '}
          <span className="text-soft">{air ? `read ${momentWords(air.at, zone, nowMs)}` : 'assumed, nothing read yet'}</span>
        </span>
        <button type="button" className="press" aria-expanded={asking} onClick={() => setAsking(!asking)}>
          New reading
        </button>
      </p>
      {asking && <ReadingForm air={air} done={() => setAsking(false)} />}
    </div>
  )
}

function ReadingForm({ air, done }: { air: Reading | null; done: () => void }) {
  const { addAirReading } = useActions()
  const router = useRouter()
  const [first] = useState(() => ({ id: uuidv7(), at: new Date().toISOString() }))
  const { form, submit, pending, issue, troubleOf } = useEntryForm<ReadingText>(
    readingInput,
    { ...first, temperature: air ? String(air.temperature) : '', humidity: air ? String(air.humidity) : '' },
    addAirReading,
    () => {
      done()
      router.refresh()
    },
  )
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="mt-3 flex max-w-xl flex-wrap items-end gap-3">
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
