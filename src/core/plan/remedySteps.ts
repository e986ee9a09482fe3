/**
 * The steps that mend a mistake on a part as it stands: each layer again in its own product and colour, over the share of the
 * part that is usual. What they need before and after is for `complete` to say. Pure.
 */
import { getFamily } from '@/core/craft/families'
import { mayHoldLead } from '@/core/craft/lead'
import { defaultMethod, type HouseMethod } from '@/core/craft/method'
import { getOperation, type OperationCode } from '@/core/craft/operations'
import { isSoft, kindOf } from '@/core/craft/parts'
import { addedLine } from '@/core/craft/preparation'
import { getRemedy, type RemedyCode } from '@/core/craft/remedies'
import { type Remedy, type RemedyLine, type TopKind, worn } from '@/core/craft/remedies/remedy'
import { type Line, topcoatLines } from '@/core/finish/lines'
import { type PlannedStep, toSteps } from '@/core/finish/step'
import { chooseTopcoat } from '@/core/finish/topcoat'
import { type Place, places, placesUnder } from '@/core/finish/touch'
import { aimsOf, touchesOf } from '@/core/finish/touches'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { afterActIn, foundSurfaces, type Surfaces } from '@/core/stack/places'
import { isEffect, isVeneer, lastPaint, openBelow, rubs, sealedAbove } from '@/core/stack/rules/ask'
import { type Act, isPainted, type SurfaceState } from '@/core/stack/surface'
import { byHand, inTheWax, type Standing, takenLines, waxedAgain } from './remedyTakes'

/** Where a repair begins: the part, what it is meant to be, what lies on it. */
export interface Spoiled {
  part: FinishablePart
  wish: FinishWish
  method?: HouseMethod
  done: readonly Act[]
}

/** The steps of a remedy here; `ahead`: what is still to come on it. */
export function remedySteps(
  code: RemedyCode,
  { part, wish, method = defaultMethod, done }: Spoiled,
  ahead: readonly Act[] = [],
): PlannedStep[] {
  const remedy: Remedy = getRemedy(code)
  const first = planned(wish, method)
  const shows = remedy.after && done.findLast((act) => remedy.after?.includes(act.operation))
  // where the mistake shows, and the layer that it shows in
  const at = shows?.where?.places
  const surfaces = done.reduce(afterActIn, foundSurfaces(part))
  const on = surfaces[at && !at.includes('field') ? (at[0] ?? 'field') : 'field']
  const shownIn = remedy.shownIn ?? remedy.after
  const spoilt = on.layers.findLast(({ act }) => shownIn?.includes(act.operation)) ?? on.layers.at(-1)
  const standing: Standing = { on, done, spoilt: spoilt?.act ?? first, first }
  const small = { ...part, areaM2: part.areaM2 * remedy.share, knots: 1 }
  const lines = linesFor(remedy, { part, wish, method, surfaces, standing }).flatMap((line) => {
    const laid = 'take' in line ? takenLines(line.take, line.line ?? {}, standing) : [line]
    return laid.map((each) => placed(each, at))
  })
  const primed = underColours(lines)
  const whole = untaped([...primed, ...overAgain(primed, on, { part, wish, method, ahead })], standing)
  return whole.flatMap((line) =>
    toSteps(small, [line], { method, primed: true, proves: false }).map((step) => ({
      ...step,
      check: step.check ?? getOperation(step.operation).check ?? null,
    })),
  )
}

/** Where the mistake is: what washes or strips goes all over. */
const placed = (line: Line, at: readonly Place[] | undefined): Line =>
  at && at.length < places.length && !line.where && (getOperation(line.operation).layer || handled.includes(line.operation))
    ? { ...line, where: { places: at } }
    : line
const handled: readonly OperationCode[] = [...rubs, ...worn, 'fill', 'knock-down', 'wax-off', 'wipe-oil', 'buff']

/** What a repair does goes where its colour goes. */
function underColours(lines: readonly Line[]): Line[] {
  const coloured = lines.filter(({ colour }) => colour)
  const at = placesUnder(coloured)
  return coloured.length > 0 ? lines.map((line) => placed(line, at)) : [...lines]
}

/** What lies below the tape is mended without it, and taped again; within it, it stays on. */
function untaped(lines: readonly Line[], { on, done, spoilt }: Standing): readonly Line[] {
  const taped = on.taped === 'none' ? undefined : done.findLast(({ operation }) => operation === 'tape')
  if (!taped || done.indexOf(spoilt) > done.indexOf(taped)) return lines
  const tapes = lines.some(({ operation }) => operation === 'tape')
  const tape = tapes ? [] : takenLines('again', {}, { on, done, spoilt: taped, first: taped })
  return [addedLine({ operation: 'pull-tape' }), ...lines, ...tape]
}

/** Tints and gilding come off with the wax that a repair must take off, and come back over what is sealed again. */
function overAgain(
  lines: readonly Line[],
  on: SurfaceState,
  { part, wish, method, ahead }: Required<Pick<Spoiled, 'part' | 'wish' | 'method'>> & { ahead: readonly Act[] },
): Line[] {
  const lost = inTheWax(on)
  const breaks = ({ operation, family }: Line) =>
    rubs.includes(operation) || (family !== undefined && ['paint', 'primer', 'clear', 'medium'].includes(getFamily(family).role))
  const own = (act: Act) => lines.some(({ operation }) => operation === act.operation)
  // new wax takes the gilding on it with it
  const gone = lost.filter((act) => !own(act) && (act.operation === 'metallic-wax' || lines.some(breaks)))
  // what lies over the seal comes on what is sealed again; where colour comes before it the seal is the plan's
  const until = ahead.findIndex(({ operation, colour }) => colour !== null || overSeal.includes(operation))
  const comes = ahead[until]?.colour === null
  const broken = lines.some((line) => breaks(line) || line.operation === 'clear-wax')
  const wasSealed = sealedAbove(
    on,
    on.layers.findLast(({ act }) => isPainted(act)),
  )
  if (!broken || (gone.length === 0 && !(comes && wasSealed))) return []
  const tints = gone.some(({ operation }) => operation === 'tinted-wax')
  const itself = lines.some(({ operation }) => operation === 'tinted-wax')
  const renewed =
    lines.some(({ colour }) => colour) && !itself ? topcoatLines(part, wish, method, chooseTopcoat(part, wish, method)) : []
  // what is tinted is rubbed off and buffed with its tint
  const sealed = renewed.filter(({ phase }) => !tints || (phase !== 'rub' && phase !== 'buff'))
  return [...lessOf(sealed, ahead.slice(0, Math.max(0, until))), ...waxedAgain(gone)]
}

const overSeal: readonly OperationCode[] = ['tinted-wax', 'metallic-wax']
/** Of these lines, those that are not still to come. */
const lessOf = (lines: readonly Line[], ahead: readonly Act[]): Line[] =>
  ahead.reduce<Line[]>(
    (left, { operation }) => {
      const at = left.findLastIndex((line) => line.operation === operation)
      return at < 0 ? left : left.toSpliced(at, 1)
    },
    [...lines],
  )

/** What is laid where nothing is on it yet: the first paint. */
function planned(wish: FinishWish, method: HouseMethod): Act {
  const first = touchesOf(wish, method).find(({ colour }) => colour !== undefined)
  const { family = wish.paint, colour = null } = first ?? {}
  return { ...byHand, operation: 'coat', family, colour, grit: null, applicator: null }
}

const withoutWax = (on: SurfaceState): SurfaceState => ({ ...on, layers: on.layers.filter(({ role }) => role !== 'wax') })

interface Around extends Required<Spoiled> {
  surfaces: Surfaces
  standing: Standing
}
function linesFor(
  remedy: Remedy,
  { part, wish, method, surfaces, standing: { on, spoilt, first } }: Omit<Around, 'done'>,
): readonly RemedyLine[] {
  const top = on.layers.at(-1)
  // clear or wax alone shows what is below it just as a wash does
  const bareWood = aimsOf(touchesOf(wish, method)).bareWood || (!first.colour && !lastPaint(on))
  const laid = on.layers.find(({ act }) => act === spoilt)
  // wax comes off before a place is washed
  const open = Object.values(surfaces).some((each: SurfaceState) => openBelow(withoutWax(each)) !== undefined)
  const kinds: Record<TopKind, boolean> = {
    cloth: kindOf(part) === 'fabric',
    soft: isSoft(part.substrate),
    stained: lastPaint(on)?.act.family === 'stain',
    'bare-look': bareWood,
    clear: laid?.role === 'clear' || (top?.role === 'clear' && !laid),
    wax: top?.role === 'wax',
    crackle: laid?.act.operation === 'crackle-coat',
    glaze: laid?.act.operation === 'glaze',
    wash: laid !== undefined && isEffect(laid.act),
    veneer: isVeneer(part) && !top && !bareWood,
    'veneer-kept': isVeneer(part) && !top && bareWood,
    open,
    set: laid !== undefined && (sealedAbove(on, laid) || !rewets(laid.act)),
  }
  const own = (Object.keys(kinds) as TopKind[]).find((kind) => kinds[kind] && remedy.onTop?.[kind])
  const lines = (own && remedy.onTop?.[own]) || remedy.steps
  // over possible lead nothing is rubbed dry, and rubbed wet what is open smears
  const unrubbed = open && mayHoldLead(part)
  return unrubbed ? lines.filter((line) => 'take' in line || !smears.includes(line.operation)) : lines
}
const smears: readonly OperationCode[] = ['smooth', 'sand']
const rewets = ({ family }: Act) => family !== null && getFamily(family).rewets !== undefined
