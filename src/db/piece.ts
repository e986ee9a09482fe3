/** Pieces, parts and their measurements, plans and steps: SQL, and rows to core types. */
import type { Part, Photo, Piece, PieceFile, Plan, PlanStep, Source } from '../core/piece/piece'
import type { Shape, Surface, Relief } from '../core/surface/surfaceArea'
import type { Client } from './pool'
import { listEntries } from './entry'

const pieceColumns = `p.id, p.name, p.source, p.source_note as "sourceNote", p.client, p.promised_on as "promisedOn",
  p.taken_in_at as "takenInAt", p.expected, p.condition, p.room_id as "roomId"`

/** Pieces still in the workshop, newest first. */
export async function listOpenPieces(client: Client): Promise<Piece[]> {
  const { rows } = await client.query<Piece>(
    `select ${pieceColumns} from piece p
     where not exists (select from piece_ending g where g.piece_id = p.id)
     order by p.taken_in_at desc, p.id desc`,
  )
  return rows
}

export interface EndedCursor {
  endedAt: string
  id: string
}
/** Pieces that have left, latest first, after the cursor; at most `limit`. */
export async function listEndedPieces(
  client: Client,
  limit: number,
  after: EndedCursor | null,
): Promise<(Piece & { endedAt: string })[]> {
  const { rows } = await client.query<Piece & { endedAt: string }>(
    `select ${pieceColumns}, g.ended_at as "endedAt" from piece_ending g join piece p on p.id = g.piece_id
     where $2::timestamptz is null or (g.ended_at, p.id) < ($2, $3::uuid)
     order by g.ended_at desc, p.id desc limit $1`,
    [limit, after?.endedAt ?? null, after?.id ?? null],
  )
  return rows
}

/** Pieces on which a snag was written down, the latest taken in first. */
export async function listPiecesWithSnags(client: Client, limit: number): Promise<Piece[]> {
  const { rows } = await client.query<Piece>(
    `select ${pieceColumns} from piece p
     where exists (select from entry e where e.piece_id = p.id and e.kind = 'snag')
     order by p.taken_in_at desc, p.id desc limit $1`,
    [limit],
  )
  return rows
}

export async function findPiece(client: Client, id: string): Promise<Piece | null> {
  const { rows } = await client.query<Piece>(`select ${pieceColumns} from piece p where p.id = $1`, [id])
  return rows[0] ?? null
}

interface PartRow extends Omit<Part, 'surfaces' | 'plan' | 'earlier'> {
  pieceId: string
}
interface SurfaceRow {
  partId: string
  shape: Shape
  relief: Relief
  count: number
  width: number
  height: number
  length: number
  top: number
  foot: number
  diameter: number
}
interface PlanRow extends Omit<Plan, 'steps'> {
  partId: string
}
interface StepRow extends PlanStep {
  planId: string
}

function toSurface({ shape, relief, count, width, height, length, top, foot, diameter }: SurfaceRow): Surface {
  const common = { count, relief }
  if (shape === 'panel') return { ...common, shape, width, height }
  if (shape === 'squareLeg') return { ...common, shape, width, length }
  if (shape === 'taperedLeg') return { ...common, shape, top, foot, length }
  return { ...common, shape, diameter, length }
}

const toStep = ({ planId: _, ...step }: StepRow): PlanStep => step

function groupBy<T>(rows: readonly T[], key: (row: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>()
  for (const row of rows) {
    const group = groups.get(key(row))
    if (group) group.push(row)
    else groups.set(key(row), [row])
  }
  return groups
}

/** Whole files of the pieces given, in their order: parts, surfaces, plans in force, log, photographs. Six queries in all. */
export async function listPieceFiles(client: Client, pieces: readonly Piece[]): Promise<PieceFile[]> {
  const ids = pieces.map(({ id }) => id)
  const parts = await client.query<PartRow>(
    `select id, piece_id as "pieceId", name, kind, count, substrate, existing, lead, use, bleeds, knots
     from part where piece_id = any($1) order by position, id`,
    [ids],
  )
  const partIds = parts.rows.map(({ id }) => id)
  const surfaces = await client.query<SurfaceRow>(
    `select part_id as "partId", shape, relief, count, width, height, length, top, foot, diameter
     from surface where part_id = any($1) order by position, id`,
    [partIds],
  )
  const plans = await client.query<PlanRow>(
    `select id, part_id as "partId", look, extras as "with", paint, colours, seal, departures, made_at as "madeAt"
     from plan where part_id = any($1) order by made_at desc, id desc`,
    [partIds],
  )
  const steps = await client.query<StepRow>(
    `select id, plan_id as "planId", position, operation, family, colour, mix, applicator, grit, film, minutes, amount,
            window_label as "window", check_code as "check", cautions, reason, needed, mends,
            case when coat_number is not null then json_build_object('number', coat_number, 'of', coat_of) end as coat
     from step where plan_id = any($1) order by plan_id, position`,
    [plans.rows.map(({ id }) => id)],
  )
  const log = groupBy(await listEntries(client, ids), ({ pieceId }) => pieceId)
  const photos = await client.query<Photo & { pieceId: string }>(
    `select id, piece_id as "pieceId", moment, taken_at as "takenAt", width, height, alt, part_id as "partId",
            step_id as "stepId"
     from photo where piece_id = any($1) order by taken_at, id`,
    [ids],
  )
  const surfacesOf = groupBy(surfaces.rows, ({ partId }) => partId)
  const plansOf = groupBy(plans.rows, ({ partId }) => partId)
  const stepsOf = groupBy(steps.rows, ({ planId }) => planId)
  const partsOf = groupBy(parts.rows, ({ pieceId }) => pieceId)
  const photosOf = groupBy(photos.rows, ({ pieceId }) => pieceId)

  return pieces.map((piece) => {
    const entries = log.get(piece.id) ?? []
    const spokenOf = new Set(entries.map(({ stepId }) => stepId))
    return {
      piece,
      log: entries,
      photos: (photosOf.get(piece.id) ?? []).map(({ pieceId: _, ...photo }) => photo),
      parts: (partsOf.get(piece.id) ?? []).map(({ pieceId: _, ...part }) => {
        const [inForce, ...older] = plansOf.get(part.id) ?? []
        const stepsFor = (plan: PlanRow) => (stepsOf.get(plan.id) ?? []).map(toStep)
        return {
          ...part,
          surfaces: (surfacesOf.get(part.id) ?? []).map(toSurface),
          plan: inForce
            ? {
                id: inForce.id,
                look: inForce.look,
                with: inForce.with,
                paint: inForce.paint,
                colours: inForce.colours,
                seal: inForce.seal,
                departures: inForce.departures,
                madeAt: inForce.madeAt,
                steps: stepsFor(inForce),
              }
            : null,
          earlier: older
            .reverse()
            .flatMap(stepsFor)
            .filter(({ id }) => spokenOf.has(id)),
        }
      }),
    }
  })
}

export async function findPieceFile(client: Client, id: string): Promise<PieceFile | null> {
  const piece = await findPiece(client, id)
  if (!piece) return null
  const [file] = await listPieceFiles(client, [piece])
  return file ?? null
}

export type NewPart = Omit<Part, 'plan' | 'earlier' | 'surfaces'> & { surfaces: (Surface & { id: string })[] }

/** Takes a piece in; false where this id was stored before, and then nothing is written. */
export async function addPiece(client: Client, studioId: string, piece: Piece): Promise<boolean> {
  const { rowCount } = await client.query(
    `insert into piece (id, studio_id, name, source, source_note, client, promised_on, taken_in_at, expected, condition, room_id)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11) on conflict (id) do nothing`,
    [
      piece.id,
      studioId,
      piece.name,
      piece.source,
      piece.sourceNote,
      piece.client,
      piece.promisedOn,
      piece.takenInAt,
      piece.expected,
      piece.condition,
      piece.roomId,
    ],
  )
  return rowCount === 1
}

export interface PieceFacts {
  name: string
  source: Source
  sourceNote: string | null
  client: string | null
  promisedOn: string | null
  expected: number | null
  condition: string | null
  roomId: string | null
}
/** Changes a piece's facts; the caller writes what they were into the log in the same transaction. */
export async function changePiece(client: Client, id: string, facts: PieceFacts): Promise<void> {
  await client.query(
    `update piece set name = $2, source = $3, source_note = $4, client = $5, promised_on = $6, expected = $7, condition = $8,
            room_id = $9
     where id = $1`,
    [
      id,
      facts.name,
      facts.source,
      facts.sourceNote,
      facts.client,
      facts.promisedOn,
      facts.expected,
      facts.condition,
      facts.roomId,
    ],
  )
}

export interface FoundFacts {
  existing: Part['existing']
  lead: Part['lead']
  substrate: Part['substrate']
  bleeds: boolean
}
/** Puts what was found on a part in place of what was thought; the caller writes both into the log. */
export async function changeFound(client: Client, partId: string, found: FoundFacts): Promise<void> {
  await client.query('update part set existing = $2, lead = $3, substrate = $4, bleeds = $5 where id = $1', [
    partId,
    found.existing,
    found.lead,
    found.substrate,
    found.bleeds,
  ])
}

/** Adds parts with their surfaces, in two statements for however many there are. */
export async function addParts(
  client: Client,
  studioId: string,
  pieceId: string,
  from: number,
  parts: readonly NewPart[],
): Promise<void> {
  await client.query(
    `insert into part (id, studio_id, piece_id, position, name, kind, count, substrate, existing, lead, use, bleeds, knots)
     select id, $2, $3, position, name, kind, count, substrate, existing, lead, use, bleeds, knots
     from jsonb_to_recordset($1::jsonb) as p(id uuid, position int, name text, kind text, count int, substrate text,
       existing text, lead text, use text, bleeds boolean, knots int)
     on conflict (id) do nothing`,
    [JSON.stringify(parts.map(({ surfaces: _, ...part }, index) => ({ ...part, position: from + index }))), studioId, pieceId],
  )
  const surfaces = parts.flatMap((part) => part.surfaces.map((surface, position) => ({ ...surface, partId: part.id, position })))
  await client.query(
    `insert into surface (id, studio_id, part_id, position, shape, relief, count, width, height, length, top, foot, diameter)
     select id, $2, "partId", position, shape, relief, count, width, height, length, top, foot, diameter
     from jsonb_to_recordset($1::jsonb) as s(id uuid, "partId" uuid, position int, shape text, relief text, count int,
       width numeric, height numeric, length numeric, top numeric, foot numeric, diameter numeric)
     on conflict (id) do nothing`,
    [JSON.stringify(surfaces), studioId],
  )
}

/** Puts a plan on a part; false where this id was stored before. */
export async function addPlan(client: Client, studioId: string, partId: string, plan: Plan): Promise<boolean> {
  const { rowCount } = await client.query(
    `insert into plan (id, studio_id, part_id, look, extras, paint, colours, seal, departures, made_at)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10)
     on conflict (id) do nothing`,
    [
      plan.id,
      studioId,
      partId,
      plan.look,
      plan.with,
      plan.paint,
      JSON.stringify(plan.colours),
      plan.seal,
      JSON.stringify(plan.departures),
      plan.madeAt,
    ],
  )
  if (rowCount !== 1) return false
  await client.query(
    `insert into step (id, studio_id, plan_id, position, operation, family, colour, mix, applicator, grit, film, minutes,
                       amount, window_label, check_code, cautions, reason, needed, mends, coat_number, coat_of)
     select id, $2, $3, position, operation, family, colour, mix, applicator, grit, film, minutes, amount, "window",
            "check", array(select jsonb_array_elements_text(cautions)), reason, needed, mends, (coat ->> 'number')::int, (coat ->> 'of')::int
     from jsonb_to_recordset($1::jsonb) as s(id uuid, position int, operation text, family text, colour jsonb, mix text,
       applicator text, grit text, film text, minutes int, amount numeric, "window" jsonb, "check" text, cautions jsonb,
       reason text, needed boolean, mends uuid, coat jsonb)`,
    [JSON.stringify(plan.steps), studioId, plan.id],
  )
  return true
}
