import fc from 'fast-check'
import { expect, test } from 'vitest'
import { readBack, writeDown, writtenList, writtenWith } from './written'

const things = fc.array(fc.jsonValue(), { maxLength: 6 })
test('what is written down part by part reads back as what is written down whole', () => {
  fc.assert(
    fc.property(fc.dictionary(fc.string(), fc.jsonValue()), things, fc.jsonValue(), (rest, list, one) => {
      const { list: _, one: __, ...others } = rest
      const text = writtenWith(others, { list: writtenList(list.map(writeDown)), one: writeDown(one) })
      expect(readBack(text)).toEqual(JSON.parse(JSON.stringify({ ...others, list, one })))
    }),
  )
})

test('what is undefined is left out, as in any JSON', () => {
  expect(writtenWith({ none: undefined, some: 1 }, {})).toBe('{"some":1}')
})
