import { expect, test } from 'vitest'
import { eraseClientInput } from '../input/client'
import { namesIn } from './clientPage'

test.each([
  ['The Ferrow household', ['Ferrow']],
  ['Mrs Maude O’Callan-Tye', ['Maude', 'O’Callan-Tye']],
  ['Émile Šára and family', ['Émile', 'Šára']],
  ['the oak house', []],
  ['', []],
])('“%s” is known by %j', (name, words) => {
  expect(namesIn(name)).toEqual(words)
})

test('words to be struck are set apart by commas; short ones and figures are refused, with what to do', () => {
  const read = (words: string) =>
    eraseClientInput.safeParse({
      entryId: '01900000-0000-7000-8000-000000000001',
      pieceId: '01900000-0000-7000-8000-000000000002',
      words,
    })
  expect(read(' Ferrow, , Maude Tye ,').data?.words).toEqual(['Ferrow', 'Maude Tye'])
  expect(read('').data?.words).toEqual([])
  expect(read('Ferrow, Jo').error?.issues[0]?.message).toMatch(/at least three letters/)
  expect(read('Ferrow, 2026').error?.issues[0]?.message).toMatch(/figures of the log stay/)
  expect(read(Array.from({ length: 21 }, (_, k) => `Name${'x'.repeat(k + 1)}`).join(',')).error?.issues[0]?.message).toMatch(
    /At most 20/,
  )
})
