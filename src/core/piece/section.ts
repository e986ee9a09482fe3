/**
 * The section of a part: its layers from the substrate up, as plan and log have them. For the drawing; pure.
 */
import { type FamilyCode, getFamily } from '@/core/craft/families'
import { getLook } from '@/core/craft/looks'
import { getOperation, type LayerKind } from '@/core/craft/operations'
import { getExistingFinish, getSubstrate } from '@/core/craft/parts'
import type { PlannedStep } from '@/core/finish/step'
import { ground, type Where } from '@/core/finish/touch'
import { aimsOf } from '@/core/finish/touches'
import type { Instant } from '@/core/measure/named'
import type { PartJourney } from './journey'

export type LayerState = 'there' | 'wet' | 'planned'
export interface Layer {
  kind: LayerKind | 'oldPaint' | 'oldClear'
  /** colour value; clears and waxes have their own look */
  tone: string
  words: string
  state: LayerState
  film: 'thin' | 'normal' | 'heavy'
  /** all over unless given */
  where?: Where | undefined
}
export interface CrossSection {
  substrate: { tone: string; words: string; wood: boolean }
  layers: Layer[]
  /** how far it is worn back, now */
  wear: 'none' | 'edges' | 'through' | 'grain'
}

const tones: Partial<Record<FamilyCode, string>> = {
  knotting: '#c7a566',
  'blocking-primer': '#e9e4d8',
  'adhesion-primer': '#d5d2ca',
  'metal-primer': '#8d5548',
  'dark-wax': '#4a3423',
  'black-wax': '#26211e',
  'white-wax': '#efeae0',
  'metallic-wax': '#b9923f',
  'crackle-medium': '#e6d9b8',
  'drying-oil': '#b98f52',
  'oil-wax': '#c2a05f',
  salve: '#c9b079',
  glaze: '#d8d2c2',
}

/** The colour that stands for a layer: its own, its product's, or a pale one. */
export const toneOf = ({ colour, family }: Pick<PlannedStep, 'colour' | 'family'>): string =>
  colour?.hex ?? (family ? tones[family] : undefined) ?? '#efe6cf'

/** Whether the old finish has been taken off by the work done so far. */
const strips = (done: readonly string[]) => done.includes('scrape') || done.includes('dewax')

type Standing = Pick<PartJourney, 'part' | 'steps' | 'done' | 'window'>

/** The section as it stood at an instant: what was done later is still planned then. */
export function sectionAsOf(part: PartJourney, at: Instant): CrossSection {
  const done = part.done.filter(({ state }) => state.endedAt !== null && state.endedAt <= at)
  const behind = new Set(done.map(({ step }) => step.id))
  return sectionOf({
    part: part.part,
    done,
    steps: part.steps.map(({ step, state }) => ({
      step,
      state: state.status === 'left-out' || behind.has(step.id) ? state : { ...state, status: 'waiting' },
    })),
    window: null,
  })
}

/** What lies on a part, of whichever plan it was done by, and what the plan in force will lay over it. */
export function sectionOf({ part, steps, done, window }: Standing): CrossSection {
  const doneCodes = done.map(({ step }) => step.operation)
  const old = getExistingFinish(part.existing)
  const bare =
    strips(doneCodes) ||
    (steps.some(({ step }) => step.operation === 'scrape') && steps.every(({ state }) => state.status === 'done'))
  const layers: Layer[] =
    old.layer && old.tone && !bare
      ? [{ kind: old.layer, tone: old.tone, words: `old finish: ${old.words}`, state: 'there', film: 'thin' }]
      : []
  const behind = new Set(done.map(({ step }) => step.id))
  const laid = [
    ...done.map(({ step }) => ({ step, there: true })),
    ...steps
      .filter(({ step, state }) => state.status !== 'left-out' && !behind.has(step.id))
      .map(({ step }) => ({ step, there: false })),
  ]
  for (const { step, there } of laid) {
    const kind = getOperation(step.operation).layer
    if (!kind) continue
    const wet = there && window?.after.id === step.id && window.phase === 'shut'
    layers.push({
      kind,
      tone: toneOf(step),
      words: [step.colour?.name, step.family ? getFamily(step.family).words : null].filter(Boolean).join(', '),
      state: wet ? 'wet' : there ? 'there' : 'planned',
      film: step.film,
      ...(step.where && { where: step.where }),
    })
  }
  const wear = part.plan && !part.plan.care ? wearOf(part.plan) : 'none'
  const worn = doneCodes.some((code) => getOperation(code).wears) || wear === 'grain'
  const { tone, words } = getSubstrate(part.substrate)
  return { substrate: { tone, words, wood: getSubstrate(part.substrate).wood }, layers, wear: worn ? wear : 'none' }
}

/** What lets what lies below it be seen. */
const clear: readonly Layer['kind'][] = ['oldClear', 'clear', 'wax', 'tint', 'oil', 'wash', 'glaze', 'medium']
/** The colour that is seen of a part as it stands now, from some steps away. */
export const seenTone = ({ layers, substrate }: CrossSection): string =>
  layers.findLast(({ kind, state }) => state !== 'planned' && !clear.includes(kind))?.tone ?? substrate.tone

/** How far the finish is meant to be worn: as the look has it, or as the painter's own layers say. */
function wearOf({ look, touches }: NonNullable<PartJourney['part']['plan']>): CrossSection['wear'] {
  if (!touches) return getLook(look).wear
  if (aimsOf(touches).bareWood) return 'grain'
  const worn = touches.filter(({ operation }) => getOperation(operation).wears)
  if (worn.length === 0) return 'none'
  return worn.some(({ wearTo }) => wearTo === ground) ? 'through' : 'edges'
}

/** Layers that are alike and lie on each other are one, so many times. */
export function gathered(
  layers: readonly Layer[],
  isAlike: (one: Layer, other: Layer) => boolean,
): { layer: Layer; count: number }[] {
  const all: { layer: Layer; count: number }[] = []
  for (const layer of layers) {
    const last = all.at(-1)
    if (last && isAlike(last.layer, layer)) last.count += 1
    else all.push({ layer, count: 1 })
  }
  return all
}
