import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { keptOr, latelyOr, makeKept, makeLately } from './kept'

describe('what is kept in mind', () => {
  test('what was not asked for longest goes first', () => {
    const kept = makeKept<string, number>(2)
    kept.set('one', 1)
    kept.set('two', 2)
    expect(kept.get('one')).toBe(1)
    kept.set('three', 3)
    expect([kept.get('one'), kept.get('two'), kept.get('three')]).toEqual([1, undefined, 3])
  })

  test('is made once, and made anew when it was let go', () => {
    const kept = makeKept<string, string[]>(1)
    const made: string[] = []
    const make = (key: string) => {
      made.push(key)
      return [key]
    }
    const first = keptOr(kept, 'one', make)
    expect(keptOr(kept, 'one', make)).toBe(first)
    keptOr(kept, 'two', make)
    keptOr(kept, 'one', make)
    expect(made).toEqual(['one', 'two', 'one'])
  })

  test('is the last so many different ones that were asked for', () => {
    const asks = fc.array(fc.tuple(fc.boolean(), fc.integer({ min: 0, max: 9 })), { maxLength: 60 })
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 6 }), asks, (most, all) => {
        const kept = makeKept<number, number>(most)
        let last: number[] = []
        for (const [sets, key] of all) {
          const stands = sets || last.includes(key)
          if (sets) kept.set(key, key * 2)
          expect(kept.get(key)).toBe(stands ? key * 2 : undefined)
          if (stands) last = [key, ...last.filter((each) => each !== key)].slice(0, most)
        }
      }),
    )
  })
})

test('what stands for a while is gone when it is over, and stands anew when it is said anew', () => {
  const lately = makeLately<string, number>(2, 10)
  lately.set('one', 1, 100)
  expect([lately.get('one', 109), lately.get('one', 110), lately.get('two', 100)]).toEqual([1, undefined, undefined])
  lately.set('one', 2, 110)
  expect(lately.get('one', 119)).toBe(2)
})

test('what stands is not read again, and asking after it makes it stand no longer', async () => {
  const lately = makeLately<string, number>(2, 10)
  let reads = 0
  const ask = (nowMs: number) => latelyOr(lately, 'one', nowMs, () => Promise.resolve((reads += 1)))
  expect([await ask(100), await ask(105), await ask(109), await ask(110)]).toEqual([1, 1, 1, 2])
})
