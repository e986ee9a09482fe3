/** Tins and mixes, in words. */
import type { Batch } from '../../core/mix/batch'
import type { ShelfLot } from '../../core/stock/product'
import { momentWords } from './time'

/** "Tin 4417, 310 ml left" */
export const lotWords = ({ code, remaining, openedAt }: ShelfLot, unit: string): string =>
  `${code ? `Tin ${code}` : 'A tin'}, ${Math.round(remaining)} ${unit} left${openedAt ? '' : ', not opened'}`

/** "paint : water 1 : 1, 180 ml left, good until 14:20" */
export const batchWords = ({ mix, left, unit, goodUntil, madeAt }: Batch, zone: string, nowMs: number): string =>
  [
    mix,
    `mixed ${momentWords(madeAt, zone, nowMs)}`,
    `${Math.round(left)} ${unit} left`,
    goodUntil && `good until ${momentWords(goodUntil, zone, nowMs)}`,
  ]
    .filter(Boolean)
    .join(', ')
