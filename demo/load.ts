/**
 * Lays the demo studio (data beside this file) into a database, its times relative to the moment of loading. Does nothing
 * where it is there already.
 */
import { readdirSync, readFileSync } from 'node:fs'
import pg from 'pg'
import sharp from 'sharp'
import { v7 as uuidv7 } from 'uuid'
import { doubtOf, type JudgedReading } from '@/core/climate/believe'
import { checkOf } from '@/core/craft/checks'
import { type FamilyCode, unitOf } from '@/core/craft/families'
import type { Counted } from '@/core/craft/job'
import type { LookCode } from '@/core/craft/looks'
import type { RemedyCode } from '@/core/craft/remedies'
import { type Sheen, shines } from '@/core/craft/sheen'
import type { TopcoatCode } from '@/core/craft/topcoats'
import { type ClientLanguage, clientShows } from '@/core/house/clientPage'
import type { Role } from '@/core/house/roles'
import type { CostKind, Outcome, SnagSeverity } from '@/core/log/entry'
import type { Instant, PartId, PersonId, PieceId, StepId, StudioId } from '@/core/measure/named'
import type { MeasuredFace } from '@/core/measure/surfaceArea'
import { dayOf, instantOf } from '@/core/measure/time'
import { areaOfPart } from '@/core/piece/area'
import type { ArticleCode } from '@/core/piece/articles'
import type { Photo, PlanStep, Source } from '@/core/piece/piece'
import { plainPlan } from '@/core/piece/plainPlan'
import { jobPlanStep, proposeJob } from '@/core/plan/job'
import { planFinish } from '@/core/plan/planFinish'
import { addAccount, addMembership } from '@/db/account'
import { saveClientPage } from '@/db/clientPage'
import { addReading, addReadings, saveRoom } from '@/db/climate'
import { addEntries, type NewEntry } from '@/db/entry'
import { addWithMaterial } from '@/db/material'
import { addPhoto } from '@/db/photo'
import { addParts, addPiece, addPlan, countPiece, type NewPart, wholeOf } from '@/db/pieceWrite'
import { freshSecret } from '@/db/secret'
import { openSession } from '@/db/session'
import { addLot } from '@/db/stock'
import { type Product, type SalesChannel, saveChannel, savePerson, saveProduct, saveStudio, type Studio } from '@/db/studio'
import { readSensor, rooms } from '../sensor/air'
import { type Drawing, drawPiece } from './draw'

interface StudioData {
  studio: Studio
  people: { name: string; role: Role }[]
  channels: Omit<SalesChannel, 'id'>[]
  /** each with its tins: what is stamped on it, and days from now when it was bought */
  products: {
    name: string
    family: FamilyCode
    sheen?: Sheen
    colour?: [string, string]
    size: number
    price: number
    tins: [code: string, days: number][]
  }[]
  /** days from now, °C, % */
  readings: [number, number, number][]
}
/** An entry without what is known of it where it is written. */
type Said = NewEntry extends infer E ? (E extends NewEntry ? Omit<E, 'id' | 'pieceId' | 'at'> : never) : never
interface Done {
  at: Instant
  minutes?: number
  running?: boolean
  /** minutes after which a finger found it dry */
  dryAfter?: number
}
/** What the demo's pieces leave unsaid of a part. */
const unsaid = { polish: 'unknown', slips: false, foundColour: null } as const
interface PartData extends Omit<NewPart, 'id' | 'surfaces' | keyof typeof unsaid>, Partial<Pick<NewPart, keyof typeof unsaid>> {
  surfaces: MeasuredFace[]
  plan?: {
    look: LookCode
    with?: LookCode[]
    paint: FamilyCode
    seal?: TopcoatCode
    sheen?: Sheen
    a: [string, string]
    b?: [string, string]
    at: Instant
  }
  done?: Done[]
}
interface PieceData {
  name: string
  /** the work around the paint, and what of it is done */
  around?: { counted: Counted; at: string; done: Done[] }
  source: Source
  sourceNote: string | null
  client?: string
  promised?: number
  takenIn: string
  bought: number
  fetching: number
  expected: number | null
  condition: string
  article?: ArticleCode
  drawing: Drawing
  parts: PartData[]
  /** taken at the bench, by the part's place and the step's: in the colour that was on it */
  photographs?: { part: number; step: number; at: Instant; colour: string }[]
  /** what went wrong, by the part's place; marked on a photograph by its place among them, where it was */
  snags?: {
    part: number
    at: Instant
    remedy: RemedyCode
    severity: SnagSeverity
    spot: number
    note: string
    on?: [photograph: number, x: number, y: number]
  }[]
  notes?: { at: Instant; note: string }[]
  /** what its client may see, and what was said */
  clientPage?: { language: ClientLanguage; said: { at: Instant; by: 'client' | 'studio'; words: string }[] }
  costs?: { at: Instant; kind: CostKind; money: number; note: string }[]
  listed?: { at: Instant; channel: string; price: number }
  /** when it was photographed finished, where that was before it was listed */
  photographedAfter?: string
  ended?: { at: Instant; outcome: Outcome; channel?: string; price?: number; fees?: number; note: string }
}

const read = <T>(path: string): T => JSON.parse(readFileSync(new URL(path, import.meta.url), 'utf8')) as T
const dayMs = 86_400_000
const perUnit = { min: 60_000, h: 3_600_000 }

/** "-12d 09:10" is that time on the wall twelve days ago, "-95min" and "-7h" are so long before now. */
function momentOf(text: string, now: Date, zone: string): string {
  const span = /^-(\d+)(min|h)$/.exec(text)
  if (span) return new Date(now.getTime() - Number(span[1]) * perUnit[span[2] as 'min' | 'h']).toISOString()
  const [, days, time] = /^-(\d+)d (\d\d:\d\d)$/.exec(text) ?? []
  const day = dayOf(new Date(now.getTime() - Number(days) * dayMs).toISOString(), zone)
  const instant = days && time ? instantOf(`${day}T${time}`, zone) : null
  if (!instant) throw new Error(`no moment in the demo's data: ${text}`)
  return instant
}

async function inTurn<T, R>(things: readonly T[], work: (thing: T) => Promise<R>): Promise<R[]> {
  const done: R[] = []
  for (const thing of things) done.push(await work(thing))
  return done
}

/** Loads the demo in one transaction, as the database's owner; by the till's secret its coats cost what they took. */
export async function loadDemo(client: pg.Client, now: Date, till: string): Promise<void> {
  const data = read<StudioData>('./studio.json')
  const found = await client.query('select from studio where id = $1', [data.studio.id])
  if (found.rowCount) return
  await client.query('begin')
  try {
    await loadAll(client, data, now, till)
    await client.query('commit')
  } catch (error) {
    await client.query('rollback')
    throw error
  }
}

/** Everybody of the demo comes in by one tap; and this transaction works as the studio from here on. */
async function letIn(
  client: pg.Client,
  studioId: StudioId,
  people: readonly { id: PersonId; name: string; role: Role }[],
  till: string,
) {
  for (const { id: personId, name, role } of people) {
    const [accountId, id] = [uuidv7(), uuidv7()]
    await addAccount(client, { id: accountId, name, password: null, isDemo: true })
    await addMembership(client, { id, accountId, studioId, personId, role })
  }
  const secret = freshSecret()
  await openSession(client, { id: uuidv7(), secret, studioId, membershipId: null, days: 1, agent: 'loading the demo' })
  await client.query(`select enter($1), set_config('itinerum.till', $2, true)`, [secret, till])
}

async function loadAll(client: pg.Client, data: StudioData, now: Date, till: string): Promise<void> {
  const { studio } = data
  await saveStudio(client, studio)
  const people = data.people.map(({ name, role }) => ({ id: uuidv7(), name, role }))
  for (const person of people) await savePerson(client, studio.id, person)
  await letIn(client, studio.id, people, till)
  const channels = data.channels.map((channel) => ({ id: uuidv7(), ...channel }))
  for (const [position, channel] of channels.entries()) await saveChannel(client, studio.id, channel, position)
  const products = data.products.map(({ colour, ...product }) => ({
    id: uuidv7(),
    ...product,
    unit: unitOf(product.family),
    colourName: colour?.[0] ?? null,
    colourHex: colour?.[1] ?? null,
  }))
  for (const product of products) await saveProduct(client, studio.id, product)
  const bought = data.products.flatMap(({ tins }, k) =>
    tins.map(([code, days]) => ({ code, product: products[k] as Product, boughtAt: new Date(now.getTime() + days * dayMs) })),
  )
  for (const { code, product, boughtAt } of bought) {
    const { id: productId, size, price } = product
    await addLot(client, studio.id, { id: uuidv7(), productId, code, size, price, boughtAt: boughtAt.toISOString() })
  }
  const loft = await loadAir(client, studio.id, now)
  for (const [days, temperature, humidity] of data.readings) {
    await addReading(client, studio.id, {
      id: uuidv7(),

      at: new Date(now.getTime() + days * dayMs).toISOString(),
      temperature,
      humidity,
    })
  }
  const files = readdirSync(new URL('./pieces', import.meta.url)).sort()
  for (const file of files) {
    await loadPiece(client, studio, read<PieceData>(`./pieces/${file}`), {
      now,
      channels,
      products,
      person: people[file.length % 2]?.id ?? null,
      loft,
    })
  }
}

/** The rooms and a week of their sensors, with the hour in which the sun stood on one of them. */
async function loadAir(client: pg.Client, studioId: StudioId, now: Date): Promise<string> {
  const made = rooms.map((room) => ({ ...room, id: uuidv7() }))
  for (const [position, { id, name }] of made.entries())
    await saveRoom(client, studioId, { id, name: name[0]?.toUpperCase() + name.slice(1), sensor: name }, position)
  const readings = made.flatMap((room, k) => {
    const judged: JudgedReading[] = []
    for (let hours = 7 * 24; hours > 0; hours -= 1) {
      const ms = now.getTime() - hours * 3_600_000
      const reading = readSensor(room, ms, k === 1 && hours === 53 ? 'sun' : 'none')
      if (reading) judged.push({ ...reading, doubt: doubtOf(reading, judged) })
    }
    return judged.map(({ at, temperature, humidity, doubt }) => ({
      id: uuidv7(),
      at,
      temperature,
      humidity,
      doubt,
      roomId: room.id,
      source: 'sensor' as const,
    }))
  })
  await addReadings(client, studioId, readings)
  return made[0]?.id ?? ''
}

interface Around {
  now: Date
  channels: readonly SalesChannel[]
  products: readonly Product[]
  person: string | null
  /** the room that pieces stand in */
  loft: string
}

async function loadPiece(client: pg.Client, studio: Studio, piece: PieceData, around: Around): Promise<void> {
  const { now, channels } = around
  const at = (text: string) => momentOf(text, now, studio.zone)
  const pieceId = uuidv7({ msecs: Date.parse(at(piece.takenIn)) })
  await addPiece(client, studio.id, {
    id: pieceId,
    name: piece.name,
    source: piece.source,
    sourceNote: piece.sourceNote,
    client: piece.client ?? null,
    promisedOn:
      piece.promised === undefined ? null : dayOf(new Date(now.getTime() + piece.promised * dayMs).toISOString(), studio.zone),
    takenInAt: at(piece.takenIn),
    expected: piece.expected,
    condition: piece.condition,
    roomId: around.loft,
    article: piece.article ?? null,
  })
  const parts = piece.parts.map((part) => ({
    ...unsaid,
    ...part,
    id: uuidv7(),
    surfaces: part.surfaces.map((surface) => ({ ...surface, id: uuidv7() })),
  }))
  await addParts(
    client,
    studio.id,
    pieceId,
    0,
    parts.map(({ plan: _plan, done: _done, ...part }) => part),
  )

  const entries: NewEntry[] = []
  const add = (when: string, entry: Said) =>
    entries.push({
      // what was said at one moment stays in the order it was said
      id: uuidv7({ msecs: Date.parse(when) + entries.length }),
      pieceId,
      at: when,
      recordedAt: when,
      personId: around.person,
      ...entry,
    } as NewEntry)
  if (piece.bought > 0) add(at(piece.takenIn), { kind: 'cost', costKind: 'bought', money: piece.bought })
  if (piece.fetching > 0) add(at(piece.takenIn), { kind: 'cost', costKind: 'fetching', money: piece.fetching })
  const stepIds: StepId[][] = []
  for (const [place, part] of parts.entries()) {
    if (!part.plan) continue
    const steps = await loadPlan(client, studio.id, part, at(part.plan.at))
    stepIds[place] = steps.map(({ id }) => id)
    for (const [k, done] of (part.done ?? []).entries()) {
      const step = steps[k]
      if (!step) throw new Error(`${piece.name}, ${part.name}: more work than steps (${steps.length})`)
      work(step, part.id, done, at(done.at), add, around.products)
    }
  }
  if (piece.around) {
    const { counted, at: plannedAt, done } = piece.around
    const { id, steps } = await loadAround(client, studio.id, pieceId, counted, at(plannedAt))
    for (const [k, each] of done.entries()) {
      const step = steps[k]
      if (!step) throw new Error(`${piece.name}: more work around the paint than steps (${steps.length})`)
      work(step, id, each, at(each.at), add, around.products)
    }
  }
  const photos = await loadPhotos(client, studio.id, piece, {
    pieceId,
    at,
    on: (part, step) => ({ partId: parts[part]?.id ?? null, stepId: stepIds[part]?.[step] ?? null }),
  })
  for (const { part, at: when, on, ...snag } of piece.snags ?? []) {
    const mark = on ? { photoId: photos[on[0]] ?? '', x: on[1], y: on[2] } : null
    add(at(when), { kind: 'snag', partId: parts[part]?.id ?? '', ...snag, mark })
  }
  for (const { at: when, note } of piece.notes ?? []) add(at(when), { kind: 'note', note })
  for (const { at: when, kind, money, note } of piece.costs ?? []) add(at(when), { kind: 'cost', costKind: kind, money, note })
  const channelId = (name?: string) => channels.find((channel) => channel.name === name)?.id ?? ''
  if (piece.listed)
    add(at(piece.listed.at), { kind: 'listed', channelId: channelId(piece.listed.channel), money: piece.listed.price })
  if (piece.ended) {
    const { outcome, channel, price, fees, note } = piece.ended
    const paid = { channelId: channelId(channel), money: price ?? 0, fees: fees ?? 0 }
    if (outcome === 'sold') add(at(piece.ended.at), { kind: outcome, ...paid, note })
    else if (outcome === 'handed-over')
      add(at(piece.ended.at), { kind: outcome, ...paid, channelId: paid.channelId || null, note })
    else add(at(piece.ended.at), { kind: outcome, note })
  }
  // what is taken off the shelf is taken in the order it was
  const taking = entries.filter(({ kind }) => kind === 'mixed' || kind === 'coat').sort((a, b) => a.at.localeCompare(b.at))
  const others = entries.filter(({ kind }) => kind !== 'mixed' && kind !== 'coat')
  for (const trouble of [
    await addEntries(client, studio.id, others),
    ...(await inTurn(taking, (entry) => addWithMaterial(client, studio.id, entry))),
  ])
    if (trouble) throw new Error(`${piece.name}: ${trouble.issue}`)
  if (piece.clientPage) await loadClientPage(client, studio.id, pieceId, piece.clientPage, at)
}

/** All of it shown, every photograph too; what was said, when. */
async function loadClientPage(
  client: pg.Client,
  studioId: StudioId,
  pieceId: PieceId,
  { language, said }: NonNullable<PieceData['clientPage']>,
  at: (text: string) => Instant,
): Promise<void> {
  const photos = await client.query<{ id: string }>('select id from photo where piece_id = $1', [pieceId])
  const photoIds = photos.rows.map(({ id }) => id)
  const answers = await client.query<{ id: PersonId }>('select id from person where studio_id = $1 order by id limit 1', [
    studioId,
  ])
  await saveClientPage(client, studioId, pieceId, { shows: clientShows, language, photoIds })
  for (const { at: when, by, words } of said)
    await client.query(
      'insert into client_word (id, studio_id, piece_id, at, person_id, words) values ($1, $2, $3, $4, $5, $6)',
      [
        ...[uuidv7({ msecs: Date.parse(at(when)) }), studioId, pieceId, at(when)],
        ...[by === 'studio' ? (answers.rows[0]?.id ?? null) : null, words],
      ],
    )
}

/** The photographs, drawn; ids of those taken at the bench, in their order. */
async function loadPhotos(
  client: pg.Client,
  studioId: StudioId,
  piece: PieceData,
  {
    pieceId,
    at,
    on,
  }: {
    pieceId: PieceId
    at: (text: string) => string
    on: (part: number, step: number) => Pick<Photo, 'partId' | 'stepId'>
  },
): Promise<string[]> {
  const store = async (photo: Omit<Photo, 'id' | 'width' | 'height' | 'alt'>, colour?: string) => {
    const picture = sharp(Buffer.from(drawPiece(piece.drawing, photo.moment, colour)))
    const large = await picture.clone().resize(1200).webp().toBuffer()
    const small = await picture.clone().resize(480).webp().toBuffer()
    const id = uuidv7()
    const whole = { ...photo, id, width: 1200, height: 1020, alt: `${piece.name}, ${photo.moment}` }
    await addPhoto(client, studioId, pieceId, whole, { large, small })
    return id
  }
  const nowhere = { partId: null, stepId: null }
  await store({ ...nowhere, moment: 'before', takenAt: at(piece.takenIn) })
  const finishedAt = piece.photographedAfter ?? piece.listed?.at ?? piece.ended?.at
  if (finishedAt) await store({ ...nowhere, moment: 'after', takenAt: at(finishedAt) })
  return inTurn(piece.photographs ?? [], ({ part, step, at: takenAt, colour }) =>
    store({ ...on(part, step), moment: 'during', takenAt: at(takenAt) }, colour),
  )
}

/** What was counted on a piece, and its steps around the paint. */
async function loadAround(client: pg.Client, studioId: StudioId, pieceId: PieceId, counted: Counted, madeAt: Instant) {
  await countPiece(client, pieceId, counted)
  const id = await wholeOf(client, studioId, pieceId, uuidv7())
  const steps = proposeJob(counted, false).map((step, position): PlanStep => ({
    ...jobPlanStep(step, false),
    id: uuidv7(),
    position,
  }))
  await addPlan(client, studioId, id, { ...plainPlan(uuidv7(), 'job', madeAt), steps })
  return { id, steps }
}

async function loadPlan(
  client: pg.Client,
  studioId: StudioId,
  part: PartData & { id: string },
  madeAt: Instant,
): Promise<PlanStep[]> {
  const { look, with: extras = [], paint, seal, sheen, a, b } = part.plan as NonNullable<PartData['plan']>
  const named = ([name, hex]: [string, string]) => ({ name, hex })
  const wish = {
    look,
    with: extras,
    paint,
    colours: { a: named(a), ...(b && { b: named(b) }) },
    ...(seal && { seal }),
    ...(sheen && { sheen }),
  }
  const outcome = planFinish({ ...part, knots: part.knots ?? undefined, areaM2: areaOfPart(part) }, wish)
  if ('refusal' in outcome) throw new Error(`${part.name}: ${outcome.refusal.code}`)
  const steps = outcome.plan.steps.map((step, position) => ({ ...step, id: uuidv7(), position }))
  await addPlan(client, studioId, part.id, { id: uuidv7(), ...wish, seal: seal ?? null, departures: {}, madeAt, steps })
  return steps
}

/** One step as it was worked: its clock, and for a coat the tin, the amount and what that cost. */
function work(
  step: PlanStep,
  partId: PartId,
  done: Done,
  when: string,
  add: (at: Instant, entry: Said) => void,
  products: readonly Product[],
): void {
  const onStep = { partId, stepId: step.id }
  if (done.running) return add(when, { kind: 'started', ...onStep })
  add(new Date(Date.parse(when) - (done.minutes ?? 0) * 60_000).toISOString(), { kind: 'started', ...onStep })
  add(when, { kind: 'ended', ...onStep })
  // the check that ends it, and the finger that found it dry
  const check = checkOf(step)
  if (check) add(when, { kind: 'checked', ...onStep, checkCode: check, result: 'pass' })
  if (done.dryAfter)
    add(new Date(Date.parse(when) + done.dryAfter * 60_000).toISOString(), { kind: 'seen', ...onStep, result: 'dry' })
  if (!step.family || step.amount === null) return
  const family = step.family
  const tins = products.filter((product) => product.family === family && shines(product, step.sheen))
  const tin = tins.find(({ colourHex }) => colourHex === step.colour?.hex) ?? tins[0]
  const amount = Math.max(1, Math.round(step.amount * (0.9 + ((done.minutes ?? 0) % 5) * 0.05)))
  add(when, {
    kind: 'coat',
    ...onStep,
    money: 0,
    coat: {
      productId: tin?.id ?? null,
      lotId: null,
      batchId: null,
      family,
      mix: step.mix,
      amount,
      unit: unitOf(family),
      applicator: step.applicator,
      film: step.film,
      sheen: step.sheen ?? null,
      place: null,
    },
  })
}
