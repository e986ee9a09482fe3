/** An offer on paper, for its client. */
import { openClientPage } from '@/app/_server/clientPage'
import { refused } from '@/app/_server/doorAnswer'
import { offerPaper } from '@/app/_server/papers'

export async function GET(_request: Request, { params }: { params: Promise<{ token: string; id: string }> }): Promise<Response> {
  const { token, id } = await params
  const opened = await openClientPage(token)
  const quote = opened?.deal.quotes.find((each) => each.id === id && each.withdrawnAt === null)
  if (!opened || !quote) return refused('gone', 404)
  const { studio, journey } = opened.view
  return offerPaper(studio, quote, {
    client: journey.file.piece.client,
    language: opened.page.language,
  })
}
