/** A table of an archive as a spreadsheet shows it: words instead of codes, names instead of numbers, money with its currency, the wall's own time. */
import Papa from 'papaparse'
import { families } from '@/core/craft/families'
import { looks } from '@/core/craft/looks'
import { operations } from '@/core/craft/operations'
import { existingFinishes, partKinds, substrates } from '@/core/craft/parts'
import { remedies } from '@/core/craft/remedies'
import { topcoats } from '@/core/craft/topcoats'
import type { TableShape } from '@/core/house/archive'
import { plainMoney } from '@/core/measure/money'
import { wallTimeOf } from '@/core/measure/time'
import { cautionWords, checkWords, reasonWords } from './craft'
import { entryWords } from './piece'
import { roleWords } from './roles'
import { plainCell } from './table'
import { capital } from './text'

interface Around {
  currency: string
  zone: string
  /** what carries a name, by its id */
  names: ReadonlyMap<string, string>
}
type Words = Readonly<Record<string, string | { words: string }>>
/** Codes by the column that holds them, of whatever table; a table's own column goes before. */
const wordsOf: Readonly<Record<string, Words>> = {
  family: families,
  paint: families,
  operation: operations,
  look: looks,
  extras: looks,
  seal: topcoats,
  substrate: substrates,
  existing: existingFinishes,
  'part.kind': partKinds,
  'entry.kind': entryWords,
  check_code: checkWords,
  reason: reasonWords,
  cautions: cautionWords,
  remedy: remedies,
  role: roleWords,
}
const said = (words: Words | undefined, code: string): string => {
  const found = words?.[code]
  return found === undefined ? code : typeof found === 'string' ? found : found.words
}

const tableWords = (name: string) => capital(name.replaceAll('_', ' '))
/** What rows that lead to it are shown with, by id. */
export const namesBy = (all: readonly { id: string; name: string; isOperation: boolean }[]): Around['names'] =>
  new Map(all.map(({ id, name, isOperation }) => [id, isOperation ? said(operations, name) : name]))

/** Heading and lines of a table, as CSV. */
export function sheetOf(shape: TableShape, { currency, zone, names }: Around) {
  const columns = shape.columns.filter(({ name }) => name !== 'studio_id')
  const leads = new Set(shape.refs.flatMap((ref) => ref.columns))
  const head = columns.map(({ name, type }) => {
    const heading = tableWords(leads.has(name) ? name.replace(/_id$/, '') : name)
    return type === 'bigint' ? `${heading}, ${currency}` : type === 'timestamp with time zone' ? `${heading} (${zone})` : heading
  })
  const cellOf = ({ name, type }: TableShape['columns'][number], value: unknown): string | number => {
    if (value === null || value === undefined) return ''
    const words = wordsOf[`${shape.name}.${name}`] ?? wordsOf[name]
    if (type === 'bigint') return plainMoney(Number(value), currency)
    if (type === 'timestamp with time zone') return wallTimeOf(new Date(String(value)).toISOString(), zone).replace('T', ' ')
    if (Array.isArray(value)) return value.map((each) => said(words, String(each))).join(', ')
    // its own number stays one: others lead to it
    if (type === 'uuid') return (leads.has(name) && names.get(String(value))) || String(value)
    if (type === 'boolean') return value === true ? 'yes' : 'no'
    if (typeof value === 'object') return JSON.stringify(value)
    return typeof value === 'number' ? value : said(words, String(value))
  }
  const asLine = (cells: readonly (string | number)[]) => Papa.unparse([cells.map(plainCell)])
  return {
    head: asLine(head),
    line: (row: Record<string, unknown>) => asLine(columns.map((column) => cellOf(column, row[column.name]))),
  }
}
