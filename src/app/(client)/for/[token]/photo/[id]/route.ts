/** A photograph of a client's page, asked for anew each time: what was taken back is gone. */
import * as z from 'zod'
import { findClientPhoto } from '@/app/_server/clientPage'
import { answerPicture, noPicture } from '@/app/_server/pictureAnswer'

export async function GET(request: Request, { params }: { params: Promise<{ token: string; id: string }> }): Promise<Response> {
  const { token, id } = await params
  const size = z.enum(['small', 'large']).catch('large').parse(new URL(request.url).searchParams.get('size'))
  const bytes = z.uuid().safeParse(id).success ? await findClientPhoto(token, id, size) : null
  return bytes ? answerPicture(request, { etag: `"${id}-${size}"`, bytes, cache: 'private, no-cache' }) : noPicture()
}
