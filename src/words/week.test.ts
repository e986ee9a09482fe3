import { describe, expect, test } from 'vitest'
import { planStep } from '@/core/testing/piece'
import { dataOf, outlookOf, twoCoats } from '@/core/testing/studioWeek'
import type { Pin } from '@/core/week/place'
import { stepTitle } from './craft'
import { lostWords, noWeekWords, weekReasonWords } from './week'

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

test('no week: who is wanting, or which step of what has no place', () => {
  const none = { why: 'nobody', place: null, minutes: 0, pieceName: null, partName: null } as const
  expect(noWeekWords(none)).toBe('Nobody works in the weeks ahead: say in House when people work.')
  const place = {
    pieceId: 'p',
    partId: 'top',
    step: planStep('off', { operation: 'clean', coat: null, colour: null }),
    figures: null,
  }
  expect(noWeekWords({ why: 'no-place', place, minutes: 95, pieceName: 'Tea table', partName: 'Top' })).toMatch(
    /^Clean off grease and polish, top, Tea table: its 95 min find no place in anybody’s hours\./,
  )
})

test('why a step stands where it does: what it waits for, by name', () => {
  // one place to dry: the second piece is put down as the first is taken up
  const week = outlookOf(dataOf([twoCoats('table'), twoCoats('bench')], { places: 1 }))
  const { lines } = week
  const saidOf = (stepId: string) => lines.filter(({ step }) => step?.id === stepId).map((line) => weekReasonWords(line, week))
  const [coat = ''] = lines.flatMap(({ step }) => (step?.id === 'table 2' ? [stepTitle(step).toLowerCase()] : []))
  expect(saidOf('table 1')).toEqual(['The day begins with it.'])
  expect(saidOf('table 2')).toEqual([`Ready so long after: ${coat}.`])
  expect(saidOf('bench 1')).toEqual([`A place to dry comes free then, by: ${coat}, table.`])
})
