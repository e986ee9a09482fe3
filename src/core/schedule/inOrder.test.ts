import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { InOrder, putInOrder } from './inOrder'
import { Memory } from './memory'

const minute = fc.integer({ min: 0, max: 40 })

describe('minutes in their order', () => {
  test('whatever is put in and taken out stands as if it had been sorted', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(minute, fc.boolean()), { maxLength: 60 }), (acts) => {
        const kept = new InOrder(acts.length, new Memory(4 * acts.length + 64))
        const all: number[] = []
        for (const [at, out] of acts) {
          const last = all.at(-1)
          if (out && last !== undefined) {
            kept.take(last)
            all.pop()
          } else {
            kept.put(at)
            all.push(at)
          }
        }
        expect([...kept.at.slice(0, kept.count)]).toEqual(all.toSorted((a, b) => a - b))
      }),
    )
  })
  test('a list is put in order by what is told of each, and by number where that is alike', () => {
    const keys = [3, 1, 2, 1, 0]
    const list = Int32Array.from([4, 3, 2, 1, 0])
    putInOrder(list, (each) => keys[each] ?? 0)
    expect([...list]).toEqual([4, 1, 3, 2, 0])
    keys[4] = 2
    putInOrder(list, (each) => keys[each] ?? 0)
    expect([...list]).toEqual([1, 3, 2, 4, 0])
  })
})
