/** What a posting is, in words. */
import type { PostingKind } from '@/core/house/books'

export const postingWords: Record<PostingKind, string> = {
  payment: 'A client paid, or was paid back',
  tin: 'A tin was bought',
  credit: 'Taken back of a sale, by a credit note',
  thrown: 'A tin was thrown away with something in it',
  counted: 'A tin was counted, and held less or more than was thought',
  cost: 'Paid for the piece',
  material: 'Laid on the piece',
  mix: 'Mixed',
  rest: 'What was left of a mix',
  small: 'Small things used up',
  sale: 'Price paid',
  fees: 'Fees taken',
  tax: 'Tax within the price',
  leaves: 'What it had cost',
  late: 'Paid after it had left',
}
