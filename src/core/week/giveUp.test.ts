import { describe, expect, test } from 'vitest'
import { readBench } from '@/core/bench/benchData'
import { isHeld } from '@/core/schedule/problem'
import { at, entry, fileWith, ms, onStep, partWith, planStep } from '@/core/testing/piece'
import { dataOf, outlookOf } from '@/core/testing/studioWeek'
import { givingUp } from './giveUp'
import { readWeek } from './weekData'

describe('a window that closes as it opens', () => {
  // laid at 7:58, open from 9:58 to 10:01: on a grid of five minutes it is one moment
  const narrow = {
    clock: 'evaporation' as const,
    opens: [120, 120] as const,
    closes: [123, 123] as const,
    source: 'craft' as const,
  }
  const file = fileWith(
    [partWith([planStep('on', { window: narrow }), planStep('off', { window: null })])],
    [entry('started', at('07:40'), onStep('on')), entry('ended', at('07:58'), onStep('on'))],
  )
  const at8 = { nowMs: ms('08:00') }
  test('is no step that is held: its step is dry then, and its window is said', () => {
    const [line] = outlookOf(dataOf([file]), at8).lines
    expect(line).toMatchObject({ reason: 'dries', startMs: ms('10:00'), byMs: ms('10:00'), missed: false })
  })
  test('missed where nobody is there, the step is laid after, never before it is dry', () => {
    const late = { id: 'a', name: 'Wenna', hours: { from: 660, to: 1020, days: [1, 2, 3, 4, 5] } }
    expect(outlookOf(dataOf([file], { hands: [late] }), at8).lines[0]).toMatchObject({ startMs: ms('11:00'), missed: true })
  })
  test('letting go of what is held leaves it', () => {
    const pins = [{ stepId: 'off', side: null, at: ms('13:00'), personId: null }]
    const data = dataOf([file])
    const { problem } = readWeek(data, readBench(data.bench, [], ms('08:00')), ms('08:00'), { pins })
    expect(problem.lags.map(isHeld)).toEqual([true, false])
    const less = givingUp(problem, { steps: [0], isTooLong: false })
    expect(less?.lags).toEqual([expect.objectContaining({ min: 120, max: 120 })])
  })
})
