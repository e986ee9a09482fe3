/** What may be entered at the kerb: a card as a device keeps it, and what became of what was looked at. */
import * as z from 'zod'
import { leadFindings } from '@/core/craft/lead'
import { lookCodes } from '@/core/craft/looks'
import { codesOf, existingFinishes, substrates } from '@/core/craft/parts'
import { kerbStates } from '@/core/house/kerbState'
import { asks } from '@/core/piece/article'
import { articles } from '@/core/piece/articles'
import { type House, id, instant, optionalMoney, optionalWords, words } from './fields'

const mm = z.number().int().min(20).max(10_000)
/** What was seen and chosen; the money of a card stands beside it. */
export const kerbFacts = z.object({
  article: z.enum(codesOf(articles)),
  facts: z.object({ width: mm, depth: mm, height: mm, of: z.partialRecord(z.enum(asks), z.number().int().min(0).max(24)) }),
  substrate: z.enum(codesOf(substrates)),
  existing: z.enum(codesOf(existingFinishes)),
  lead: z.enum(codesOf(leadFindings)),
  state: z.enum(codesOf(kerbStates)),
  look: z.enum(lookCodes),
})
export type KerbFacts = z.output<typeof kerbFacts>

export const bidOutcomes = { bought: 'bought', outbid: 'went to somebody else', left: 'left' } as const
export type BidOutcome = keyof typeof bidOutcomes

const wholeMoney = z.number().int().min(0).max(1e12).nullable()
export const bidInput = (house: House) =>
  z
    .object({
      entryId: id,
      lotId: id,
      at: instant,
      sale: optionalWords(80),
      name: words('what it is', 120),
      outcome: z.enum(codesOf(bidOutcomes)),
      /** the piece that it became */
      pieceId: z.union([id, z.literal('')]).transform((piece) => piece || null),
      card: kerbFacts,
      hours: z.number().min(0).max(10_000),
      highest: wholeMoney,
      brings: wholeMoney,
      /** as typed; nothing where nobody knows */
      wentFor: optionalMoney(house),
    })
    .refine(({ outcome, pieceId }) => (outcome === 'bought') === (pieceId !== null), 'What was bought is a piece.')
export type BidText = z.input<ReturnType<typeof bidInput>>
