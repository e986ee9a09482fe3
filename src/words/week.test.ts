import { describe, expect, test } from 'vitest'
import type { Pin } from '@/core/week/place'
import { lostWords } from './week'

describe('what can’t be held', () => {
  const nowMs = Date.parse('2026-05-04T08:00:00Z')
  const house = { zone: 'UTC', locale: 'en-GB' } as Parameters<typeof lostWords>[2]['house']
  const hands = [{ id: 'a', name: 'Wenna' }]
  const said = (pin: Pick<Pin, 'at' | 'personId'>) => lostWords({ stepId: 's', side: null, ...pin }, hands, { house, nowMs })
  test('by the time or by whom', () => {
    expect(said({ at: Date.parse('2026-05-04T17:30:00Z'), personId: null })).toMatch(/^held to .*17:30, which can’t be kept$/)
    expect(said({ at: null, personId: 'a' })).toBe('held to Wenna, which can’t be kept')
    expect(said({ at: null, personId: 'gone' })).toBe('held to somebody, which can’t be kept')
  })
})
