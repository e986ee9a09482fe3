/**
 * A large studio for `npm run bench:scale`, grown out of the demo in a database of its own: 500 pieces, 40 of them under way,
 * 50,000 log lines, 2,000 photographs, 300 tins, a year of a three-room sensor at five minutes.
 */
import type pg from 'pg'

const large = { pieces: 500, open: 40, lines: 50_000, photographs: 2_000, tins: 300, days: 365 }

/** A demo row's number in its k-th copy. */
const copied = (column: string) => `md5(${column}::text || $1::int::text)::uuid`
const maybe = (column: string) => `case when ${column} is null then null else ${copied(column)} end`

/** Columns of a table but those given, in order. */
async function columnsOf(owner: pg.Client, table: string, without: readonly string[]): Promise<string[]> {
  const { rows } = await owner.query<{ name: string }>(
    `select column_name as name from information_schema.columns
     where table_schema = 'public' and table_name = $1 and is_generated = 'NEVER' order by ordinal_position`,
    [table],
  )
  return rows.map(({ name }) => name).filter((name) => !without.includes(name))
}

/** Copies a table's rows for the pieces chosen: some columns are made anew, the rest stay as they are. */
async function copy(
  owner: pg.Client,
  table: string,
  anew: Record<string, string>,
  where: string,
  values: unknown[],
): Promise<void> {
  const kept = await columnsOf(owner, table, Object.keys(anew))
  const names = [...Object.keys(anew), ...kept].map((name) => `"${name}"`).join(', ')
  const made = [...Object.values(anew), ...kept.map((name) => `t."${name}"`)].join(', ')
  await owner.query(`insert into ${table} (${names}) select ${made} from ${table} t where ${where}`, values)
}

/** Grows it, to other sizes where they are given. */
export async function growStudio(owner: pg.Client, studioId: string, wanted: Partial<typeof large> = {}): Promise<void> {
  const sizes = { ...large, ...wanted }
  const { rows } = await owner.query<{ id: string; open: boolean }>(
    'select id, ended_at is null as open from piece where studio_id = $1 order by id',
    [studioId],
  )
  const [open, ended] = [rows.filter((row) => row.open), rows.filter((row) => !row.open)]
  let [count, under] = [rows.length, open.length]
  for (let k = 1; count < sizes.pieces; k += 1) {
    const sources = (under < sizes.open ? open.slice(0, sizes.open - under) : ended)
      .slice(0, sizes.pieces - count)
      .map(({ id }) => id)
    const here = under < sizes.open
    if (here) under += sources.length
    count += sources.length
    // what is under way was begun this week; what has left, over the last two years
    const back = `interval '1 hour' * ${here ? `($1::int * 3)` : `($1::int * 24 * 7)`}`
    const values = [k, sources]
    const ofPiece = 't.piece_id = any($2::uuid[])'
    const ofPart = `t.part_id in (select id from part where piece_id = any($2::uuid[]))`
    await copy(
      owner,
      'piece',
      { id: copied('t.id'), name: `t.name || ', ' || $1::int::text`, taken_in_at: `t.taken_in_at - ${back}`, ended_at: 'null' },
      't.id = any($2::uuid[])',
      values,
    )
    await copy(owner, 'part', { id: copied('t.id'), piece_id: copied('t.piece_id') }, ofPiece, values)
    await copy(owner, 'surface', { id: copied('t.id'), part_id: copied('t.part_id') }, ofPart, values)
    await copy(
      owner,
      'plan',
      { id: copied('t.id'), part_id: copied('t.part_id'), made_at: `t.made_at - ${back}` },
      ofPart,
      values,
    )
    await copy(
      owner,
      'step',
      { id: copied('t.id'), plan_id: copied('t.plan_id'), part_id: copied('t.part_id'), mends: 'null' },
      ofPart,
      values,
    )
    await copy(
      owner,
      'photo',
      {
        id: copied('t.id'),
        piece_id: copied('t.piece_id'),
        part_id: maybe('t.part_id'),
        step_id: maybe('t.step_id'),
        taken_at: `t.taken_at - ${back}`,
      },
      ofPiece,
      values,
    )
    await copy(
      owner,
      'entry',
      {
        id: copied('t.id'),
        piece_id: copied('t.piece_id'),
        part_id: maybe('t.part_id'),
        step_id: maybe('t.step_id'),
        photo_id: maybe('t.photo_id'),
        corrects: maybe('t.corrects'),
        batch_id: 'null',
        at: `t.at - ${back}`,
      },
      `${ofPiece} and t.kind <> 'mixed' order by (t.corrects is not null), t.at`,
      values,
    )
  }
  await owner.query(
    `insert into photo (id, studio_id, piece_id, moment, taken_at, width, height, alt)
     select gen_random_uuid(), p.studio_id, p.id, 'during', p.taken_in_at + interval '1 hour' * n, 1200, 900, 'One more'
     from generate_series(1, 20) n cross join (select * from piece where studio_id = $1 and ended_at is not null) p
     limit greatest(0, $2 - (select count(*) from photo))`,
    [studioId, sizes.photographs],
  )
  await owner.query(
    `insert into photo_rendition (photo_id, studio_id, size, bytes)
     select p.id, p.studio_id, size, decode(repeat('00', 12000), 'hex')
     from photo p cross join (values ('small'), ('large')) s(size)
     where not exists (select from photo_rendition r where r.photo_id = p.id)`,
  )
  await owner.query(
    `insert into entry (id, studio_id, piece_id, kind, at, note)
     select gen_random_uuid(), p.studio_id, p.id, 'note', p.taken_in_at + interval '1 minute' * n, 'Looked at it again.'
     from generate_series(1, 400) n cross join (select * from piece where studio_id = $1 and ended_at is not null) p
     limit greatest(0, $2 - (select count(*) from entry))`,
    [studioId, sizes.lines],
  )
  await owner.query(
    `insert into lot (id, studio_id, product_id, code, size, price, bought_at)
     select gen_random_uuid(), r.studio_id, r.id, 'B' || n, r.size, r.price, now() - interval '1 day' * n
     from generate_series(1, 400) n cross join (select * from product where studio_id = $1) r
     limit greatest(0, $2 - (select count(*) from lot))`,
    [studioId, sizes.tins],
  )
  // most of the tins of two years are used up
  await owner.query(
    `with spent as (select l.id, l.size, l.studio_id, l.product_id from lot l where l.code like 'B%' order by l.bought_at limit 240),
          coats as (select e.id, row_number() over (order by e.at) as n from entry e where e.kind = 'coat' and not exists (select from draw d where d.entry_id = e.id)),
          pairs as (select s.*, c.id as entry_id from (select *, row_number() over () as n from spent) s join coats c on c.n = s.n)
     insert into draw (entry_id, studio_id, lot_id, amount, money) select entry_id, studio_id, id, size, 100 from pairs`,
  )
  await owner.query(
    `insert into reading (id, studio_id, at, temperature, humidity, room_id, source)
     select gen_random_uuid(), r.studio_id, m, round((19 + 3 * sin(extract(epoch from m) / 13750) + r.n)::numeric, 1),
            round((52 + 8 * cos(extract(epoch from m) / 13750))::numeric, 0), r.id, 'sensor'
     from (select *, row_number() over (order by position, id) - 1 as n from (
             select id, studio_id, position from room where studio_id = $1
             union all select gen_random_uuid(), $1, 9 where false) x) r
     cross join generate_series(now() - interval '1 day' * $2, now(), interval '5 minutes') m`,
    [studioId, sizes.days],
  )
  // what was written here at one go was written line by line there: each has left its mark, and a hundred are left unfolded
  await owner.query(
    `insert into door.piece_mark (piece_id, studio_id)
     select piece_id, studio_id from (
       select piece_id, studio_id, row_number() over (partition by piece_id) as n from entry where studio_id = $1) e where n <= 100`,
    [studioId],
  )
  await owner.query('analyze')
}
