/** Some of a set become a piece of their own: its parts, its plan, what was done on it, its share of cost and hours. */
import 'server-only'
import { v7 as uuidv7 } from 'uuid'
import type * as z from 'zod'
import type { Studio } from '@/core/house/studio'
import type { splitInput } from '@/core/input/piece'
import { workSpans, workStretches } from '@/core/log/workSpans'
import type { Instant, PartId, PieceId, StepId, StudioId } from '@/core/measure/named'
import { type DoneStep, readPiece } from '@/core/piece/journey'
import type { PlanStep } from '@/core/piece/piece'
import { leavesRunning, type PartSplit, splitFault, splitOff } from '@/core/piece/split'
import { listOtherWork, type NewEntry } from '@/db/entry'
import { findPieceFile } from '@/db/piece'
import { addParts, addPiece, addPlan, changePart, takePartOut, takePieceInHand } from '@/db/pieceWrite'
import type { Client } from '@/db/pool'
import { splitFaultFields } from '@/words/split'
import { store } from './store'
import { Refused } from './write'

export async function splitPieceOff(client: Client, studio: Studio, entered: z.output<typeof splitInput>): Promise<void> {
  const { pieceId, newPieceId, at, name, leaving } = entered
  await takePieceInHand(client, pieceId)
  const file = await findPieceFile(client, pieceId)
  if (!file) throw new Refused('not-found')
  const others = await listOtherWork(client, [pieceId], workStretches([file.log]), workSpans([file.log]))
  const journey = readPiece(file, { climate: [], nowMs: Date.parse(at), method: studio.method, others })
  if (journey.ending) throw new Refused('already-ended')
  const counts = new Map(leaving.map(({ partId, count }) => [partId, count]))
  if (leavesRunning(journey, counts)) throw new Refused('still-running')
  const fault = splitFault(file.parts, counts)
  if (fault) throw new Refused('not-readable', splitFaultFields(fault, leaving))
  const split = splitOff(journey, counts)

  await addPiece(client, studio.id, { ...file.piece, id: newPieceId, name, expected: null })
  const entries: NewEntry[] = []
  for (const [position, part] of split.parts.entries()) {
    entries.push(...(await movePart(client, studio.id, { pieceId, newPieceId, at, position }, part)))
  }
  const share = { costs: split.costs, minutes: split.minutes }
  entries.push(
    { id: uuidv7(), pieceId, kind: 'split', at, note: name, detail: { pieceId: newPieceId, sign: -1, ...share } },
    { id: uuidv7(), pieceId: newPieceId, kind: 'split', at, note: file.piece.name, detail: { pieceId, sign: 1, ...share } },
  )
  await store(client, studio.id, entries)
}

interface Move {
  pieceId: PieceId
  newPieceId: string
  at: Instant
  position: number
}

/** One part, with its plan and what was done; what stays here is fewer, with less ahead of it. Answers with the log's lines. */
async function movePart(client: Client, studioId: StudioId, move: Move, split: PartSplit): Promise<NewEntry[]> {
  const { pieceId, newPieceId, at, position } = move
  const { journey, leaves, stays, done, aheadThere, aheadHere } = split
  const { part } = journey
  const newPartId = uuidv7()
  const faces = part.surfaces.map((face) => ({ ...face, id: uuidv7() }))
  await addParts(client, studioId, newPieceId, position, [{ ...part, id: newPartId, count: leaves, surfaces: faces }])
  const moved = done.map((each) => ({ ...each, id: uuidv7() }))
  if (part.plan) {
    const steps = [...moved.map(({ step, id }) => ({ ...step, id })), ...aheadThere.map((step) => ({ ...step, id: uuidv7() }))]
    await addPlan(client, studioId, newPartId, { ...part.plan, id: uuidv7(), madeAt: at, steps: placed(steps) })
  }
  const shareOfPart = leaves / part.count
  const lines = moved.flatMap((each) => linesOf(each, { pieceId: newPieceId, partId: newPartId, stepId: each.id }, shareOfPart))
  if (stays === 0) await takePartOut(client, part.id, at)
  else {
    await changePart(client, part.id, { ...part, count: stays })
    if (part.plan) {
      const steps = aheadHere.map((step) => ({ ...step, id: uuidv7() }))
      await addPlan(client, studioId, part.id, { ...part.plan, id: uuidv7(), madeAt: at, steps: placed(steps) })
    }
  }
  return [
    ...lines,
    { id: uuidv7(), pieceId, partId: part.id, kind: 'amended', at, detail: { count: [String(part.count), String(stays)] } },
  ]
}
const placed = (steps: readonly PlanStep[]): PlanStep[] => steps.map((step, position) => ({ ...step, position, mends: null }))

/** What was done, as the new piece's record tells it: its hours and its material came with its share. */
function linesOf({ step, state }: DoneStep, on: { pieceId: PieceId; partId: PartId; stepId: StepId }, share: number): NewEntry[] {
  return [
    ...state.coats.map(({ at, personId, coat, note, temperature, humidity }): NewEntry => ({
      id: uuidv7(),
      ...on,
      kind: 'coat',
      at,
      personId,
      note,
      temperature,
      humidity,
      money: 0,
      coat: { ...coat, batchId: null, lotId: null, amount: Math.round(coat.amount * share * 10) / 10 },
    })),
    { id: uuidv7(), ...on, kind: 'ended', at: state.endedAt, personId: state.ended?.personId ?? null, minutes: 0 },
    ...(state.check && step.check
      ? [
          {
            id: uuidv7(),
            ...on,
            kind: 'checked' as const,
            at: state.check.at,
            personId: state.check.personId,
            checkCode: state.check.checkCode,
            result: state.check.result,
          },
        ]
      : []),
  ]
}
