/** What each endpoint of the studio's interface answers, and does. */
import 'server-only'
import * as z from 'zod'
import { readBench } from '@/core/bench/benchData'
import { type BenchLine, benchOrder } from '@/core/bench/benchOrder'
import { unitOf } from '@/core/craft/families'
import { type EndpointName, endpoints } from '@/core/input/api'
import { clockText, coatText } from '@/core/input/apiWork'
import type { BenchAction } from '@/core/input/bench'
import type { Answer } from '@/core/input/issues'
import type { PlanStep } from '@/core/piece/piece'
import { addReading, listLastReadings } from '@/db/climate'
import { listPieces } from '@/db/piece'
import { listLots } from '@/db/stock'
import { listPeople, listProducts } from '@/db/studio'
import { stepTitle } from '@/words/craft'
import { writeAtBench } from './bench'
import { loadBench } from './loadWeek'
import { readPieceFile } from './pieceFiles'
import { readStudio } from './session'
import { writeOnce } from './write'

interface Asked {
  id: string
  /** as the endpoint's own schemas read them */
  query: Record<string, unknown>
  body: Record<string, unknown>
}
/** `null`: there is no such thing. */
type Found = { answer: object } | { written: Answer } | null | { unreadable: Record<string, string> }

const cursor = z.object({ left: z.boolean(), at: z.iso.datetime(), id: z.guid() })
const cursorIn = (text: string) => {
  try {
    return cursor.safeParse(JSON.parse(Buffer.from(text, 'base64url').toString('utf8'))).data ?? null
  } catch {
    return null
  }
}
const cursorOf = (at: z.output<typeof cursor>): string => Buffer.from(JSON.stringify(at)).toString('base64url')

const stepOf = (step: PlanStep) => ({
  ...{ id: step.id, title: stepTitle(step), operation: step.operation, family: step.family },
  ...{ colour: step.colour?.name ?? null, minutes: step.minutes, amount: step.amount },
})
const lineOf = ({ journey, part, step, group, window }: BenchLine) => ({
  pieceId: journey.file.piece.id,
  piece: journey.file.piece.name,
  partId: part.part.id,
  part: part.part.name,
  step: stepOf(step),
  group,
  opensAt: window?.times.opens ?? null,
  closesAt: window?.times.closes ?? null,
})

export const answers: Record<EndpointName, (asked: Asked) => Promise<Found>> = {
  listPieces: async ({ query }) => {
    const { limit, after } = endpoints.listPieces.query.parse(query)
    const from = after === undefined ? null : cursorIn(after)
    if (after !== undefined && !from) return { unreadable: { after: 'As next of the page before said it.' } }
    const found = await readStudio((client) => listPieces(client, { limit: limit + 1, after: from }))
    const pieces = found.slice(0, limit)
    const last = pieces.at(-1)
    const next =
      found.length > limit && last
        ? cursorOf({ left: last.endedAt !== null, at: last.endedAt ?? last.takenInAt, id: last.id })
        : null
    return { answer: { pieces, next } }
  },
  getPiece: ({ id }) =>
    readStudio(async (client) => {
      const file = await readPieceFile(client, id)
      if (!file) return null
      const parts = [...file.parts, ...(file.whole ? [file.whole] : [])].map(({ plan, ...part }) => ({
        ...part,
        steps: (plan?.steps ?? []).map(stepOf),
      }))
      return { answer: { piece: file.piece, parts, log: file.log } }
    }),
  listBench: async () => {
    const [bench, nowMs] = [await loadBench(), Date.now()]
    const { running, now, missed, drying, resting, client } = benchOrder(
      readBench(bench, [], nowMs),
      nowMs,
      'UTC',
      bench.planned,
      new Set(bench.waiting),
    )
    return {
      answer: {
        at: new Date(nowMs).toISOString(),
        lines: [...running, ...now, ...missed, ...drying, ...resting, ...client].map(lineOf),
      },
    }
  },
  listShelf: () =>
    readStudio(async (client) => {
      const products = new Map((await listProducts(client)).map((each) => [each.id, each]))
      const lots = (await listLots(client)).flatMap((lot) => {
        const product = products.get(lot.productId)
        return product ? [{ ...lot, product: product.name, family: product.family, unit: unitOf(product.family) }] : []
      })
      return { answer: { lots } }
    }),
  listReadings: () => readStudio(async (client) => ({ answer: { readings: await listLastReadings(client) } })),
  addReading: async ({ body }) => ({
    written: await writeOnce(
      'reading',
      endpoints.addReading.body,
      body,
      ({ id }) => id,
      (client, studio, reading) => addReading(client, studio.id, reading),
      'key',
    ),
  }),
  listPeople: () => readStudio(async (client) => ({ answer: { people: await listPeople(client) } })),
  moveClock: ({ id, body }) => {
    const { action, typed } = clockText(id, endpoints.moveClock.body.parse(body))
    return atBench(action, typed)
  },
  addCoat: ({ id, body }) => atBench('logCoat', coatText(id, endpoints.addCoat.body.parse(body))),
  addNote: ({ id, body }) => atBench('addNote', { ...body, pieceId: id }),
}

/** The same as from the bench's own page, by a key. */
async function atBench(action: BenchAction, typed: object): Promise<Found> {
  return { written: await writeAtBench(action, typed, 'key') }
}
