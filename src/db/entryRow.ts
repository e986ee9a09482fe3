/** An entry as its row is read, by its kind: what a kind does not carry is left behind. */
import * as z from 'zod'
import { families } from '@/core/craft/families'
import { checkCodes } from '@/core/craft/operations'
import { codesOf } from '@/core/craft/parts'
import { remedies } from '@/core/craft/remedies'
import { sheens } from '@/core/craft/sheen'
import { assistKinds, costKinds, type EntryKind, type EntryOf, severities, touches, verdicts } from '@/core/log/entry'
import { films } from '@/core/measure/film'

const family = z.enum(codesOf(families))
const unit = z.enum(['ml', 'g'])
const id = z.string()
const maybeId = z.string().nullable()
const figure = z.number()
const words = z.string().nullable()

const base = {
  id,
  pieceId: id,
  partId: maybeId,
  stepId: maybeId,
  at: z.string(),
  recordedAt: z.string(),
  writtenBy: maybeId,
  personId: maybeId,
  corrects: maybeId,
  note: words,
}
const onPart = { partId: id }
const onStep = { partId: id, stepId: id }
const paid = { money: figure, fees: figure }
const change = z.record(z.string(), z.tuple([words, words]))
const share = z.object({
  pieceId: id,
  sign: z.union([z.literal(1), z.literal(-1)]),
  costs: z.partialRecord(z.enum(codesOf(costKinds)), figure),
  minutes: figure,
})
const coat = z.object({
  productId: maybeId,
  lotId: maybeId,
  batchId: maybeId,
  family,
  mix: words,
  amount: figure,
  unit,
  applicator: words,
  film: z.enum(codesOf(films)),
  sheen: z.enum(codesOf(sheens)).nullable(),
  place: words,
})
const component = z.object({ name: z.string(), parts: figure, amount: figure, productId: maybeId, lotId: maybeId })
const batch = z.object({
  productId: maybeId,
  lotId: maybeId,
  family,
  mix: z.string(),
  volume: figure,
  unit,
  components: z.array(component),
  stepIds: z.array(id),
})
const rest = z.object({ batchId: id, productId: maybeId, lotId: maybeId, family, amount: figure, unit })
const mark = z.object({ photoId: id, x: figure, y: figure }).nullable()

const carries = {
  started: { ...onStep, outside: z.enum(['early', 'late']).nullable() },
  paused: { ...onStep, detail: z.object({ laid: z.literal(true) }).nullable() },
  resumed: onStep,
  ended: { ...onStep, minutes: figure.nullable(), money: figure.nullable() },
  'left-out': onStep,
  helped: { ...onStep, minutes: figure },
  checked: { ...onStep, checkCode: z.enum(checkCodes), result: z.enum(verdicts) },
  seen: { ...onStep, result: z.enum(touches) },
  assisted: { ...onPart, assist: z.enum(assistKinds) },
  unassisted: { ...onPart, assist: z.enum(assistKinds) },
  snag: {
    ...onPart,
    remedy: z.enum(codesOf(remedies)).nullable(),
    severity: z.enum(codesOf(severities)),
    spot: figure.nullable(),
    mark,
  },
  mixed: { batch, money: figure },
  'put-by': { rest, money: figure },
  coat: { ...onPart, coat, money: figure, temperature: figure.nullable(), humidity: figure.nullable() },
  cost: { costKind: z.enum(codesOf(costKinds)), money: figure },
  note: {},
  listed: { channelId: id, money: figure },
  sold: { ...paid, channelId: id },
  'handed-over': { ...paid, channelId: maybeId },
  kept: {},
  given: {},
  scrapped: {},
  amended: { detail: change },
  split: { detail: share },
  struck: { corrects: id },
} satisfies Record<EntryKind, z.ZodRawShape>

const rowOf = <K extends EntryKind>(kind: K) =>
  z.object({ ...base, ...carries[kind], kind: z.literal(kind) }) as unknown as z.ZodType<EntryOf<K>> &
    z.ZodObject<{ kind: z.ZodLiteral<K> }>

const [first, ...others] = codesOf(carries).map((kind) => rowOf(kind))
export const entryRow = z.discriminatedUnion('kind', [first as NonNullable<typeof first>, ...others])
