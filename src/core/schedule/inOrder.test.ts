import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { InOrder } from './inOrder'
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
})
