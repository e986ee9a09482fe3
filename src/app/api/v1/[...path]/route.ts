/** What other programs ask of a studio, each by its key. */
import { answerByKey } from '@/app/_server/api'

type Context = { params: Promise<{ path: string[] }> }
export const GET = async (request: Request, { params }: Context): Promise<Response> => answerByKey(request, (await params).path)
export const POST = async (request: Request, { params }: Context): Promise<Response> => answerByKey(request, (await params).path)
