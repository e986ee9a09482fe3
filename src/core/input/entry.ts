/** What may be entered at the bench: clocks, coats, costs, notes, and putting any of them right. */
import * as z from 'zod'
import { families, type FamilyCode, unitOf } from '@/core/craft/families'
import { checkCodes } from '@/core/craft/operations'
import { codesOf } from '@/core/craft/parts'
import { sheens } from '@/core/craft/sheen'
import { costKinds } from '@/core/log/entry'
import { films } from '@/core/measure/film'
import {
  amountHint,
  figure,
  type House,
  id,
  instant,
  neededMoney,
  optionalFigure,
  optionalMinutes,
  optionalMoney,
  optionalWords,
  readAmount,
  wallTime,
  words,
} from './fields'

/** whose hands; nobody's name where none was chosen */
const hands = {
  personId: z
    .union([id, z.literal('')])
    .optional()
    .transform((person) => person || null),
}
const onPart = { entryId: id, pieceId: id, partId: id, at: instant, ...hands }
const onStep = { ...onPart, stepId: id }

export const startInput = z.object({
  ...onStep,
  /** begun before its window opened, or after it closed */
  outside: z
    .enum(['early', 'late'])
    .optional()
    .transform((side) => side ?? null),
})
export const stepInput = z.object(onStep)
export const endInput = z.object({ ...onStep, minutes: optionalMinutes })
export const leaveOutInput = z.object({ ...onStep, note: optionalWords(500) })
export const helpInput = z.object({
  ...onStep,
  minutes: optionalMinutes.refine((minutes) => minutes !== null, 'Write how long, like 25 or 1 h 10.'),
})
export const checkInput = z.object({
  ...onStep,
  checkCode: z.enum(checkCodes),
  result: z.enum(['pass', 'later']),
})
export const seenInput = z.object({ ...onStep, result: z.enum(['dry', 'wet']) })
export const assistInput = z.object({ ...onPart, assist: z.enum(['fan', 'heatGun']), on: z.boolean() })

/** what may be left unsaid, and is empty then */
export const chosen = z
  .union([id, z.literal('')])
  .optional()
  .transform((one) => one || null)

/** An amount as it was typed, of what this family is measured in. */
function withAmount<Name extends string, Typed extends { family: FamilyCode } & Record<Name, string>>(
  typed: Typed,
  name: Name,
  house: House,
  least: number,
  context: z.RefinementCtx,
): Omit<Typed, Name> & Record<Name, number> {
  const unit = unitOf(typed.family)
  const amount = readAmount(typed[name], unit, house, least)
  if (amount !== null) return { ...typed, [name]: amount }
  context.addIssue({ code: 'custom', path: [name], message: amountHint(unit, house) })
  return z.NEVER
}

const coatFields = {
  lotId: chosen,
  batchId: chosen,
  productId: z.union([id, z.literal('').transform(() => null)]),
  family: z.enum(codesOf(families)),
  mix: optionalWords(200),
  /** in ml or g, or as it is said in the house's measures */
  amount: z.string(),
  applicator: optionalWords(120),
  film: z.enum(codesOf(films)),
  sheen: z.enum(['', ...codesOf(sheens)]).transform((sheen) => (sheen === '' ? null : sheen)),
  place: optionalWords(120),
  temperature: optionalFigure('the temperature in °C', -30, 50),
  humidity: optionalFigure('the humidity in %', 1, 100),
  note: optionalWords(2000),
}
export const coatInput = (house: House) =>
  z.object({ ...onStep, ...coatFields }).transform((typed, context) => withAmount(typed, 'amount', house, 0, context))
export type CoatText = z.input<ReturnType<typeof coatInput>>

/** A mix made up at a step; its parts are read from how it is written, each may come from a tin of its own. */
export const mixInput = (house: House) =>
  z
    .object({
      ...onStep,
      family: z.enum(codesOf(families)),
      /** what it is called by, where its parts are not told */
      productId: chosen,
      lotId: chosen,
      mix: words('what it is made of, like paint : water 2 : 1', 200),
      volume: z.string(),
      /** by component, in the order they are written: what it was taken from */
      from: z
        .array(z.object({ productId: chosen, lotId: chosen }))
        .max(12)
        .default([]),
      /** the steps it was made for */
      stepIds: z.array(id).max(80).default([]),
    })
    .transform((typed, context) => withAmount(typed, 'volume', house, 1, context))
export type MixText = z.input<ReturnType<typeof mixInput>>

export const costInput = (house: House) =>
  z.object({
    entryId: id,
    pieceId: id,
    at: instant,
    ...hands,
    costKind: z.enum(codesOf(costKinds)),
    money: neededMoney(house),
    note: optionalWords(500),
  })
export type CostText = z.input<ReturnType<typeof costInput>>

export const noteInput = z.object({ entryId: id, pieceId: id, at: instant, ...hands, note: words('what there is to note', 4000) })
export type NoteText = z.input<typeof noteInput>

/** One form for every kind of entry; fields that a kind lacks are left empty. */
export const correctionInput = (house: House) =>
  z
    .object({
      entryId: id,
      corrects: id,
      pieceId: id,
      at: wallTime(house),
      minutes: optionalMinutes,
      productId: z.union([id, z.literal('').transform(() => null)]),
      mix: optionalWords(200),
      amount: z.string(),
      /** what the amount is of, where it is one */
      unit: z.enum(['', 'ml', 'g']).default(''),
      applicator: optionalWords(120),
      film: z.enum(['', ...codesOf(films)]).transform((film) => (film === '' ? null : film)),
      costKind: z.enum(['', ...codesOf(costKinds)]).transform((kind) => (kind === '' ? null : kind)),
      money: optionalMoney(house),
      fees: optionalMoney(house),
      channelId: z.union([id, z.literal('').transform(() => null)]),
      note: optionalWords(4000),
    })
    .transform((typed, context) => {
      const { unit } = typed
      if (unit === '' || typed.amount.trim() === '') return { ...typed, amount: null }
      const amount = readAmount(typed.amount, unit, house, 0)
      if (amount !== null) return { ...typed, amount }
      context.addIssue({ code: 'custom', path: ['amount'], message: amountHint(unit, house) })
      return z.NEVER
    })
export type CorrectionText = z.input<ReturnType<typeof correctionInput>>

export const strikeInput = z.object({ entryId: id, corrects: id, pieceId: id, at: instant })
export type StrikeText = z.input<typeof strikeInput>

export const readingInput = z.object({
  id,
  at: instant,
  roomId: z
    .union([id, z.literal('')])
    .optional()
    .transform((room) => room || null),
  temperature: figure('the temperature in °C', -30, 50),
  humidity: figure('the humidity in %', 1, 100),
})
export type ReadingText = z.input<typeof readingInput>
