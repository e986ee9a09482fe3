'use server'
/** The week that is planned, and when people work. */
import { promiseAnew } from '@/app/_server/amending'
import { write, writeOnce } from '@/app/_server/write'
import type { Answer } from '@/core/input/issues'
import {
  dryingPlacesInput,
  type DryingPlacesText,
  forecastBackInput,
  type ForecastBackText,
  forecastInput,
  type ForecastText,
  personHoursInput,
  type PersonHoursText,
  personInput,
  type PersonText,
  weekInput,
  type WeekText,
} from '@/core/input/week'
import { addForecasts, takeBackForecasts } from '@/db/airAhead'
import { savePerson } from '@/db/studio'
import { addOtherDays, addWeek, saveDryingPlaces, savePersonHours } from '@/db/week'

export async function keepWeek(typed: WeekText): Promise<Answer> {
  return writeOnce(
    'keepWeek',
    weekInput,
    typed,
    ({ id }) => id,
    async (client, studio, { days, forecasts, takenBack, promises, ...week }) => {
      await addOtherDays(client, studio.id, days)
      await addForecasts(client, studio.id, forecasts)
      await takeBackForecasts(client, takenBack)
      await promiseAnew(client, studio.id, promises)
      await addWeek(client, studio.id, week)
    },
  )
}

export async function keepForecast(typed: ForecastText): Promise<Answer> {
  return writeOnce(
    'keepForecast',
    forecastInput,
    typed,
    ({ id }) => id,
    (client, studio, forecast) => addForecasts(client, studio.id, [forecast]),
  )
}

export async function takeBackForecast(typed: ForecastBackText): Promise<Answer> {
  return writeOnce(
    'takeBackForecast',
    forecastBackInput,
    typed,
    ({ id }) => id,
    (client, _studio, taken) => takeBackForecasts(client, [taken]),
  )
}

export async function keepPerson(typed: PersonText): Promise<Answer> {
  return write(personInput, typed, (client, studio, person) => savePerson(client, studio.id, person))
}

export async function keepPersonHours(typed: PersonHoursText): Promise<Answer> {
  return write(personHoursInput, typed, (client, _studio, { personId, own, ...hours }) =>
    savePersonHours(client, personId, own ? hours : null),
  )
}

export async function keepDryingPlaces(typed: DryingPlacesText): Promise<Answer> {
  return write(dryingPlacesInput, typed, (client, _studio, all) => saveDryingPlaces(client, all))
}
