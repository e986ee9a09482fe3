import { expect, test } from 'vitest'
import { type Endpoint, endpointFor, endpoints, openApi } from './api'

test('a path and its method lead to one endpoint; another method is told which there are', () => {
  expect(endpointFor('GET', ['pieces'])).toEqual({ name: 'listPieces', id: null })
  expect(endpointFor('get', ['pieces', 'p1'])).toEqual({ name: 'getPiece', id: 'p1' })
  expect(endpointFor('POST', ['pieces', 'p1', 'notes'])).toEqual({ name: 'addNote', id: 'p1' })
  expect(endpointFor('DELETE', ['readings'])).toEqual({ methods: ['GET', 'POST'] })
  expect(endpointFor('GET', ['pieces', 'p1', 'notes'])).toEqual({ methods: ['POST'] })
  expect(endpointFor('GET', ['pieces', 'p1', 'notes', 'more'])).toEqual({ methods: [] })
  expect(endpointFor('GET', [])).toEqual({ methods: [] })
})

test('the description holds every endpoint, with what it takes and answers, and how it refuses', () => {
  const described = openApi('http://127.0.0.1:4700') as {
    openapi: string
    servers: { url: string }[]
    paths: Record<
      string,
      Record<
        string,
        {
          operationId: string
          parameters?: { name: string; in: string }[]
          responses: object
          requestBody?: object
          security: object[]
        }
      >
    >
  }
  expect(described.openapi).toBe('3.1.0')
  expect(described.servers).toEqual([{ url: 'http://127.0.0.1:4700/api/v1' }])
  for (const [name, { path, method, may, body, query }] of Object.entries(endpoints as Record<string, Endpoint>)) {
    const one = described.paths[path]?.[method]
    expect(one?.operationId).toBe(name)
    expect(one?.security).toEqual([{ key: [may] }])
    expect(Object.keys(one?.responses ?? {})).toEqual(expect.arrayContaining(['200', '401', '403', '429']))
    expect(one?.requestBody !== undefined).toBe(body !== undefined)
    expect((one?.parameters ?? []).some((each) => each.in === 'path')).toBe(path.includes('{id}'))
    expect((one?.parameters ?? []).some((each) => each.in === 'query')).toBe(query !== undefined)
  }
})
