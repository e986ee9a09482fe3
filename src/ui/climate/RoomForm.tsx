'use client'
/** A room whose air is read: by its sensor, or typed. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { roomInput, type RoomText } from '@/core/input/house'
import { useActions } from '@/ui/form/actions'
import { TextField, Trouble } from '@/ui/form/Field'
import { useEntryForm } from '@/ui/form/useEntryForm'

export function RoomForm() {
  const { keepRoom } = useActions()
  const router = useRouter()
  const [first] = useState(() => ({ id: uuidv7(), name: '', sensor: '' }))
  const { form, submit, pending, issue, troubleOf } = useEntryForm<RoomText>(roomInput, first, keepRoom, (_, made) => {
    made.reset({ id: uuidv7(), name: '', sensor: '' })
    router.refresh()
  })
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="mt-3 flex max-w-2xl flex-wrap items-end gap-3">
      <TextField label="A further room" {...form.register('name')} trouble={troubleOf('name')} className="min-w-48 flex-1" />
      <TextField
        label="Its sensor’s name"
        placeholder="none"
        {...form.register('sensor')}
        trouble={troubleOf('sensor')}
        className="min-w-40 flex-1"
      />
      <button type="submit" disabled={pending} className="press">
        Keep it
      </button>
      <Trouble>{issue}</Trouble>
    </form>
  )
}
