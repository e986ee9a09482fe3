/** What stands under an offer, in the client's language. */
import type { Offer } from '@/core/price/offer'
import { clientDay, type ClientWords } from './client'

/** How long it stands, when it is ready, what tax is in it. */
export function termsOf({ validUntil, ready, taxShare }: Offer, words: ClientWords): string[] {
  const { deal } = words
  const percent = new Intl.NumberFormat(words.locale, { style: 'percent', maximumFractionDigits: 2 })
  return [
    deal.validUntil(clientDay(validUntil, words)),
    ...(ready ? [(ready.is === 'promised' ? deal.readyPromised : deal.readyEarliest)(clientDay(ready.day, words))] : []),
    ...(taxShare === null ? [] : [deal.taxed(percent.format(taxShare))]),
  ]
}
