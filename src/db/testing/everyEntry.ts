/** An entry of nearly every kind, of one piece. */
import { v7 as uuidv7 } from 'uuid'
import type { NewEntry } from '@/db/entry'

export const at = '2026-05-04T09:30:00.000Z'

interface Of {
  pieceId: string
  partId: string
  stepId: string
  personId: string
  productId: string
  lotId: string
  channelId: string
}
export function everyEntry({ pieceId, partId, stepId, personId, productId, lotId, channelId }: Of): NewEntry[] {
  const batchId = uuidv7()
  const onStep = { pieceId, partId, stepId, at, personId }
  const coat = {
    productId,
    lotId,
    batchId: null,
    family: 'clay',
    mix: null,
    amount: 80.5,
    unit: 'ml',
    applicator: 'synthetic brush',
    film: 'normal',
    sheen: null,
    place: 'inside of the doors',
  } as const
  return [
    { id: uuidv7(), kind: 'started', ...onStep },
    { id: uuidv7(), kind: 'ended', ...onStep, minutes: 14 },
    { id: uuidv7(), kind: 'coat', ...onStep, money: 338, coat },
    {
      id: batchId,
      kind: 'mixed',
      ...onStep,
      money: 210,
      batch: {
        productId,
        lotId,
        family: 'clay',
        mix: 'paint : water 1 : 1',
        volume: 100,
        unit: 'ml',
        components: [
          { name: 'paint', parts: 1, amount: 50, productId, lotId },
          { name: 'water', parts: 1, amount: 50, productId: null, lotId: null },
        ],
        stepIds: [onStep.stepId],
      },
    },
    { id: uuidv7(), kind: 'coat', ...onStep, money: 84, coat: { ...coat, lotId: null, batchId, amount: 40 } },
    { id: uuidv7(), kind: 'paused', ...onStep },
    { id: uuidv7(), kind: 'helped', ...onStep, minutes: 12 },
    { id: uuidv7(), kind: 'checked', ...onStep, checkCode: 'raking-light', result: 'fail' },
    { id: uuidv7(), kind: 'seen', ...onStep, result: 'dry' },
    { id: uuidv7(), kind: 'assisted', pieceId, partId, at, assist: 'fan' },
    { id: uuidv7(), kind: 'snag', pieceId, partId, at, remedy: 'runs', severity: 'slight', spot: 4 },
    { id: uuidv7(), kind: 'cost', pieceId, at, costKind: 'bought', money: 3200 },
    { id: uuidv7(), kind: 'note', pieceId, at, note: 'Reads well.' },
    { id: uuidv7(), kind: 'listed', pieceId, at, channelId, money: 24_000 },
    { id: uuidv7(), kind: 'sold', pieceId, at, channelId, money: 23_000, fees: 2760 },
  ]
}
