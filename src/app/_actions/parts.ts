'use server'
/** Parts put right, taken out, split off: the log tells what they were. */
import { splitPieceOff } from '@/app/_server/splitting'
import { store } from '@/app/_server/store'
import { Refused, writeOnce } from '@/app/_server/write'
import type { Answer } from '@/core/input/issues'
import {
  addPartInput,
  type AddPartText,
  changePartInput,
  type ChangePartText,
  splitInput,
  type SplitText,
  takeOutInput,
  type TakeOutText,
} from '@/core/input/piece'
import { changeOf } from '@/core/log/change'
import type { Change } from '@/core/log/entry'
import { areaOfPart } from '@/core/piece/area'
import { readPiece } from '@/core/piece/journey'
import { findPieceFile } from '@/db/piece'
import { addParts, changeFaces, changePart, type PartFacts, takePartOut, takePieceInHand } from '@/db/pieceWrite'

export async function addPartToPiece(typed: AddPartText): Promise<Answer> {
  return writeOnce(
    'addPart',
    addPartInput,
    typed,
    ({ part }) => part.id,
    async (client, studio, { pieceId, part }) => {
      if (!(await takePieceInHand(client, pieceId))) throw new Refused('not-found')
      const file = await findPieceFile(client, pieceId)
      if (!file) throw new Refused('not-found')
      await addParts(client, studio.id, pieceId, file.parts.length + file.takenOut.length, [part])
    },
  )
}

const changeable = [
  'name',
  'kind',
  'count',
  'substrate',
  'existing',
  'lead',
  'use',
  'bleeds',
  'polish',
  'slips',
  'foundColour',
  'knots',
] as const satisfies (keyof PartFacts)[]
/** as it is read on the tape: m² to the square centimetre */
const areaText = (areaM2: number) => areaM2.toFixed(4)

export async function changePartFacts(typed: ChangePartText): Promise<Answer> {
  return writeOnce(
    'changePart',
    changePartInput,
    typed,
    ({ entryId }) => entryId,
    async (client, studio, entered) => {
      const { entryId, pieceId, at, part: after } = entered
      await takePieceInHand(client, pieceId)
      const file = await findPieceFile(client, pieceId)
      const before = file?.parts.find(({ id }) => id === after.id)
      if (!before) throw new Refused('not-found')
      const { surfaces, ...facts } = after
      const measured = surfaces.map(({ id: _, ...face }) => face)
      const facesChanged = JSON.stringify(sorted(measured)) !== JSON.stringify(sorted(before.surfaces))
      const detail: Change = {
        ...changeOf(changeable, before, facts),
        ...(facesChanged && {
          areaM2: [areaText(areaOfPart(before)), areaText(areaOfPart({ ...before, surfaces: measured, count: facts.count }))],
        }),
      }
      if (Object.keys(detail).length === 0) return
      await changePart(client, before.id, facts)
      if (facesChanged) await changeFaces(client, studio.id, before.id, surfaces, at)
      await store(client, studio.id, [{ id: entryId, pieceId, partId: before.id, kind: 'amended', at, detail }])
    },
  )
}
/** Faces with their lengths in one order, to be compared. */
const sorted = (faces: readonly object[]) =>
  faces.map((face) => Object.fromEntries(Object.entries(face).sort(([a], [b]) => (a < b ? -1 : 1))))

export async function takePart(typed: TakeOutText): Promise<Answer> {
  return writeOnce(
    'takeOut',
    takeOutInput,
    typed,
    ({ entryId }) => entryId,
    async (client, studio, entered) => {
      const { entryId, pieceId, partId, at, back, note } = entered
      await takePieceInHand(client, pieceId)
      const file = await findPieceFile(client, pieceId)
      const journey = file && readPiece(file, { climate: [], nowMs: Date.parse(at) })
      const stands = journey?.parts.find(({ part }) => part.id === partId)
      const out = file?.takenOut.some(({ id }) => id === partId)
      if (back ? !out : !stands) throw new Refused('not-found')
      if (stands?.running) throw new Refused('still-running')
      if (!back && journey?.parts.length === 1) throw new Refused('not-whole')
      await takePartOut(client, partId, back ? null : at)
      const detail: Change = { stands: back ? ['out', 'in'] : ['in', 'out'] }
      await store(client, studio.id, [{ id: entryId, pieceId, partId, kind: 'amended', at, detail, note }])
    },
  )
}

export async function splitPiece(typed: SplitText): Promise<Answer> {
  return writeOnce('split', splitInput, typed, ({ newPieceId }) => newPieceId, splitPieceOff)
}
