import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { faultSentence } from '@/words/archive'
import { archiveSchema, faultsIn, rowOf, tableFile, type TableShape } from './archive'

const studio = '01900000-0000-7000-8000-000000000001'
const own = { columns: ['studio_id'], table: 'studio', to: ['id'] }
const shapes: TableShape[] = [
  { name: 'studio', columns: [{ name: 'id', type: 'uuid', canBeNull: false }], key: ['id'], refs: [] },
  {
    name: 'piece',
    columns: [
      { name: 'id', type: 'uuid', canBeNull: false },
      { name: 'studio_id', type: 'uuid', canBeNull: false },
      { name: 'name', type: 'text', canBeNull: false },
      { name: 'promised_on', type: 'date', canBeNull: true },
    ],
    key: ['id'],
    refs: [own],
  },
  {
    name: 'entry',
    columns: [
      { name: 'id', type: 'uuid', canBeNull: false },
      { name: 'studio_id', type: 'uuid', canBeNull: false },
      { name: 'piece_id', type: 'uuid', canBeNull: true },
      { name: 'at', type: 'timestamp with time zone', canBeNull: false },
      { name: 'money', type: 'bigint', canBeNull: true },
    ],
    key: ['id'],
    refs: [own, { columns: ['studio_id', 'piece_id'], table: 'piece', to: ['studio_id', 'id'] }],
  },
]
const pieces = (ids: readonly string[]) => ids.map((id) => ({ id, studio_id: studio, name: 'Stool', promised_on: null }))
const at = '2026-05-04T09:30:00.123456+00:00'

test('a whole studio has no fault', () => {
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.uuid(), { minLength: 1, maxLength: 6 }),
      fc.uniqueArray(fc.uuid(), { maxLength: 9 }),
      (some, lines) => {
        const entry = lines.map((id, k) => ({ id, studio_id: studio, piece_id: some[k % some.length] ?? null, at, money: k }))
        expect(faultsIn(shapes, { studio: [{ id: studio }], piece: pieces(some), entry }, studio)).toEqual([])
      },
    ),
  )
})

test('each fault is told where it is, however many there are', () => {
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.uuid(), { minLength: 3, maxLength: 12 }),
      fc.array(fc.constantFrom('money', 'at', 'piece_id', 'studio_id', 'more', 'none'), { minLength: 3, maxLength: 12 }),
      (ids, damages) => {
        const [piece = '', ...lines] = ids
        const bad = { money: 1.5, at: 'yesterday', piece_id: lines[0] ?? '', studio_id: piece }
        const entry = lines.map((id, k): Record<string, unknown> => {
          const whole = { id, studio_id: studio, piece_id: piece, at, money: null }
          const damage = damages[k] ?? 'none'
          if (damage === 'none') return whole
          return damage === 'more' ? { ...whole, colour: 'green' } : { ...whole, [damage]: bad[damage] }
        })
        const faults = faultsIn(shapes, { studio: [{ id: studio }], piece: pieces([piece]), entry }, studio)
        const rowsAtFault = new Set(faults.map(({ row }) => row))
        const damaged = lines.flatMap((_, k) => ((damages[k] ?? 'none') === 'none' ? [] : [k + 1]))
        expect([...rowsAtFault].sort((a, b) => (a ?? 0) - (b ?? 0))).toEqual(damaged)
        for (const fault of faults) expect(faultSentence(fault)).toMatch(/^tables\/entry\.json, row \d+/)
      },
    ),
  )
})

describe('a row', () => {
  test('holds each of its columns, and no other', () => {
    const [, piece] = shapes
    if (!piece) throw new Error('no shape')
    const [whole] = pieces([studio])
    expect(rowOf(piece).safeParse(whole).success).toBe(true)
    expect(rowOf(piece).safeParse({ ...whole, promised_on: '2026-02-30' }).success).toBe(false)
    expect(rowOf(piece).safeParse({ ...whole, name: null }).success).toBe(false)
    expect(rowOf(piece).safeParse({ id: studio }).success).toBe(false)
  })
  test('that is twice, or of nobody, is said', () => {
    const faults = faultsIn(
      shapes,
      { studio: [{ id: studio }], piece: [...pieces([studio]), ...pieces([studio])], entry: 'none' },
      studio,
    )
    expect(faults.map(faultSentence)).toEqual([
      'tables/entry.json can’t be read (a list of rows is wanted)',
      `tables/piece.json, row 2 is there twice (["${studio}"])`,
    ])
  })
})

test('the schema names every table, each by the draft of 2020-12', () => {
  const schema = archiveSchema(shapes) as { $schema: string; $defs: { tables: Record<string, { type: string }> } }
  expect(schema.$schema).toBe('https://json-schema.org/draft/2020-12/schema')
  expect(Object.keys(schema.$defs.tables)).toEqual(['studio', 'piece', 'entry'])
  expect(schema.$defs.tables.entry?.type).toBe('array')
  expect(tableFile('entry')).toBe('tables/entry.json')
})
