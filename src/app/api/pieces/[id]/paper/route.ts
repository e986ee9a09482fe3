/** What goes along with a piece, on paper; or one of its offers, where it is named; or what was accepted of that, to the letter; or a receipt. */
import * as z from 'zod'
import { readDeal } from '@/app/_server/clientDeal'
import { acceptedFile } from '@/app/_server/deals'
import { findPieceView } from '@/app/_server/load'
import { handoverPaper, offerPaper, receiptPaper } from '@/app/_server/papers'
import { readStudio } from '@/app/_server/session'
import { whoIsIn } from '@/app/_server/whoIsIn'
import { clientLanguages } from '@/core/house/clientPage'
import { findClientPage } from '@/db/clientPage'
import { findAccepted } from '@/db/quote'

const notThere = () => Response.json({ issue: 'not-found' }, { status: 404 })
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  if (!(await whoIsIn())) return Response.json({ issue: 'signed-out' }, { status: 401 })
  const id = z.uuid().safeParse((await params).id)
  const view = id.success ? await findPieceView(id.data) : null
  if (!view) return notThere()
  const { studio, journey, nowMs } = view
  const { piece } = journey.file
  const { searchParams } = new URL(request.url)
  const wanted = searchParams.get('offer')
  const billed = searchParams.get('receipt')
  const { page, quote, accepted, receipt } = await readStudio(async (client) => {
    const deal = wanted === null && billed === null ? null : await readDeal(client, piece.id, studio.zone, nowMs)
    const found = deal?.quotes.find((each) => each.id === wanted) ?? null
    return {
      page: await findClientPage(client, piece.id),
      quote: found,
      receipt: deal?.receipts.find((each) => each.id === billed) ?? null,
      accepted: found ? await findAccepted(client, found.id) : null,
    }
  })
  const language = page?.language ?? clientLanguages.find((each) => studio.locale.startsWith(each)) ?? 'en'
  if (billed !== null) return receipt ? receiptPaper(receipt, language) : notThere()
  if (wanted === null) return handoverPaper(view, { address: null, language })
  if (searchParams.has('letter')) return accepted ? acceptedFile(accepted) : notThere()
  return quote ? offerPaper(studio, quote, { client: piece.client, language }) : notThere()
}
