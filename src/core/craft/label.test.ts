import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { asLearned } from '@/core/learn/learned'
import { readPiece } from '@/core/piece/journey'
import { fileWith, ms, partWith, planStep, worked } from '@/core/testing/piece'
import { paintCodes } from './families'
import { amountBy, asLabelled, type Label, labelled, labelOf } from './label'
import { defaultMethod } from './method'
import { curingOf, findPlannedWindow, findStepWindow } from './windows'

const around = { kind: 'wood', method: defaultMethod } as const
const coat = { operation: 'coat', family: 'chalk-style', colour: { hex: '#e3d7bd' } } as const
const window = findStepWindow(coat, 'coat', around)!
const label: Label = { recoat: [240, 360], touchDry: [60, 90], cureDays: [14, 14], coverage: [5, 6] }

describe('what a label says goes before its family', () => {
  test('the next coat opens by the label; the time for a topcoat on a dark colour, which no label gives, stays', () => {
    expect(window).toMatchObject({ opens: [60, 120], from: 'recoat' })
    expect(asLabelled(window, 'chalk-style', label)).toMatchObject({ opens: [240, 360], source: 'label' })
    const dark = findStepWindow({ ...coat, colour: { hex: '#2c2f33' } }, 'clear-coat', around)!
    expect(asLabelled(dark, 'chalk-style', label)).toBe(dark)
  })
  test('wear waits for its touch dry; a clear for its own recoat, and it is never past before it is open', () => {
    const wear = findStepWindow(coat, 'dry-distress', around)!
    expect(asLabelled(wear, 'chalk-style', label).opens).toEqual([60, 90])
    const clear = findStepWindow({ operation: 'clear-coat', family: 'water-clear' }, 'clear-coat', around)!
    expect(clear).toMatchObject({ opens: [120, 120], closes: [1440, 1440] })
    expect(asLabelled(clear, 'water-clear', { recoat: [60, 60] }).opens).toEqual([60, 60])
    expect(asLabelled(clear, 'water-clear', { recoat: [1500, 2000] })).toMatchObject({
      opens: [1500, 2000],
      closes: [1500, 2000],
    })
    const crackle = findStepWindow({ operation: 'crackle-medium', family: 'crackle-medium' }, 'crackle-coat', around)!
    expect([crackle.opens, asLabelled(crackle, 'crackle-medium', { recoat: [20, 40] }).opens]).toEqual([
      [720, 720],
      [20, 40],
    ])
  })
  test('with a fan it is sooner by as much', () => {
    const fan = findPlannedWindow(coat, 'coat', { ...around, method: { ...defaultMethod, drying: 'fan' } })!
    expect(fan.opens).toEqual([40, 80])
    expect(asLabelled(fan, 'chalk-style', label).opens).toEqual([160, 240])
  })
  test('a plan made before windows said which figure they are is read by the figure itself', () => {
    const { from: _, ...old } = window
    expect(asLabelled(old, 'chalk-style', label).opens).toEqual([240, 360])
    expect(asLabelled({ ...old, source: 'practice' }, 'chalk-style', label).opens).toEqual([60, 120])
  })
  test('the days to hard are the label’s, never fewer than the house keeps', () => {
    expect(curingOf('clay', 30).use.opens[0]).toBe(30 * 1440)
    expect(curingOf('clay', 30, [60, 60]).use.opens[0]).toBe(60 * 1440)
    expect(curingOf('clay', 21, [14, 14]).use.opens[0]).toBe(21 * 1440)
  })
  test('what goes half as far takes twice as much', () => {
    expect(amountBy(80, 'chalk-style', label)).toBe(160)
    expect(amountBy(80, 'chalk-style', { recoat: [1, 2] })).toBe(80)
    expect(labelled('chalk-style', label)).toMatchObject({ ...label, rewets: 'slightly' })
  })
})

const tin = (id: string, over: object = {}) => ({ id, family: 'clay' as const, colourHex: '#111111', label, ...over })
test('it is the label of the tin that was used, else of the one that is reached for', () => {
  const tins = [
    tin('one'),
    tin('other', { label: { recoat: [90, 90] } }),
    tin('satin', { family: 'water-clear', colourHex: null, sheen: 'satin' }),
  ]
  expect(labelOf(tins, { family: 'clay', productId: 'other' })).toEqual({ recoat: [90, 90] })
  expect(labelOf(tins, { family: 'clay', colour: { hex: '#111111' } })).toBe(label)
  expect(labelOf(tins, { family: 'clay', colour: { hex: '#222222' } })).toBeNull()
  // another tin, which says nothing of itself
  expect(labelOf(tins, { family: 'clay', colour: { hex: '#111111' }, productId: 'plain' })).toBeNull()
  expect(labelOf(tins, { family: 'water-clear', sheen: 'flat' })).toBeNull()
  expect(labelOf(tins, { family: 'water-clear' })).toBe(label)
})
test('what the studio has seen itself goes before the label', () => {
  const labels = [tin('one', { family: 'chalk-style', colourHex: '#e3d7bd' })]
  expect(asLearned(window, coat, { labels }).opens).toEqual([240, 360])
  expect(asLearned(window, coat, { labels, 'chalk-style': { p50: 1.5, p80: 2, count: 6 } })).toMatchObject({
    ...{ opens: [90, 240], source: 'studio' },
  })
})
test('a coat from a tin that says four hours is not to be painted over after two', () => {
  const steps = [planStep('one', { window }), planStep('two')]
  const file = fileWith([partWith(steps, { id: 'top' })], [...worked('one', '09:00', '10:00')])
  const read = (labels: ReturnType<typeof tin>[]) =>
    readPiece(file, { climate: [], nowMs: ms('12:30'), learned: { labels } }).parts[0]?.window
  const step = steps[0]!
  expect(read([])?.phase).toBe('best')
  const labels = [tin('slow', { family: step.family, colourHex: step.colour?.hex ?? null })]
  expect(read(labels)).toMatchObject({ phase: 'shut', label: { source: 'label' } })
})
test('any label, family and step: it opens by the label or not at all otherwise, and closes no sooner than it opens', () => {
  const range = fc
    .tuple(fc.integer({ min: 1, max: 5000 }), fc.integer({ min: 0, max: 5000 }))
    .map(([low, more]) => [low, low + more] as const)
  fc.assert(
    fc.property(
      fc.constantFrom(...paintCodes),
      fc.constantFrom('coat', 'dry-distress', 'wet-distress', 'clear-coat', 'clear-wax', 'scrape-distress'),
      range,
      range,
      (family, before, recoat, touchDry) => {
        const own = findStepWindow({ operation: 'coat', family, colour: { hex: '#888888' } }, before, around)
        if (!own) return
        const said = asLabelled(own, family, { recoat, touchDry })
        if (own.from) expect(said.opens).toEqual(own.from === 'recoat' ? recoat : touchDry)
        if (said.closes) expect(said.closes[0]).toBeGreaterThanOrEqual(said.opens[0])
        expect(said.opens[0]).toBeLessThanOrEqual(said.opens[1])
      },
    ),
  )
})
