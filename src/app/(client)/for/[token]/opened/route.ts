/** That a client's page was seen. */
import { noteOpening } from '@/app/_server/clientPage'
import { kept } from '@/app/_server/doorAnswer'

export async function POST(_request: Request, { params }: { params: Promise<{ token: string }> }): Promise<Response> {
  await noteOpening((await params).token)
  return new Response(null, { status: 204, headers: kept })
}
