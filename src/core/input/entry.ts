/** What may be entered at the bench: clocks, coats, costs, notes, and putting any of them right. */
import { z } from 'zod'
import { families } from '@/core/craft/families'
import { checkCodes } from '@/core/craft/operations'
import { codesOf } from '@/core/craft/parts'
import { costKinds, sheens } from '@/core/log/entry'
import { films } from '@/core/measure/film'
import {
  figure,
  type House,
  id,
  instant,
  neededMoney,
  optionalFigure,
  optionalMinutes,
  optionalMoney,
  optionalWords,
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
const chosen = z
  .union([id, z.literal('')])
  .optional()
  .transform((one) => one || null)

const coatFields = {
  lotId: chosen,
  batchId: chosen,
  productId: z.union([id, z.literal('').transform(() => null)]),
  family: z.enum(codesOf(families)),
  mix: optionalWords(200),
  amount: figure('how much', 0, 100_000),
  applicator: optionalWords(120),
  film: z.enum(codesOf(films)),
  sheen: z.enum(['', ...codesOf(sheens)]).transform((sheen) => (sheen === '' ? null : sheen)),
  place: optionalWords(120),
  temperature: optionalFigure('the temperature in °C', -30, 50),
  humidity: optionalFigure('the humidity in %', 1, 100),
  note: optionalWords(2000),
}
export const coatInput = z.object({ ...onStep, ...coatFields })
export type CoatText = z.input<typeof coatInput>

/** A mix made up at a step; its parts are read from how it is written, each may come from a tin of its own. */
export const mixInput = z.object({
  ...onStep,
  family: z.enum(codesOf(families)),
  /** what it is called by, where its parts are not told */
  productId: chosen,
  lotId: chosen,
  mix: words('what it is made of, like paint : water 2 : 1', 200),
  volume: figure('how much was made up', 1, 100_000),
  /** by component, in the order they are written: what it was taken from */
  from: z
    .array(z.object({ productId: chosen, lotId: chosen }))
    .max(12)
    .default([]),
  /** the steps it was made for */
  stepIds: z.array(id).max(80).default([]),
})
export type MixText = z.input<typeof mixInput>

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
  z.object({
    entryId: id,
    corrects: id,
    pieceId: id,
    at: wallTime(house),
    minutes: optionalMinutes,
    productId: z.union([id, z.literal('').transform(() => null)]),
    mix: optionalWords(200),
    amount: optionalFigure('how much', 0, 100_000),
    applicator: optionalWords(120),
    film: z.enum(['', ...codesOf(films)]).transform((film) => (film === '' ? null : film)),
    costKind: z.enum(['', ...codesOf(costKinds)]).transform((kind) => (kind === '' ? null : kind)),
    money: optionalMoney(house),
    fees: optionalMoney(house),
    channelId: z.union([id, z.literal('').transform(() => null)]),
    note: optionalWords(4000),
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
