/** What may be entered at the bench: clocks, coats, costs, notes, and putting any of them right. */
import { z } from 'zod'
import { familyCodes, type FamilyCode } from '../finish/families'
import { codesOf } from '../finish/parts'
import { costKinds } from '../log/entry'
import { films } from '../mix/coatVolumes'
import {
  figure,
  id,
  instant,
  neededMoney,
  optionalFigure,
  optionalMinutes,
  optionalMoney,
  optionalWords,
  wallTime,
  words,
  type House,
} from './fields'

const onStep = { entryId: id, pieceId: id, partId: id, stepId: id, at: instant }
export const startInput = z.object(onStep)
export const endInput = z.object({ ...onStep, minutes: optionalMinutes })
export const leaveOutInput = z.object({ ...onStep, note: optionalWords(500) })
export type StartText = z.input<typeof startInput>
export type EndText = z.input<typeof endInput>
export type LeaveOutText = z.input<typeof leaveOutInput>

const coatFields = {
  productId: z.union([id, z.literal('').transform(() => null)]),
  family: z.enum(familyCodes as [FamilyCode, ...FamilyCode[]]),
  mix: optionalWords(200),
  amount: figure('how much', 0, 100_000),
  applicator: optionalWords(120),
  film: z.enum(codesOf(films)),
  note: optionalWords(2000),
}
export const coatInput = z.object({ ...onStep, ...coatFields })
export type CoatText = z.input<typeof coatInput>

export const costInput = (house: House) =>
  z.object({
    entryId: id,
    pieceId: id,
    at: instant,
    costKind: z.enum(codesOf(costKinds)),
    money: neededMoney(house),
    note: optionalWords(500),
  })
export type CostText = z.input<ReturnType<typeof costInput>>

export const noteInput = z.object({ entryId: id, pieceId: id, at: instant, note: words('what there is to note', 4000) })
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
  temperature: figure('the temperature in °C', -30, 50),
  humidity: figure('the humidity in %', 1, 100),
})
export type ReadingText = z.input<typeof readingInput>
