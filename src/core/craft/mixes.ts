/** What the components of a mix are, by the names painters write: each comes from its own product. Source: the craft. */
import { shareOut } from '@/core/measure/mixBatch'
import { type MixPart, parseMix, yieldOf } from '@/core/measure/mixParts'
import { commonDivisor } from '@/core/measure/number'
import { type FamilyCode, familyCodes, getFamily, isPaint } from './families'

/** Chalky paint as it is mixed at home, and with a tenth more water. */
export const homeMix = 'latex paint : plaster : water 10 : 2 : 1'
export const thinnedHome = 'latex paint : plaster : water 50 : 10 : 6'
/** Minutes to make up a mix that is measured, by what is in it, and the part of them that an eye takes. Practice. */
const mixing: readonly [RegExp, number][] = [
  [/plaster/i, 8],
  [/powder : water/i, 6],
  [/powder|salt|sand/i, 5],
  [/:| with \d|% /i, 3],
]
const byEye = 0.4
/** Minutes to mix a shade of its colours. Practice. */
const shading = 3
/** Minutes to make a mix up, and the shade in it, once for all the coats of it. */
export function mixingMinutes(mix: string | null, isShade: boolean, measured: boolean): number {
  const minutes = (mix === null ? 0 : (mixing.find(([like]) => like.test(mix))?.[1] ?? 0)) + (isShade ? shading : 0)
  return measured ? minutes : minutes * byEye
}

/** Names that say a product by what it is for; the others are families' own words. */
const named: readonly { name: RegExp; family: (own: FamilyCode, paint: FamilyCode) => FamilyCode | null }[] = [
  { name: /^(plain )?water$/i, family: () => null },
  { name: /plaster|(texture|salt|sand|chalk)\b.*powder|bonding agent|^salt$|^sand$/i, family: () => null },
  { name: /^powder$/i, family: (own) => (own === 'casein' ? own : null) },
  { name: /^latex paint$/i, family: () => 'latex' },
  { name: /^(wall |trim )?paint$/i, family: (own, paint) => (isPaint(own) ? own : paint) },
  { name: /glaze/i, family: () => 'glaze' },
  { name: /^clear wax$/i, family: () => 'clear-wax' },
  { name: /^dark wax$/i, family: () => 'dark-wax' },
  { name: /^black wax$/i, family: () => 'black-wax' },
  { name: /^white wax$/i, family: () => 'white-wax' },
]

/**
 * The family a component comes from; null for what is on no shelf: water, plaster, powder to thicken with. `own` is the
 * family of the step, `paint` the paint of its plan.
 */
export function familyOfComponent(name: string, own: FamilyCode, paint: FamilyCode = own): FamilyCode | null {
  const known = named.find((each) => each.name.test(name.trim()))
  if (known) return known.family(own, paint)
  return familyCodes.find((code) => getFamily(code).words === name.trim().toLowerCase()) ?? null
}

/** A component of so much of a mix, ml or g. */
export interface Component {
  name: string
  parts: number
  amount: number
  family: FamilyCode | null
  /** #rrggbb, where it is one of the colours of a shade */
  hex?: string
}
/** A colour that a mix may name. */
export interface NamedColour {
  name: string
  hex: string
}

/** What the colours of a shade stand for in a mix: its paint, else what is named first. */
const paintIn = (parts: readonly MixPart[]): number =>
  Math.max(
    0,
    parts.findIndex(({ name }) => /paint$|^powder$/i.test(name.trim())),
  )
/** A name as it stands in a mix: what parts it there is no part of it. */
const inMix = (name: string): string => name.replace(/[:,]/g, ' ').replace(/\s+/g, ' ').trim()

/** A shade as it is mixed: its colours in the place of the paint, "Quince Rind : Oat Husk : water 3 : 1 : 2". */
export function shadeMix(shade: readonly { name: string; parts: number }[], mix: string | null): string {
  const told = (mix === null ? null : parseMix(mix)) ?? [{ name: 'paint', parts: 1 }]
  const paint = paintIn(told)
  const whole = shade.reduce((sum, each) => sum + each.parts, 0)
  const own = told[paint]?.parts ?? 1
  const parts = [
    ...shade.map(({ name, parts: share }) => ({ name: inMix(name), parts: share * own })),
    ...told.flatMap((each, k) => (k === paint ? [] : [{ name: each.name, parts: each.parts * whole }])),
  ]
  const inWholes = parts.every((each) => Number.isInteger(each.parts))
  const by = inWholes ? parts.reduce((most, each) => commonDivisor(most, each.parts), 0) : 1
  const figure = (share: number) => String(Math.round((share / by) * 1000) / 1000)
  return `${parts.map(({ name }) => name).join(' : ')} ${parts.map((each) => figure(each.parts)).join(' : ')}`
}

/** What goes into so much of a ready mix; null where its parts are not told. `colours`: those that it may name, of its own family. */
export function componentsOf(
  mix: string,
  volume: number,
  own: FamilyCode,
  paint: FamilyCode = own,
  colours: readonly NamedColour[] = [],
): Component[] | null {
  const parts = parseMix(mix)
  if (!parts || !(volume > 0)) return null
  const coloured = isPaint(own) ? own : paint
  const colourOf = (name: string) => colours.find((each) => inMix(each.name).toLowerCase() === name.trim().toLowerCase())
  // a colour that is called by what fills its own gaps is paint all the same
  const held = yieldOf(parts.filter(({ name }) => !colourOf(name)))
  return shareOut({ volume, components: parts, yield: held }).map(({ name, ml }, k): Component => {
    const colour = colourOf(name)
    const share = { name, parts: parts[k]?.parts ?? 0, amount: ml }
    return colour ? { ...share, family: coloured, hex: colour.hex } : { ...share, family: familyOfComponent(name, own, paint) }
  })
}

/** Cut with clear wax, a tinted wax may go straight on where the tint is wanted all over. */
export const isCut = (mix: string | null | undefined): boolean => /clear wax/i.test(mix ?? '')
