/** Papers for a client as PDF: an offer as it was made, and what goes along with their piece. */
import 'server-only'
import { renderToBuffer } from '@react-pdf/renderer'
import type { ClientLanguage } from '@/core/house/clientPage'
import { draftSections } from '@/core/house/quoteDraft'
import type { Studio } from '@/core/house/studio'
import { handoverOf } from '@/core/piece/handover'
import type { Journey } from '@/core/piece/journey'
import type { MadeQuote } from '@/core/price/offer'
import type { MadeReceipt } from '@/core/price/receipt'
import type { Product } from '@/core/stock/product'
import { HandoverPaper } from '@/papers/HandoverPaper'
import { OfferPaper } from '@/papers/OfferPaper'
import { ReceiptPaper } from '@/papers/ReceiptPaper'
import { ShelfCardsPaper } from '@/papers/ShelfCardsPaper'
import { TagsPaper } from '@/papers/TagsPaper'
import { clientWords } from '@/words/client'
import { cardFacts, cardFamily, cardName, cardWords, tagCaution, tagParts, tagUnder } from '@/words/tags'
import type { PieceView } from './load'
import { qrOf } from './qr'

const asPdf = async (paper: Parameters<typeof renderToBuffer>[0], name: string): Promise<Response> =>
  new Response(new Uint8Array(await renderToBuffer(paper)), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': `inline; filename="${name}.pdf"`,
      'cache-control': 'no-store',
      'x-content-type-options': 'nosniff',
    },
  })

export const offerPaper = (
  studio: Studio,
  quote: MadeQuote,
  { client, language }: { client: string | null; language: ClientLanguage },
): Promise<Response> =>
  asPdf(<OfferPaper {...{ studio, quote, client }} words={clientWords[language]} />, `offer-${quote.id.slice(-6)}`)

export const receiptPaper = (receipt: MadeReceipt, language: ClientLanguage): Promise<Response> =>
  asPdf(<ReceiptPaper receipt={receipt} words={clientWords[language]} />, `${receipt.kind}-${receipt.number}`)

/** `origin`: where this app is reached, for a camera. */
export const tagsPaper = (studio: Studio, journeys: readonly Journey[], origin: string): Promise<Response> =>
  asPdf(
    <TagsPaper
      studio={studio.name}
      tags={journeys.map((journey) => ({
        ...{ name: journey.file.piece.name, under: tagUnder(journey, studio), parts: tagParts(journey) },
        ...{ caution: tagCaution(journey), code: qrOf(`${origin}/pieces/${journey.file.piece.id}`) },
      }))}
    />,
    'tags',
  )
export const shelfCardsPaper = (studio: Studio, products: readonly Product[]): Promise<Response> =>
  asPdf(
    <ShelfCardsPaper
      studio={studio.name}
      cards={products.map((product) => ({
        ...{ name: cardName(product), family: cardFamily(product), colour: product.colourHex },
        ...{ facts: cardFacts(product.family, studio), words: cardWords(product) },
      }))}
    />,
    'shelf-cards',
  )

/** `address`: of the client's page, for a camera; null where none is known. */
export const handoverPaper = (
  { studio, journey, nowMs }: Pick<PieceView, 'studio' | 'journey' | 'nowMs'>,
  { address, language }: { address: string | null; language: ClientLanguage },
): Promise<Response> =>
  asPdf(
    <HandoverPaper
      {...{ studio, piece: journey.file.piece, handover: handoverOf(journey), drawn: draftSections(journey.parts) }}
      madeAt={new Date(nowMs).toISOString()}
      words={clientWords[language]}
      code={address === null ? null : { ...qrOf(address), address }}
    />,
    'handover',
  )
