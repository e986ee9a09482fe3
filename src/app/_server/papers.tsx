/** Papers for a client as PDF: an offer as it was made, and what goes along with their piece. */
import 'server-only'
import { renderToBuffer } from '@react-pdf/renderer'
import type { ClientLanguage } from '@/core/house/clientPage'
import { draftSections } from '@/core/house/quoteDraft'
import type { Studio } from '@/core/house/studio'
import { handoverOf } from '@/core/piece/handover'
import type { MadeQuote } from '@/core/price/offer'
import type { MadeReceipt } from '@/core/price/receipt'
import { HandoverPaper } from '@/papers/HandoverPaper'
import { OfferPaper } from '@/papers/OfferPaper'
import { ReceiptPaper } from '@/papers/ReceiptPaper'
import { clientWords } from '@/words/client'
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
