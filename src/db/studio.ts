/** The studio's own facts, people, channels and shelf. */
import { defaultMethod, type HouseMethod } from '../core/finish/method'
import type { Person, SalesChannel, Studio } from '../core/house/studio'
import type { Product } from '../core/stock/product'
import type { Terms } from '../core/piece/ledger'
import type { UnitSystem } from '../core/unit/length'
import type { Client } from './pool'

export type { Person, Product, SalesChannel, Studio }

interface StudioRow {
  id: string
  name: string
  currency: string
  zone: string
  units: UnitSystem
  hour_rate: number
  overhead_rate: number
  tax_mode: Terms['taxMode']
  tax_share: number
  wish_kind: 'profit' | 'margin' | 'earnedRate'
  wish_value: number
  haggle_share: number
  price_step: number
  works_from: number
  works_to: number
  works_days: number[]
  method: Partial<HouseMethod>
}

/** The studio the transaction works as; throws where there is none. */
export async function getStudio(client: Client): Promise<Studio> {
  const { rows } = await client.query<StudioRow>(
    `select id, name, currency, zone, units, hour_rate, overhead_rate, tax_mode, tax_share, wish_kind, wish_value,
            haggle_share, price_step, works_from, works_to, works_days, method
     from studio where id = current_studio()`,
  )
  const row = rows[0]
  if (!row) throw new Error('the studio of this session is not in the database')
  const { wish_kind: kind, wish_value: value } = row
  return {
    id: row.id,
    name: row.name,
    currency: row.currency,
    zone: row.zone,
    units: row.units,
    hourRate: row.hour_rate,
    overheadRate: row.overhead_rate,
    taxMode: row.tax_mode,
    taxShare: row.tax_share,
    wish: kind === 'profit' ? { profit: value } : kind === 'margin' ? { margin: value } : { earnedRate: value },
    haggle: row.haggle_share,
    step: row.price_step,
    hours: { from: row.works_from, to: row.works_to, days: row.works_days },
    method: { ...defaultMethod, ...row.method },
  }
}

export type StudioDraft = Omit<Studio, 'method'>
const studioValues = (s: StudioDraft) => {
  const [kind, value] = Object.entries(s.wish)[0] as [string, number]
  return [
    s.id,
    s.name,
    s.currency,
    s.zone,
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
  await client.query(
    `insert into studio (id, name, currency, zone, units, hour_rate, overhead_rate, tax_mode, tax_share, wish_kind,
                         wish_value, haggle_share, price_step, works_from, works_to, works_days)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, $16)
     on conflict (id) do update set
       name = excluded.name, currency = excluded.currency, zone = excluded.zone, units = excluded.units,
       hour_rate = excluded.hour_rate, overhead_rate = excluded.overhead_rate, tax_mode = excluded.tax_mode,
       tax_share = excluded.tax_share, wish_kind = excluded.wish_kind, wish_value = excluded.wish_value,
       haggle_share = excluded.haggle_share, price_step = excluded.price_step, works_from = excluded.works_from, works_to = excluded.works_to,
       works_days = excluded.works_days`,
    studioValues(studio),
  )
}

/** Changes where the house stands among the schools. */
export async function saveMethod(client: Client, method: HouseMethod): Promise<void> {
  await client.query('update studio set method = $1 where id = current_studio()', [JSON.stringify(method)])
}

export async function listChannels(client: Client): Promise<SalesChannel[]> {
  const { rows } = await client.query<SalesChannel>(
    `select id, name, fee_share as "feeShare", fee_fixed as "feeFixed" from channel order by position, name, id`,
  )
  return rows
}
export async function saveChannel(client: Client, studioId: string, channel: SalesChannel, position: number): Promise<void> {
  await client.query(
    `insert into channel (id, studio_id, name, fee_share, fee_fixed, position) values ($1, $2, $3, $4, $5, $6)
     on conflict (id) do update set name = excluded.name, fee_share = excluded.fee_share, fee_fixed = excluded.fee_fixed`,
    [channel.id, studioId, channel.name, channel.feeShare, channel.feeFixed, position],
  )
}

export async function listPeople(client: Client): Promise<Person[]> {
  const { rows } = await client.query<Person>('select id, name from person order by name, id')
  return rows
}
export async function savePerson(client: Client, studioId: string, person: Person): Promise<void> {
  await client.query(
    'insert into person (id, studio_id, name) values ($1, $2, $3) on conflict (id) do update set name = excluded.name',
    [person.id, studioId, person.name],
  )
}

export async function listProducts(client: Client): Promise<Product[]> {
  const { rows } = await client.query<Product>(
    `select id, name, family, colour_name as "colourName", colour_hex as "colourHex", size, unit, price
     from product order by family, name, id`,
  )
  return rows
}
export async function findProduct(client: Client, id: string): Promise<Product | null> {
  const { rows } = await client.query<Product>(
    `select id, name, family, colour_name as "colourName", colour_hex as "colourHex", size, unit, price
     from product where id = $1`,
    [id],
  )
  return rows[0] ?? null
}
export async function saveProduct(client: Client, studioId: string, product: Product): Promise<void> {
  await client.query(
    `insert into product (id, studio_id, name, family, colour_name, colour_hex, size, unit, price)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9)
     on conflict (id) do update set name = excluded.name, size = excluded.size, price = excluded.price`,
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
    ],
  )
}
