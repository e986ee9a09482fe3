/** An invoice or a credit note on paper, for its client. */
import { openClientPage } from '@/app/_server/clientPage'
import { refused } from '@/app/_server/doorAnswer'
import { receiptPaper } from '@/app/_server/papers'

export async function GET(_request: Request, { params }: { params: Promise<{ token: string; id: string }> }): Promise<Response> {
  const { token, id } = await params
  const opened = await openClientPage(token)
  const receipt = opened?.deal.receipts.find((each) => each.id === id)
  return opened && receipt ? receiptPaper(receipt, opened.page.language) : refused('gone', 404)
}
