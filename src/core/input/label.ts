/**
 * What stands on a tin's label, as it is typed and as it is shared: JSON with its units in its names, so that any program can read it.
 * Pure.
 */
import * as z from 'zod'
import { familyCodes } from '@/core/craft/families'
import type { Label } from '@/core/craft/label'
import { sheenCodes, shines } from '@/core/craft/sheen'
import type { Range } from '@/core/drying/windowFor'
import { sqFtPerM2 } from '@/core/measure/length'
import { decimalMark, formatNumber, readFigure } from '@/core/measure/number'
import type { Measuring, UnitSystem } from '@/core/measure/units'
import type { Product } from '@/core/stock/product'
import { type House, id } from './fields'

const dayMinutes = 1_440
/** What is written after a time, in minutes. */
const timeUnits: readonly [RegExp, number][] = [
  [/^(min|mins|minutes?|m)$/, 1],
  [/^(h|hrs?|hours?)$/, 60],
  [/^(d|days?)$/, dayMinutes],
]
/** One figure or two: "1", "1–2", "30 to 60"; and what is written after them. Null where it is neither. */
function readPair(text: string, house: Measuring): { pair: Range; unit: string } | null {
  const [, first = '', second, unit = ''] =
    /^([\d.,]+)(?:\s*(?:-|–|—|to)\s*([\d.,]+))?\s*([a-z]*)$/i.exec(text.trim().toLowerCase()) ?? []
  const figures = [first, second ?? first].map((each) => readFigure(each, decimalMark(house)))
  const [low, high] = figures.map((figure) => (figure === null ? NaN : Number(figure)))
  if (low === undefined || high === undefined || !(low > 0) || !(high >= low)) return null
  return { pair: [low, high], unit }
}
/** A time on a label in minutes: "30–60 min", "1-2 h", "12 h", "21 days". `usual`: the unit where none is written. */
export function readTimes(text: string, usual: 1 | 60 | 1_440, house: Measuring): Range | null {
  const read = readPair(text, house)
  const by = read && (read.unit === '' ? usual : timeUnits.find(([says]) => says.test(read.unit))?.[1])
  if (!read || !by) return null
  const [low, high] = [Math.round(read.pair[0] * by), Math.round(read.pair[1] * by)]
  // less than a minute is no time
  return low > 0 ? [low, high] : null
}

const quart: Record<UnitSystem, number> = { metric: 1, imperial: 1.13652, us: 0.946353 }
const pound = 0.45359237
/** In what a house reads how far a product goes, and how many of it are a m² per litre or kg. */
export function coverageUnit(unit: 'ml' | 'g', { units }: Pick<Measuring, 'units'>): { words: string; per: number } {
  if (units === 'metric') return { words: unit === 'ml' ? 'm² a litre' : 'm² a kg', per: 1 }
  return unit === 'ml'
    ? { words: 'sq ft a quart', per: sqFtPerM2 * quart[units] }
    : { words: 'sq ft a pound', per: sqFtPerM2 * pound }
}

/** As it is typed: "30–60 min", "1–2 h", "10–13". */
export const timesText = ([low, high]: Range, house: Measuring): string => {
  const [by, words] =
    low % dayMinutes === 0 && high % dayMinutes === 0
      ? [dayMinutes, 'd']
      : low % 60 === 0 && high % 60 === 0
        ? [60, 'h']
        : [1, 'min']
  return `${pairText([low / by, high / by], house)} ${words}`
}
export const pairText = ([low, high]: Range, house: Measuring): string =>
  low === high ? formatNumber(low, house, 1) : `${formatNumber(low, house, 1)}–${formatNumber(high, house, 1)}`
export const coverageText = ([low, high]: Range, unit: 'ml' | 'g', house: Measuring): string => {
  const { per } = coverageUnit(unit, house)
  return pairText([Math.round(low * per * 10) / 10, Math.round(high * per * 10) / 10], house)
}

/** What is believed of a label. */
const leastCoverage = 0.1
const most = { touchDry: 2 * dayMinutes, recoat: 14 * dayMinutes, cure: 365, coverage: 400 } as const

/** One tin's label as it is typed; empty is as its family. */
export const labelInput = (house: House) => {
  const times = (usual: 1 | 60, limit: number, like: string) =>
    z.string().transform((text, context) => {
      if (text.trim() === '') return undefined
      const read = readTimes(text, usual, house)
      if (read && read[1] <= limit) return read
      context.addIssue(`Write a time ${like}, or leave it empty.`)
      return z.NEVER
    })
  const label = z
    .object({
      productId: id,
      unit: z.enum(['ml', 'g']),
      touchDry: times(1, most.touchDry, 'like 30 min or 1–2 h'),
      recoat: times(60, most.recoat, 'like 2 h or 30–60 min'),
      cure: z.string().transform((text, context) => {
        if (text.trim() === '') return undefined
        const read = readTimes(text, dayMinutes, house)
        if (read && read[1] <= most.cure * dayMinutes && read[0] >= dayMinutes)
          return [read[0] / dayMinutes, read[1] / dayMinutes] as Range
        context.addIssue('Write days, like 21 or 21–30, or leave it empty.')
        return z.NEVER
      }),
      coverage: z.string(),
    })
    .transform(({ productId, unit, touchDry, recoat, cure, coverage }, context) => {
      const { per, words } = coverageUnit(unit, house)
      const read = coverage.trim() === '' ? undefined : readPair(coverage, house)
      if (
        read === null ||
        (read && (read.unit !== '' || read.pair[1] / per > most.coverage || read.pair[0] / per < leastCoverage))
      ) {
        context.addIssue({
          code: 'custom',
          path: ['coverage'],
          message: `Write how many ${words}, like ${coverageText([10, 13], unit, house)}, or leave it empty.`,
        })
        return z.NEVER
      }
      const said: Label = {
        ...(touchDry && { touchDry }),
        ...(recoat && { recoat }),
        ...(cure && { cureDays: cure }),
        ...(read && { coverage: [read.pair[0] / per, read.pair[1] / per] as Range }),
      }
      return { productId, label: Object.keys(said).length > 0 ? said : null }
    })
  return z.object({ labels: z.array(label).min(1, 'There is no label in it.').max(200, 'At most 200 labels at a time.') })
}
export type LabelsText = z.input<ReturnType<typeof labelInput>>
export type LabelText = LabelsText['labels'][number]
/** A label as it would be typed. */
export const labelText = (
  { id: productId, unit, label }: Pick<Product, 'id' | 'unit' | 'label'>,
  house: Measuring,
): LabelText => ({
  ...{ productId, unit },
  touchDry: label?.touchDry ? timesText(label.touchDry, house) : '',
  recoat: label?.recoat ? timesText(label.recoat, house) : '',
  cure: label?.cureDays ? pairText(label.cureDays, house) : '',
  coverage: label?.coverage ? coverageText(label.coverage, unit, house) : '',
})

const range = (limit: number, least = 1) =>
  z
    .tuple([z.number().min(least).max(limit), z.number().min(least).max(limit)])
    .refine(([low, high]) => low <= high, 'the lesser first')
/** A label as it is kept. */
export const labelShape = z.object({
  touchDry: range(most.touchDry).optional(),
  recoat: range(most.recoat).optional(),
  cureDays: range(most.cure).optional(),
  coverage: range(most.coverage, 0).optional(),
}) satisfies z.ZodType<Label>

const what = 'labels of products'
const shared = z.object({
  what: z.literal(what),
  version: z.literal(1),
  labels: z
    .array(
      z.object({
        name: z.string().min(1).max(120),
        family: z.enum(familyCodes),
        sheen: z.enum(sheenCodes).nullish(),
        touchDryMinutes: range(most.touchDry).optional(),
        recoatMinutes: range(most.recoat).optional(),
        cureDays: range(most.cure).optional(),
        /** of one coat, a litre or a kg */
        coverageM2: range(most.coverage, leastCoverage).optional(),
      }),
    )
    .max(500),
})
export type SharedLabels = z.output<typeof shared>

/** What the labels of a shelf say, to be shared. */
export const shareLabels = (products: readonly Product[]): SharedLabels => ({
  ...{ what, version: 1 },
  labels: products.flatMap(({ name, family, sheen, label }) =>
    label
      ? [
          {
            ...{ name, family },
            ...(sheen && { sheen }),
            ...(label.touchDry && { touchDryMinutes: [...label.touchDry] as [number, number] }),
            ...(label.recoat && { recoatMinutes: [...label.recoat] as [number, number] }),
            ...(label.cureDays && { cureDays: [...label.cureDays] as [number, number] }),
            ...(label.coverage && { coverageM2: [...label.coverage] as [number, number] }),
          },
        ]
      : [],
  ),
})

export interface BroughtLabel {
  product: Product
  /** "the same beginning": another colour of the same line */
  by: 'name' | 'line'
  label: Label
}
export type BroughtLabels = { found: BroughtLabel[]; unknown: string[] } | { trouble: string }

const plain = (name: string) => name.trim().toLowerCase()
/** What a product is called before its colour: "Clay paint, Ferry Slate" is clay paint. */
const lineOf = (name: string) => plain(name.split(',')[0] ?? '')

/** Labels that were shared, by the tins that stand here: of the very name, else of the same line. */
export function readLabels(text: string, products: readonly Product[]): BroughtLabels {
  let json: unknown
  try {
    json = JSON.parse(text)
  } catch {
    return { trouble: 'This is no JSON. Choose the file as it was shared.' }
  }
  const read = shared.safeParse(json)
  if (!read.success) {
    const [issue] = read.error.issues
    const at = issue?.path.join('.') ?? ''
    return { trouble: `These are no labels that can be read here${at ? `: ${at} is not as it should be` : ''}.` }
  }
  const found = products.flatMap((product): BroughtLabel[] => {
    const alike = read.data.labels.filter(({ family, sheen }) => family === product.family && shines(product, sheen))
    const named = alike.find(({ name }) => plain(name) === plain(product.name))
    const said = named ?? alike.find(({ name }) => lineOf(name) === lineOf(product.name))
    if (!said) return []
    const { touchDryMinutes: touchDry, recoatMinutes: recoat, cureDays, coverageM2: coverage } = said
    const label: Label = {
      ...(touchDry && { touchDry }),
      ...(recoat && { recoat }),
      ...(cureDays && { cureDays }),
      ...(coverage && { coverage }),
    }
    return Object.keys(label).length > 0 ? [{ product, by: named ? 'name' : 'line', label }] : []
  })
  const known = new Set(products.flatMap(({ name, family }) => [`${family} ${plain(name)}`, `${family} ${lineOf(name)}`]))
  const unknown = read.data.labels.flatMap(({ name, family }) =>
    known.has(`${family} ${plain(name)}`) || known.has(`${family} ${lineOf(name)}`) ? [] : [name],
  )
  return { found, unknown }
}
