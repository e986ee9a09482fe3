/** An archive as a file, opened: every fault of it as a file is told before anything is taken of it. */
import { createHash } from 'node:crypto'
import type { Readable } from 'node:stream'
import { buffer } from 'node:stream/consumers'
import yauzl from 'yauzl'
import { type Fault, type Manifest, manifestFile, manifestOf } from '@/core/house/archive'

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
