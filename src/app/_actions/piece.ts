'use server'
/** Taking a piece in, planning its parts, changing its facts. */
import { amendFacts } from '@/app/_server/amending'
import { store } from '@/app/_server/store'
import { takePieceIn } from '@/app/_server/takingIn'
import { Refused, writeOnce } from '@/app/_server/write'
import { assess } from '@/core/assess/assess'
import type { Answer } from '@/core/input/issues'
import {
  amendInput,
  type AmendText,
  findingInput,
  type FindingText,
  intakeInput,
  type IntakeText,
  planInput,
  type PlanText,
  recipeInput,
  type RecipeText,
} from '@/core/input/piece'
import { changeOf } from '@/core/log/change'
import type { Change } from '@/core/log/entry'
import { doneOn, factsOf } from '@/core/piece/facts'
import { readPiece } from '@/core/piece/journey'
import { replan } from '@/core/plan/replan'
import { editedSteps, isEdited, workedSteps } from '@/core/plan/stepEdits'
import { findPieceFile } from '@/db/piece'
import { addPlan, changePart } from '@/db/pieceWrite'
import { addRecipe } from '@/db/recipe'

export async function takeIn(typed: IntakeText): Promise<Answer> {
  return writeOnce('takeIn', intakeInput, typed, ({ id }) => id, takePieceIn)
}

export async function amendPiece(typed: AmendText): Promise<Answer> {
  return writeOnce(
    'amendPiece',
    amendInput,
    typed,
    ({ entryId }) => entryId,
    async (client, studio, entered) => {
      const { pieceId, entryId, ...facts } = entered
      await amendFacts(client, studio.id, { pieceId, entryId, facts })
    },
  )
}

/** Puts a look on a part. What the log says is done is not asked for again. */
export async function planPart(typed: PlanText): Promise<Answer> {
  return writeOnce(
    'planPart',
    planInput,
    typed,
    ({ planId }) => planId,
    async (client, studio, entered) => {
      const { planId, partId, pieceId, stepIds, at, edits } = entered
      const file = await findPieceFile(client, pieceId)
      const journey = file && readPiece(file, { climate: [], nowMs: Date.parse(at) })
      const current = journey?.parts.find(({ part }) => part.id === partId)
      if (!current) throw new Refused('not-found')
      const { look, paint, seal, sheen, departures, touches } = entered
      const colours = { a: entered.colours.a, ...(entered.colours.b && { b: entered.colours.b }) }
      const wish = { look, with: entered.with, paint, colours, seal: seal ?? undefined, sheen, touches }
      const facts = factsOf(current.part)
      const method = { ...studio.method, ...departures }
      const done = doneOn(current)
      const outcome = replan(facts, wish, done, method)
      if ('refusal' in outcome) throw new Refused('not-whole')
      const steps = workedSteps(editedSteps(outcome.steps, edits), edits, facts, method, done)
      if (stepIds.length < steps.length || steps.length === 0) throw new Refused('not-whole')
      await addPlan(client, studio.id, partId, {
        id: planId,
        ...wish,
        seal,
        departures,
        edits: isEdited(edits) ? edits : undefined,
        madeAt: at,
        steps: steps.map(({ step }, position) => ({ ...step, id: stepIds[position] as string, position })),
      })
    },
  )
}

/** Writes what tests showed into the log, and what follows from it on the part. */
export async function keepFindings(typed: FindingText): Promise<Answer> {
  return writeOnce(
    'keepFindings',
    findingInput,
    typed,
    ({ entryId }) => entryId,
    async (client, studio, entered) => {
      const { entryId, pieceId, partId, at, tests, signs, existing } = entered
      const file = await findPieceFile(client, pieceId)
      const part = file?.parts.find(({ id }) => id === partId)
      if (!part) throw new Refused('not-found')
      const found = assess({ tests, signs }, part)
      const after = {
        existing: existing ?? (found.existing === 'unknown' ? part.existing : found.existing),
        polish: found.polish,
        slips: found.slips,
        lead: found.lead,
        substrate: found.substrate,
        bleeds: found.bleeds || (part.bleeds && signs.bleed !== 'held'),
      }
      await changePart(client, partId, { ...part, ...after })
      const seen: Change = Object.fromEntries(
        Object.entries({ ...tests, ...signs }).map(([test, result]) => [test, [null, result]]),
      )
      const detail = { ...seen, ...changeOf(['existing', 'polish', 'lead', 'substrate', 'bleeds', 'slips'], part, after) }
      if (Object.keys(detail).length === 0) return
      await store(client, studio.id, [{ id: entryId, pieceId, partId, kind: 'amended', at, detail }])
    },
  )
}

/** Keeps a finish under a name. */
export async function keepRecipe(typed: RecipeText): Promise<Answer> {
  return writeOnce(
    'keepRecipe',
    recipeInput,
    typed,
    ({ id }) => id,
    (client, studio, { id, at, name, wish }) => addRecipe(client, studio.id, { id, name, wish }, at),
  )
}
