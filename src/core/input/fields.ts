/**
 * The fields that forms are made of, read the same way in the browser and on the server. Each takes what was typed and
 * gives a core value, or a sentence that says what to do.
 */
import * as z from 'zod'
import { type AmountUnit, parseAmount, smallUnit } from '@/core/measure/amount'
import { parseLength } from '@/core/measure/length'
import { parseMinutes } from '@/core/measure/minutes'
import { moneyText, parseMoney, parseSignedMoney, type Reckoning } from '@/core/measure/money'
import { firstYear, instantOf, isDay, isInstant, lastYear } from '@/core/measure/time'
import type { Measuring } from '@/core/measure/units'

/** What a form must know of the house to read an entry. */
export interface House extends Reckoning, Measuring {
  zone: string
}

export const id = z.uuid('This entry has lost its number. Reload the page.')
/** A moment of the years that are believed; as milliseconds in UTC, however it was written. */
export const instant = z.iso
  .datetime({ message: 'This is no moment in time.' })
  .refine(isInstant, `A moment between ${firstYear} and ${lastYear}.`)

/**
 * Text as it can be kept: composed letters, without what no keyboard types and no database stores (NUL and its like, halves of
 * letters).
 */
const storable = (text: string): string =>
  text.normalize('NFC').replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f]|\p{Surrogate}/gu, '')
const text = z.string().overwrite(storable).trim()

export const words = (what: string, max: number) => text.min(1, `Say ${what}.`).max(max, `Keep it under ${max} letters.`)
export const optionalWords = (max: number) =>
  text.max(max, `Keep it under ${max} letters.`).transform((said) => (said === '' ? null : said))

const like = (house: Reckoning): string => `like 42 or ${moneyText(4250, house)}`
/** Money as typed; blank counts as nothing spent. */
export const money = (house: Reckoning) =>
  z.string().transform((text, context) => {
    if (text.trim() === '') return 0
    const minor = parseMoney(text, house)
    if (minor !== null) return minor
    context.addIssue(`Write an amount ${like(house)}.`)
    return z.NEVER
  })
/** Money that may be less than nothing: −40 takes it off. Blank is nothing. */
export const signedMoney = (house: Reckoning) =>
  z.string().transform((text, context) => {
    if (text.trim() === '') return 0
    const minor = parseSignedMoney(text, house)
    if (minor !== null) return minor
    context.addIssue(`Write an amount ${like(house)}; with − before it where it costs less.`)
    return z.NEVER
  })
export const optionalMoney = (house: Reckoning) =>
  z.string().transform((text, context) => {
    if (text.trim() === '') return null
    const minor = parseMoney(text, house)
    if (minor !== null) return minor
    context.addIssue(`Write an amount ${like(house)}, or leave it empty.`)
    return z.NEVER
  })
export const neededMoney = (house: Reckoning) =>
  z.string().transform((text, context) => {
    const minor = text.trim() === '' ? null : parseMoney(text, house)
    if (minor !== null) return minor
    context.addIssue(`Write the amount, ${like(house)}.`)
    return z.NEVER
  })

/** Money that moves: above nothing. */
export const moneyAboveNothing = (house: Reckoning) =>
  neededMoney(house).refine((amount) => amount > 0, 'Write an amount above nothing.')

export const length = (house: House) =>
  z.string().transform((text, context) => {
    const mm = parseLength(text, house)
    if (mm !== null) return mm
    context.addIssue(house.units === 'metric' ? 'A length in cm, like 82 or 82.5.' : 'A length in inches, like 32 or 32 1/2.')
    return z.NEVER
  })

/** An amount of what is in tins, in ml or g, as {@link parseAmount} reads it; `least` of them at least. */
export function readAmount(text: string, unit: AmountUnit, house: Measuring, least: number): number | null {
  const amount = parseAmount(text, unit, house)
  return amount !== null && amount >= least && amount <= mostAmount ? Math.round(amount * 1000) / 1000 : null
}
/** ml or g */
const mostAmount = 100_000
export const amountHint = (unit: AmountUnit, { units }: Measuring): string =>
  unit === 'g'
    ? `An amount like ${units === 'metric' ? '250, 250 g or 0.5 kg' : '8, 8 oz or 1 lb'}.`
    : `An amount like ${units === 'metric' ? '500, 500 ml or 0.75 l' : `8, 8 ${smallUnit(unit, units).words}, 1 pint or ½ quart`}.`

/** A plain figure, comma or point; NaN for anything else that a machine might read as one. */
const numberOf = (typed: string): number => (/^[+-]?\d{1,9}(?:[.,]\d{1,9})?$/.test(typed) ? Number(typed.replace(',', '.')) : NaN)
/** A plain figure as typed. */
export const figure = (what: string, low: number, high: number) =>
  z.string().transform((text, context) => {
    const value = numberOf(text.trim())
    if (value >= low && value <= high) return value
    context.addIssue(`Write ${what}, from ${low} to ${high}.`)
    return z.NEVER
  })
export const optionalFigure = (what: string, low: number, high: number) =>
  z.string().transform((text, context) => {
    if (text.trim() === '') return null
    const value = numberOf(text.trim())
    if (value >= low && value <= high) return value
    context.addIssue(`Write ${what}, from ${low} to ${high}, or leave it empty.`)
    return z.NEVER
  })
/** A percentage as typed, as a share. */
export const shareOfPercent = (what: string) => figure(what, 0, 99).transform((percent) => Math.round(percent * 1000) / 100_000)

/** A moment on the studio's wall. */
export const wallTime = (house: House) =>
  z.string().transform((text, context) => {
    const at = instantOf(text, house.zone)
    if (at !== null) return at
    context.addIssue('Choose a day and a time.')
    return z.NEVER
  })
export const day = z.string().refine(isDay, `Choose a day between ${firstYear} and ${lastYear}.`)
export const optionalDay = z.union([z.literal('').transform(() => null), day])
export const colourHex = z
  .string()
  .toLowerCase()
  .regex(/^#[0-9a-f]{6}$/, 'Choose a colour value, like #b24a2f.')

export const optionalMinutes = z.string().transform((text, context) => {
  if (text.trim() === '') return null
  const minutes = parseMinutes(text)
  if (minutes !== null) return minutes
  context.addIssue('Write minutes like 35, 35 min or 1 h 20.')
  return z.NEVER
})
