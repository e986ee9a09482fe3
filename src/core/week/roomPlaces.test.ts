import { describe, expect, test } from 'vitest'
import type { Room } from '@/core/climate/rooms'
import { dataOf, outlookOf, said, twoCoats } from '@/core/testing/studioWeek'
import { dryingIn, poolsOf } from './roomPlaces'

const room = (id: string, places: number | null): Room => ({ id, name: id, sensor: null, places })

describe('two pieces of two coats, each ten minutes beside the brush; two hours dry between', () => {
  const outlook = (rooms: readonly Room[], roomIds: readonly [string, string]) => {
    const data = dataOf([twoCoats('table', { roomId: roomIds[0] }), twoCoats('bench', { roomId: roomIds[1] })])
    return outlookOf({ ...data, bench: { ...data.bench, rooms: [...rooms] } })
  }
  const week = (...asked: Parameters<typeof outlook>) =>
    said(outlook(...asked))
      .map(([step, time]) => `${step} ${String(time).slice(3)}`)
      .sort()
  const bothAtOnce = ['bench 1 09:10', 'bench 2 11:20', 'table 1 09:00', 'table 2 11:10']

  test('in a loft where one may lie: the second is put down as the first is taken up', () => {
    const first = [room('loft', 1), room('barn', null)]
    expect(week(first, ['loft', 'loft'])).toEqual(['bench 1 11:00', 'bench 2 13:10', 'table 1 09:00', 'table 2 11:10'])
    const { lines } = outlook(first, ['loft', 'loft'])
    const waiting = lines.find(({ step }) => step?.id === 'bench 1')
    expect(waiting?.reason).toBe('place')
    expect(lines.find(({ index }) => index === waiting?.after)?.step?.id).toBe('table 2')
  })
  test('in two rooms, or where there is room enough: both at once', () => {
    expect(week([room('loft', 1), room('barn', 1)], ['loft', 'barn'])).toEqual(bothAtOnce)
    expect(week([room('loft', 1), room('barn', null)], ['barn', 'barn'])).toEqual(bothAtOnce)
  })
})

test('a piece of no room by name stands in the first; the house’s number counts beside the rooms’', () => {
  const rooms = [room('loft', null), room('barn', 3), room('shed', 2)]
  expect(poolsOf({ places: 8, rooms }, 40)).toEqual({ spray: 1, rack: 8, rooms: [3, 2] })
  expect(poolsOf({ places: null, rooms: [] }, 40)).toEqual({ spray: 1, rack: 40 })
  const drying = (roomId: string | null, places: number | null) => dryingIn({ places, rooms }, roomId)
  expect([drying(null, null), drying(null, 8), drying('barn', null), drying('shed', 8)]).toEqual([
    { rack: false },
    { rack: true },
    { rack: true, room: 0 },
    { rack: true, room: 1 },
  ])
})
