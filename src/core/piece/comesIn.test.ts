import { describe, expect, test } from 'vitest'
import { defaultMethod } from '@/core/craft/method'
import { at, partWith } from '@/core/testing/piece'
import { dataOf, outlookOf, twoCoats } from '@/core/testing/studioWeek'
import { isSupposed } from '@/core/week/weekData'
import { comesIn } from './comesIn'

const { plan: _, earlier: __, ...top } = partWith([])
const around = { look: 'smooth-solid', method: defaultMethod, at: at('08:00') } as const
const coming = {
  id: 'new',
  client: null,
  promisedOn: null,
  roomId: null,
  parts: [{ ...top, id: 'leg', name: 'Leg' }],
  counted: {},
}

describe('a piece that may come in', () => {
  test('has its look’s steps beside the work of the studio, none of them the studio’s', () => {
    const { file, refused } = comesIn(coming, around)
    expect(refused).toEqual([])
    const steps = file.parts[0]?.plan?.steps ?? []
    expect(steps.map(({ operation }) => operation)).toEqual(expect.arrayContaining(['clean', 'coat']))
    const week = outlookOf(dataOf([twoCoats('table')]), { supposed: { comes: file }, weeks: 20 })
    const own = week.lines.filter(({ pieceId }) => pieceId === 'new')
    expect(own).toHaveLength(steps.length)
    expect(week.kept.filter(({ stepId }) => isSupposed(stepId))).toHaveLength(steps.length)
    expect(week.pieces.find(({ pieceId }) => pieceId === 'new')?.safeMs).toBeGreaterThan(Date.parse(at('09:00')))
  })
  test('what is counted on it is taken apart before and put together after', () => {
    const { file } = comesIn({ ...coming, counted: { fittings: 6 } }, around)
    const whole = file.whole?.plan?.steps ?? []
    expect(whole[0]).toMatchObject({ operation: 'photograph', side: 'before' })
    expect(whole.some(({ side }) => side === 'after')).toBe(true)
    const week = outlookOf(dataOf([]), { supposed: { comes: file } })
    expect(week.lines[0]?.step?.operation).toBe('photograph')
  })
  test('a part that can’t take the look is named', () => {
    // worn through by rubbing, over paint that may hold lead
    const old = { ...coming, parts: [...coming.parts, { ...top, id: 'old', name: 'Old door', lead: 'suspected' as const }] }
    const { file, refused } = comesIn(old, { ...around, look: 'light-distress' })
    expect(refused).toEqual(['Old door'])
    expect(file.parts.map(({ plan }) => plan !== null)).toEqual([true, false])
  })
})
