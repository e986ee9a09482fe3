/**
 * Looks through a part's layers, done and planned, for neighbours that will not get on: every conflict with its code, how
 * bad it is, the acts it concerns and the steps that mend it. Pure; times in minutes at the reference climate where given.
 */
import { defaultMethod, type HouseMethod } from '@/core/craft/method'
import { getSubstrate } from '@/core/craft/parts'
import { curingOf, findStepWindow } from '@/core/craft/windows'
import { filmMinutes } from '@/core/drying/windowFor'
import { chooseTopcoat, coverOf, isPrimed, looksOf } from '@/core/finish/lines'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { afterAct } from './afterAct'
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
  type StackEnding,
} from './rules'
import { type Act, foundSurface, isLaid, type SurfaceState } from './surface'

export interface Conflict {
  code: ConflictCode
  severity: Severity
  /** positions in `acts`; the act itself last, empty for the stack as a whole */
  acts: readonly number[]
  remedies: readonly Remedy[]
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

const meetings = Object.entries(meetingRules) as [keyof typeof meetingRules, MeetingRule][]
const endings = Object.entries(endingRules) as [keyof typeof endingRules, EndingRule][]
/** The rules that speak of an act on the surface it meets, in the order in which they are put right. */
export const rulesMet = (meeting: Meeting): [keyof typeof meetingRules, MeetingRule][] =>
  meetings.filter(([, { meets }]) => meets(meeting))
/** The rules that speak of the whole. */
export const rulesEnded = (ending: StackEnding): [keyof typeof endingRules, EndingRule][] =>
  endings.filter(([, { ends }]) => ends(ending))

const waitRemedy: readonly Remedy[] = [{ operation: 'rest' }]

/** Every conflict, in order of the acts; those of the whole stack last. */
export function checkStack(input: StackInput): Conflict[] {
  const { part, wish, acts, method = defaultMethod, finished = true, usedAt } = input
  const intent = intentOf(part, wish, acts, method)
  const found: Conflict[] = []
  let on: SurfaceState = foundSurface(part)
  acts.forEach((act, index) => {
    const below = on.layers.at(-1)?.index
    const concerned = below === undefined ? [index] : [below, index]
    for (const [code, { severity, remedies }] of rulesMet({ ...intent, act, index, on, ahead: () => acts.slice(index + 1) }))
      found.push({ code, severity, remedies, acts: concerned })
    found.push(...timesOff(acts, index, on, part, method))
    on = afterAct(on, act, index)
  })
  if (!finished) return found
  for (const [code, { severity, remedies }] of rulesEnded({ ...intent, acts, on }))
    found.push({ code, severity, remedies, acts: [] })
  const lastCoat = on.layers.at(-1)
  if (usedAt !== undefined && lastCoat?.act.at && lastCoat.act.family) {
    const cured = curingOf(lastCoat.act.family, Number(method.fullUse)).use.opens[0]
    if (usedAt < lastCoat.act.at.end + cured)
      found.push({ code: 'used-before-cure', severity: 'stop', acts: [lastCoat.index], remedies: [{ operation: 'cure' }] })
  }
  return found
}

/** What the rules must know of the wish: its looks, its topcoat, how many coats its colours need. */
export function intentOf(part: FinishablePart, wish: FinishWish, acts: readonly Act[], method: HouseMethod): Intent {
  const looks = looksOf(wish)
  return { part, wish, method, looks, cover: coverOf(part, wish, isPrimed(acts)), seal: chooseTopcoat(part, wish, looks, method) }
}

/** The act before this one that its time hangs on, with the window between the two. */
function timesOff(acts: readonly Act[], index: number, on: SurfaceState, part: FinishablePart, method: HouseMethod): Conflict[] {
  const act = acts[index]
  if (!act?.at) return []
  const around = { kind: getSubstrate(part.substrate).kind, method }
  const waits = acts.slice(0, index).flatMap((before, k) => {
    const holds = k === index - 1 || (isLaid(act) && on.layers.at(-1)?.index === k)
    const window = holds && before.at ? findStepWindow(before.operation, before.family, act.operation, around) : null
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
