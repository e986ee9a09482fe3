/** Pieces, parts, measured faces and plans, as they are written. An id that is there already is refused by its table. */
import type { Counted } from '@/core/craft/job'
import type { Day, Instant, PartId, PieceId, StudioId } from '@/core/measure/named'
import type { MeasuredFace } from '@/core/measure/surfaceArea'
import type { Part, Piece, Plan } from '@/core/piece/piece'
import { wholeKind } from './codes'
import type { Client } from './pool'

export type NewFace = MeasuredFace & { id: string }
export type NewPart = Omit<Part, 'plan' | 'earlier' | 'surfaces'> & { surfaces: NewFace[] }

/** Holds a piece until the transaction ends: who else would end or split it waits. False where there is none. */
export async function takePieceInHand(client: Client, id: PieceId): Promise<boolean> {
  const { rowCount } = await client.query('select from piece where id = $1 for update', [id])
  return rowCount === 1
}

export async function addPiece(client: Client, studioId: StudioId, piece: Piece): Promise<void> {
  await client.query(
    `insert into piece (id, studio_id, name, source, source_note, client, promised_on, taken_in_at, expected, condition, room_id,
                        article)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12)`,
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
      piece.article,
    ],
  )
}

/** What was counted on a piece. */
export async function countPiece(client: Client, id: PieceId, counted: Counted): Promise<void> {
  await client.query('update piece set counted = $2 where id = $1', [id, JSON.stringify(counted)])
}

/** What the steps around the paint belong to: the piece's own, or made now under the id given. */
export async function wholeOf(client: Client, studioId: StudioId, pieceId: PieceId, id: PartId): Promise<PartId> {
  await client.query(
    `insert into part (id, studio_id, piece_id, position, name, kind, count, substrate, existing, lead, use, bleeds, polish, slips)
     values ($1, $2, $3, 0, 'The whole piece', $4, 1, 'close-grained', 'bare', 'clear', 'light', false, 'none', false)
     on conflict (studio_id, piece_id) where kind = 'whole' do nothing`,
    [id, studioId, pieceId, wholeKind],
  )
  const { rows } = await client.query<{ id: PartId }>('select id from part where piece_id = $1 and kind = $2', [
    pieceId,
    wholeKind,
  ])
  return rows[0]?.id ?? id
}

export type PieceFacts = Omit<Piece, 'id' | 'takenInAt'>
/** Changes a piece's facts; the caller writes what they were into the log in the same transaction. */
export async function changePiece(client: Client, id: PieceId, facts: PieceFacts): Promise<void> {
  await client.query(
    `update piece set name = $2, source = $3, source_note = $4, client = $5, promised_on = $6, expected = $7, condition = $8,
            room_id = $9, article = $10
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
      facts.article,
    ],
  )
}

/** Promises pieces for days; the caller writes what was promised before into the log in the same transaction. */
export async function promisePieces(client: Client, promises: readonly { pieceId: PieceId; day: Day }[]): Promise<void> {
  await client.query(
    `update piece set promised_on = promised.day
     from jsonb_to_recordset($1) as promised ("pieceId" uuid, day date) where piece.id = promised."pieceId"`,
    [JSON.stringify(promises)],
  )
}

export type PartFacts = Omit<Part, 'id' | 'plan' | 'earlier' | 'surfaces'>
/** Changes what is known of a part; the caller writes what it was into the log. */
export async function changePart(client: Client, partId: PartId, facts: PartFacts): Promise<void> {
  await client.query(
    `update part set name = $2, kind = $3, count = $4, substrate = $5, existing = $6, lead = $7, use = $8, bleeds = $9, knots = $10,
       polish = $11, slips = $12, found_colour = $13
     where id = $1`,
    [
      partId,
      facts.name,
      facts.kind,
      facts.count,
      facts.substrate,
      facts.existing,
      facts.lead,
      facts.use,
      facts.bleeds,
      facts.knots,
      facts.polish,
      facts.slips,
      facts.foundColour,
    ],
  )
}

/** Takes a part out of its piece, or puts it back; its log stays. */
export async function takePartOut(client: Client, partId: PartId, at: Instant | null): Promise<void> {
  await client.query('update part set taken_out_at = $2 where id = $1', [partId, at])
}

const insertFaces = `
  insert into surface (id, studio_id, part_id, position, shape, relief, count, width, height, length, top, foot, diameter)
  select id, $2, "partId", position, shape, relief, count, width, height, length, top, foot, diameter
  from jsonb_to_recordset($1::jsonb) as s(id uuid, "partId" uuid, position int, shape text, relief text, count int,
    width numeric, height numeric, length numeric, top numeric, foot numeric, diameter numeric)`

/** Puts new measurements in place of a part's old ones, which stay. */
export async function changeFaces(
  client: Client,
  studioId: StudioId,
  partId: PartId,
  faces: readonly NewFace[],
  at: Instant,
): Promise<void> {
  await client.query('update surface set replaced_at = $2 where part_id = $1 and replaced_at is null', [partId, at])
  await client.query(insertFaces, [JSON.stringify(faces.map((face, position) => ({ ...face, partId, position }))), studioId])
}

/** Adds parts with their measured faces, in two statements for however many there are. */
export async function addParts(
  client: Client,
  studioId: StudioId,
  pieceId: PieceId,
  from: number,
  parts: readonly NewPart[],
): Promise<void> {
  await client.query(
    `insert into part (id, studio_id, piece_id, position, name, kind, count, substrate, existing, lead, use, bleeds, knots, polish,
       slips, found_colour)
     select id, $2, $3, position, name, kind, count, substrate, existing, lead, use, bleeds, knots, polish, slips, "foundColour"
     from jsonb_to_recordset($1::jsonb) as p(id uuid, position int, name text, kind text, count int, substrate text,
       existing text, lead text, use text, bleeds boolean, knots int, polish text, slips boolean, "foundColour" text)`,
    [JSON.stringify(parts.map(({ surfaces: _, ...part }, index) => ({ ...part, position: from + index }))), studioId, pieceId],
  )
  const faces = parts.flatMap((part) => part.surfaces.map((face, position) => ({ ...face, partId: part.id, position })))
  await client.query(insertFaces, [JSON.stringify(faces), studioId])
}

/** Puts a plan on a part. */
export async function addPlan(client: Client, studioId: StudioId, partId: PartId, plan: Plan): Promise<void> {
  await client.query(
    `insert into plan (id, studio_id, part_id, look, extras, paint, colours, seal, departures, made_at, touches, care, edits, sheen)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14)`,
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
      plan.touches ? JSON.stringify(plan.touches) : null,
      plan.care ?? null,
      plan.edits ? JSON.stringify(plan.edits) : null,
      plan.sheen ?? null,
    ],
  )
  await client.query(
    `insert into step (id, studio_id, plan_id, part_id, position, operation, family, colour, mix, applicator, grit, film, sheen, minutes,
                       amount, window_label, check_code, cautions, reason, needed, mends, touch, rule, where_on, words, side,
                       own, changed, turns, coat_number, coat_of)
     select id, $2, $3, $4, position, operation, family, colour, mix, applicator, grit, film, sheen, minutes, amount, "window",
            "check", array(select jsonb_array_elements_text(cautions)), reason, needed, mends, touch, rule, "where", words, side,
            own, coalesce(changed, false), turns, (coat ->> 'number')::int, (coat ->> 'of')::int
     from jsonb_to_recordset($1::jsonb) as s(id uuid, position int, operation text, family text, colour jsonb, mix text,
       applicator text, grit text, film text, sheen text, minutes int, amount numeric, "window" jsonb, "check" text, cautions jsonb,
       reason text, needed boolean, mends uuid, touch text, rule text, "where" jsonb, words text, side text, own text,
       changed boolean, turns int, coat jsonb)`,
    [JSON.stringify(plan.steps), studioId, plan.id, partId],
  )
}
