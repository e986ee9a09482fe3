'use client'
/** What somebody expects of the air on days to come: the week's drying is reckoned in it. Each may be taken back. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { Forecast } from '@/core/climate/airAhead'
import type { Room } from '@/core/climate/rooms'
import { forecastInput, type ForecastText } from '@/core/input/week'
import type { Day } from '@/core/measure/named'
import { dayAfter } from '@/core/measure/time'
import { useActions } from '@/ui/form/actions'
import { ChoiceField, TextField, Trouble } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { useEntryForm } from '@/ui/form/useEntryForm'
import { useWrite } from '@/ui/form/useWrite'
import { airWords } from '@/words/measure'
import { capital } from '@/words/text'
import { promiseWords } from '@/words/time'

export function Forecasts({ forecasts, rooms, today }: { forecasts: readonly Forecast[]; rooms: readonly Room[]; today: Day }) {
  const { keepForecast, takeBackForecast } = useActions()
  const router = useRouter()
  const house = useHouse()
  const write = useWrite(takeBackForecast)
  const fresh = (): ForecastText => ({
    ...{ id: uuidv7(), roomId: '', temperature: '', humidity: '' },
    ...{ from: today, to: dayAfter(today, 2) },
  })
  const [first] = useState(fresh)
  const { form, submit, pending, issue, troubleOf } = useEntryForm<ForecastText>(
    forecastInput,
    first,
    keepForecast,
    (_, made) => {
      made.reset(fresh())
      router.refresh()
    },
  )
  const { register } = form
  const takeBack = async ({ id }: Forecast) => {
    if (await write.send({ id: uuidv7(), forecastId: id })) router.refresh()
  }
  const day = (each: Day) => promiseWords(each, today, house)
  return (
    <>
      <ul>
        {forecasts.map((forecast) => (
          <li key={forecast.id} className="flex flex-wrap items-center justify-between gap-3 border-b border-line py-2 text-lg">
            <span>
              <strong>
                {capital(forecast.from === forecast.to ? day(forecast.from) : `${day(forecast.from)} to ${day(forecast.to)}`)}
              </strong>
              : {forecast.air && airWords(forecast.air, house)},{' '}
              <span className="text-soft">
                {rooms.find(({ id }) => id === forecast.roomId)?.name.toLowerCase() ?? 'all rooms'}
              </span>
            </span>
            <button type="button" className="press" disabled={write.pending} onClick={() => void takeBack(forecast)}>
              Take it back
            </button>
          </li>
        ))}
      </ul>
      <Trouble>{write.issue}</Trouble>
      <form
        onSubmit={(event) => void submit(event)}
        noValidate
        className="mt-4 grid grid-cols-2 items-end gap-4 sm:grid-cols-3 lg:grid-cols-6"
      >
        <TextField label="From" type="date" {...register('from')} trouble={troubleOf('from')} />
        <TextField label="To" type="date" {...register('to')} trouble={troubleOf('to')} />
        <TextField label="°C then" inputMode="decimal" {...register('temperature')} trouble={troubleOf('temperature')} />
        <TextField label="% humidity then" inputMode="decimal" {...register('humidity')} trouble={troubleOf('humidity')} />
        {rooms.length > 1 && (
          <ChoiceField
            label="Where"
            {...register('roomId')}
            options={[['', 'All rooms'], ...rooms.map(({ id, name }) => [id, name] as const)]}
          />
        )}
        <button type="submit" disabled={pending} className="press press-now min-h-12">
          Expect it
        </button>
      </form>
      <Trouble>{issue}</Trouble>
    </>
  )
}
