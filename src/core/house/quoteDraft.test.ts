import { describe, expect, test } from 'vitest'
import { defaultMethod } from '@/core/craft/method'
import { readPiece } from '@/core/piece/journey'
import { at, entry, fileWith, ms, partWith, planStep, worked } from '@/core/testing/piece'
import { costOfPart, draftLines, draftSections, otherSheens, otherWays } from './quoteDraft'

const around = { terms: { hourRate: 1800 }, unitPrice: { 'chalk-style': 4 }, method: defaultMethod } as const
const topSteps = [planStep('t1'), planStep('t2')]
const bodySteps = [planStep('b1'), planStep('b2'), planStep('b3'), planStep('b4')]
const journey = readPiece(
  fileWith(
    [partWith(topSteps, { id: 'top', name: 'Top' }), partWith(bodySteps, { id: 'body', name: 'Carcass', count: 2 })],
    [entry('cost', at('08:00'), { costKind: 'bought', money: 4000 }), ...worked('t1', '09:30', '10:00')],
  ),
  { climate: [], nowMs: ms('20:00') },
)

describe('the offer that a plan makes', () => {
  test('a price is shared by what each part costs, behind and ahead: two coats beside four', () => {
    const [top, body] = journey.parts.map((part) => costOfPart(part, around))
    expect((body ?? 0) / (top ?? 1)).toBeCloseTo(2, 6)
    expect(draftLines(journey, 30_000, 500, around).map(({ words, money }) => [words, money])).toEqual([
      ['Top', 10_000],
      ['2 × Carcass', 20_000],
    ])
    // what does not go into whole steps is given to the largest rest, and the sum stands
    expect(draftLines(journey, 30_250, 500, around).reduce((sum, { money }) => sum + money, 0)).toBe(30_250)
  })
  test('each part is drawn as it shall be', () => {
    const [top] = draftSections(journey.parts)
    expect(top?.part).toBe('Top')
    expect(top?.layers.some(({ kind, count }) => kind === 'paint' && count === 2)).toBe(true)
  })
  test('other ways to protect it are what suits its use; as planned first, at nothing more', () => {
    const ways = otherWays(journey, 30_000, 500, around)
    expect(ways.length).toBeGreaterThan(0)
    for (const { ways: all } of ways) {
      expect(all[0]?.extra).toBe(0)
      expect(all.length).toBeGreaterThan(1)
      expect(new Set(all.map(({ words }) => words)).size).toBe(all.length)
      for (const { extra } of all) expect(Math.abs(extra % 500)).toBe(0)
    }
    // each says how it would be planned, the first as it is
    expect(ways[0]?.ways.map(({ plans }) => plans?.partId)).toEqual(ways[0]?.ways.map(() => ways[0]?.partId))
    expect(new Set(ways[0]?.ways.map(({ plans }) => plans?.seal)).size).toBe(ways[0]?.ways.length)
    expect(otherWays(journey, 0, 500, { ...around, terms: { hourRate: 0 }, unitPrice: {} })).toEqual([])
  })
  test('what its topcoat is made in is chosen at nothing more, as planned first', () => {
    const cleared = readPiece(
      fileWith(
        [partWith(topSteps, { id: 'top', name: 'Top' })].map((part) => ({
          ...part,
          plan: part.plan && ({ ...part.plan, seal: 'hard', sheen: 'matt' } as const),
        })),
        [],
      ),
      { climate: [], nowMs: ms('20:00') },
    )
    expect(otherSheens(cleared, defaultMethod)).toEqual([
      {
        partId: 'top',
        ways: ['matt', 'satin', 'gloss'].map((sheen) => ({ words: sheen, extra: 0, plans: { partId: 'top', sheen } })),
      },
    ])
  })
})
