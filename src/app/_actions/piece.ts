'use server'
/** Taking a piece in, planning its parts, changing its facts, listing it, letting it go. */
import { instantOf, dayOf } from '../../core/time/wallTime'
import {
  addPartInput,
  amendInput,
  endingInput,
  findingInput,
  intakeInput,
  listingInput,
  recipeInput,
  planInput,
  type AddPartText,
  type AmendText,
  type EndingText,
  type FindingText,
  type IntakeText,
  type ListingText,
  type RecipeText,
  type PlanText,
} from '../../core/input/piece'
import { assess } from '../../core/assess/assess'
import { addRecipe } from '../../db/recipe'
import { withWindows } from '../../core/finish/planFinish'
import { doneOn, factsOf } from '../../core/piece/facts'
import { replan } from '../../core/plan/replan'
import { journeyOf } from '../../core/piece/journey'
import type { NewEntry } from '../../db/entry'
import { store } from '../_server/store'
import { addParts, addPiece, addPlan, changeFound, changePiece, findPiece, findPieceFile, type PieceFacts } from '../../db/piece'
import { Refused, write, type Answer } from '../_server/write'

/** A day chosen today means this moment; another day means its noon. */
function momentOf(day: string, zone: string): string {
  const now = new Date().toISOString()
  return dayOf(now, zone) === day ? now : (instantOf(day, zone) ?? now)
}

export async function takeIn(typed: IntakeText): Promise<Answer> {
  return write(
    intakeInput,
    typed,
    async (client, studio, { id, boughtEntryId, fetchingEntryId, takenInOn, bought, fetching, parts, ...facts }) => {
      const takenInAt = momentOf(takenInOn, studio.zone)
      const isNew = await addPiece(client, studio.id, { id, takenInAt, ...facts })
      if (!isNew) return
      await addParts(client, studio.id, id, 0, parts)
      const costs: NewEntry[] = [
        { id: boughtEntryId, pieceId: id, kind: 'cost', at: takenInAt, costKind: 'bought', money: bought },
        { id: fetchingEntryId, pieceId: id, kind: 'cost', at: takenInAt, costKind: 'fetching', money: fetching },
      ]
      await store(
        client,
        studio.id,
        costs.filter(({ money }) => money !== 0),
      )
    },
  )
}

export async function addPartToPiece(typed: AddPartText): Promise<Answer> {
  return write(addPartInput, typed, async (client, studio, { pieceId, part }) => {
    const file = await findPieceFile(client, pieceId)
    if (!file) throw new Refused('not-found')
    await addParts(client, studio.id, pieceId, file.parts.length, [part])
  })
}

const amendable = [
  'name',
  'source',
  'sourceNote',
  'client',
  'promisedOn',
  'expected',
  'condition',
  'roomId',
] as const satisfies (keyof PieceFacts)[]
const text = (value: string | number | null) => (value === null ? null : String(value))

export async function amendPiece(typed: AmendText): Promise<Answer> {
  return write(amendInput, typed, async (client, studio, { pieceId, entryId, ...facts }) => {
    const before = await findPiece(client, pieceId)
    if (!before) throw new Refused('not-found')
    const changed = amendable.filter((name) => before[name] !== facts[name])
    if (changed.length === 0) return
    await changePiece(client, pieceId, facts)
    const detail = Object.fromEntries(
      changed.map((name) => [name, [text(before[name]), text(facts[name])] as [string | null, string | null]]),
    )
    await store(client, studio.id, [{ id: entryId, pieceId, kind: 'amended', at: new Date().toISOString(), detail }])
  })
}

/** Puts a look on a part. What the log says is done is not asked for again. */
export async function planPart(typed: PlanText): Promise<Answer> {
  return write(planInput, typed, async (client, studio, entered) => {
    const { planId, partId, pieceId, stepIds, at, order } = entered
    const file = await findPieceFile(client, pieceId)
    const journey = file && journeyOf(file, [], Date.parse(at))
    const current = journey?.parts.find(({ part }) => part.id === partId)
    if (!current) throw new Refused('not-found')
    // sent twice, stored once
    if (current.part.plan?.id === planId) return
    const { look, paint, seal, departures } = entered
    const colours = { a: entered.colours.a, ...(entered.colours.b && { b: entered.colours.b }) }
    const wish = { look, with: entered.with, paint, colours, seal: seal ?? undefined }
    const facts = factsOf(current.part)
    const method = { ...studio.method, ...departures }
    const outcome = replan(facts, wish, doneOn(current), method)
    if ('refusal' in outcome) throw new Refused('not-whole')
    const chosen = order.flatMap((position) => outcome.steps[position] ?? [])
    if (stepIds.length < chosen.length || new Set(order).size !== order.length || chosen.length !== order.length)
      throw new Refused('not-whole')
    await addPlan(client, studio.id, partId, {
      id: planId,
      ...wish,
      seal,
      departures,
      madeAt: at,
      steps: withWindows(chosen, facts, method).map((step, position) => ({ ...step, id: stepIds[position] as string, position })),
    })
  })
}

/** Writes what tests showed into the log, and what follows from it on the part. */
export async function keepFindings(typed: FindingText): Promise<Answer> {
  return write(findingInput, typed, async (client, studio, { entryId, pieceId, partId, at, tests, signs, existing }) => {
    const file = await findPieceFile(client, pieceId)
    const part = file?.parts.find(({ id }) => id === partId)
    if (!file || !part) throw new Refused('not-found')
    if (file.log.some(({ id }) => id === entryId)) return
    const found = assess({ tests, signs }, part)
    const after = {
      existing: existing ?? (found.existing === 'unknown' ? part.existing : found.existing),
      lead: found.lead,
      substrate: found.substrate,
      bleeds: found.bleeds || (part.bleeds && signs.bleed !== 'held'),
    }
    await changeFound(client, partId, after)
    const changed = (['existing', 'lead', 'substrate', 'bleeds'] as const)
      .filter((name) => part[name] !== after[name])
      .map((name) => [name, [String(part[name]), String(after[name])]] as const)
    const seen = Object.entries({ ...tests, ...signs }).map(([test, result]) => [test, [null, result]] as const)
    if (changed.length + seen.length === 0) return
    const detail = Object.fromEntries([...seen, ...changed]) as Record<string, [string | null, string | null]>
    await store(client, studio.id, [{ id: entryId, pieceId, partId, kind: 'amended', at, detail }])
  })
}

/** Keeps a finish under a name. */
export async function keepRecipe(typed: RecipeText): Promise<Answer> {
  return write(recipeInput, typed, (client, studio, { id, at, name, wish }) => {
    const { colours, ...rest } = wish
    const named = { a: colours.a, ...(colours.b && { b: colours.b }) }
    return addRecipe(client, studio.id, { id, name, wish: { ...rest, colours: named } }, at)
  })
}

export async function listForSale(typed: ListingText): Promise<Answer> {
  return write(listingInput, typed, (client, studio, { entryId, pieceId, channelId, price, on, note }) =>
    store(client, studio.id, [
      { id: entryId, pieceId, kind: 'listed', at: momentOf(on, studio.zone), channelId, money: price, note },
    ]),
  )
}

export async function endPiece(typed: EndingText): Promise<Answer> {
  return write(endingInput, typed, async (client, studio, { entryId, pieceId, outcome, channelId, price, fees, on, note }) => {
    const file = await findPieceFile(client, pieceId)
    if (!file) throw new Refused('not-found')
    const { ending } = journeyOf(file, [], Date.now())
    if (ending && ending.entry.id !== entryId) throw new Refused('already-ended')
    const paid = outcome === 'sold' || outcome === 'handed-over'
    await store(client, studio.id, [
      {
        id: entryId,
        pieceId,
        kind: outcome,
        at: momentOf(on, studio.zone),
        channelId: paid ? channelId : null,
        money: paid ? price : null,
        fees: paid ? fees : null,
        note,
      },
    ])
  })
}
