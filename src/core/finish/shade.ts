/**
 * A colour as it stands on a tin, or a shade mixed of several by parts, to be made again from its formula. Pure; the value of a
 * shade is a guess: two paints mix as pigments do (Kubelka and Munk, by spectral.js), whatever the makers put in them.
 */
import { Color, mix } from 'spectral.js'

export interface Colour {
  /** invented by the studio */
  name: string
  /** #rrggbb, lower case; of a shade a guess */
  hex: string
  /** what a shade is mixed of */
  parts?: readonly ShadePart[] | undefined
}
export interface ShadePart {
  name: string
  hex: string
  /** by volume */
  parts: number
}

/** The value of a shade: "#rrggbb". Throws where it has no parts. */
export function shadeOf(parts: readonly Omit<ShadePart, 'name'>[]): string {
  const used = parts.filter(({ parts: share }) => share > 0)
  if (used.length === 0) throw new Error('a shade has at least one part above nothing')
  return mix(...used.map(({ hex, parts: share }): [Color, number] => [new Color(hex), share]))
    .toString()
    .toLowerCase()
}

/** As a shade is named that was never given another name: "2 Quince Rind : 1 Oat Husk". */
export const formulaOf = (parts: readonly { name: string; parts: number }[]): string =>
  parts
    .map(({ name, parts: share }) => `${share} ${name}`)
    .join(' : ')
    .slice(0, 60)
