/** The whole studio, taken along by its owner. */
import 'server-only'
import type { Readable } from 'node:stream'
import { finished } from 'node:stream/promises'
import type { TableShape } from '@/core/house/archive'
import { listNames } from '@/db/archive'
import { writeArchive } from '@/db/archiveOut'
import { inSession } from '@/db/pool'
import { getStudio } from '@/db/studio'
import { namesBy, sheetOf } from '@/words/archiveSheet'
import { pool } from './session'
import { inTurns } from './turns'

export interface Taken {
  bytes: Readable
  /** of the studio */
  name: string
}
/** each holds a connection for as long as it is fetched */
const turn = inTurns(2, 0)
/** who takes longer has a line that is too slow for it, or went away without a word */
const mostMs = 15 * 60_000

/** All that the studio has, as an archive; the moment is one, however long it takes to be fetched. Throws `SignedOut` for no session, {@link TooMany} where others fetch theirs. */
export const takeAlong = (secret: string): Promise<Taken> =>
  new Promise((resolve, reject) => {
    turn(() =>
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
          const over = setTimeout(() => bytes.destroy(new Error('it took too long')), mostMs)
          await finished(bytes).catch(() => undefined)
          clearTimeout(over)
        },
        { to: 'read' },
      ),
    ).catch(reject)
  })
