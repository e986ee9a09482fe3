/** What goes along with a piece, for its client, with the way to this page on it. */
import { openClientPage } from '@/app/_server/clientPage'
import { refused } from '@/app/_server/doorAnswer'
import { handoverPaper } from '@/app/_server/papers'
import { ownOrigin } from '@/origin'

export async function GET(request: Request, { params }: { params: Promise<{ token: string }> }): Promise<Response> {
  const { token } = await params
  const opened = await openClientPage(token)
  if (!opened?.page.shows.includes('record')) return refused('gone', 404)
  return handoverPaper(opened.view, { address: `${ownOrigin(request.headers)}/for/${token}`, language: opened.page.language })
}
