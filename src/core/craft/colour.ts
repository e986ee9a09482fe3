/**
 * What a colour asks of the painter: how well it hides, whether two are far enough apart. Lightness and chroma in OKLCH
 * (by culori); thresholds are the craft's rules of thumb put into figures, editable.
 */
import { formatHex, modeOklch, modeRgb, parseHex, useMode as withMode } from 'culori/fn'

// only the spaces that are asked for: all of them weigh as much as the rest of the page
withMode(modeRgb)
const toOklch = withMode(modeOklch)

export interface Lch {
  lightness: number
  chroma: number
  hue: number
}

/** OKLCH of "#rrggbb"; throws on anything else. */
export function lchOf(hex: string): Lch {
  const known = seen.get(hex)
  if (known) return known
  const lch = convert(hex)
  if (seen.size > 2000) seen.clear()
  seen.set(hex, lch)
  return lch
}
/** Conversions done before: the same few colours are asked for thousands of times. */
const seen = new Map<string, Lch>()

function convert(hex: string): Lch {
  const colour = /^#[0-9a-f]{6}$/i.test(hex) ? toOklch(parseHex(hex)) : undefined
  if (!colour) throw new Error(`no colour value: ${hex}`)
  return { lightness: colour.l, chroma: colour.c, hue: colour.h ?? 0 }
}

/** Pale: whites and off-whites, which take a coat more and show every bleed. */
export const isPale = (hex: string): boolean => lchOf(hex).lightness > 0.85

/** Whether dark lines are seen on it better than pale ones. */
export const isLight = (hex: string): boolean => lchOf(hex).lightness > 0.6

/** Clean reds, oranges and yellows hide badly too. */
export function hidesBadly(hex: string): boolean {
  const { lightness, chroma, hue } = lchOf(hex)
  return isPale(hex) || (chroma > 0.14 && lightness > 0.45 && hue > 10 && hue < 115)
}

export type CoverReason = 'usual' | 'hides-badly' | 'pale-over-dark' | 'strong-over-alike'
export interface Cover {
  coats: number
  reasons: CoverReason[]
}

/** Lightness that the eye bridges in one coat less, or in one more. */
const bigStep = 0.45
const alike = 0.2

/**
 * Coats a colour needs over what lies below it (a colour value, or null where that is not known): two, one more where it
 * hides badly, one more where a pale one goes straight over a dark one, one less for a strong mid-tone over
 * a paint much like it. 1 to 4.
 */
export function coverFor(hex: string, belowHex: string | null, belowIsPaint: boolean): Cover {
  const { lightness, chroma } = lchOf(hex)
  const reasons: CoverReason[] = []
  let coats = 2
  if (hidesBadly(hex)) {
    coats += 1
    reasons.push('hides-badly')
  }
  if (belowHex !== null && isPale(hex) && lightness - lchOf(belowHex).lightness > bigStep) {
    coats += 1
    reasons.push('pale-over-dark')
  }
  const strong = lightness > 0.3 && lightness < 0.7 && chroma > 0.05
  if (belowHex !== null && belowIsPaint && strong && !hidesBadly(hex) && contrast(hex, belowHex) < alike) {
    coats -= 1
    reasons.push('strong-over-alike')
  }
  return { coats, reasons: reasons.length > 0 ? reasons : ['usual'] }
}

/**
 * Opposites on the painter's wheel, as hues in OKLCH: orange-red against green, orange against blue, yellow against violet, and
 * back. Hues between are shared out between their neighbours. Source: the craft.
 */
const opposites = [
  [40, 145],
  [60, 255],
  [105, 305],
  [145, 400],
  [255, 420],
  [305, 465],
  [400, 505],
] as const
function oppositeHue(hue: number): number {
  const [first] = opposites[0]
  const turned = hue < first ? hue + 360 : hue
  const next = opposites.findIndex(([from]) => from > turned)
  const [[from, to], [until, reaches]] = [opposites[next - 1] ?? opposites[5], opposites[next] ?? opposites[6]]
  return (to + ((turned - from) / (until - from)) * (reaches - to)) % 360
}
/** The painter's opposite, in the same lightness: makes the top colour sing over it. */
export function complementOf(hex: string): string {
  const { lightness, chroma, hue } = lchOf(hex)
  return formatHex({ mode: 'oklch', l: lightness, c: chroma, h: oppositeHue(hue) })
}
/** The same colour with a little dark in it. */
export function darkerOf(hex: string): string {
  const { lightness, chroma, hue } = lchOf(hex)
  return formatHex({ mode: 'oklch', l: Math.max(0.12, lightness - 0.18), c: chroma * 0.9, h: hue })
}

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
