/** A desk left before its plan was taken, as the device keeps it: what can still be read of it, for the plan it was begun on. Pure. */
import * as z from 'zod'
import { familyCodes } from '@/core/craft/families'
import { lookCodes } from '@/core/craft/looks'
import { operations } from '@/core/craft/operations'
import { codesOf } from '@/core/craft/parts'
import { sheenCodes } from '@/core/craft/sheen'
import { topcoatCodes } from '@/core/craft/topcoats'
import { methodInput } from '@/core/input/piece'
import { stepEdits } from '@/core/input/stepEdits'
import type { DeskState } from './state'

// a name that is half typed is a draft too: the form itself says what is wrong with it
const colour = z.looseObject({ name: z.string(), hex: z.string() })
const list = z.array(z.looseObject({ id: z.string(), operation: z.enum(codesOf(operations)), colour: colour.optional() }))
const state = z.object({
  look: z.enum(lookCodes),
  extras: z.array(z.enum(lookCodes)),
  paint: z.enum(familyCodes),
  seal: z.enum(topcoatCodes).nullable(),
  sheen: z.enum(sheenCodes).nullable().default(null),
  departures: methodInput.partial(),
  colours: z.object({ a: colour, b: colour }),
  touches: list.nullable(),
  aside: list.nullable(),
  edits: stepEdits,
})
const draft = z.object({ plan: z.string().nullable(), state })

/** `plan`: the id of the plan in force. */
export const keepDraft = (desk: DeskState, plan: string | null): string => JSON.stringify({ plan, state: desk })

/** Null where nothing is kept, where it can't be read, or where another plan has been taken since. */
export function readDraft(kept: string | null, plan: string | null): DeskState | null {
  if (kept === null) return null
  try {
    const read = draft.safeParse(JSON.parse(kept))
    return read.success && read.data.plan === plan ? (read.data.state as unknown as DeskState) : null
  } catch {
    return null
  }
}
