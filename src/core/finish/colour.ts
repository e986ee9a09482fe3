/**
 * What a colour asks of the painter: how well it hides, whether two are far enough apart. Lightness and chroma in OKLCH
 * (by culori); thresholds are the craft's rules of thumb put into figures, editable.
 */
import { converter, parse } from 'culori'

const toOklch = converter('oklch')

export interface Lch {
  lightness: number
  chroma: number
  hue: number
}

/** OKLCH of "#rrggbb"; throws on anything else. */
export function lchOf(hex: string): Lch {
  const colour = /^#[0-9a-f]{6}$/i.test(hex) ? toOklch(parse(hex)) : undefined
  if (!colour) throw new Error(`no colour value: ${hex}`)
  return { lightness: colour.l, chroma: colour.c, hue: colour.h ?? 0 }
}

/** Pale: whites and off-whites, which take a coat more and show every bleed. */
export const isPale = (hex: string): boolean => lchOf(hex).lightness > 0.85

/** Clean reds, oranges and yellows hide badly too. */
export function hidesBadly(hex: string): boolean {
  const { lightness, chroma, hue } = lchOf(hex)
  return isPale(hex) || (chroma > 0.14 && lightness > 0.45 && hue > 10 && hue < 115)
}

/** Coats a colour needs to cover. */
export const coatsToCover = (hex: string): number => (hidesBadly(hex) ? 3 : 2)

/** Distance of two colours as the eye sees them worn side by side; below about 0.15 the wear hardly shows. */
export function contrast(one: string, other: string): number {
  const a = lchOf(one)
  const b = lchOf(other)
  const radians = Math.PI / 180
  const da = a.chroma * Math.cos(a.hue * radians) - b.chroma * Math.cos(b.hue * radians)
  const db = a.chroma * Math.sin(a.hue * radians) - b.chroma * Math.sin(b.hue * radians)
  return Math.hypot(a.lightness - b.lightness, da, db)
}
export const enoughContrast = 0.15
