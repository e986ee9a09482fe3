/** Tins put on the shelf: a product with its first tin, or another tin of what stands there; at the desk, or in the shop. */
import 'server-only'
import { unitOf } from '@/core/craft/families'
import { lotInput, productInput, purchaseInput } from '@/core/input/house'
import type { Answer } from '@/core/input/issues'
import { shelfTableInput } from '@/core/input/shelfTable'
import { countInput } from '@/core/input/stock'
import { formatAmount } from '@/core/measure/amount'
import type { ProductId } from '@/core/measure/named'
import { countTin } from '@/core/stock/count'
import { addLot, addLots } from '@/db/stock'
import { addProducts, findProduct, listProducts, saveProduct } from '@/db/studio'
import { addCounts, takeTinsInHand } from '@/db/tinCount'
import { Refused, writeOnce } from './write'

export const putOnShelf = (typed: unknown): Promise<Answer> =>
  writeOnce(
    'product',
    productInput,
    typed,
    ({ id }) => id,
    async (client, studio, { lotId, code, at, ...product }) => {
      const coloured = product.colourName !== null && product.colourHex !== null
      await saveProduct(client, studio.id, {
        ...product,
        colourName: coloured ? product.colourName : null,
        colourHex: coloured ? product.colourHex : null,
        unit: unitOf(product.family),
      })
      const { id: productId, size, price } = product
      await addLot(client, studio.id, { id: lotId, productId, code, size, price, boughtAt: at })
    },
  )

/** What it costs now is what the next coat is reckoned by before it is opened. */
export const putTinOnShelf = (typed: unknown): Promise<Answer> =>
  writeOnce(
    'lot',
    lotInput,
    typed,
    ({ id }) => id,
    async (client, studio, { at, unit, ...lot }) => {
      const product = await findProduct(client, lot.productId)
      if (!product) throw new Refused('not-found')
      if (product.unit !== unit) throw new Refused('not-readable')
      await addLot(client, studio.id, { ...lot, boughtAt: at })
      await saveProduct(client, studio.id, { ...product, size: lot.size, price: lot.price })
    },
  )

/** What lay in a basket: all of it or nothing. What the first tin cost is what the next coat is reckoned by. */
export const putPurchaseOnShelf = (typed: unknown): Promise<Answer> =>
  writeOnce(
    'purchase',
    purchaseInput,
    typed,
    ({ entryId }) => entryId,
    async (client, studio, { entryId, at, productId, tins, name, family, colourName, colourHex, sheen }) => {
      const known = productId && (await findProduct(client, productId))
      if (productId && !known) throw new Refused('not-found')
      if (known && known.family !== family) throw new Refused('not-readable')
      const coloured = colourName !== null && colourHex !== null
      const fresh = {
        ...{ id: entryId as ProductId, name, family, sheen, unit: unitOf(family) },
        ...{ colourName: coloured ? colourName : null, colourHex: coloured ? colourHex : null },
      }
      const product = known || fresh
      const [{ size, price }] = tins as [(typeof tins)[0]]
      await saveProduct(client, studio.id, { ...product, size, price })
      await addLots(
        client,
        studio.id,
        tins.map((tin) => ({ ...tin, productId: product.id, code: null, boughtAt: at })),
      )
    },
  )

/** What was found in tins on a walk along the shelf, each against what the log knew at that moment: all of it or nothing. */
export const countOnShelf = (typed: unknown): Promise<Answer> =>
  writeOnce(
    'count',
    countInput,
    typed,
    ({ entryId }) => entryId,
    async (client, studio, { at, reason, tins }) => {
      const known = new Map(
        (
          await takeTinsInHand(
            client,
            tins.map(({ lotId }) => lotId),
            at,
          )
        ).map((tin) => [tin.id, tin]),
      )
      const counts = tins.map(({ id, lotId, unit, found }, k) => {
        const tin = known.get(lotId)
        if (!tin) throw new Refused('not-found')
        if (tin.unit !== unit) throw new Refused('not-readable')
        if (found > tin.size)
          throw new Refused('not-readable', {
            [`tins.${k}.found`]: `It holds ${formatAmount(tin.size, unit, studio)} when it is full.`,
          })
        return { id, lotId, found, ...countTin(tin, found) }
      })
      await addCounts(client, studio.id, counts, { at, reason })
    },
  )

/** A shelf brought in as a table: its products, its tins, and of those that were begun what is left. All of it or nothing. */
export const putTableOnShelf = (typed: unknown): Promise<Answer> =>
  writeOnce(
    'shelf table',
    shelfTableInput,
    typed,
    ({ entryId }) => entryId,
    async (client, studio, { at, lines }) => {
      const standing = new Map((await listProducts(client)).map((product) => [product.id, product]))
      const made = new Map<ProductId, (typeof lines)[0]>()
      for (const line of lines) {
        const known = standing.get(line.productId)
        if (line.known !== (known !== undefined)) throw new Refused('not-found')
        if (known && known.family !== line.family) throw new Refused('not-readable')
        if (!known && !made.has(line.productId)) made.set(line.productId, line)
      }
      await addProducts(
        client,
        studio.id,
        [...made].map(([id, { name, family, unit, colourName, colourHex, sheen, size, price }]) => ({
          ...{ id, name, family, unit, colourName, colourHex, sheen, size, price },
        })),
      )
      await addLots(
        client,
        studio.id,
        lines.map(({ lotId: id, productId, code, size, price }) => ({ id, productId, code, size, price, boughtAt: at })),
      )
      const begun = lines.filter(({ size, left }) => left < size)
      if (begun.length === 0) return
      const counts = begun.map(({ countId, lotId, size, price, left }) => ({
        ...{ id: countId, lotId, found: left },
        ...countTin({ id: lotId, size, price, held: size, spent: 0, isLast: true }, left),
      }))
      await addCounts(client, studio.id, counts, { at, reason: 'counted' })
    },
  )
