'use server'
/** The house, its channels and its shelf. */
import { unitOf } from '../../core/finish/families'
import {
  channelInput,
  productInput,
  studioInput,
  type ChannelText,
  type ProductText,
  type StudioText,
} from '../../core/input/house'
import { methodInput, type MethodText } from '../../core/input/piece'
import { listChannels, saveChannel, saveMethod, saveProduct, saveStudio } from '../../db/studio'
import { write, type Answer } from '../_server/write'

export async function changeStudio(typed: StudioText): Promise<Answer> {
  return write(studioInput, typed, (client, studio, { wishKind, wishValue, ...entered }) =>
    saveStudio(client, {
      id: studio.id,
      name: entered.name,
      currency: entered.currency,
      zone: entered.zone,
      units: entered.units,
      hourRate: entered.hourRate,
      overheadRate: entered.overheadRate,
      taxMode: entered.taxMode,
      taxShare: entered.taxPercent,
      wish:
        wishKind === 'profit' ? { profit: wishValue } : wishKind === 'margin' ? { margin: wishValue } : { earnedRate: wishValue },
      haggle: entered.hagglePercent,
      step: entered.priceStep,
    }),
  )
}

export async function keepMethod(typed: MethodText): Promise<Answer> {
  return write(methodInput, typed, (client, _studio, method) => saveMethod(client, method))
}

export async function keepChannel(typed: ChannelText): Promise<Answer> {
  return write(channelInput, typed, async (client, studio, { id, name, feePercent, feeFixed }) => {
    const { length } = await listChannels(client)
    await saveChannel(client, studio.id, { id, name, feeShare: feePercent, feeFixed }, length)
  })
}

export async function keepProduct(typed: ProductText): Promise<Answer> {
  return write(productInput, typed, (client, studio, product) => {
    const coloured = product.colourName !== null && product.colourHex !== null
    return saveProduct(client, studio.id, {
      ...product,
      colourName: coloured ? product.colourName : null,
      colourHex: coloured ? product.colourHex : null,
      unit: unitOf(product.family),
    })
  })
}
