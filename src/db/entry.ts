/** The log's rows: reading, and adding; there is no changing. */
import * as z from 'zod'
import { families } from '@/core/craft/families'
import { operations } from '@/core/craft/operations'
import { codesOf } from '@/core/craft/parts'
import type { IssueCode } from '@/core/input/issues'
import type { AssistEntry } from '@/core/log/assistance'
import { type Entry, type EntryDraft, type EntryOf, ofKind } from '@/core/log/entry'
import { besideHours, clockKinds } from '@/core/log/labour'
import type { TimeStretch } from '@/core/log/workSpans'
import type { Instant, PartId, PieceId, StudioId } from '@/core/measure/named'
import type { SnagRecord } from '@/core/piece/snags'
import type { OtherWork } from '@/core/piece/work'
import { entryRow } from './entryRow'
import { type Client, troubleOf } from './pool'
import { many, query } from './rows'

export type NewEntry = EntryDraft

/** An entry as its row's columns. */
function toRow(entry: NewEntry) {
  const { coat, batch, rest, mark, detail, ...facts } = entry as NewEntry &
    Partial<Pick<EntryOf<'coat'>, 'coat'>> &
    Partial<Pick<EntryOf<'mixed'>, 'batch'>> &
    Partial<Pick<EntryOf<'put-by'>, 'rest'>> & { mark?: EntryOf<'snag'>['mark']; detail?: unknown }
  return {
    ...facts,
    ...coat,
    ...rest,
    ...(batch && { ...batch, amount: batch.volume }),
    ...(mark && { photoId: mark.photoId, markX: mark.x, markY: mark.y }),
    detail: detail ?? null,
  }
}

/** What belongs together comes as one: hundreds of rows are read for a page, and most of their columns are empty. */
const entryColumns = `id, piece_id as "pieceId", part_id as "partId", step_id as "stepId", person_id as "personId", kind, at,
  recorded_at as "recordedAt", written_by as "writtenBy", corrects, minutes, cost_kind as "costKind", money, fees, channel_id as "channelId", note, detail,
  result, check_code as "checkCode", outside, assist, remedy, severity, spot, temperature, humidity,
  case when kind = 'coat' then json_build_object('productId', product_id, 'lotId', lot_id, 'batchId', batch_id,
    'family', family, 'mix', mix, 'amount', amount, 'unit', unit, 'applicator', applicator, 'film', film, 'sheen', sheen,
    'place', place) end as coat,
  case when kind = 'mixed' then json_build_object('productId', product_id, 'lotId', lot_id, 'family', family, 'mix', mix,
    'volume', amount, 'unit', unit,
    'components', coalesce((select json_agg(json_build_object('name', c.name, 'parts', c.parts, 'amount', c.amount,
      'productId', c.product_id, 'lotId', c.lot_id) order by c.position) from mix_component c where c.entry_id = e.id), '[]'),
    'stepIds', coalesce((select json_agg(s.step_id) from mix_step s where s.entry_id = e.id), '[]')) end as batch,
  case when kind = 'put-by' then json_build_object('batchId', batch_id, 'productId', product_id, 'lotId', lot_id, 'family', family,
    'amount', amount, 'unit', unit) end as rest,
  case when photo_id is not null then json_build_object('photoId', photo_id, 'x', mark_x, 'y', mark_y) end as mark`

const entriesOfPieces = query(
  'an entry',
  entryRow,
  `select ${entryColumns} from seen_entry e where piece_id = any($1) order by at, id`,
)
/** Every entry of the pieces given, corrected ones too, oldest first. */
export const listEntries = (client: Client, pieceIds: readonly PieceId[]): Promise<Entry[]> =>
  many(client, entriesOfPieces, [pieceIds])

/** Constraint names to issues the interface can word. */
const insertEntries = `
  insert into entry (id, studio_id, piece_id, part_id, step_id, person_id, kind, at, recorded_at, corrects, minutes,
                     product_id, family, mix, amount, unit, applicator, film, sheen, place, cost_kind, money, fees, channel_id,
                     note, detail, result, check_code, outside, assist, remedy, severity, spot, temperature, humidity,
                     lot_id, batch_id, photo_id, mark_x, mark_y)
  select id, $2, "pieceId", "partId", "stepId", "personId", kind, at, coalesce("recordedAt", now()), corrects, minutes,
         "productId", family, mix, amount, unit, applicator, film, sheen, place, "costKind", money, fees, "channelId",
         note, detail, result, "checkCode", outside, assist, remedy, severity, spot, temperature, humidity,
         "lotId", "batchId", "photoId", "markX", "markY"
  from jsonb_to_recordset($1::jsonb) as e(id uuid, "pieceId" uuid, "partId" uuid, "stepId" uuid, "personId" uuid,
    kind text, at timestamptz, "recordedAt" timestamptz, corrects uuid, minutes numeric, "productId" uuid, family text, mix text,
    amount numeric, unit text, applicator text, film text, sheen text, place text, "costKind" text, money bigint, fees bigint,
    "channelId" uuid, note text, detail jsonb, result text, "checkCode" text, outside text, assist text, remedy text,
    severity text, spot smallint, temperature numeric, humidity numeric, "lotId" uuid, "batchId" uuid, "photoId" uuid,
    "markX" numeric, "markY" numeric)`
const insertComponents = `
  insert into mix_component (entry_id, studio_id, position, name, parts, amount, product_id, lot_id)
  select "entryId", $2, position, name, parts, amount, "productId", "lotId"
  from jsonb_to_recordset($1::jsonb) as c("entryId" uuid, position int, name text, parts numeric, amount numeric,
    "productId" uuid, "lotId" uuid)`
const insertMixSteps = `
  insert into mix_step (entry_id, step_id, studio_id)
  select "entryId", "stepId", $2 from jsonb_to_recordset($1::jsonb) as s("entryId" uuid, "stepId" uuid)`

/**
 * Adds entries in one statement each for them and what mixes are made of. Answers with an issue where the database refuses, an
 * id that is there among them; the transaction is then spent.
 */
export async function addEntries(
  client: Client,
  studioId: StudioId,
  entries: readonly NewEntry[],
): Promise<{ issue: IssueCode } | null> {
  const mixes = entries.flatMap((entry) => (entry.kind === 'mixed' ? [{ entryId: entry.id, batch: entry.batch }] : []))
  const components = mixes.flatMap(({ entryId, batch }) =>
    batch.components.map((each, position) => ({ entryId, position, ...each })),
  )
  const steps = mixes.flatMap(({ entryId, batch }) => batch.stepIds.map((stepId) => ({ entryId, stepId })))
  try {
    await client.query(insertEntries, [JSON.stringify(entries.map(toRow)), studioId])
    if (components.length > 0) await client.query(insertComponents, [JSON.stringify(components), studioId])
    if (steps.length > 0) await client.query(insertMixSteps, [JSON.stringify(steps), studioId])
    return null
  } catch (error) {
    const issue = troubleOf(error)
    if (issue === null) throw error
    return { issue }
  }
}

const mixLog = query(
  'an entry',
  entryRow,
  `with made as materialized (select id from entry m where m.kind = 'mixed' and m.at >= $1),
        asked as (select id from made
                  union all
                  -- mix by mix, by their index: the planner would read the whole log at once
                  select e.id from made cross join lateral (select id from entry t where t.batch_id = made.id offset 0) e)
   select e.* from asked cross join lateral (
     select ${entryColumns} from seen_entry e
     where e.id = asked.id and not exists (select from entry c where c.corrects = e.id) offset 0) e
   order by at, id`,
)
/** The mixes made up since an instant, of any piece, and the coats taken from them, corrections applied. */
export const listMixLog = (client: Client, since: Instant): Promise<Entry[]> => many(client, mixLog, [since])

const workRow = z.object({
  stepId: z.string(),
  kind: z.enum(clockKinds),
  at: z.string(),
  personId: z.string().nullable(),
  minutes: z.number().nullable(),
  operation: z.enum(codesOf(operations)),
  family: z.enum(codesOf(families)).nullable(),
  hex: z.string().nullable(),
})
const otherWork = query(
  'a clock of another piece',
  workRow,
  `with touched as (
     -- in one look: step by step it would be a look each
     select w.step_id, min(w.at) as since, max(w.at) as last,
            max(w.at) filter (where w.kind in ('started', 'resumed')) as went,
            max(w.at) filter (where w.kind in ('paused', 'ended', 'left-out')) as stood
     from unnest($2::timestamptz[], $3::timestamptz[]) near (since, until) cross join lateral (
       select step_id, kind, at from entry w
       where w.at between since and until and not (w.piece_id = any($1))
         and w.kind in ('started', 'paused', 'resumed', 'ended', 'left-out', 'helped')
       offset 0) w
     group by w.step_id
   ), beside as materialized (
     select t.step_id from touched t
     where exists (
       select from unnest($4::timestamptz[], $5::timestamptz[]) span (since, until)
       where t.since <= span.until
         -- one that runs still, or is forgotten, may run for half a day
         and span.since <= case when t.went >= coalesce(t.stood, t.went) then t.went + make_interval(hours => $6) else t.last end)
   )
   select e.step_id as "stepId", e.kind, e.at, e.person_id as "personId", e.minutes, s.operation, s.family, s.colour ->> 'hex' as hex
   from beside
   cross join lateral (select operation, family, colour from step s where s.id = beside.step_id offset 0) s
   -- step by step, by their index: the planner would read the whole log at once
   cross join lateral (
     select id, step_id, kind, at, person_id, minutes from entry e
     where e.step_id = beside.step_id and e.kind in ('started', 'paused', 'resumed', 'ended', 'left-out', 'helped')
       and not exists (select from entry c where c.corrects = e.id)
     offset 0) e
   order by e.at, e.id`,
)
/**
 * Clocks of other pieces' steps that were touched in the stretches given and lie across one of the spans, corrections applied, with what
 * was worked: they may have run beside these. A step comes whole, whenever it was begun.
 */
export const listOtherWork = (
  client: Client,
  pieceIds: readonly PieceId[],
  stretches: readonly TimeStretch[],
  spans: readonly TimeStretch[] = stretches,
): Promise<OtherWork[]> =>
  stretches.length === 0
    ? Promise.resolve([])
    : many(client, otherWork, [pieceIds, ...ends(stretches), ...ends(spans), besideHours])
const ends = (stretches: readonly TimeStretch[]) => [stretches.map(({ from }) => from), stretches.map(({ to }) => to)]

const assistRow = z.object({
  kind: z.enum(['assisted', 'unassisted']),
  partId: z.string(),
  assist: z.enum(['fan', 'heatGun']),
  at: z.string(),
})
const assistance = query(
  'a fan or heat gun',
  assistRow,
  `select e.kind, e.part_id as "partId", e.assist, e.at from entry e
   where e.kind in ('assisted', 'unassisted') and e.part_id = any($1)
     and not exists (select from entry c where c.corrects = e.id)
   order by e.at, e.id`,
)
/** The fans and heat guns that stood by the parts given, in order of time, corrections applied. */
export const listAssistance = (client: Client, partIds: readonly PartId[]): Promise<AssistEntry[]> =>
  many(client, assistance, [partIds])

const lastSnags = query(
  'a snag',
  entryRow,
  `select ${entryColumns} from seen_entry e
   where kind = 'snag' and not exists (select from entry c where c.corrects = e.id) order by at desc, id limit $1`,
)
const mendingSteps = query(
  'a step that mends',
  z.object({ stepId: z.string(), mends: z.string() }),
  `select id as "stepId", mends from step where mends = any($1)`,
)
const entriesOfSteps = query(
  'an entry',
  entryRow,
  `select ${entryColumns} from seen_entry e
   where step_id = any($1) and not exists (select from entry c where c.corrects = e.id) order by at, id`,
)
/** The last snags of any piece, at most `limit`, with what was done to mend them. */
export async function findSnagRecord(client: Client, limit: number): Promise<SnagRecord> {
  const snags = ofKind(await many(client, lastSnags, [limit]), 'snag')
  if (snags.length === 0) return { snags, mending: [], log: [] }
  const mending = await many(client, mendingSteps, [snags.map(({ id }) => id)])
  return { snags, mending, log: await many(client, entriesOfSteps, [mending.map(({ stepId }) => stepId)]) }
}
