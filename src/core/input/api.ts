/** What other programs may ask of a studio, and how it answers: one table, by which requests are read, answers written, and their description made. Pure. */
import * as z from 'zod'
import type { KeyMay } from '../house/keys'
import { clockBody, coatBody } from './apiWork'
import { noteInput } from './entry'

/** so often a minute */
export const mostUses = 120

const id = z.guid()
const instant = z.iso.datetime()
const page = z.object({
  limit: z.coerce.number().int().min(1).max(200).default(50).describe('at most so many'),
  after: z.string().max(400).optional().describe('next of the page before'),
})
const pieceAnswer = z.object({
  id,
  name: z.string(),
  client: z.string().nullable(),
  promisedOn: z.iso.date().nullable(),
  takenInAt: instant,
  endedAt: instant.nullable(),
})
const stepAnswer = z.object({
  id,
  title: z.string().describe('as the bench says it'),
  operation: z.string(),
  family: z.string().nullable(),
  colour: z.string().nullable(),
  minutes: z.int(),
  amount: z.number().nullable(),
})
const lineAnswer = z.object({
  pieceId: id,
  piece: z.string(),
  partId: id,
  part: z.string(),
  step: stepAnswer,
  group: z.enum(['running', 'now', 'missed', 'drying', 'resting']),
  opensAt: instant.nullable().describe('when its window opens; null where nothing holds it back'),
  closesAt: instant.nullable().describe('when it closes; null where it does not'),
})
const lotAnswer = z.object({
  id,
  productId: id,
  product: z.string(),
  family: z.string(),
  code: z.string().nullable(),
  remaining: z.number(),
  unit: z.string(),
  openedAt: instant.nullable(),
})
const readingAnswer = z.object({ at: instant, roomId: id.nullable(), temperature: z.number(), humidity: z.number() })
const kept = z.object({ ok: z.literal(true) })

export interface Endpoint {
  method: 'get' | 'post'
  /** with {id} where a piece's stands */
  path: string
  may: Exclude<KeyMay, 'money'>
  says: string
  query?: z.ZodObject
  body?: z.ZodType
  answer: z.ZodType
}
export const endpoints = {
  listPieces: {
    ...{ method: 'get', path: '/pieces', may: 'read', says: 'Pieces, those in the workshop first.' },
    query: page,
    answer: z.object({ pieces: z.array(pieceAnswer), next: z.string().nullable() }),
  },
  getPiece: {
    ...{ method: 'get', path: '/pieces/{id}', may: 'read', says: 'A piece with its parts, their steps, and its log.' },
    answer: z.object({
      piece: pieceAnswer.omit({ endedAt: true }),
      parts: z.array(z.object({ id, name: z.string(), kind: z.string(), count: z.int(), steps: z.array(stepAnswer) })),
      log: z.array(z.looseObject({ id, kind: z.string(), at: instant })),
    }),
  },
  listBench: {
    ...{
      method: 'get',
      path: '/bench',
      may: 'read',
      says: 'What can be done now and what dries, in the bench’s order, each with its window.',
    },
    answer: z.object({ at: instant, lines: z.array(lineAnswer) }),
  },
  listShelf: {
    ...{ method: 'get', path: '/shelf', may: 'read', says: 'Tins on the shelf, with what is left in them.' },
    answer: z.object({ lots: z.array(lotAnswer) }),
  },
  listReadings: {
    ...{ method: 'get', path: '/readings', may: 'read', says: 'The last reading of each room.' },
    answer: z.object({ readings: z.array(readingAnswer) }),
  },
  addReading: {
    ...{
      method: 'post',
      path: '/readings',
      may: 'write',
      says: 'A reading of the air. Sent twice under its id it is kept once.',
    },
    body: z.object({
      id,
      at: instant,
      roomId: id.nullable().default(null),
      temperature: z.number().min(-30).max(50).describe('°C'),
      humidity: z.number().min(1).max(100).describe('%'),
    }),
    answer: kept,
  },
  listPeople: {
    ...{ method: 'get', path: '/people', may: 'read', says: 'Who works here: whose hands a clock or a coat may be of.' },
    answer: z.object({ people: z.array(z.object({ id, name: z.string() })) }),
  },
  moveClock: {
    ...{
      method: 'post',
      path: '/pieces/{id}/clocks',
      may: 'write',
      says: 'Starts a step, pauses it, goes on with it or ends it, as at the bench. Sent twice under its entryId it is kept once.',
    },
    body: clockBody,
    answer: kept,
  },
  addCoat: {
    ...{
      method: 'post',
      path: '/pieces/{id}/coats',
      may: 'write',
      says: 'What went on at a step; its tin has so much less. Sent twice under its entryId it is kept once.',
    },
    body: coatBody,
    answer: kept,
  },
  addNote: {
    ...{
      method: 'post',
      path: '/pieces/{id}/notes',
      may: 'write',
      says: 'A note in a piece’s log. Sent twice under its entryId it is kept once.',
    },
    body: noteInput.omit({ pieceId: true, personId: true }),
    answer: kept,
  },
} as const satisfies Record<string, Endpoint>
export type EndpointName = keyof typeof endpoints

/** Which endpoint a request asks for, and of which piece; `methods`: the path is there, by others. */
export function endpointFor(
  method: string,
  path: readonly string[],
): { name: EndpointName; id: string | null } | { methods: string[] } {
  const methods: string[] = []
  for (const name of Object.keys(endpoints) as EndpointName[]) {
    const wanted = endpoints[name].path.slice(1).split('/')
    if (wanted.length !== path.length || !wanted.every((part, k) => part === '{id}' || part === path[k])) continue
    if (endpoints[name].method !== method.toLowerCase()) methods.push(endpoints[name].method.toUpperCase())
    else return { name, id: path[wanted.indexOf('{id}')] ?? null }
  }
  return { methods }
}

const plain = (schema: z.ZodType, io: 'input' | 'output'): object => {
  const { $schema: _, ...rest } = z.toJSONSchema(schema, { target: 'draft-2020-12', io, unrepresentable: 'any' })
  return rest
}
const json = (schema: object) => ({ content: { 'application/json': { schema } } })
const problem = (description: string) => ({
  description,
  ...json({
    type: 'object',
    properties: { issue: { type: 'string' }, words: { type: 'string' }, fields: { type: 'object' } },
    required: ['issue'],
  }),
})
/** The whole as OpenAPI 3.1, made of the schemas that read and write it. */
export function openApi(server: string): object {
  const paths: Record<string, Record<string, object>> = {}
  for (const [name, endpoint] of Object.entries(endpoints) as [EndpointName, Endpoint][]) {
    const { method, path, says, may, query, body, answer } = endpoint
    const asked = query ? (plain(query, 'input') as { properties: Record<string, object>; required?: string[] }) : null
    const parameters = [
      ...(path.includes('{id}') ? [{ name: 'id', in: 'path', required: true, schema: plain(id, 'input') }] : []),
      ...Object.entries(asked?.properties ?? {}).map(([each, schema]) => ({ name: each, in: 'query', required: false, schema })),
    ]
    ;(paths[path] ??= {})[method] = {
      operationId: name,
      summary: says,
      security: [{ key: [may] }],
      ...(parameters.length > 0 && { parameters }),
      ...(body && { requestBody: { required: true, ...json(plain(body, 'input')) } }),
      responses: {
        200: { description: 'as asked', ...json(plain(answer, 'output')) },
        401: problem('no key, or one that is over'),
        403: problem('the key may not'),
        ...(path.includes('{id}') && { 404: problem('there is no such piece') }),
        ...((body ?? query) && { 422: problem('what was sent can’t be read; fields says what') }),
        429: problem(`more than ${mostUses} in a minute; retry-after says when`),
      },
    }
  }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Itinerum, of a studio',
      version: '1',
      description: 'Money is told where the key may see it. Instants are UTC, amounts in ml or g, money in minor units.',
    },
    jsonSchemaDialect: 'https://json-schema.org/draft/2020-12/schema',
    servers: [{ url: `${server}/api/v1` }],
    components: {
      securitySchemes: { key: { type: 'http', scheme: 'bearer', description: 'A key, as an owner makes it at House.' } },
    },
    paths,
  }
}
