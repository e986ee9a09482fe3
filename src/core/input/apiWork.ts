/** Clocks and coats as other programs say them, and what somebody at the bench would have typed. Amounts in ml or g, temperatures in °C; pure. */
import * as z from 'zod'
import { families, unitOf } from '../craft/families'
import { codesOf } from '../craft/parts'
import { sheens } from '../craft/sheen'
import { plainAmount } from '../measure/amount'
import { films } from '../measure/film'
import type { BenchText } from './bench'
import type { CoatText } from './entry'

const id = z.guid()
const words = (most: number) => z.string().max(most).default('')
const onStep = {
  entryId: id,
  at: z.iso.datetime(),
  partId: id,
  stepId: id,
  personId: id.nullable().default(null).describe('whose hands, as /people tells them'),
}

/** What moves a clock, and what the bench calls it. */
const moves = { start: 'startStep', pause: 'pauseStep', resume: 'resumeStep', end: 'endStep' } as const
export const clockBody = z.object({
  ...onStep,
  does: z.enum(codesOf(moves)),
  minutes: z.int().min(1).max(1440).nullable().default(null).describe('with end: how long it took, where no clock tells it'),
})
export const coatBody = z.object({
  ...onStep,
  family: z.enum(codesOf(families)),
  productId: id.nullable().default(null),
  lotId: id.nullable().default(null).describe('the tin, as /shelf tells it'),
  amount: z.number().min(0).max(100_000).describe('ml, or g where the family is weighed'),
  mix: words(200),
  applicator: words(120),
  film: z.enum(codesOf(films)).default('normal'),
  sheen: z.enum(codesOf(sheens)).nullable().default(null),
  place: words(120),
  temperature: z.number().min(-30).max(50).nullable().default(null).describe('°C'),
  humidity: z.number().min(1).max(100).nullable().default(null).describe('%'),
  note: words(2000),
})

const typed = (figure: number | null): string => (figure === null ? '' : String(figure))

/** The bench's action, and what is typed with it. */
export function clockText(
  pieceId: string,
  { does, minutes, personId, ...rest }: z.output<typeof clockBody>,
): { action: (typeof moves)[typeof does]; typed: BenchText<'endStep'> } {
  const said = { ...rest, pieceId, personId: personId ?? '' }
  return { action: moves[does], typed: { ...said, minutes: does === 'end' ? typed(minutes) : '' } }
}
export function coatText(pieceId: string, body: z.output<typeof coatBody>): CoatText {
  const { personId, productId, lotId, amount, family, sheen, temperature, humidity, ...rest } = body
  return {
    ...{ ...rest, pieceId, family, personId: personId ?? '', productId: productId ?? '', lotId: lotId ?? '', sheen: sheen ?? '' },
    ...{ amount: plainAmount(amount, unitOf(family)), temperature: typed(temperature), humidity: typed(humidity) },
  }
}
