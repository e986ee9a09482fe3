/** What the labels of the tins here say, to be shared: JSON. */
import { readStudio } from '@/app/_server/session'
import { whoIsIn } from '@/app/_server/whoIsIn'
import { shareLabels } from '@/core/input/label'
import { listProducts } from '@/db/studio'

export async function GET(): Promise<Response> {
  if (!(await whoIsIn())) return Response.json({ issue: 'signed-out' }, { status: 401 })
  const labels = shareLabels(await readStudio(listProducts))
  return new Response(`${JSON.stringify(labels, null, 1)}\n`, {
    headers: {
      'content-type': 'application/json; charset=utf-8',
      'content-disposition': 'attachment; filename="labels.json"',
      'cache-control': 'no-store',
    },
  })
}
