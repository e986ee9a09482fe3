import { describe, expect, test } from 'vitest'
import { defaultMethod } from '@/core/craft/method'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { noMeans } from './figures'
import { planFinish } from './planFinish'
import { rankPaints } from './rankPaints'

const part = (over: Partial<FinishablePart> = {}): FinishablePart => ({
  substrate: 'close-grained',
  existing: 'varnish',
  lead: 'unlikely',
  use: 'light',
  areaM2: 1.5,
  ...over,
})
const wish = (look: FinishWish['look']): FinishWish => ({
  look,
  paint: 'chalk-style',
  colours: { a: { name: 'Ferry Slate', hex: '#3d5661' }, b: { name: 'Oat Husk', hex: '#e3d7bd' } },
})
const rank = (over: Partial<FinishablePart>, look: FinishWish['look'], means = noMeans) =>
  rankPaints(part(over), wish(look), defaultMethod, means)

describe('which paint, and why', () => {
  test('a smooth cupboard for a hallway: one that seals itself saves the topcoat, and says so', () => {
    const [first] = rank({}, 'smooth-solid')
    expect(first?.paint).toBe('all-in-one')
    expect(first?.reasons).toContain('seals-itself')
  })
  test('to be worn to the wood by hand: only what wears, clay with a damp cloth; no all-in-one and no latex', () => {
    const ranked = rank({}, 'light-distress')
    const paints = ranked.map(({ paint }) => paint)
    expect(paints).not.toContain('all-in-one')
    expect(paints).not.toContain('latex')
    expect(ranked.find(({ paint }) => paint === 'clay')?.reasons).toEqual(
      expect.arrayContaining(['wears-damp', 'lifts-with-water']),
    )
    expect(ranked.find(({ paint }) => paint === 'chalk-style')?.reasons).toContain('wears-soon')
  })
  test('to chip of itself: milk paint alone', () => {
    expect(rank({}, 'chippy-casein').map(({ paint, reasons }) => [paint, reasons.includes('chips-by-itself')])).toEqual([
      ['casein', true],
    ])
  })
  test('on laminate every one of them wants its primer, and it says so', () => {
    const ranked = rank({ substrate: 'laminate', existing: 'bare' }, 'smooth-solid')
    expect(ranked.length).toBeGreaterThan(3)
    for (const { reasons } of ranked) expect(reasons).toContain('wants-primer')
  })
  test('what stands on the shelf goes before its like that must be fetched', () => {
    const shelf = (['chalk-mineral', 'chalk-style'] as const).map((family) => ({
      family,
      hex: '#3d5661',
      name: 'Ferry Slate',
      amount: 2000,
    }))
    const all = [
      ...shelf,
      ...(['degreaser', 'water-clear'] as const).map((family) => ({ family, hex: null, name: null, amount: 2000 })),
    ]
    const order = (on: typeof all) => rank({}, 'smooth-solid', { ...noMeans, shelf: on }).map(({ paint }) => paint)
    const [mineral, style] = [
      all.filter(({ family }) => family !== 'chalk-style'),
      all.filter(({ family }) => family !== 'chalk-mineral'),
    ]
    const before = (list: string[], one: string, other: string) => list.indexOf(one) < list.indexOf(other)
    expect(before(order(mineral), 'chalk-mineral', 'chalk-style')).toBe(true)
    expect(before(order(style), 'chalk-style', 'chalk-mineral')).toBe(true)
  })
  test('every paint that can be had is there once, with the plan’s own figures, the least price first', () => {
    const ranked = rank({ use: 'heavy' }, 'smooth-solid')
    expect(new Set(ranked.map(({ paint }) => paint)).size).toBe(ranked.length)
    expect(ranked.map(({ burden }) => burden)).toEqual(ranked.map(({ burden }) => burden).sort((a, b) => a - b))
    for (const { wish: own, figures } of ranked) {
      const outcome = planFinish(part({ use: 'heavy' }), own)
      if (!('plan' in outcome)) throw new Error('refused')
      expect(figures.minutes).toBe(outcome.plan.steps.reduce((sum, { minutes }) => sum + minutes, 0))
    }
  })
  test('home-mixed is told apart from bought: its mixing is in its minutes', () => {
    const ranked = rank({}, 'smooth-solid')
    const minutes = (paint: string) => ranked.find((each) => each.paint === paint)?.figures.minutes ?? 0
    // eight minutes to make it up
    expect(minutes('home-chalky') - minutes('chalk-style')).toBe(8)
    expect(ranked.find(({ paint }) => paint === 'home-chalky')?.reasons).toContain('mixed-at-home')
  })
})
