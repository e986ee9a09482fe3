/** Pieces with their parts, plans and log, as they are read: SQL, and rows to core types. */
import * as z from 'zod'
import type { Instant, PieceId, StepId } from '@/core/measure/named'
import type { Part, Piece, PieceFile, Plan, PlanStep } from '@/core/piece/piece'
import { wholeKind } from './codes'
import { listEntries } from './entry'
import { countedRow, faceRow, listedPieceRow, partRow, photoRow, pieceRow, planRow, stepRow } from './pieceRow'
import type { Client } from './pool'
import { many, maybe, query } from './rows'

const pieceColumns = `p.id, p.name, p.source, p.source_note as "sourceNote", p.client, p.promised_on as "promisedOn",
  p.taken_in_at as "takenInAt", p.expected, p.condition, p.room_id as "roomId", p.article`

const openPieces = query(
  'a piece',
  pieceRow,
  `select ${pieceColumns} from seen_piece p where p.ended_at is null order by p.taken_in_at desc, p.id desc`,
)
/** Pieces still in the workshop, newest first. */
export const listOpenPieces = (client: Client): Promise<Piece[]> => many(client, openPieces)

const leftLast = query(
  'a piece',
  pieceRow,
  `select ${pieceColumns} from seen_piece p where p.ended_at is not null order by p.ended_at desc, p.id desc limit $1`,
)
const openPiecesOf = query(
  'a piece',
  pieceRow,
  `select ${pieceColumns} from seen_piece p
   where p.ended_at is null and p.id in (select a.piece_id from step s join part a on a.id = s.part_id where s.id = any($1))
   order by p.taken_in_at desc, p.id desc`,
)
/** Pieces still in the workshop whose steps are among those given, newest first. */
export const listOpenPiecesOf = (client: Client, stepIds: readonly StepId[]): Promise<Piece[]> =>
  many(client, openPiecesOf, [stepIds])

const driedLately = query(
  'a piece',
  pieceRow,
  `with last as (
     select e.piece_id from (select id, piece_id, step_id, at from entry t where t.kind = 'ended' and t.at >= $2 and t.piece_id = any($1)
                               and not exists (select from entry k where k.corrects = t.id) order by t.at desc) e
     cross join lateral (select window_label from step s where s.id = e.step_id offset 0) s
     where (s.window_label -> 'opens' ->> 1)::numeric > 0 limit $3)
   select ${pieceColumns} from seen_piece p where p.id in (select piece_id from last)
   order by p.taken_in_at desc, p.id desc`,
)
/** Of the pieces given those on which the last `limit` windows since an instant stand. */
export const listDriedLately = (client: Client, ids: readonly PieceId[], since: Instant, limit: number): Promise<Piece[]> =>
  many(client, driedLately, [ids, since, limit])

/** The pieces that left last, at most `limit`, the latest first. */
export const listLeft = (client: Client, limit: number): Promise<Piece[]> => many(client, leftLast, [limit])

const names = query('a piece', z.object({ id: z.string(), name: z.string() }), 'select id, name from piece where id = any($1)')
/** What pieces are called, by their ids. */
export const listPieceNames = async (client: Client, ids: readonly PieceId[]): Promise<Map<PieceId, string>> =>
  new Map((await many(client, names, [ids])).map(({ id, name }) => [id, name]))

/** Where a page of pieces ended: what is here comes before what has left, the latest first in both. */
export interface PieceCursor {
  left: boolean
  /** when it was taken in; of those that have left, when they left */
  at: Instant
  id: PieceId
}
const piecesPage = query(
  'a piece',
  listedPieceRow,
  `with named as not materialized (select * from seen_piece p
     where $2 = '' or concat_ws(' ', p.name, p.client, p.source_note, p.condition) ilike $2)
   select * from (
   (select ${pieceColumns}, p.ended_at as "endedAt", p.taken_in_at as since from named p
    where p.ended_at is null and ($3::boolean is null or not $3 and (p.taken_in_at, p.id) < ($4::timestamptz, $5::uuid))
    order by p.taken_in_at desc, p.id desc limit $1)
   union all
   (select ${pieceColumns}, p.ended_at as "endedAt", p.ended_at from named p
    where p.ended_at is not null and ($3::boolean is not true or (p.ended_at, p.id) < ($4::timestamptz, $5::uuid))
    order by p.ended_at desc, p.id desc limit $1)
   ) listed order by "endedAt" is not null, since desc, id desc limit $1`,
)
export type ListedPiece = Piece & { endedAt: Instant | null }
/** What is looked for stands anywhere in a name, a client, a source's note or the condition; its own signs are plain text. */
const likeOf = (sought: string): string => (sought === '' ? '' : `%${sought.replace(/[\\%_]/g, '\\$&')}%`)
/** A page of pieces, those in the workshop first, the latest first; after the cursor, at most `limit`. */
export const listPieces = (
  client: Client,
  { limit, sought = '', after = null }: { limit: number; sought?: string; after?: PieceCursor | null },
): Promise<ListedPiece[]> =>
  many(client, piecesPage, [limit, likeOf(sought), after?.left ?? null, after?.at ?? null, after?.id ?? null])

const pieceById = query('a piece', pieceRow, `select ${pieceColumns} from seen_piece p where p.id = $1`)
const piecesById = query('a piece', pieceRow, `select ${pieceColumns} from seen_piece p where p.id = any($1)`)
export const findPieces = (client: Client, ids: readonly PieceId[]): Promise<Piece[]> => many(client, piecesById, [ids])
export const findPiece = (client: Client, id: PieceId): Promise<Piece | null> => maybe(client, pieceById, [id])

function groupBy<T>(rows: readonly T[], key: (row: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>()
  for (const row of rows) {
    const group = groups.get(key(row))
    if (group) group.push(row)
    else groups.set(key(row), [row])
  }
  return groups
}

const partsOfPieces = query(
  'a part',
  partRow,
  `select id, piece_id as "pieceId", name, kind, count, substrate, existing, lead, use, bleeds, polish, slips,
     found_colour as "foundColour", knots, taken_out_at as "takenOutAt"
   from part where piece_id = any($1) order by position, id`,
)
const countedOnPieces = query('what was counted', countedRow, `select id, counted from piece where id = any($1)`)
const facesOfParts = query(
  'a measured face',
  faceRow,
  `select part_id as "partId", shape, relief, count, width, height, length, top, foot, diameter
   from surface where part_id = any($1) and replaced_at is null order by position, id`,
)
const plansOfParts = query(
  'a plan',
  planRow,
  `select id, part_id as "partId", look, extras as "with", paint, colours, seal, sheen, departures, touches, edits, care,
          made_at as "madeAt"
   from plan where part_id = any($1) order by made_at desc, id desc`,
)
/** All of the plan in force; of older ones what the log speaks of. */
const stepsOfPlans = query(
  'a step',
  stepRow,
  `select s.id, s.plan_id as "planId", s.position, s.operation, s.family, s.colour, s.mix, s.applicator, s.grit, s.film, s.sheen, s.minutes,
          s.amount, s.window_label as "window", s.check_code as "check", s.cautions, s.reason, s.needed, s.mends, s.touch, s.rule,
          s.where_on as "where", s.words, s.side, s.own, s.changed, s.turns,
          case when s.coat_number is not null then json_build_object('number', s.coat_number, 'of', s.coat_of) end as coat
   from step s where s.plan_id = any($1) or (s.plan_id = any($2) and exists (select from entry e where e.step_id = s.id))
   order by s.plan_id, s.position`,
)
const photosOfPieces = query(
  'a photograph',
  photoRow,
  `select id, piece_id as "pieceId", moment, taken_at as "takenAt", width, height, alt, part_id as "partId", step_id as "stepId"
   from photo where piece_id = any($1) order by taken_at, id`,
)

const toStep = ({ planId: _, ...step }: z.output<typeof stepRow>): PlanStep => step
const toPlan = ({ partId: _, ...plan }: z.output<typeof planRow>, steps: PlanStep[]): Plan => ({ ...plan, steps })

/** Whole files of the pieces given, in their order: parts, measured faces, plans, log, photographs. Seven queries in all. */
export async function listPieceFiles(client: Client, pieces: readonly Piece[]): Promise<PieceFile[]> {
  const ids = pieces.map(({ id }) => id)
  if (ids.length === 0) return []
  const readParts = async () => {
    const parts = await many(client, partsOfPieces, [ids])
    const partIds = parts.map(({ id }) => id)
    const [faces, plans] = await Promise.all([many(client, facesOfParts, [partIds]), many(client, plansOfParts, [partIds])])
    const plansOf = groupBy(plans, ({ partId }) => partId)
    const inForce = [...plansOf.values()].flatMap(([newest]) => newest?.id ?? [])
    const older = [...plansOf.values()].flatMap(([, ...rest]) => rest.map(({ id }) => id))
    const steps = await many(client, stepsOfPlans, [inForce, older])
    return { parts, plansOf, facesOf: groupBy(faces, ({ partId }) => partId), stepsOf: groupBy(steps, ({ planId }) => planId) }
  }
  const [{ parts, plansOf, facesOf, stepsOf }, log, taken, counts] = await Promise.all([
    readParts(),
    listEntries(client, ids),
    many(client, photosOfPieces, [ids]),
    many(client, countedOnPieces, [ids]),
  ])
  const logOf = groupBy(log, ({ pieceId }) => pieceId)
  const photosOf = groupBy(taken, ({ pieceId }) => pieceId)
  const partsOf = groupBy(parts, ({ pieceId }) => pieceId)
  const countedOf = new Map(counts.map(({ id, counted }) => [id, counted]))
  return pieces.map((piece) => {
    const all = partsOf.get(piece.id) ?? []
    const own = all.flatMap((part) => (part.kind === wholeKind ? [] : [{ ...part, kind: part.kind }]))
    const around = all.find(({ kind }) => kind === wholeKind)
    const whole = ({ pieceId: _, takenOutAt: __, ...part }: (typeof own)[number]): Part => {
      const [newest, ...rest] = plansOf.get(part.id) ?? []
      const stepsFor = ({ id }: { id: string }) => (stepsOf.get(id) ?? []).map(toStep)
      return {
        ...part,
        surfaces: (facesOf.get(part.id) ?? []).map(({ partId: _, ...face }) => face),
        plan: newest ? toPlan(newest, stepsFor(newest)) : null,
        earlier: rest.reverse().flatMap(stepsFor),
      }
    }
    return {
      piece,
      log: logOf.get(piece.id) ?? [],
      photos: (photosOf.get(piece.id) ?? []).map(({ pieceId: _, ...photo }) => photo),
      parts: own.filter(({ takenOutAt }) => takenOutAt === null).map(whole),
      takenOut: own.filter(({ takenOutAt }) => takenOutAt !== null).map(whole),
      whole: around ? whole({ ...around, kind: 'other' }) : null,
      counted: countedOf.get(piece.id) ?? {},
    }
  })
}

export async function findPieceFile(client: Client, id: PieceId): Promise<PieceFile | null> {
  const piece = await findPiece(client, id)
  if (!piece) return null
  const [file] = await listPieceFiles(client, [piece])
  return file ?? null
}
