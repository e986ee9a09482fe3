/**
 * The desk's layers as they are drawn and listed, the lowest first: what lies there already, the painter's or the look's touches, and
 * between them what the rules put in. Pure.
 */
import { getFamily } from '@/core/craft/families'
import { getOperation, type LayerKind, type OperationCode } from '@/core/craft/operations'
import { getExistingFinish } from '@/core/craft/parts'
import type { PlannedStep } from '@/core/finish/step'
import { ground, type Touch, type Where } from '@/core/finish/touch'
import type { FinishablePart } from '@/core/finish/wish'
import type { Film } from '@/core/measure/film'
import { toneOf } from '@/core/piece/section'
import type { EditedStep } from '@/core/plan/stepEdits'
import type { Conflict } from '@/core/stack/checkStack'

interface Drawn {
  kind: LayerKind | 'oldPaint' | 'oldClear'
  tone: string
  film: Film
  where?: Where | undefined
}
export type DeskStratum =
  /** found on it, or laid by a plan before */
  | { is: 'under'; id: string; words: string; drawn: Drawn }
  /** by the painter or the look; drawn as nothing where it lays nothing */
  | {
      is: 'touch'
      id: string
      touch: Touch
      /** place in the list */
      at: number
      drawn: Drawn | null
      /** how often it is laid by the plan */
      coats: number
      /** takes away so many strata below it where hands wear */
      wears: number
      conflicts: readonly Conflict[]
    }
  /** the house's topcoat: no touch of the list */
  | { is: 'topcoat'; id: string; words: string; drawn: Drawn; coats: number; conflicts: readonly Conflict[] }
  /** asked for by the rules: a primer or a barrier is a layer, the rest a hairline */
  | { is: 'added'; id: string; steps: readonly EditedStep[]; drawn: Drawn | null; conflicts: readonly Conflict[] }

interface Given {
  facts: FinishablePart
  /** the list that is worked: the painter's own, or the look's */
  touches: readonly Touch[]
  done: readonly PlannedStep[]
  steps: readonly EditedStep[]
  at: ReadonlyMap<string, readonly Conflict[]>
}

/** Where an operation goes by its nature, to be seen in the drawing where nobody says. */
const natural: Partial<Record<OperationCode, Where>> = {
  'tinted-wax': { places: ['recesses', 'edges'] },
  'metallic-wax': { places: ['edges'] },
  'dry-brush': { share: 0.4 },
  'spray-runs': { share: 0.5 },
}
const layerOf = ({
  operation,
  family,
  colour,
  film,
  where,
}: Pick<PlannedStep, 'operation' | 'where'> & Partial<Pick<PlannedStep, 'family' | 'colour' | 'film'>>): Drawn | null => {
  const kind = getOperation(operation).layer
  return kind
    ? {
        kind,
        tone: toneOf({ family: family ?? null, colour: colour ?? null }),
        film: film ?? 'normal',
        where: where ?? natural[operation],
      }
    : null
}
const named = ({ colour, family, operation }: PlannedStep): string =>
  [colour?.name, family ? getFamily(family).words : getOperation(operation).words].filter(Boolean).join(', ')

/** How many strata a wear goes through, counted from the top of those below it. */
function wearDepth(touch: Touch, below: readonly DeskStratum[]): number {
  if (!getOperation(touch.operation).wears) return 0
  const colours = below.map((each, k) => (each.is === 'touch' && each.touch.colour ? k : -1)).filter((k) => k >= 0)
  if (touch.wearTo === ground) return below.length - below.findIndex(({ is }) => is !== 'under')
  const to = below.findIndex((each) => each.is === 'touch' && each.id === touch.wearTo)
  // to the colour below the last one, unless it is said
  const stays = to >= 0 ? to : (colours.at(-2) ?? (colours.length > 0 ? (colours[0] ?? 0) - 1 : below.length - 1))
  return Math.max(0, below.length - 1 - stays)
}

/** What the rules put in: each that is a layer by itself, those between as one. */
function addedStrata(steps: readonly EditedStep[], at: Given['at']): DeskStratum[] {
  const strata: Extract<DeskStratum, { is: 'added' }>[] = []
  for (const each of steps) {
    const conflicts = at.get(each.key) ?? []
    const drawn = layerOf(each.step)
    const last = strata.at(-1)
    if (!drawn && last && !last.drawn)
      strata[strata.length - 1] = { ...last, steps: [...last.steps, each], conflicts: [...last.conflicts, ...conflicts] }
    else strata.push({ is: 'added', id: each.key, steps: [each], drawn, conflicts })
  }
  return strata
}

interface Waiting {
  each: EditedStep
  /** the topcoat's layer that it belongs to */
  top: string | null
}

export function strataOf({ facts, touches, done, steps, at }: Given): DeskStratum[] {
  const strata: DeskStratum[] = []
  const old = getExistingFinish(facts.existing)
  const strips = [...done, ...steps.filter(({ left }) => !left).map(({ step }) => step)].some(({ operation }) =>
    ['scrape', 'dewax'].includes(operation),
  )
  if (old.layer && old.tone && !strips)
    strata.push({
      is: 'under',
      id: 'old',
      words: old.words,
      drawn: { kind: old.layer, tone: facts.foundColour ?? old.tone, film: 'thin' },
    })
  const listed = new Set(touches.map(({ id }) => id))
  done.forEach((step, k) => {
    const drawn = layerOf(step)
    if (drawn && !(step.touch && listed.has(step.touch))) strata.push({ is: 'under', id: `done-${k}`, words: named(step), drawn })
  })
  // what stands before each layer: the steps that the rules put in, and the topcoat where it lies below
  const before = new Map<string, Waiting[]>()
  let waiting: Waiting[] = []
  for (const each of steps) {
    const { touch, own } = each.step
    if (touch && !own && listed.has(touch)) {
      before.set(touch, [...(before.get(touch) ?? []), ...waiting])
      waiting = []
    } else waiting.push({ each, top: touch && !own ? touch : null })
  }
  const lay = (list: readonly Waiting[]) => {
    let added: EditedStep[] = []
    const seen = new Set<string>()
    for (const { each, top } of list) {
      if (top === null) added.push(each)
      else if (!seen.has(top)) {
        seen.add(top)
        const own = list.filter((other) => other.top === top).map((other) => other.each)
        const drawn = layerOf(each.step)
        strata.push(...addedStrata(added, at))
        added = []
        // what is done to a topcoat, wiped off and buffed, is no layer of its own
        if (drawn)
          strata.push({ is: 'topcoat', id: top, words: named(each.step), drawn, coats: own.length, conflicts: saidAt(own) })
      }
    }
    strata.push(...addedStrata(added, at))
  }
  const saidAt = (list: readonly EditedStep[]) => list.flatMap(({ key }) => at.get(key) ?? [])
  touches.forEach((touch, index) => {
    lay(before.get(touch.id) ?? [])
    const own = steps.filter(({ step }) => step.touch === touch.id && !step.own)
    strata.push({
      is: 'touch',
      id: touch.id,
      touch,
      at: index,
      drawn: layerOf({
        ...touch,
        film: touch.film ?? own[0]?.step.film ?? 'normal',
        family: touch.family ?? own[0]?.step.family ?? null,
        colour: touch.colour ?? null,
      }),
      coats: Math.max(1, own.filter(({ left }) => !left).length),
      wears: wearDepth(touch, strata),
      conflicts: saidAt(own),
    })
  })
  lay(waiting)
  return strata
}
