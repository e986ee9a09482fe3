'use client'
/** A new reading of the air. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { Room } from '@/core/climate/rooms'
import type { Reading } from '@/core/drying/windowFor'
import { readingInput, type ReadingText } from '@/core/input/entry'
import { useActions } from '@/ui/form/actions'
import { ChoiceField, TextField, Trouble } from '@/ui/form/Field'
import { useEntryForm } from '@/ui/form/useEntryForm'

export function ReadingForm({ air, rooms, done }: { air: Reading | null; rooms: readonly Room[]; done: () => void }) {
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
