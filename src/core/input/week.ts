/** What may be entered of the week: the plan that is taken, a day that is other than usual, people's hours, drying places. */
import * as z from 'zod'
import { daysBetween, isDay } from '@/core/measure/time'
import { stretchOf } from '@/core/measure/workingHours'
import { chosen } from './entry'
import { figure, id, words } from './fields'
import { minuteOfDayText, shortestDay, stretchTyped, tooShortADay, workedDays } from './house'

const side = z.union([z.literal(1), z.literal(2)]).nullable()
/** ms since 1970, of the years that are believed */
const moment = z
  .int()
  .min(Date.UTC(2000, 0, 1))
  .max(Date.UTC(2100, 0, 1))
const minutes = z.number().min(0).max(1_000_000)
const lineFigures = z.object({
  minutes,
  planned: minutes,
  seen: z.int().min(0).max(100_000),
  opens: minutes.nullable(),
  closes: minutes.nullable(),
  temperature: z.number().min(-30).max(50),
  humidity: z.number().min(0).max(100),
})
export const keptLine = z.object({
  stepId: z.uuid(),
  side,
  at: moment,
  personId: z.uuid().nullable(),
  figures: lineFigures.nullable().optional(),
})
export const weekPin = z.object({ stepId: z.uuid(), side, at: moment.nullable(), personId: z.uuid().nullable() })

const day = z.string().refine(isDay, 'A day like 2026-12-03.')
const shortest = 5

export const otherDayInput = z
  .object({
    id,
    day,
    personId: id.nullable(),
    kind: z.enum(['away', 'hours', 'usual']),
    from: z.string(),
    to: z.string(),
  })
  .transform(({ kind, from, to, ...rest }, context) => {
    if (kind !== 'hours') return { ...rest, hours: kind === 'usual' ? ('usual' as const) : null }
    const hours = stretchTyped(from, to, shortest)
    if (hours) return { ...rest, hours }
    context.addIssue({ code: 'custom', path: ['to'], message: 'Times like 09:00 to 17:30; a night is no longer than 14 hours.' })
    return z.NEVER
  })
export type OtherDayText = z.input<typeof otherDayInput>

const longestForecast = 60
const daysSaid = { id, from: day, to: day }
/** What the air will be. */
export const forecastInput = z
  .object({
    ...daysSaid,
    roomId: chosen,
    temperature: z.string(),
    humidity: z.string(),
  })
  .transform(({ temperature, humidity, ...rest }, context) => {
    if (rest.from > rest.to || daysBetween(rest.from, rest.to) > longestForecast)
      context.addIssue({
        code: 'custom',
        path: ['to'],
        message: 'The last day is the first one or later, at most sixty days on.',
      })
    const read = (path: 'temperature' | 'humidity', schema: z.ZodType<number, string>, typed: string): number => {
      const parsed = schema.safeParse(typed)
      if (parsed.success) return parsed.data
      context.addIssue({ code: 'custom', path: [path], message: parsed.error.issues[0]?.message ?? 'Write a figure.' })
      return z.NEVER
    }
    return {
      ...rest,
      air: {
        temperature: read('temperature', figure('the temperature in °C', -30, 50), temperature),
        humidity: read('humidity', figure('the humidity in %', 1, 100), humidity),
      },
    }
  })
export type ForecastText = z.input<typeof forecastInput>
/** A forecast that holds no more. */
export const forecastBackInput = z.object({ id, forecastId: id })
export type ForecastBackText = z.input<typeof forecastBackInput>
const promiseInput = z.object({ entryId: id, pieceId: id, day })

/** The plan that is taken, with what was said for it: other days, other air, other promises. */
export const weekInput = z.object({
  id,
  lines: z.array(keptLine).max(3000),
  pins: z.array(weekPin).max(500),
  days: z.array(otherDayInput).max(100).default([]),
  forecasts: z.array(forecastInput).max(100).default([]),
  takenBack: z.array(forecastBackInput).max(100).default([]),
  promises: z.array(promiseInput).max(20).default([]),
})
export type WeekText = z.input<typeof weekInput>

export const personHoursInput = z
  .object({ personId: id, own: z.boolean(), from: minuteOfDayText, to: minuteOfDayText, days: workedDays })
  .transform(({ from, to, ...rest }, context) => {
    const hours = stretchOf(from, to, shortestDay)
    if (hours || !rest.own) return { ...rest, ...(hours ?? { from, to }) }
    context.addIssue({ code: 'custom', path: ['to'], message: tooShortADay })
    return z.NEVER
  })
export type PersonHoursText = z.input<typeof personHoursInput>

export const personInput = z.object({ id, name: words('who it is', 80) })
export type PersonText = z.input<typeof personInput>

const places = z
  .string()
  .trim()
  .refine(
    (text) => text === '' || (/^\d{1,3}$/.test(text) && Number(text) >= 1 && Number(text) <= 500),
    'A whole number from 1 to 500, or nothing where there is room enough.',
  )
  .transform((text) => (text === '' ? null : Number(text)))
/** Of the whole house, and of its rooms; what isn't said stays as it is. */
export const dryingPlacesInput = z.object({ places: places.optional(), rooms: z.record(id, places) })
export type DryingPlacesText = z.input<typeof dryingPlacesInput>
