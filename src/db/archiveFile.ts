/** An archive of a studio as a file: a ZIP of rows as JSON, photographs, a schema, and a manifest with the sum of each. */
import { createHash } from 'node:crypto'
import { Readable } from 'node:stream'
import { buffer } from 'node:stream/consumers'
import yauzl from 'yauzl'
import { ZipFile } from 'yazl'
import {
  archiveFormat,
  archiveSchema,
  type Fault,
  type Manifest,
  manifestFile,
  manifestOf,
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

/** no file of a studio's is larger; what says that it is, is no archive */
const mostBytes = 400_000_000

/** An archive that was opened; its files are read one by one. */
export interface OpenArchive {
  manifest: Manifest
  /** null where there is no such file */
  read: (name: string) => Promise<Buffer | null>
  close: () => void
}
const message = (error: unknown) => (error instanceof Error ? error.message : String(error))

/** Opens an archive, and tells every fault of it as a file: what is missing, what is too much, what is not what was put in. */
export async function openArchive(path: string): Promise<{ archive: OpenArchive | null; faults: Fault[] }> {
  let zip: yauzl.ZipFile
  const entries = new Map<string, yauzl.Entry>()
  try {
    zip = await new Promise<yauzl.ZipFile>((resolve, reject) =>
      yauzl.open(path, { lazyEntries: true, autoClose: false }, (error, opened) => (error ? reject(error) : resolve(opened))),
    )
    await new Promise<void>((resolve, reject) => {
      zip.on('entry', (entry: yauzl.Entry) => {
        entries.set(entry.fileName, entry)
        zip.readEntry()
      })
      zip.on('end', resolve)
      zip.on('error', reject)
      zip.readEntry()
    })
  } catch (error) {
    return { archive: null, faults: [{ file: path, is: 'not-readable', why: message(error) }] }
  }
  const read = async (name: string): Promise<Buffer | null> => {
    const entry = entries.get(name)
    if (!entry) return null
    if (entry.uncompressedSize > mostBytes) throw new Error(`larger than ${mostBytes} bytes`)
    return buffer(
      await new Promise<Readable>((resolve, reject) =>
        zip.openReadStream(entry, (error, stream) => (error ? reject(error) : resolve(stream))),
      ),
    )
  }
  const said = await read(manifestFile).then(
    (bytes) => (bytes ? manifestIn(bytes) : 'missing'),
    (error: unknown) => message(error),
  )
  if (typeof said === 'string') {
    zip.close()
    const fault: Fault =
      said === 'missing' ? { file: manifestFile, is: 'missing' } : { file: manifestFile, is: 'not-a-manifest', why: said }
    return { archive: null, faults: [fault] }
  }
  const faults: Fault[] = [...entries.keys()]
    .filter((name) => name !== manifestFile && !(name in said.files))
    .map((file) => ({ file, is: 'not-listed' }))
  for (const [file, { bytes, sha256 }] of Object.entries(said.files)) {
    const fault = await read(file).then(
      (found): Fault | null => {
        if (!found) return { file, is: 'missing' }
        const isSame = found.length === bytes && createHash('sha256').update(found).digest('hex') === sha256
        return isSame ? null : { file, is: 'other-bytes' }
      },
      (error: unknown): Fault => ({ file, is: 'other-bytes', why: message(error) }),
    )
    if (fault) faults.push(fault)
  }
  return { archive: { manifest: said, read, close: () => zip.close() }, faults }
}
/** As it was read; else why it is none. */
function manifestIn(bytes: Buffer): Manifest | string {
  try {
    const parsed = manifestOf.safeParse(JSON.parse(bytes.toString('utf8')))
    if (parsed.success) return parsed.data
    return parsed.error.issues.map(({ path, message: why }) => `${path.join('.')}: ${why}`).join('; ')
  } catch (error) {
    return message(error)
  }
}
