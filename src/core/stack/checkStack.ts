/**
 * Looks through a part's layers, done and planned, for neighbours that will not get on: every conflict with its code, how
 * bad it is, the acts it concerns and the steps that mend it. Pure; times in minutes at the reference climate where given.
 */
import { defaultMethod, type HouseMethod } from '@/core/craft/method'
import { getSubstrate } from '@/core/craft/parts'
import { curingOf, findPlannedWindow } from '@/core/craft/windows'
import { filmMinutes } from '@/core/drying/windowFor'
import { coverOf, isPrimed, orderedTouches } from '@/core/finish/lines'
import { chooseTopcoat } from '@/core/finish/topcoat'
import { type Place, places } from '@/core/finish/touch'
import { aimsOf } from '@/core/finish/touches'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { lyingFrom } from './afterAct'
import { afterActIn, foundSurfaces, statesMet, type Surfaces } from './places'
import {
  type ConflictCode,
  type EndingRule,
  endingRules,
  type Intent,
  type Meeting,
  type MeetingRule,
  meetingRules,
  type Remedy,
  type Severity,
} from './rules'
import { type Act, isLaid, type SurfaceState } from './surface'

export interface Conflict {
  code: ConflictCode
  severity: Severity
  /** positions in `acts`; the act itself last, empty for the stack as a whole */
  acts: readonly number[]
  remedies: readonly Remedy[]
  /** where on the part; all over unless given */
  places?: readonly Place[] | undefined
}
export interface StackInput {
  part: FinishablePart
  wish: FinishWish
  acts: readonly Act[]
  method?: HouseMethod
  /** false while the stack is still being built: what only shows at the end is not asked */
  finished?: boolean
  /** minutes, on the acts' scale, at which it is washed, sat on or loaded */
  usedAt?: number
}

/** The rules of an act on the surface it meets, and those of the whole: each in the order in which they are put right. */
export const meetings = Object.entries(meetingRules) as [keyof typeof meetingRules, MeetingRule][]
export const endings = Object.entries(endingRules) as [keyof typeof endingRules, EndingRule][]

const waitRemedy: readonly Remedy[] = [{ operation: 'rest' }]

/** Every conflict, in order of the acts; those of the whole stack last. */
export function checkStack(input: StackInput): Conflict[] {
  const { part, wish, acts, method = defaultMethod, finished = true, usedAt } = input
  const intent = intentOf(part, wish, acts, method)
  const found: Conflict[] = []
  let surfaces = foundSurfaces(part)
  acts.forEach((act, index) => {
    for (const meeting of meetingsOf(intent, surfaces, { act, index, ahead: () => acts.slice(index + 1) })) {
      const { on, in: of } = meeting
      const below = on.layers.at(-1)?.index
      const concerned = below === undefined ? [index] : [below, index]
      for (const [code, { severity, remedies, meets }] of meetings)
        if (meets(meeting)) tell(found, { code, severity, remedies, acts: concerned }, of)
      for (const off of timesOff(acts, index, on, part, method)) tell(found, off, of)
    }
    surfaces = afterActIn(surfaces, act, index)
  })
  if (!finished) return found
  for (const { on, in: of } of statesMet(surfaces)) {
    const ending = { ...intent, acts, on }
    for (const [code, { severity, remedies, ends }] of endings)
      if (ends(ending)) tell(found, { code, severity, remedies, acts: [] }, of)
  }
  const lastCoat = surfaces.field.layers.at(-1)
  if (usedAt !== undefined && lastCoat?.act.at && lastCoat.act.family) {
    const cured = curingOf(lastCoat.act.family, Number(method.fullUse)).use.opens[0]
    if (usedAt < lastCoat.act.at.end + cured)
      found.push({ code: 'used-before-cure', severity: 'stop', acts: [lastCoat.index], remedies: [{ operation: 'cure' }] })
  }
  return found
}

/** What the rules are asked with of an act: once for each surface that it meets. */
export function meetingsOf(intent: Intent, surfaces: Surfaces, asked: Pick<Meeting, 'act' | 'index' | 'ahead'>): Meeting[] {
  const { part, wish, touches, aims, method, seal, cover } = intent
  const { act, index, ahead } = asked
  const states = statesMet(surfaces, act)
  const met = states.map(({ on }) => on)
  // each written out: spread, it took longer than the rules
  return states.map(({ on, in: of }) => ({ part, wish, touches, aims, method, seal, cover, act, index, ahead, on, in: of, met }))
}

/** Said once of an act, with all the places where it is so; of the whole part no place is named. */
function tell(found: Conflict[], conflict: Conflict, of: readonly Place[]) {
  if (of.length === places.length) return found.push(conflict)
  const same = ({ code, acts }: Conflict) => code === conflict.code && acts.at(-1) === conflict.acts.at(-1)
  const known = found.find(same)
  if (!known) return found.push({ ...conflict, places: of })
  const both = [...(known.places ?? []), ...of]
  known.places = both.length === places.length ? undefined : both
}

/** What the rules must know of the wish: what is asked for and meant by it, its topcoat, how many coats its colours need. */
export function intentOf(part: FinishablePart, wish: FinishWish, acts: readonly Act[], method: HouseMethod): Intent {
  const seal = chooseTopcoat(part, wish, method)
  const touches = orderedTouches(part, wish, method, seal)
  return {
    part,
    wish,
    method,
    seal,
    touches,
    aims: aimsOf(touches),
    cover: coverOf(part, touches, isPrimed(acts.slice(lyingFrom(acts)))),
  }
}

/** The act before this one that its time hangs on, with the window between the two. */
function timesOff(acts: readonly Act[], index: number, on: SurfaceState, part: FinishablePart, method: HouseMethod): Conflict[] {
  const act = acts[index]
  if (!act?.at) return []
  const around = { kind: getSubstrate(part.substrate).kind, method }
  const waits = acts.slice(0, index).flatMap((before, k) => {
    const holds = k === index - 1 || (isLaid(act) && on.layers.at(-1)?.index === k)
    const window = holds && before.at ? findPlannedWindow(before, act.operation, around) : null
    return window && before.at
      ? [{ k, window, since: act.at ? act.at.start - before.at.end : 0, film: filmMinutes[before.film] }]
      : []
  })
  return waits.flatMap(({ k, window, since, film }): Conflict[] => {
    const concerned = [k, index]
    if (since < window.opens[0] * film - 0.5)
      return [{ code: 'too-early', severity: 'stop', acts: concerned, remedies: waitRemedy }]
    if (k === index - 1 && window.closes && since > window.closes[0] * film + 0.5)
      return [{ code: 'window-missed', severity: 'caution', acts: concerned, remedies: [{ operation: 'smooth' }] }]
    return []
  })
}
