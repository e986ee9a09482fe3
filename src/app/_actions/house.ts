'use server'
/** The house, its channels and its shelf. */
import { createHash } from 'node:crypto'
import { lessonsIn } from '@/app/_server/lessons'
import { countOnShelf, putOnShelf, putTableOnShelf, putTinOnShelf } from '@/app/_server/shelving'
import { Refused, write, writeOnce } from '@/app/_server/write'
import {
  calendarInput,
  type CalendarText,
  channelInput,
  type ChannelText,
  consumablesInput,
  type ConsumablesText,
  dryingInput,
  type DryingText,
  emptyLotInput,
  type EmptyLotText,
  type LotText,
  type ProductText,
  revokeInput,
  type RevokeText,
  roomInput,
  type RoomText,
  studioInput,
  type StudioText,
} from '@/core/input/house'
import type { Answer } from '@/core/input/issues'
import { labelInput, type LabelsText } from '@/core/input/label'
import { methodInput, type MethodText } from '@/core/input/piece'
import { pricingInput, type PricingText } from '@/core/input/pricing'
import type { ShelfTableText } from '@/core/input/shelfTable'
import type { CountText } from '@/core/input/stock'
import { addCalendarFeed, revokeCalendarFeed } from '@/db/calendarFeed'
import { listRooms, saveRoom } from '@/db/climate'
import { addDryingFigure } from '@/db/dryingFigures'
import { emptyLot, putLotBack } from '@/db/stock'
import { listChannels, saveChannel, saveConsumables, saveLabels, saveMethod, savePricing, saveStudio } from '@/db/studio'

export async function changeStudio(typed: StudioText): Promise<Answer> {
  return write(studioInput, typed, (client, studio, { wishKind, wishValue, ...entered }) =>
    saveStudio(client, {
      id: studio.id,
      name: entered.name,
      currency: entered.currency,
      zone: entered.zone,
      locale: entered.locale,
      units: entered.units,
      hourRate: entered.hourRate,
      overheadRate: entered.overheadRate,
      taxMode: entered.taxMode,
      taxShare: entered.taxShare,
      wish:
        wishKind === 'profit' ? { profit: wishValue } : wishKind === 'margin' ? { margin: wishValue } : { earnedRate: wishValue },
      haggle: entered.haggleShare,
      step: entered.priceStep,
      hours: { from: entered.worksFrom, to: entered.worksTo, days: entered.worksDays },
    }),
  )
}

export async function keepMethod(typed: MethodText): Promise<Answer> {
  return write(methodInput, typed, (client, _studio, method) => saveMethod(client, method))
}

export async function keepConsumables(typed: ConsumablesText): Promise<Answer> {
  return write(consumablesInput, typed, (client, _studio, prices) => saveConsumables(client, prices))
}

export async function keepPricing(typed: PricingText): Promise<Answer> {
  return write(pricingInput, typed, (client, _studio, pricing) => savePricing(client, pricing))
}

export async function keepChannel(typed: ChannelText): Promise<Answer> {
  return write(channelInput, typed, async (client, studio, channel) => {
    const { length } = await listChannels(client)
    await saveChannel(client, studio.id, channel, length)
  })
}

export const keepProduct = async (typed: ProductText): Promise<Answer> => putOnShelf(typed)
/** What a tin costs now is what the next coat is reckoned by before it is opened. */
export const buyLot = async (typed: LotText): Promise<Answer> => putTinOnShelf(typed)
/** What was found on a walk along the shelf. */
export const countTins = async (typed: CountText): Promise<Answer> => countOnShelf(typed)
/** A shelf brought in as a table. */
export const bringInShelf = async (typed: ShelfTableText): Promise<Answer> => putTableOnShelf(typed)
/** What stands on the labels of tins, one or many. */
export async function keepLabels(typed: LabelsText): Promise<Answer> {
  return write(labelInput, typed, async (client, _studio, { labels }) => {
    if (!(await saveLabels(client, labels))) throw new Refused('not-found')
  })
}
export async function emptyTin(typed: EmptyLotText): Promise<Answer> {
  return write(emptyLotInput, typed, async (client, _studio, { id, at, back }) => {
    await (back ? putLotBack(client, id) : emptyLot(client, id, at))
  })
}

export async function keepRoom(typed: RoomText): Promise<Answer> {
  return write(roomInput, typed, async (client, studio, room) => {
    const rooms = await listRooms(client)
    if (room.sensor && rooms.some(({ id, sensor }) => id !== room.id && sensor === room.sensor))
      throw new Refused('not-readable', { sensor: 'Another room is read by this sensor.' })
    await saveRoom(client, studio.id, room, rooms.length)
  })
}

/** Takes up what the studio's own observations teach, or the label again; the earlier figure stays on record. */
export async function takeDryingFigure(typed: DryingText): Promise<Answer> {
  return writeOnce(
    'drying',
    dryingInput,
    typed,
    ({ id }) => id,
    async (client, studio, { id, family, at, back }) => {
      const lesson = back ? { p50: 1, p80: 1, count: 0 } : (await lessonsIn(client)).find((each) => each.family === family)
      if (!lesson) throw new Refused('not-found')
      const { p50, p80, count } = lesson
      await addDryingFigure(client, studio.id, { id, family, p50, p80, count, at, personId: null })
    },
  )
}

export async function makeCalendar(typed: CalendarText): Promise<Answer> {
  return writeOnce(
    'calendar',
    calendarInput,
    typed,
    ({ id }) => id,
    (client, studio, { id, at, token }) =>
      addCalendarFeed(client, studio.id, { id, madeAt: at, digest: createHash('sha256').update(token).digest('hex') }),
  )
}
export async function revokeCalendar(typed: RevokeText): Promise<Answer> {
  return write(revokeInput, typed, (client, _studio, { id, at }) => revokeCalendarFeed(client, id, at))
}
