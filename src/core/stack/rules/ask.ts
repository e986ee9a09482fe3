/** What the rules ask of acts and surfaces again and again. Pure. */
import { getFamily } from '@/core/craft/families'
import type { OperationCode } from '@/core/craft/operations'
import type { FinishablePart } from '@/core/finish/planFinish'
import { type Act, isLaid, isPainted, type Laid, type SurfaceState } from '@/core/stack/surface'
import type { Meeting, RemedyStep } from './rule'

export const has = (text: string | null, words: string) => text?.includes(words) ?? false
export const thinned = (act: Act) => has(act.mix, 'water') && !has(act.mix, 'no water') && act.family !== 'casein'
export const misted = (act: Act) => has(act.mix, 'misted') || act.operation === 'spray-runs'
export const isCoat = (act: Act) => ['coat', 'undercoat', 'crackle-coat', 'fabric-coat'].includes(act.operation)
export const lays = (act: Act) => isLaid(act) && !['wax', 'tint'].includes(act.operation)
export const paintsOn = (on: SurfaceState): Laid[] => on.layers.filter(({ act }) => isPainted(act))
export const lastPaint = (on: SurfaceState): Laid | undefined => paintsOn(on).at(-1)
export const sealedAbove = (on: SurfaceState, paint: Laid | undefined) =>
  paint !== undefined &&
  on.layers.some(({ index, role }) => index > paint.index && ['clear', 'wax', 'oil', 'medium'].includes(role))
export const hasRole = (on: SurfaceState, role: Laid['role']) => on.layers.some((layer) => layer.role === role)
export const isPrimer = (act: Act) => ['knotting', 'block-prime', 'adhesion-prime'].includes(act.operation)
export const grips = (act: Act) => (act.family === null ? undefined : getFamily(act.family).grips)
export const firstLaid = ({ on, act }: Meeting) =>
  lays(act) && act.operation !== 'knotting' && on.layers.every((layer) => layer.act.operation === 'knotting')
export const hardUse = (part: FinishablePart) => !['display', 'light'].includes(part.use)
export const clears = (on: SurfaceState) => on.layers.filter(({ act }) => act.operation === 'clear-coat').length
export const coarse = (grit: string | null) => (/\d+/.exec(grit ?? '') ? Number(/\d+/.exec(grit ?? '')?.[0]) : 220) < 180
export const abrasive: readonly OperationCode[] = ['scuff', 'sand', 'dry-distress', 'scrape-distress', 'smooth']
export const finish: readonly RemedyStep[] = [{ operation: 'de-lint' }, { operation: 'clear-coat', family: 'water-clear' }]

/** The share of water named in a mix like "paint : water 3 : 1" or "20 % water". */
export function waterShare({ mix, family }: Pick<Act, 'mix' | 'family'>): number {
  if (family === 'casein' || !mix) return 0
  const parts = /paint : water (\d+(?:\.\d+)?) : (\d+(?:\.\d+)?)/.exec(mix)
  if (parts) return Number(parts[2]) / Number(parts[1])
  const percent = /(\d+) % water/.exec(mix)
  return percent ? Number(percent[1]) / 100 : 0
}
export const allowedWater = (act: Act) => (act.family === null ? 1 : (getFamily(act.family).waterShare ?? 1))
export const ragsBurn = (act: Act) =>
  (act.family !== null && ['drying-oil', 'oil-wax'].includes(act.family) && ['oil', 'wipe-oil'].includes(act.operation)) ||
  ['dewax', 'wipe-spirits'].includes(act.operation)
