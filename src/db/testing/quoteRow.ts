/** An offer and an invoice, for tests: ids are fresh each time. */
import { v7 as uuidv7 } from 'uuid'
import type { Offer } from '@/core/price/offer'
import type { addQuote } from '@/db/quote'
import type { addReceipt } from '@/db/receipt'

/** Two lines of 310.00 and 170.00, and a top that may be sealed harder for 45.00 more: 525.00, of it 30 % before. */
export function quoteRow(pieceId: string, over: Partial<Offer> = {}): Parameters<typeof addQuote>[2] {
  const offer: Offer = {
    ...{ piece: 'Washstand', currency: 'GBP', excluded: 'the marble', words: null, depositShare: 0.3, validUntil: '2098-01-31' },
    lines: [
      { id: uuidv7(), partId: null, words: 'Top', detail: 'smooth solid, water-based clear', money: 31_000 },
      { id: uuidv7(), partId: null, words: 'Carcass', detail: null, money: 17_000 },
    ],
    options: [
      {
        ...{ id: uuidv7(), words: 'protection, Top' },
        choices: [
          { id: uuidv7(), words: 'water-based clear', extra: 0 },
          { id: uuidv7(), words: 'hard exterior clear', extra: 4_500 },
        ],
      },
    ],
    ...{ ready: null, taxShare: null, sections: [] },
    ...over,
  }
  return { id: uuidv7(), pieceId, kind: 'quote', validUntil: offer.validUntil, offer, hours: 6.5, worth: 48_000 }
}

/** An invoice of 415.00. */
export const receiptRow = (pieceId: string): Parameters<typeof addReceipt>[2] => ({
  ...{ id: uuidv7(), pieceId, kind: 'invoice', credits: null, tax: 0 },
  paper: {
    ...{ studio: 'A studio', letterhead: '', client: null, piece: 'Washstand', currency: 'GBP', day: '2026-05-20' },
    ...{ lines: [{ words: 'Washstand', money: 41_500 }], total: 41_500, tax: { mode: 'none' }, paid: 41_500, of: null },
  },
})
