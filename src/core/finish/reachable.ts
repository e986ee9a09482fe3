/**
 * Which shades a few tins of one paint can be mixed to, the nearest to a wanted colour first. Whole parts, as a painter measures them with
 * a cup: of one tin, of two, of three, six parts together at most. Amounts in ml or g; a shade's value is the guess of `shade.ts`. Pure.
 */
import { Color } from 'spectral.js'
import { contrast, lchOf } from '@/core/craft/colour'
import { type Colour, formulaOf, shadeOf } from './shade'

export interface Standing {
  name: string
  /** #rrggbb, lower case */
  hex: string
  /** what is left in all tins of it */
  amount: number
}
export interface Reachable {
  colour: Colour
  /** from the wanted colour, as the eye sees them side by side; see `contrast` */
  distance: number
  /** as much as what stands there gives, if all of it went into this */
  most: number
}

/** Within so much two colours are taken for the same wish. Practice. */
export const closeBy = 0.1
const mostParts = 6
/** Three tins are tried only of so many, those that come nearest by themselves or in pairs. */
const mostForThree = 12
/** As many as are reckoned to the very value; the fast way through all of them is off by less than an eye can tell. */
const mostKept = 80

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b))
/** Every way to share out so many tins in whole parts, none twice: 2 : 2 is 1 : 1. */
function sharesOf(count: number): number[][] {
  const found: number[][] = []
  const fill = (parts: number[], left: number): void => {
    if (parts.length === count) {
      if (parts.reduce(gcd) === 1) found.push(parts)
      return
    }
    const open = count - parts.length - 1
    for (let part = 1; part <= left - open; part += 1) fill([...parts, part], left - part)
  }
  fill([], mostParts)
  return found
}
const shares = { 2: sharesOf(2), 3: sharesOf(3) } as const

/** How a tin absorbs and scatters by wavelength, and how strongly it tints: what two paints share in a mix. */
interface Pigment extends Standing {
  absorbs: readonly number[]
  strength: number
}
const pigments = new Map<string, Pick<Pigment, 'absorbs' | 'strength'>>()
function pigmentOf(tin: Standing): Pigment {
  const known = pigments.get(tin.hex)
  if (known) return { ...tin, ...known }
  const { KS: absorbs, luminance: strength } = new Color(tin.hex)
  if (pigments.size > 500) pigments.clear()
  pigments.set(tin.hex, { absorbs, strength })
  return { ...tin, absorbs, strength }
}

type Three = readonly [number, number, number]
const times = (rows: readonly [Three, Three, Three], [x, y, z]: Three): [number, number, number] => {
  const of = ([a, b, c]: Three) => a * x + b * y + c * z
  return [of(rows[0]), of(rows[1]), of(rows[2])]
}
/** What the eye's three kinds of cones take up of XYZ, and how OKLab is made of their cube roots. Source: OKLab's definition. */
const cones = [
  [0.819022437996703, 0.3619062600528904, -0.1288737815209879],
  [0.0329836539323885, 0.9292868615863434, 0.0361446663506424],
  [0.0481771893596242, 0.2642395317527308, 0.6335478284694309],
] as const
const opponents = [
  [0.210454268309314, 0.7936177747023054, -0.0040720430116193],
  [1.9779985324311684, -2.4285922420485799, 0.450593709617411],
  [0.0259040424655478, 0.7827717124575296, -0.8086757549230774],
] as const
/** What the cones take up of light at each wavelength alone: the way from a spectrum to them is a sum. */
let seenBy: readonly Three[] | null = null
const conesByWave = (waves: number): readonly Three[] =>
  (seenBy ??= Array.from({ length: waves }, (_, wave) =>
    times(cones, new Color(Array.from({ length: waves }, (__, each) => Number(each === wave))).XYZ),
  ))

/** OKLab of a mix, not yet rounded to a value on a screen. */
function labOf(tins: readonly Pigment[], parts: readonly number[]): Three {
  const weights = tins.map(({ strength }, k) => (parts[k] as number) ** 2 * strength)
  const whole = weights.reduce((sum, each) => sum + each, 0)
  const waves = (tins[0] as Pigment).absorbs.length
  const eye = conesByWave(waves)
  let [long, middle, short] = [0, 0, 0]
  for (let wave = 0; wave < waves; wave += 1) {
    let mixed = 0
    for (let k = 0; k < tins.length; k += 1) mixed += ((tins[k] as Pigment).absorbs[wave] as number) * (weights[k] as number)
    mixed /= whole
    const reflects = 1 + mixed - Math.sqrt(mixed * mixed + 2 * mixed)
    const [l, m, s] = eye[wave] as Three
    long += reflects * l
    middle += reflects * m
    short += reflects * s
  }
  return times(opponents, [Math.cbrt(long), Math.cbrt(middle), Math.cbrt(short)])
}
const apart = (one: Three, other: Three): number => Math.hypot(one[0] - other[0], one[1] - other[1], one[2] - other[2])

interface Tried {
  tins: readonly Pigment[]
  parts: readonly number[]
  distance: number
}
function* pairsOf<T>(list: readonly T[]): Generator<[T, T]> {
  for (let one = 0; one < list.length; one += 1)
    for (let other = one + 1; other < list.length; other += 1) yield [list[one] as T, list[other] as T]
}
function* threesOf<T>(list: readonly T[]): Generator<[T, T, T]> {
  for (let one = 0; one < list.length; one += 1)
    for (const [other, third] of pairsOf(list.slice(one + 1))) yield [list[one] as T, other, third]
}

/** The tins themselves, the nearest to `wanted` first; those in one colour together. */
export const asTheyStand = (wanted: string, standing: readonly Standing[]): Reachable[] =>
  togetherByColour(standing)
    .map(({ name, hex, amount }) => ({ colour: { name, hex }, distance: contrast(hex, wanted), most: amount }))
    .sort((one, other) => one.distance - other.distance)

/** What can be had of these tins, the nearest to `wanted` ("#rrggbb") first, at most eighty. Throws on another value. */
export function reachableFrom(wanted: string, standing: readonly Standing[]): Reachable[] {
  const { lightness, chroma, hue } = lchOf(wanted)
  const turn = (hue * Math.PI) / 180
  const aim: Three = [lightness, chroma * Math.cos(turn), chroma * Math.sin(turn)]
  const tins = togetherByColour(standing).map(pigmentOf)
  const tryAll = (some: readonly Pigment[], ways: readonly number[][]): Tried[] =>
    ways.map((parts) => ({ tins: some, parts, distance: apart(labOf(some, parts), aim) }))
  const alone = tins.map((tin): Tried => ({ tins: [tin], parts: [1], distance: contrast(tin.hex, wanted) }))
  const two = [...pairsOf(tins)].flatMap((pair) => tryAll(pair, shares[2]))
  const near = nearestTins([...alone, ...two], mostForThree)
  const three = [...threesOf(near)].flatMap((some) => tryAll(some, shares[3]))
  return [...alone, ...two, ...three]
    .sort((one, other) => one.distance - other.distance)
    .slice(0, mostKept)
    .map((tried) => reached(tried, wanted))
    .sort((one, other) => one.distance - other.distance)
}

/** Two tins in one colour are one paint to mix with. */
function togetherByColour(standing: readonly Standing[]): Standing[] {
  const byHex = new Map<string, Standing>()
  for (const tin of standing) {
    if (tin.amount <= 0) continue
    const known = byHex.get(tin.hex)
    byHex.set(tin.hex, known ? { ...known, amount: known.amount + tin.amount } : tin)
  }
  return [...byHex.values()]
}
function nearestTins(tried: readonly Tried[], most: number): Pigment[] {
  const best = new Map<Pigment, number>()
  for (const { tins, distance } of tried) for (const tin of tins) best.set(tin, Math.min(best.get(tin) ?? Infinity, distance))
  return [...best]
    .sort(([, one], [, other]) => one - other)
    .slice(0, most)
    .map(([tin]) => tin)
}
function reached({ tins, parts }: Tried, wanted: string): Reachable {
  const [first] = tins as [Pigment]
  if (tins.length === 1)
    return { colour: { name: first.name, hex: first.hex }, distance: contrast(first.hex, wanted), most: first.amount }
  const whole = parts.reduce((sum, each) => sum + each, 0)
  const made = tins.map(({ name, hex }, k) => ({ name, hex, parts: parts[k] as number }))
  const hex = shadeOf(made)
  return {
    colour: { name: formulaOf(made), hex, parts: made },
    distance: contrast(hex, wanted),
    most: Math.min(...tins.map(({ amount }, k) => (amount * whole) / (parts[k] as number))),
  }
}
