'use client'
/** Who works here and when, and how much may lie to dry at one time: what the week is planned by. */
import { useRouter } from 'next/navigation'
import { useRef, useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { Room } from '@/core/climate/rooms'
import type { Person } from '@/core/house/studio'
import {
  dryingPlacesInput,
  type DryingPlacesText,
  personHoursInput,
  type PersonHoursText,
  personInput,
  type PersonText,
} from '@/core/input/week'
import type { WorkingHours } from '@/core/measure/workingHours'
import { useActions } from '@/ui/form/actions'
import { TextField } from '@/ui/form/Field'
import { FormFoot } from '@/ui/form/FormFoot'
import { useEntryForm } from '@/ui/form/useEntryForm'
import { minuteText } from '@/words/time'
import { hoursTyped, WorkedWeek } from './WorkedWeek'

/** A form that says when what stands in it is kept. */
function useKept() {
  const router = useRouter()
  const [kept, setKept] = useState(false)
  return {
    kept,
    changed: () => setKept(false),
    stored: () => {
      setKept(true)
      router.refresh()
    },
  }
}

export function HoursForm({ person, own, usual }: { person: Person; own: WorkingHours | null; usual: WorkingHours }) {
  const { keepPersonHours } = useActions()
  const { kept, changed, stored } = useKept()
  const [defaults] = useState((): PersonHoursText => {
    const { from, to, days } = own ?? usual
    return { personId: person.id, own: own !== null, from: minuteText(from), to: minuteText(to), days: days.map(String) as never }
  })
  const { form, submit, pending, issue, troubleOf } = useEntryForm(personHoursInput, defaults, keepPersonHours, stored)
  const { register, watch } = form
  const hours = hoursTyped(...watch(['from', 'to', 'days']), usual)
  return (
    <form
      onSubmit={(event) => void submit(event)}
      onChange={changed}
      noValidate
      aria-label={`When ${person.name} works`}
      className="grid grid-cols-2 items-start gap-4 border-b border-line py-4 sm:grid-cols-4"
    >
      <label className="col-span-2 flex min-h-12 items-center gap-3 text-lg font-semibold sm:col-span-4">
        <input type="checkbox" {...register('own')} className="size-6 accent-now" />
        {person.name} has hours of their own
      </label>
      {watch('own') && (
        <>
          <TextField label="Begins" type="time" {...register('from')} trouble={troubleOf('from')} />
          <TextField
            label={hours.to > 1440 ? 'Ends, the next morning' : 'Ends'}
            type="time"
            {...register('to')}
            trouble={troubleOf('to')}
          />
          <div className="col-span-2">
            <WorkedWeek field={register('days')} trouble={troubleOf('days')} hours={hours} />
          </div>
        </>
      )}
      <FormFoot {...{ issue, pending }} words="Keep the hours" kept={kept && 'Kept.'} className="col-span-2 sm:col-span-4" />
    </form>
  )
}

export function PersonForm() {
  const { keepPerson } = useActions()
  const router = useRouter()
  const [defaults] = useState((): PersonText => ({ id: uuidv7(), name: '' }))
  const { form, submit, pending, issue, troubleOf } = useEntryForm<PersonText>(personInput, defaults, keepPerson, (_, made) => {
    made.reset({ id: uuidv7(), name: '' })
    router.refresh()
  })
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="mt-4 grid items-end gap-4 sm:grid-cols-[1fr_auto]">
      <TextField label="One more pair of hands" autoComplete="off" {...form.register('name')} trouble={troubleOf('name')} />
      <FormFoot {...{ issue, pending }} words="Add them" kept={false} />
    </form>
  )
}

/** Of the whole house; and of each room, where there are several. */
export function DryingPlacesForm({ places, rooms }: { places: number | null; rooms: readonly Room[] }) {
  const { keepDryingPlaces } = useActions()
  const { kept, changed, stored } = useKept()
  const [defaults] = useState((): DryingPlacesText => {
    const text = (many: number | null) => (many === null ? '' : String(many))
    return { places: text(places), rooms: Object.fromEntries(rooms.map((room) => [room.id, text(room.places)])) }
  })
  const known = useRef(defaults)
  // what somebody else says of another room meanwhile stays
  const keep = ({ places, rooms }: DryingPlacesText) =>
    keepDryingPlaces({
      ...(places !== known.current.places && { places }),
      rooms: Object.fromEntries(Object.entries(rooms).filter(([id, each]) => each !== known.current.rooms[id as Room['id']])),
    })
  const { form, submit, pending, issue, troubleOf } = useEntryForm(dryingPlacesInput, defaults, keep, (typed) => {
    known.current = typed
    stored()
  })
  return (
    <form
      onSubmit={(event) => void submit(event)}
      onChange={changed}
      noValidate
      aria-label="Places to dry"
      className="mt-6 space-y-4"
    >
      <TextField
        label="Parts that may lie to dry at one time"
        inputMode="numeric"
        hint="Empty where there is room enough."
        {...form.register('places')}
        trouble={troubleOf('places')}
      />
      {rooms.length > 1 && (
        <div className="grid gap-4 sm:grid-cols-3">
          {rooms.map(({ id, name }) => (
            <TextField
              key={id}
              label={`Of them in ${name}`}
              inputMode="numeric"
              placeholder="all"
              {...form.register(`rooms.${id}`)}
              trouble={troubleOf(`rooms.${id}`)}
            />
          ))}
        </div>
      )}
      <FormFoot {...{ issue, pending }} words="Keep the places" kept={kept && 'Kept.'} />
    </form>
  )
}
