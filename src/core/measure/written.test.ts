import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readBack, writeDown } from './written'

const one = '01a22918-ce89-7251-9d17-7f5c2e878c2a'
const other = '0198d3a0-0000-7000-8000-00000000000f'

describe('what is written down', () => {
  it('is read back as it was, whatever stands in it', () => {
    const thing = {
      said: 'a "wet edge" ~ 5\'',
      back: '\\~"\\u007e ^0; | ^',
      'key~"': [1, null, '~~', ''],
      [one]: `/pieces/${one}/log`,
    }
    expect(readBack(writeDown(thing))).toEqual(thing)
    const signs = fc.constantFrom('~', '"', '^0;', '|', '\\', one, other, one.toUpperCase(), 'a', '-')
    const texts = fc.array(signs).map((each) => each.join(''))
    const things = fc.oneof(fc.jsonValue(), fc.dictionary(texts, fc.oneof(texts, fc.uuid(), fc.array(fc.uuid()))))
    fc.assert(
      fc.property(things, (value) => {
        expect(JSON.stringify(readBack(writeDown(value)))).toBe(JSON.stringify(value))
      }),
    )
  })
  it('has no quotes, and says once what it names often', () => {
    expect(writeDown({ name: 'Washstand', said: 'it is "dry"' })).toBe('|{~name~:~Washstand~,~said~:~it is \\~dry\\~~}')
    expect(writeDown([{ id: other, of: one }, { of: one }])).toBe(
      '0198d3a00000700080000000' + '0000000f01a22918ce8972519d177f5c2e878c2a|[{~id~:~^0;~,~of~:~^1;~},{~of~:~^1;~}]',
    )
  })
})
