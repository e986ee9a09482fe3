/**
 * A shelf brought in as a table (CSV): its columns by their headings, every line read as a tin would be if it were typed, what can't be read
 * said at its place. Nothing is guessed. Pure; numbers for what is new are made by whoever asks.
 */
import Papa from 'papaparse'
import * as z from 'zod'
import { familyCodes, getFamily, unitOf } from '@/core/craft/families'
import { codesOf } from '@/core/craft/parts'
import { type Sheen, sheenCodes, sheens, sheensOf } from '@/core/craft/sheen'
import type { Instant, ProductId } from '@/core/measure/named'
import type { Product, ShelfLot } from '@/core/stock/product'
import { amountHint, type House, id, instant, neededMoney, optionalWords, readAmount } from './fields'
import { tinFields } from './house'

/** The columns, and what else their headings may say. */
export const shelfColumns = {
  name: ['name', 'product', 'tin', 'what'],
  family: ['family', 'kind', 'paint', 'type'],
  colour: ['colour', 'color', 'colour name', 'color name', 'shade'],
  sheen: ['sheen', 'gloss', 'shine'],
  value: ['value', 'hex', 'colour value', 'color value'],
  size: ['size', 'holds', 'full'],
  price: ['price', 'cost', 'paid'],
  left: ['left', 'remaining', 'rest'],
  code: ['stamped', 'code', 'number', 'batch', 'lot'],
} as const
export type ShelfColumn = keyof typeof shelfColumns
const columns = codesOf(shelfColumns)
const needed: readonly ShelfColumn[] = ['name', 'family', 'size', 'price']
const mostLines = 500
const mostLetters = 400_000

/** One line of the table as it would be typed. */
const lineInput = (house: House) =>
  z
    .object({
      productId: id,
      /** it stands on the shelf already */
      known: z.boolean(),
      lotId: id,
      countId: id,
      ...tinFields,
      size: z.string(),
      price: neededMoney(house),
      left: z.string(),
      code: optionalWords(60),
    })
    .transform((typed, context) => {
      const unit = unitOf(typed.family)
      const size = readAmount(typed.size, unit, house, 1)
      const left = typed.left.trim() === '' ? size : readAmount(typed.left, unit, house, 0)
      const trouble = (path: 'size' | 'left', message: string) => context.addIssue({ code: 'custom', path: [path], message })
      if (size === null) trouble('size', amountHint(unit, house))
      else if (left === null) trouble('left', amountHint(unit, house))
      else if (left > size) trouble('left', 'No more is left in it than it holds.')
      return size === null || left === null ? z.NEVER : { ...typed, unit, size, left }
    })
export const shelfTableInput = (house: House) =>
  z.object({ entryId: id, at: instant, lines: z.array(lineInput(house)).min(1, 'There is no tin in it.').max(mostLines) })
export type ShelfTableText = z.input<ReturnType<typeof shelfTableInput>>
export type ShelfLineText = ShelfTableText['lines'][number]

export interface ReadLine {
  /** as a spreadsheet counts them: the headings are the first */
  row: number
  cells: Partial<Record<ShelfColumn, string>>
  typed: ShelfLineText
  /** what is wrong, by column */
  troubles: Partial<Record<ShelfColumn, string>>
}
export type ReadTable = { lines: ReadLine[]; ignored: string[] } | { trouble: string }

interface Standing {
  products: readonly Product[]
  lots: readonly Pick<ShelfLot, 'productId' | 'code'>[]
}

/** What a table says, or why it is none. `newId` makes the number of something new. */
export function readShelfTable(text: string, house: House, { products, lots }: Standing, newId: () => string): ReadTable {
  if (text.includes('\u0000') || text.startsWith('PK'))
    return { trouble: 'This is no table of text. Save it as CSV in the program it comes from, and choose that file.' }
  if (text.includes('\ufffd'))
    return { trouble: 'Some of its letters can’t be read. Save it as CSV with the letters “UTF-8”, and choose that file.' }
  if (text.length > mostLetters) return { trouble: `It is too long: at most ${mostLines} tins at a time.` }
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\ufeff/, ''), { skipEmptyLines: 'greedy' })
  const broken = errors.find(({ type }) => type === 'Quotes')
  if (broken)
    return { trouble: `A quotation mark is left open in line ${(broken.row ?? 0) + 1}: nothing after it can be told apart.` }
  const [headings, ...rows] = data
  if (!headings) return { trouble: 'It is empty.' }
  const at = columnsOf(headings)
  const missing = needed.filter((column) => at[column] === undefined)
  if (missing.length > 0)
    return {
      trouble: `Its first line has to name the columns: ${missing.join(', ')} ${missing.length === 1 ? 'is' : 'are'} not there.`,
    }
  if (rows.length === 0) return { trouble: 'There is no tin in it, only the names of the columns.' }
  if (rows.length > mostLines) return { trouble: `It has ${rows.length} lines: at most ${mostLines} tins at a time.` }
  const read = readerOf(house, { products, lots }, newId)
  return {
    lines: rows.map((row, k) => read(row, k + 2, headings.length, at)),
    ignored: headings.filter((heading, k) => heading.trim() !== '' && !Object.values(at).includes(k)),
  }
}

type Places = Partial<Record<ShelfColumn, number>>
function columnsOf(headings: readonly string[]): Places {
  const plain = headings.map((heading) => heading.trim().toLowerCase())
  return Object.fromEntries(
    columns.flatMap((column) => {
      const found = plain.findIndex((heading) => (shelfColumns[column] as readonly string[]).includes(heading))
      return found < 0 ? [] : [[column, found]]
    }),
  )
}
const familyByWords = new Map(
  familyCodes.flatMap((code) => [code, getFamily(code).words].map((said) => [said.toLowerCase(), code])),
)

const sheenByWords = new Map<string, Sheen>([
  ...sheenCodes.flatMap((code) => [code, sheens[code]].map((said) => [said, code] as const)),
  ['matte', 'matt'],
])

/** A line at a time: a product that stands there, or stood in a line before, is one product. */
function readerOf(house: House, { products, lots }: Standing, newId: () => string) {
  const nameOf = (name: string, family: string, colour: string | null, sheen: string | null | undefined) =>
    [name, family, colour ?? '', sheen ?? ''].join('\n').trim().toLowerCase()
  const known = new Map(
    products
      .map(({ id: productId, name, family, colourName, sheen }) => [nameOf(name, family, colourName, sheen), productId] as const)
      // a table that says no sheen means what stands there, whatever it shines like
      .concat(products.map(({ id: productId, name, family, colourName }) => [nameOf(name, family, colourName, null), productId])),
  )
  const fresh = new Map<string, string>()
  const stamped = new Set(lots.flatMap(({ productId, code }) => (code ? [`${productId} ${code.toLowerCase()}`] : [])))
  const line = lineInput(house)
  return (row: readonly string[], number: number, width: number, at: Places): ReadLine => {
    const cellOf = (column: ShelfColumn) => {
      const place = at[column]
      // an apostrophe that keeps a spreadsheet from reckoning with it
      return place === undefined ? '' : (row[place] ?? '').trim().replace(/^'(?=[=+\-@])/, '')
    }
    const cells = Object.fromEntries(columns.filter((column) => at[column] !== undefined).map((each) => [each, cellOf(each)]))
    const family = familyByWords.get(cellOf('family').toLowerCase())
    const sheen = sheenByWords.get(cellOf('sheen').toLowerCase())
    const name = nameOf(cellOf('name'), family ?? '', cellOf('colour'), sheen)
    const standing = known.get(name)
    if (!standing && !fresh.has(name)) fresh.set(name, newId())
    const productId = (standing ?? fresh.get(name)) as ProductId
    const hex = cellOf('value')
    const typed: ShelfLineText = {
      ...{ productId, known: standing !== undefined, lotId: newId(), countId: newId() },
      ...{ name: cellOf('name'), family: family as ShelfLineText['family'], colourName: cellOf('colour'), sheen: sheen ?? '' },
      ...{ colourHex: hex === '' || hex.startsWith('#') ? hex : `#${hex}`, size: cellOf('size'), price: cellOf('price') },
      ...{ left: cellOf('left'), code: cellOf('code') },
    }
    const parsed = line.safeParse(typed)
    const troubles: ReadLine['troubles'] = {}
    const of: Record<string, ShelfColumn> = { colourName: 'colour', colourHex: 'value' }
    for (const issue of parsed.error?.issues ?? []) {
      const path = String(issue.path[0])
      troubles[of[path] ?? (path as ShelfColumn)] ??= issue.message
    }
    if (!family) troubles.family = cellOf('family') === '' ? 'Which family it is of.' : 'No family is called so here.'
    if (cellOf('sheen') !== '' && !sheen) troubles.sheen = `No sheen is called so: ${Object.values(sheens).join(', ')}.`
    else if (family && sheen && !sheensOf(family).includes(sheen))
      troubles.sheen = `It is not made in it: ${getFamily(family).words}.`
    if (row.length > width) troubles.name ??= 'It has more cells than there are columns.'
    const mark = `${productId} ${cellOf('code').toLowerCase()}`
    if (cellOf('code') !== '' && stamped.has(mark)) troubles.code ??= 'A tin stamped so stands there already.'
    stamped.add(mark)
    if (Boolean(typed.colourHex) !== Boolean(typed.colourName) && !troubles.value)
      troubles[typed.colourHex ? 'colour' : 'value'] = 'A colour has a name and a value like #b24a2f.'
    return { row: number, cells, typed, troubles }
  }
}
/** As the server is sent it: what can be read. */
export const shelfTableText = (lines: readonly ReadLine[], entryId: string, at: Instant): ShelfTableText => ({
  ...{ entryId, at },
  lines: lines.filter(({ troubles }) => Object.keys(troubles).length === 0).map(({ typed }) => typed),
})
