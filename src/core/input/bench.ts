/**
 * What is written at the bench, as entries of the log: the server stores them, and a device that has no connection reads its
 * own log by the same table until they are stored. Pure.
 */
import * as z from 'zod'
import { unitOf } from '@/core/craft/families'
import { componentsOf } from '@/core/craft/mixes'
import { codesOf } from '@/core/craft/parts'
import { type Entry, type EntryDraft, wholeEntry } from '@/core/log/entry'
import type { BatchFigures } from '@/core/log/figures'
import type { StepId } from '@/core/measure/named'
import {
  assistInput,
  checkInput,
  coatInput,
  costInput,
  endInput,
  helpInput,
  leaveOutInput,
  mixInput,
  noteInput,
  seenInput,
  startInput,
  stepInput,
} from './entry'
import type { House } from './fields'
import { mendInput } from './piece'

interface BenchWrite<S extends z.ZodType = z.ZodType> {
  /** may depend on the house: its currency */
  schema: S | ((house: House) => S)
  entry: (entered: z.output<S>) => EntryDraft
}
const writing = <S extends z.ZodType>(
  schema: S | ((house: House) => S),
  entry: (entered: z.output<S>) => EntryDraft,
): BenchWrite<S> => ({ schema, entry })

export const benchWrites = {
  startStep: writing(startInput, ({ entryId: id, ...rest }) => ({ id, kind: 'started', ...rest })),
  pauseStep: writing(stepInput, ({ entryId: id, ...rest }) => ({ id, kind: 'paused', ...rest })),
  laySide: writing(stepInput, ({ entryId: id, ...rest }) => ({ id, kind: 'paused', ...rest, detail: { laid: true } })),
  resumeStep: writing(stepInput, ({ entryId: id, ...rest }) => ({ id, kind: 'resumed', ...rest })),
  endStep: writing(endInput, ({ entryId: id, ...rest }) => ({ id, kind: 'ended', ...rest })),
  leaveOutStep: writing(leaveOutInput, ({ entryId: id, ...rest }) => ({ id, kind: 'left-out', ...rest })),
  helpStep: writing(helpInput, ({ entryId: id, ...rest }) => ({ id, kind: 'helped', ...rest })),
  checkStep: writing(checkInput, ({ entryId: id, ...rest }) => ({ id, kind: 'checked', ...rest })),
  seeDry: writing(seenInput, ({ entryId: id, ...rest }) => ({ id, kind: 'seen', ...rest })),
  setAssist: writing(assistInput, ({ entryId: id, on, ...rest }) => ({ id, kind: on ? 'assisted' : 'unassisted', ...rest })),
  // what a coat cost is reckoned where its tin is known
  logCoat: writing(coatInput, ({ entryId: id, pieceId, partId, stepId, personId, at, note, temperature, humidity, ...coat }) => ({
    id,
    kind: 'coat',
    pieceId,
    partId,
    stepId,
    personId,
    at,
    note,
    temperature,
    humidity,
    money: 0,
    coat: { ...coat, unit: unitOf(coat.family) },
  })),
  // likewise
  mixBatch: writing(mixInput, ({ entryId: id, pieceId, partId, stepId, personId, at, ...mixed }) => ({
    id,
    kind: 'mixed',
    pieceId,
    partId,
    stepId,
    personId,
    at,
    money: 0,
    batch: batchOf(mixed, stepId),
  })),
  // the steps that mend it are planned where the plan is
  mendPart: writing(mendInput, ({ entryId: id, pieceId, partId, personId, at, remedy, severity, spot, mark, note }) => ({
    id,
    kind: 'snag',
    pieceId,
    partId,
    personId,
    at,
    remedy,
    severity,
    spot,
    mark,
    note,
  })),
  addCost: writing(costInput, ({ entryId: id, ...rest }) => ({ id, kind: 'cost', ...rest })),
  addNote: writing(noteInput, ({ entryId: id, ...rest }) => ({ id, kind: 'note', ...rest })),
}

/** What was mixed, by its components; one that is told by the eye is all of one thing. */
function batchOf(
  {
    family,
    mix,
    volume,
    productId,
    lotId,
    from,
    stepIds,
  }: Omit<z.output<ReturnType<typeof mixInput>>, 'entryId' | 'pieceId' | 'partId' | 'stepId' | 'personId' | 'at'>,
  stepId: StepId,
): BatchFigures {
  const components = componentsOf(mix, volume, family)?.map(({ name, parts, amount }, k) => {
    const tin = from[k] ?? (k === 0 ? { productId, lotId } : null)
    return { name, parts, amount, productId: tin?.productId ?? null, lotId: (tin?.productId && tin.lotId) || null }
  }) ?? [{ name: mix.slice(0, 60), parts: 1, amount: volume, productId, lotId: (productId && lotId) || null }]
  const main = components.find((each) => each.productId !== null)
  return {
    productId: main?.productId ?? null,
    lotId: main?.lotId ?? null,
    family,
    mix,
    volume,
    unit: unitOf(family),
    components,
    stepIds: [...new Set([stepId, ...stepIds])],
  }
}

export type BenchAction = keyof typeof benchWrites
type SchemaOf<A extends BenchAction> = (typeof benchWrites)[A] extends BenchWrite<infer S> ? S : never
export type BenchText<A extends BenchAction> = z.input<SchemaOf<A>>
export const benchActions = codesOf(benchWrites)

/** What was typed as the entry it will be, not stored yet; null where it can't be read. */
export function entryFromText(action: BenchAction, typed: unknown, house: House): Entry | null {
  const { schema, entry } = benchWrites[action] as BenchWrite
  const parsed = (schema instanceof z.ZodType ? schema : schema(house)).safeParse(typed)
  if (!parsed.success) return null
  return wholeEntry(entry(parsed.data))
}
