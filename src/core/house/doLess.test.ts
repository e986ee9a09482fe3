import { describe, expect, test } from 'vitest'
import { defaultMethod } from '@/core/craft/method'
import { factsOf } from '@/core/piece/facts'
import { readPiece } from '@/core/piece/journey'
import { fileWith, ms, partWith } from '@/core/testing/piece'
import { plannedSteps } from '@/core/testing/planned'
import { doLess } from './doLess'

const around = {
  terms: { hourRate: 1_800 },
  unitPrice: { 'chalk-style': 4, 'clear-wax': 3, 'water-clear': 3 },
  method: defaultMethod,
  net: 12_000,
  hours: 6,
} as const
/** A chest worn back to a second colour, as it is planned. */
function worn(look: 'two-colour-distress' | 'smooth-solid') {
  const colours = { a: { name: 'Kelp Jar', hex: '#4c5a3c' }, b: { name: 'Oat Husk', hex: '#e6dcc2' } }
  const bare = partWith([], { use: 'light' })
  const { plan } = bare
  if (!plan) throw new Error('no plan')
  const wish = { ...plan, look, colours, seal: undefined }
  const steps = plannedSteps(factsOf(bare), wish).map((step, position) => ({ ...step, id: `s${position}`, position }))
  return readPiece(fileWith([{ ...bare, plan: { ...plan, look, colours, steps } }], []), { climate: [], nowMs: ms('08:00') })
}

describe('doing less', () => {
  const journey = worn('two-colour-distress')
  const all = doLess(journey, around, 99)

  test('a worn look of two colours can be had plain: a look that saves hours, and what an hour earns then', () => {
    const plain = all.find(({ change }) => change.kind === 'look' && change.to === 'smooth-solid')
    expect(plain).toBeDefined()
    expect(plain?.minutes).toBeGreaterThan(0)
    // the rest of the hours share what is kept, with what is not laid beside it
    const hours = 6 - (plain?.minutes ?? 0) / 60
    expect(plain?.earned).toBe(Math.round((12_000 + (plain?.material ?? 0)) / hours))
  })
  test('what is saved is its hours at the rate and its material, the most first', () => {
    expect(all.length).toBeGreaterThan(2)
    for (const { saved, minutes, material } of all) {
      expect(saved).toBeGreaterThan(0)
      expect(Math.abs(saved - material - (minutes / 60) * 1_800)).toBeLessThanOrEqual(1)
    }
    expect(all.map(({ saved }) => saved)).toEqual(all.map(({ saved }) => saved).toSorted((one, other) => other - one))
    expect(doLess(journey, around, 2)).toEqual(all.slice(0, 2))
  })
  test('only steps that the finish can miss are left out', () => {
    const steps = journey.parts[0]?.steps.map(({ step }) => step) ?? []
    for (const { change } of all)
      if (change.kind === 'without') {
        const of = steps.filter(({ operation }) => operation === change.operation)
        expect(of.filter(({ needed }) => !needed)).toHaveLength(change.steps)
      }
  })
  test('a look of what nobody has a price for is no saving', () => {
    const untold = doLess(journey, { ...around, unitPrice: {} }, 99)
    expect(untold.some(({ change }) => change.kind === 'look' || change.kind === 'seal')).toBe(false)
    expect(all.some(({ change }) => change.kind === 'look')).toBe(true)
  })
  test('nobody knows what it brings: the hours are told all the same', () => {
    for (const less of doLess(journey, { ...around, net: null })) expect(less.earned).toBeNull()
  })
})
