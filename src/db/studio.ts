/** The studio's own facts, people, channels and shelf. */
import * as z from 'zod'
import { type ConsumablePrices, usualPrices } from '@/core/craft/consumables'
import { families } from '@/core/craft/families'
import type { Label, LabelledTin } from '@/core/craft/label'
import { defaultMethod, type HouseMethod } from '@/core/craft/method'
import { codesOf } from '@/core/craft/parts'
import { sheenCodes } from '@/core/craft/sheen'
import type { Person, SalesChannel, Studio } from '@/core/house/studio'
import { labelShape } from '@/core/input/label'
import { pricingKept } from '@/core/input/pricing'
import type { ProductId, StudioId } from '@/core/measure/named'
import { locales } from '@/core/measure/number'
import { unitSystems } from '@/core/measure/units'
import { type Pricing, usualPricing } from '@/core/price/pricing'
import type { Product } from '@/core/stock/product'
import type { Client } from './pool'
import { many, maybe, one, query } from './rows'

export type { Person, Product, SalesChannel, Studio }

const wishOf = {
  profit: (value: number) => ({ profit: value }),
  margin: (value: number) => ({ margin: value }),
  earnedRate: (value: number) => ({ earnedRate: value }),
}
const studioRow = z
  .object({
    id: z.string(),
    name: z.string(),
    currency: z.string(),
    zone: z.string(),
    locale: z.enum(locales).catch('en-GB'),
    units: z.enum(unitSystems),
    hourRate: z.number(),
    overheadRate: z.number(),
    taxMode: z.enum(['none', 'inclusive', 'margin']),
    taxShare: z.number(),
    wishKind: z.enum(codesOf(wishOf)),
    wishValue: z.number(),
    haggle: z.number(),
    step: z.number(),
    from: z.number(),
    to: z.number(),
    days: z.array(z.number()),
    method: z.record(z.string(), z.string()),
    kept: z.boolean(),
    hidesMoney: z.boolean(),
    consumables: z.record(z.string(), z.number()),
    pricing: pricingKept.partial(),
  })
  .transform(({ wishKind, wishValue, from, to, days, method, consumables, pricing, ...facts }): Studio => ({
    ...facts,
    wish: wishOf[wishKind](wishValue),
    hours: { from, to, days },
    method: { ...defaultMethod, ...(method as Partial<HouseMethod>) },
    consumables: { ...usualPrices, ...consumables },
    pricing: { ...usualPricing, ...pricing },
  }))
const ownStudio = query(
  'the studio',
  studioRow,
  `select id, name, currency, zone, locale, units, hour_rate as "hourRate", overhead_rate as "overheadRate", tax_mode as "taxMode",
          tax_share as "taxShare", wish_kind as "wishKind", wish_value as "wishValue", haggle_share as haggle, price_step as step,
          works_from as "from", works_to as "to", works_days as days, method, consumables, pricing,
          kept_at is not null as kept, not sees_money() as "hidesMoney"
   from seen_studio where id = current_studio()`,
)
/** The studio the transaction works as; throws where there is none. */
export const getStudio = (client: Client): Promise<Studio> => one(client, ownStudio)

export type StudioDraft = Omit<Studio, 'method' | 'kept' | 'consumables' | 'pricing' | 'hidesMoney'>
const studioValues = (s: StudioDraft) => {
  const [kind, value] = Object.entries(s.wish)[0] as [string, number]
  return [
    s.id,
    s.name,
    s.currency,
    s.zone,
    s.locale,
    s.units,
    s.hourRate,
    s.overheadRate,
    s.taxMode,
    s.taxShare,
    kind,
    value,
    s.haggle,
    s.step,
    s.hours.from,
    s.hours.to,
    s.hours.days,
  ]
}

/** Makes the studio, or brings its facts up to date; the same call twice leaves the same row. */
export async function saveStudio(client: Client, studio: StudioDraft): Promise<void> {
  const values = studioValues(studio)
  const { rowCount } = await client.query(
    `insert into studio (id, name, currency, zone, locale, units, hour_rate, overhead_rate, tax_mode, tax_share, wish_kind,
                         wish_value, haggle_share, price_step, works_from, works_to, works_days, kept_at)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, $16, $17, now())
     on conflict (id) do nothing`,
    values,
  )
  // what is money can be written, and not read back: so a row that is there is changed by another statement
  if (rowCount === 0)
    await client.query(
      `update studio set name = $2, currency = $3, zone = $4, locale = $5, units = $6, hour_rate = $7, overhead_rate = $8,
         tax_mode = $9, tax_share = $10, wish_kind = $11, wish_value = $12, haggle_share = $13, price_step = $14, works_from = $15,
         works_to = $16, works_days = $17, kept_at = now() where id = $1`,
      values,
    )
}

/** Changes where the house stands among the schools. */
export async function saveMethod(client: Client, method: HouseMethod): Promise<void> {
  await client.query('update studio set method = $1 where id = current_studio()', [JSON.stringify(method)])
}

/** Changes what small things cost here; what is not named costs as it usually does. */
export async function saveConsumables(client: Client, prices: Partial<ConsumablePrices>): Promise<void> {
  await client.query('update studio set consumables = $1 where id = current_studio()', [JSON.stringify(prices)])
}

/** Changes what a house's prices are made by. */
export async function savePricing(client: Client, pricing: Pricing): Promise<void> {
  await client.query('update studio set pricing = $1 where id = current_studio()', [JSON.stringify(pricing)])
}

const channelRow = z.object({ id: z.string(), name: z.string(), feeShare: z.number(), feeFixed: z.number(), rent: z.number() })
const channels = query(
  'a channel',
  channelRow,
  'select id, name, fee_share as "feeShare", fee_fixed as "feeFixed", rent from seen_channel order by position, name, id',
)
export const listChannels = (client: Client): Promise<SalesChannel[]> => many(client, channels)

export async function saveChannel(client: Client, studioId: StudioId, channel: SalesChannel, position: number): Promise<void> {
  const { id, name, feeShare, feeFixed, rent } = channel
  const { rowCount } = await client.query(
    `insert into channel (id, studio_id, name, fee_share, fee_fixed, position, rent) values ($1, $2, $3, $4, $5, $6, $7)
     on conflict (id) do nothing`,
    [id, studioId, name, feeShare, feeFixed, position, rent],
  )
  if (rowCount === 0)
    await client.query('update channel set name = $2, fee_share = $3, fee_fixed = $4, rent = $5 where id = $1', [
      id,
      name,
      feeShare,
      feeFixed,
      rent,
    ])
}

const people = query('a person', z.object({ id: z.string(), name: z.string() }), 'select id, name from person order by name, id')
export const listPeople = (client: Client): Promise<Person[]> => many(client, people)

export async function savePerson(client: Client, studioId: StudioId, person: Person): Promise<void> {
  await client.query(
    'insert into person (id, studio_id, name) values ($1, $2, $3) on conflict (id) do update set name = excluded.name',
    [person.id, studioId, person.name],
  )
}

const productColumns =
  'id, name, family, colour_name as "colourName", colour_hex as "colourHex", size, unit, price, formula, sheen, label'
const productRow = z.object({
  id: z.string(),
  name: z.string(),
  family: z.enum(codesOf(families)),
  colourName: z.string().nullable(),
  colourHex: z.string().nullable(),
  size: z.number(),
  unit: z.enum(['ml', 'g']),
  price: z.number(),
  formula: z.string().nullable(),
  sheen: z.enum(sheenCodes).nullable(),
  label: labelShape.nullable(),
}) satisfies z.ZodType<Product>
const products = query('a product', productRow, `select ${productColumns} from seen_product order by family, name, id`)
export const listProducts = (client: Client): Promise<Product[]> => many(client, products)

const productById = query('a product', productRow, `select ${productColumns} from seen_product where id = $1`)
export const findProduct = (client: Client, id: ProductId): Promise<Product | null> => maybe(client, productById, [id])

const labelled = query(
  'a label',
  z.object({
    ...{ id: z.string(), family: z.enum(codesOf(families)), colourHex: z.string().nullable() },
    ...{ sheen: z.enum(sheenCodes).nullable(), label: labelShape },
  }) satisfies z.ZodType<LabelledTin>,
  'select id, family, colour_hex as "colourHex", sheen, label from product where label is not null order by id limit 500',
)
/** Tins whose label says otherwise than their family. */
export const listLabelled = (client: Client): Promise<LabelledTin[]> => many(client, labelled)
/** False where there is no such product. */
export async function saveLabels(
  client: Client,
  labels: readonly { productId: ProductId; label: Label | null }[],
): Promise<boolean> {
  const { rowCount } = await client.query(
    `update product p set label = l.label from jsonb_to_recordset($1::jsonb) as l("productId" uuid, label jsonb) where p.id = l."productId"`,
    [JSON.stringify(labels)],
  )
  return rowCount === labels.length
}

/** Products that did not stand there before. */
export async function addProducts(client: Client, studioId: StudioId, products: readonly Product[]): Promise<void> {
  await client.query(
    `insert into product (id, studio_id, name, family, colour_name, colour_hex, size, unit, price, sheen)
     select id, $2, name, family, "colourName", "colourHex", size, unit, price, sheen from jsonb_to_recordset($1::jsonb)
     as p(id uuid, name text, family text, "colourName" text, "colourHex" text, size numeric, unit text, price bigint, sheen text)`,
    [JSON.stringify(products), studioId],
  )
}
export async function saveProduct(client: Client, studioId: StudioId, product: Product): Promise<void> {
  const { rowCount } = await client.query(
    `insert into product (id, studio_id, name, family, colour_name, colour_hex, size, unit, price, formula, sheen)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11)
     on conflict (id) do nothing`,
    [
      product.id,
      studioId,
      product.name,
      product.family,
      product.colourName,
      product.colourHex,
      product.size,
      product.unit,
      product.price,
      product.formula ?? null,
      product.sheen ?? null,
    ],
  )
  if (rowCount === 0)
    await client.query('update product set name = $2, size = $3, price = $4 where id = $1', [
      product.id,
      product.name,
      product.size,
      product.price,
    ])
}
