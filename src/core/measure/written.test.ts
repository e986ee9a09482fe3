import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { makeWriter, readBack, writeDown } from './written'

const one = '01a22918-ce89-7251-9d17-7f5c2e878c2a'
const other = '0198d3a0-0000-7000-8000-00000000000f'

describe('what is written down', () => {
  it('is read back as it was, whatever stands in it', () => {
    const thing = {
      said: 'a "wet edge" ~ 5\'',
      back: '\\~"\\u007e ^0; | ^ `0 \\u0060 @0; \\u0040',
      at: ['2026-05-04T09:30:00.120Z', '1970-01-01T00:00:00.000Z', '2026-02-30T09:30:00.000Z', '2026-05-04T24:00:00.000Z'],
      quoted: 'at "2026-05-04T09:30:00.120Z"',
      '2026-05-04T09:30:00.120Z': '1969-12-31T23:59:59.999Z',
      'key~"': [1, null, '~~', ''],
      [one]: `/pieces/${one}/log`,
    }
    expect(readBack(writeDown(thing))).toEqual(thing)
    const signs = fc.constantFrom(
      '~',
      '"',
      '^0;',
      '`0',
      '@0;',
      '2026-05-04T09:30:00.000Z',
      '1969-12-31T23:59:59.999Z',
      '"said":',
      '|',
      '\\',
      one,
      other,
      one.toUpperCase(),
      'a',
      '-',
    )
    const texts = fc.array(signs).map((each) => each.join(''))
    const things = fc.oneof(fc.jsonValue(), fc.dictionary(texts, fc.oneof(texts, fc.uuid(), fc.array(fc.uuid()))))
    fc.assert(
      fc.property(things, (value) => {
        for (const names of [[], ['said'], ['a', 'said', 'b']])
          expect(JSON.stringify(readBack(writeDown(value, names), names))).toBe(JSON.stringify(value))
      }),
    )
  })
  it('has no quotes, and says once what it names often', () => {
    expect(writeDown({ name: 'Washstand', said: 'it is "dry"' })).toBe('|{~name~:~Washstand~,~said~:~it is \\~dry\\~~}')
    expect(writeDown({ name: 'Washstand', said: 'it is "dry"' }, ['said', 'name'])).toBe('|{`1~Washstand~,`0~it is \\~dry\\~~}')
    // 1777887000120 ms
    expect(writeDown({ at: '2026-05-04T09:30:00.120Z' })).toBe('|{~at~:@mor00kzc;}')
    // 0198d3a0 0000 … 0f and 01a22918 … 2a, three bytes to four signs
    expect(writeDown([{ id: other, of: one }, { of: one }])).toBe(
      'AZjToAAAcACAAAAAAAAADwGiKRjOiXJRnRd/XC6HjCo=|[{~id~:~^0;~,~of~:~^1;~},{~of~:~^1;~}]',
    )
  })
  it('is written anew where it is another thing, and only there', () => {
    const write = makeWriter<{ at: string; left: number }>(2, ['left'])
    const tin = { at: '2026-05-04T09:30:00.120Z', left: 750 }
    expect(write(tin)).toBe('|{~at~:@mor00kzc;,`0750}')
    tin.left = 500
    expect(write(tin)).toBe('|{~at~:@mor00kzc;,`0500}')
    for (const left of [250, 125, 500, 750, 250]) expect(readBack(write({ ...tin, left }), ['left'])).toEqual({ ...tin, left })
  })
  it('has signs for so many names', () => {
    const names = Array.from({ length: 63 }, (_, k) => `name${k}`)
    expect(() => writeDown({}, names)).toThrow('63 names, and there are signs for 62')
    expect(readBack(writeDown({ name61: 1 }, names.slice(0, 62)), names.slice(0, 62))).toEqual({ name61: 1 })
  })
})
