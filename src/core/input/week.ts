/** What may be entered of the week: the plan that is taken, a day that is other than usual, people's hours, drying places. */
import { z } from 'zod'
import { isDay } from '@/core/measure/time'
import { stretchOf } from '@/core/measure/workingHours'
import { id, words } from './fields'
import { minuteOfDayText, shortestDay, tooShortADay, workedDays } from './house'

const side = z.union([z.literal(1), z.literal(2)]).nullable()
/** ms since 1970, of the years that are believed */
const moment = z
  .int()
  .min(Date.UTC(2000, 0, 1))
  .max(Date.UTC(2100, 0, 1))
export const keptLine = z.object({ stepId: z.uuid(), side, at: moment, personId: z.uuid().nullable() })
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
    const [begins, ends] = [minuteOfDayText.safeParse(from), minuteOfDayText.safeParse(to)]
    const hours = begins.success && ends.success ? stretchOf(begins.data, ends.data, shortest) : null
    if (hours) return { ...rest, hours }
    context.addIssue({ code: 'custom', path: ['to'], message: 'Times like 09:00 to 17:30; a night is no longer than 14 hours.' })
    return z.NEVER
  })
export type OtherDayText = z.input<typeof otherDayInput>

/** The plan that is taken, with the days that were said otherwise for it. */
export const weekInput = z.object({
  id,
  lines: z.array(keptLine).max(3000),
  pins: z.array(weekPin).max(500),
  days: z.array(otherDayInput).max(100).default([]),
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

export const dryingPlacesInput = z.object({
  places: z
    .string()
    .trim()
    .refine(
      (text) => text === '' || (/^\d{1,3}$/.test(text) && Number(text) >= 1 && Number(text) <= 500),
      'A whole number from 1 to 500, or nothing where there is room enough.',
    )
    .transform((text) => (text === '' ? null : Number(text))),
})
export type DryingPlacesText = z.input<typeof dryingPlacesInput>
