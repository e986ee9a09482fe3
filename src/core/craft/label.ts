/**
 * What a tin's own label says, where it says otherwise than its family: it goes before the family's figures, and what the studio has seen
 * itself before both. Minutes and days at the reference climate, m² per litre or kg of one coat. Pure.
 */
import type { Range } from '@/core/drying/windowFor'
import { type Family, type FamilyCode, getFamily, safeCoverage } from './families'
import { type Sheen, shines } from './sheen'
import type { StepWindow } from './windows'

export interface Label {
  touchDry?: Range | undefined
  recoat?: Range | undefined
  cureDays?: Range | undefined
  coverage?: Range | undefined
}
/** A tin that says something of its own. */
export interface LabelledTin {
  id: string
  family: FamilyCode
  colourHex: string | null
  sheen?: Sheen | null | undefined
  label: Label
}
/** What is laid, and of which product where that was said. */
export interface LaidOf {
  family: FamilyCode | null
  colour?: { hex: string } | null | undefined
  sheen?: Sheen | null | undefined
  productId?: string | null | undefined
}

/** A family's figures with what the label says in their place. */
export const labelled = (family: FamilyCode, label: Label | null): Family => {
  const { coverage, touchDry, recoat, cureDays } = label ?? {}
  return {
    ...getFamily(family),
    ...(coverage && { coverage }),
    ...(touchDry && { touchDry }),
    ...(recoat && { recoat }),
    ...(cureDays && { cureDays }),
  }
}

/** The label of what was laid: of the very tin where it is known, else of the one that is reached for. */
export function labelOf(tins: readonly LabelledTin[], { family, colour, sheen, productId }: LaidOf): Label | null {
  if (productId) return tins.find(({ id }) => id === productId)?.label ?? null
  const hex = colour?.hex ?? null
  const fits = (tin: LabelledTin) => tin.family === family && tin.colourHex === hex && shines(tin, sheen)
  return tins.find(fits)?.label ?? null
}

/** As much as a coat takes of it: a product that goes further takes less. */
export const amountBy = (amount: number, family: FamilyCode, label: Label | null): number =>
  label?.coverage ? (amount * safeCoverage(family)) / label.coverage[0] : amount

/** The window by the label: only what stands on labels is another, in the share by which the window differed already (a fan). */
export function asLabelled(window: StepWindow, family: FamilyCode, label: Label): StepWindow {
  const { from = alike(window, family), opens, closes } = window
  const [own, usual] = from ? [label[from], getFamily(family)[from]] : []
  if (!own || !usual) return window
  const by = (k: 0 | 1) => Math.round((own[k] * opens[k]) / usual[k])
  const sooner = Math.min(by(0), by(1))
  const later = Math.max(by(0), by(1))
  return {
    ...window,
    opens: [sooner, later],
    // it can't be past before it is open
    closes: closes && [Math.max(closes[0], sooner), Math.max(closes[1], later)],
    source: 'label',
  }
}
/** A plan that was made before its windows said so: what has the family's very figure is that figure. */
const alike = ({ opens, source }: StepWindow, family: FamilyCode): StepWindow['from'] =>
  source === 'craft' ? figures.find((figure) => String(getFamily(family)[figure]) === String(opens)) : undefined
const figures = ['recoat', 'touchDry'] as const
