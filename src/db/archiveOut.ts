/** An archive of a studio as a file: a ZIP of rows as JSON, photographs, a schema, and a manifest with the sum of each. */
import { createHash } from 'node:crypto'
import { Readable } from 'node:stream'
import { ZipFile } from 'yazl'
import {
  archiveFormat,
  archiveSchema,
  type Manifest,
  manifestFile,
  photoFile,
  schemaFile,
  tableFile,
  type TableShape,
} from '@/core/house/archive'
import { archivedTables, findDataVersion, listRenditions, rowsOf, seenTables } from './archive'
import { findRendition, type PhotoSize } from './photo'
import type { Client } from './pool'

/** Rows as a spreadsheet shows them: a heading, then a line a row. */
export interface Sheet {
  head: string
  line: (row: Record<string, unknown>) => string
}
interface Asked {
  studioId: string
  madeAt: string
  /** null: this table goes as rows alone */
  sheetOf: (shape: TableShape) => Sheet | null
}
/**
 * The whole studio that a session reads, as the bytes of its archive, made while they are taken; the transaction stays open until
 * the last of them.
 */
export async function writeArchive(client: Client, { studioId, madeAt, sheetOf }: Asked): Promise<Readable> {
  const shapes = await archivedTables(client)
  const [version, seen, photographs] = [await findDataVersion(client), await seenTables(client), await listRenditions(client)]
  const files: Manifest['files'] = {}
  const zip = new ZipFile()
  zip.on('error', (error: Error) => (zip.outputStream as Readable).destroy(error))
  const mtime = new Date(madeAt)
  const add = (
    name: string,
    make: () => AsyncIterable<string | Buffer>,
    { rows, compress = true }: { rows?: () => number; compress?: boolean } = {},
  ) =>
    zip.addReadStreamLazy(name, { mtime, compress }, (take) => {
      const hash = createHash('sha256')
      let bytes = 0
      async function* counted() {
        for await (const chunk of make()) {
          const piece = Buffer.from(chunk)
          hash.update(piece)
          bytes += piece.length
          yield piece
        }
        files[name] = { bytes, sha256: hash.digest('hex'), ...(rows && { rows: rows() }) }
      }
      take(null, Readable.from(counted()))
    })
  for (const shape of shapes) {
    const source = seen.get(shape.name) ?? shape.name
    let count = 0
    async function* asJson() {
      count = 0
      yield '['
      for await (const rows of rowsOf(client, shape, source)) {
        yield `${count > 0 ? ',' : ''}\n${rows.join(',\n')}`
        count += rows.length
      }
      yield '\n]\n'
    }
    add(tableFile(shape.name), asJson, { rows: () => count })
    const sheet = sheetOf(shape)
    if (!sheet) continue
    async function* asSheet(to: Sheet) {
      // by which a spreadsheet knows the letters
      yield `\uFEFF${to.head}\r\n`
      for await (const rows of rowsOf(client, shape, source))
        yield rows.map((row) => `${to.line(JSON.parse(row) as Record<string, unknown>)}\r\n`).join('')
    }
    add(`sheets/${shape.name}.csv`, () => asSheet(sheet))
  }
  for (const { photoId, size } of photographs)
    add(
      photoFile(photoId, size),
      async function* () {
        yield (await findRendition(client, photoId, size as PhotoSize)) ?? Buffer.alloc(0)
      },
      { compress: false },
    )
  add(schemaFile, async function* () {
    yield await Promise.resolve(`${JSON.stringify(archiveSchema(shapes), null, 1)}\n`)
  })
  zip.addReadStreamLazy(manifestFile, { mtime }, (take) => {
    const manifest: Manifest = { format: archiveFormat, version, madeAt, studioId, files }
    take(null, Readable.from([`${JSON.stringify(manifest, null, 1)}\n`]))
  })
  zip.end()
  const bytes = zip.outputStream as Readable
  // who takes it sees what went wrong; where nobody does any more, nothing is to be said
  bytes.on('error', () => undefined)
  return bytes
}
