import { expect, test } from 'vitest'
import { readBench } from '@/core/bench/benchData'
import { at, entry, fileWith, ms, onStep, partWith, planStep } from '@/core/testing/piece'
import { dataOf } from '@/core/testing/studioWeek'
import { sheetsOf } from './sheet'

test('a day on the wall: what is ahead of the plan in its order, with when the next may be and must; what is done is off it', () => {
  const file = fileWith(
    [partWith([planStep('one'), planStep('two'), planStep('three', { window: null })])],
    [entry('started', at('08:00'), onStep('one')), entry('ended', at('08:20'), onStep('one'))],
  )
  const journeys = readBench(dataOf([file]).bench, [], ms('09:00'))
  const line = (stepId: string, when: number, over = {}) => ({ stepId, side: null, at: when, personId: 'a', ...over })
  const figures = { minutes: 25, planned: 20, seen: 7, opens: 120, closes: 180, temperature: 18, humidity: 60 }
  const days = sheetsOf(
    [line('three', ms('01:00', 6)), line('two', ms('10:00'), { figures }), line('one', ms('08:00')), line('gone', ms('09:00'))],
    journeys,
    { zone: 'UTC', begins: 120 },
  )
  expect([...days.keys()]).toEqual(['2026-05-04', '2026-05-05'])
  expect(days.get('2026-05-04')).toEqual([
    expect.objectContaining({
      ...{ at: ms('10:00'), pieceName: 'Washstand', partName: 'Top', minutes: 25, personId: 'a' },
      ...{ opens: ms('12:25'), closes: ms('13:25') },
    }),
  ])
  // at one in the morning it is still the day before's work; of a plan without figures the plan's minutes
  expect(days.get('2026-05-05')).toMatchObject([{ minutes: 20, opens: null, closes: null }])
})
