import fc from 'fast-check'
import Papa from 'papaparse'
import { describe, expect, test } from 'vitest'
import { familyCodes, getFamily } from '@/core/craft/families'
import type { Product } from '@/core/stock/product'
import { readShelfTable, shelfTableInput, shelfTableText } from './shelfTable'

const house = { currency: 'GBP', locale: 'en-GB', units: 'metric', zone: 'Europe/London' } as const
const slate: Product = {
  ...{ id: '00000000-0000-7000-8000-000000000001', name: 'Field tin', family: 'clay', colourName: 'Heron Slate' },
  ...{ colourHex: '#51636b', size: 500, unit: 'ml', price: 1_950 },
}
const ids = () => {
  let last = 0x100
  return () => `00000000-0000-7000-8000-${(last += 1).toString(16).padStart(12, '0')}`
}
const read = (text: string, lots: { productId: string; code: string | null }[] = []) =>
  readShelfTable(text, house, { products: [slate], lots }, ids())
const linesOf = (text: string) => {
  const table = read(text)
  if ('trouble' in table) throw new Error(table.trouble)
  return table.lines
}
const troubleOf = (text: string) => {
  const table = read(text)
  return 'trouble' in table ? table.trouble : null
}
const at = '2026-11-20T09:00:00.000Z'

describe('a shelf as a table', () => {
  test('headings in any order and any name; semicolons or commas; a tin that stands there is another tin of it', () => {
    const [one, two] = linesOf(
      'Price;Family;Product;Color;Hex;Size;Left;Stamped\n19.50;Clay paint;Field tin;Heron Slate;#51636b;500 ml;320;4417\n34;water-based clear;Satin clear;;;1 l;;\n',
    )
    expect(one).toMatchObject({ row: 2, troubles: {}, typed: { known: true, productId: slate.id, code: '4417' } })
    expect(two).toMatchObject({ row: 3, troubles: {}, typed: { known: false, family: 'water-clear' } })
    const entered = shelfTableInput(house).parse(shelfTableText([one as never, two as never], ids()(), at))
    expect(entered.lines.map(({ size, left, price, unit }) => [size, left, price, unit])).toEqual([
      [500, 320, 1_950, 'ml'],
      [1_000, 1_000, 3_400, 'ml'],
    ])
  })
  test('a new product that stands in two lines is one product', () => {
    const [one, two] = linesOf('name,family,size,price\nSatin clear,water-clear,500,20\nSatin clear,water-based clear,1 l,34')
    expect(one?.typed.productId).toBe(two?.typed.productId)
    expect(one?.typed.lotId).not.toBe(two?.typed.lotId)
  })
  test('what can’t be read is said at its place, and is not sent', () => {
    const lines = linesOf(
      'name,family,colour,value,size,price,left\nJar,clay,,,500,20,600\nJar,claypaint,,,500,20,\nJar,clay,Slate,,500,20,\nJar,clay,,,a lot,20,\nJar,clay,,,500,much,\n,clay,,,500,20,\nJar,clay,,,500,20,,and more',
    )
    expect(lines.map(({ troubles }) => Object.keys(troubles))).toEqual([
      ['left'],
      ['family'],
      ['value'],
      ['size'],
      ['price'],
      ['name'],
      ['name'],
    ])
    expect(shelfTableText(lines, ids()(), at).lines).toEqual([])
  })
  test('a stamp that stands on a tin there, or twice in the table, is said', () => {
    const table = read(
      'name,family,colour,value,size,price,code\nField tin,clay,Heron Slate,#51636b,500,20,A1\nField tin,clay,Heron Slate,#51636b,500,20,a1',
      [{ productId: slate.id, code: 'A1' }],
    )
    expect('lines' in table && table.lines.map(({ troubles }) => troubles.code)).toEqual([
      'A tin stamped so stands there already.',
      'A tin stamped so stands there already.',
    ])
  })
  test('what is damaged is no table, and says what to do', () => {
    expect(troubleOf('')).toBe('It is empty.')
    expect(troubleOf('name,family,size,price')).toMatch(/no tin in it/)
    expect(troubleOf('PK\u0003\u0004 a workbook')).toMatch(/Save it as CSV/)
    expect(troubleOf('name,fam\ufffdly')).toMatch(/UTF-8/)
    expect(troubleOf('name,price\nJar,20')).toMatch(/family, size are not there/)
    expect(troubleOf('name,family,size,price\n"Jar,clay,500,20\nTin,clay,500,20')).toMatch(/quotation mark/)
    expect(troubleOf(`name,family,size,price\n${'Jar,clay,500,20\n'.repeat(501)}`)).toMatch(/at most 500/)
  })
  test('whatever is in it, it answers; what it takes the server reads as well', () =>
    fc.assert(
      fc.property(
        fc.array(fc.array(fc.oneof(fc.string(), fc.constantFrom('clay', '500', '20', '#51636b', '=1+1')), { maxLength: 9 }), {
          maxLength: 6,
        }),
        fc.boolean(),
        (rows, headed) => {
          const text = Papa.unparse([...(headed ? [['name', 'family', 'size', 'price', 'left']] : []), ...rows])
          const table = read(text)
          if ('trouble' in table) {
            expect(table.trouble.length).toBeGreaterThan(5)
            return
          }
          const sent = shelfTableText(table.lines, ids()(), at)
          if (sent.lines.length > 0) expect(shelfTableInput(house).safeParse(sent).success).toBe(true)
        },
      ),
      { numRuns: 400 },
    ))
  test('every family is read by its code and by its words', () => {
    for (const code of familyCodes)
      for (const said of [code, getFamily(code).words]) {
        const [line] = linesOf(`name;family;size;price\nJar;"${said}";100;5`)
        expect([said, line?.typed.family, line?.troubles]).toEqual([said, code, {}])
      }
  })
})
