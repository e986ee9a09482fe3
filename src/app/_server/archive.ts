/** The whole studio, taken along by its owner. */
import 'server-only'
import type { Readable } from 'node:stream'
import { finished } from 'node:stream/promises'
import type { TableShape } from '@/core/house/archive'
import { listNames } from '@/db/archive'
import { writeArchive } from '@/db/archiveFile'
import { inSession } from '@/db/pool'
import { getStudio } from '@/db/studio'
import { namesBy, sheetOf } from '@/words/archiveSheet'
import { pool } from './session'

export interface Taken {
  bytes: Readable
  /** of the studio */
  name: string
}
/** All that the studio has, as an archive; the moment is one, however long it takes to be fetched. Throws `SignedOut` for no session. */
export const takeAlong = (secret: string): Promise<Taken> =>
  new Promise((resolve, reject) => {
    inSession(
      pool(),
      secret,
      async (client, studioId) => {
        const studio = await getStudio(client)
        const names = namesBy(await listNames(client))
        const bytes = await writeArchive(client, {
          studioId,
          madeAt: new Date().toISOString(),
          sheetOf: (shape: TableShape) => sheetOf(shape, { ...studio, names }),
        })
        resolve({ bytes, name: studio.name })
        // what is read stays as it was until the last byte of it is out, or nobody wants more
        await finished(bytes).catch(() => undefined)
      },
      { to: 'read' },
    ).catch(reject)
  })
