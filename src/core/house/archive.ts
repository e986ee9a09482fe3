/**
 * A whole studio as one archive: a file of rows for each table, photographs as files, and a manifest that says what there must be. What a
 * row looks like follows from the columns of its table, so that no table and no column can be forgotten. Pure.
 */
import * as z from 'zod'

/** What a column holds, as JSON writes it. */
export const columnTypes = {
  uuid: z.guid(),
  text: z.string(),
  integer: z.int(),
  smallint: z.int(),
  bigint: z.int(),
  numeric: z.number(),
  boolean: z.boolean(),
  date: z.iso.date(),
  'timestamp with time zone': z.iso.datetime({ offset: true }),
  jsonb: z.json(),
  'text[]': z.array(z.string()),
  'smallint[]': z.array(z.int()),
} as const satisfies Record<string, z.ZodType>
export type ColumnType = keyof typeof columnTypes

export interface TableShape {
  name: string
  columns: readonly { name: string; type: ColumnType; canBeNull: boolean }[]
  /** by these a row is told from every other */
  key: readonly string[]
  /** rows of other tables that there must be, where no column of it is null */
  refs: readonly { columns: readonly string[]; table: string; to: readonly string[] }[]
}
/** A row of a table, by its columns; each is there, and no other. */
export const rowOf = ({ columns }: Pick<TableShape, 'columns'>) =>
  z.strictObject(
    Object.fromEntries(
      columns.map(({ name, type, canBeNull }) => {
        const value: z.ZodType = columnTypes[type]
        return [name, canBeNull ? value.nullable() : value]
      }),
    ),
  )

export const archiveFormat = 'itinerum-studio'
const sum = z.string().regex(/^[0-9a-f]{64}$/)
/** What stands in an archive: its first file to be read. */
export const manifestOf = z.strictObject({
  format: z.literal(archiveFormat),
  /** of the data's own form: the migration it was at */
  version: z.int().min(1),
  madeAt: z.iso.datetime(),
  studioId: z.guid(),
  files: z.record(z.string().max(200), z.strictObject({ bytes: z.int().min(0), sha256: sum, rows: z.int().min(0).optional() })),
})
export type Manifest = z.output<typeof manifestOf>

export const tableFile = (name: string) => `tables/${name}.json`
export const photoFile = (photoId: string, size: string) => `photographs/${photoId}-${size}.jpg`
export const manifestFile = 'manifest.json'
export const schemaFile = 'schema.json'

/** The schema of all of it: JSON Schema 2020-12, made of the very schemas that read it. */
export function archiveSchema(shapes: readonly TableShape[]): object {
  const defs = Object.fromEntries(shapes.map((shape) => [shape.name, plain(z.array(rowOf(shape)))]))
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'A studio',
    description: `${manifestFile} is as #/$defs/manifest says; ${tableFile('NAME')} as #/$defs/tables/NAME.`,
    $defs: { manifest: plain(manifestOf), tables: defs },
  }
}
function plain(schema: z.ZodType): object {
  const { $schema: _, ...rest } = z.toJSONSchema(schema, { target: 'draft-2020-12' })
  return rest
}

/** What is wrong with an archive, and where. */
export interface Fault {
  file: string
  /** of the table, from 1 */
  row?: number
  column?: string
  is:
    | 'missing'
    | 'not-listed'
    | 'other-bytes'
    | 'not-json'
    | 'not-a-manifest'
    | 'other-table'
    | 'not-readable'
    | 'twice'
    | 'leads-nowhere'
    | 'other-studio'
    | 'too-new'
    | 'no-photograph'
    | 'refused'
  /** more of it, as whoever reads it says */
  why?: string
}
/** Rows that could be read, each with its place. */
type Rows = Readonly<Record<string, readonly { at: number; row: Record<string, unknown> }[]>>

/** Every fault of what is in the tables: rows that can't be read, that are there twice, and that lead nowhere. */
export function faultsIn(shapes: readonly TableShape[], tables: Readonly<Record<string, unknown>>, studioId: string): Fault[] {
  const rows: Record<string, { at: number; row: Record<string, unknown> }[]> = {}
  const faults: Fault[] = []
  for (const shape of shapes) {
    const file = tableFile(shape.name)
    const given = tables[shape.name]
    if (!Array.isArray(given)) {
      if (given !== undefined) faults.push({ file, is: 'not-readable', why: 'a list of rows is wanted' })
      continue
    }
    const row = rowOf(shape)
    const read: Rows[string][number][] = (rows[shape.name] = [])
    given.forEach((each: unknown, k) => {
      const parsed = row.safeParse(each)
      if (parsed.success) read.push({ at: k + 1, row: parsed.data })
      else
        for (const { path, message } of parsed.error.issues)
          faults.push({ file, row: k + 1, ...(path.length > 0 && { column: path.join('.') }), is: 'not-readable', why: message })
    })
  }
  return [...faults, ...shapes.flatMap((shape) => faultsBetween(shape, rows, studioId))]
}

const keyIn = (row: Record<string, unknown>, columns: readonly string[]) => JSON.stringify(columns.map((each) => row[each]))

function faultsBetween(shape: TableShape, rows: Rows, studioId: string): Fault[] {
  const file = tableFile(shape.name)
  const own = rows[shape.name] ?? []
  const seen = new Set<string>()
  const faults: Fault[] = []
  const there = shape.refs.map(({ table, to }) => new Set((rows[table] ?? []).map(({ row }) => keyIn(row, to))))
  own.forEach(({ at: place, row }) => {
    const at = { file, row: place }
    const key = keyIn(row, shape.key)
    if (seen.has(key)) faults.push({ ...at, is: 'twice', why: key })
    seen.add(key)
    const of = shape.name === 'studio' ? row.id : row.studio_id
    if (of !== studioId) faults.push({ ...at, is: 'other-studio', why: String(of) })
    shape.refs.forEach(({ columns, table }, n) => {
      if (columns.some((each) => row[each] === null) || there[n]?.has(keyIn(row, columns))) return
      // the studio of a row is its own fault
      const column = columns.find((each) => each !== 'studio_id')
      if (column) faults.push({ ...at, column, is: 'leads-nowhere', why: table })
    })
  })
  return faults
}
