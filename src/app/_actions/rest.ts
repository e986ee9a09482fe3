'use server'
/** What is left of a mix: kept as a tin that says what it was mixed of, or thrown away at the cost of its piece. */
import { Refused, writeOnce } from '@/app/_server/write'
import { unitOf } from '@/core/craft/families'
import { restInput, type RestText } from '@/core/input/house'
import type { Answer } from '@/core/input/issues'
import { formatAmount } from '@/core/measure/amount'
import { putRestBy } from '@/db/rests'

export async function putBy(typed: RestText): Promise<Answer> {
  return writeOnce(
    'put-by',
    restInput,
    typed,
    ({ entryId }) => entryId,
    async (client, studio, { keep, productId, lotId, name, colourHex, ...rest }) => {
      const tin = keep ? { productId, lotId, name, colourHex } : null
      const trouble = await putRestBy(client, studio.id, { ...rest, tin })
      if (trouble && 'issue' in trouble) throw new Refused(trouble.issue)
      if (trouble)
        throw new Refused('not-readable', {
          amount: `Only ${formatAmount(trouble.left, unitOf(rest.family), studio)} of it are left.`,
        })
    },
  )
}
