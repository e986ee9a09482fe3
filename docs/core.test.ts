/** The page about the core, run: every block of it stands here word for word, and gives what it says. */
import { readFileSync } from 'node:fs'
import { expect, test } from 'vitest'
import * as core from '@/core'
import {
  checkStack,
  type FinishablePart,
  type FinishWish,
  layOut,
  planFinish,
  priceFor,
  shadeOf,
  type Touch,
  windowFor,
} from '@/core'

const part: FinishablePart = { substrate: 'close-grained', existing: 'varnish', lead: 'unlikely', use: 'light', areaM2: 0.8 }
const wish: FinishWish = {
  look: 'light-distress',
  paint: 'chalk-mineral',
  colours: { a: { name: 'Tarn Glass', hex: '#3d6a6b' }, b: { name: 'Oat Husk', hex: '#e3d7bd' } },
}
const outcome = planFinish(part, wish)
if ('refusal' in outcome) throw new Error(outcome.refusal.code)
const { steps } = outcome.plan

test('a part is planned', () => {
  expect(steps).toHaveLength(11)
  expect(steps.map(({ operation }) => operation)).toContain('coat')
})

test('layers of one’s own: clay is sealed before latex goes over it here and there, and the gilt is on the edges', () => {
  const half = [
    { name: 'Tarn Glass', hex: '#3d6a6b', parts: 1 },
    { name: 'Oat Husk', hex: '#e3d7bd', parts: 1 },
  ]
  const touches: Touch[] = [
    { id: 'base', operation: 'coat', family: 'clay', colour: { name: 'Tarn Glass', hex: '#3d6a6b' }, repeat: 2, by: 'painter' },
    {
      id: 'ragged',
      operation: 'coat',
      family: 'latex',
      colour: { name: 'Half Tarn', hex: shadeOf(half), parts: half },
      where: { share: 0.5 },
      by: 'painter',
    },
    { id: 'gilt', operation: 'metallic-wax', where: { places: ['edges'] }, by: 'painter' },
  ]
  const own = planFinish(part, { ...wish, touches })

  if ('refusal' in own) throw new Error(own.refusal.code)
  const order = own.plan.steps.map(({ operation, touch }) => touch ?? operation)
  expect(order.slice(order.indexOf('base'), order.indexOf('ragged') + 1)).toEqual(['base', 'base', 'seal-between', 'ragged'])
  expect(own.plan.steps.find(({ touch }) => touch === 'gilt')?.where).toEqual({ places: ['edges'] })
})

test('the plan is checked: nothing to say of it as it stands, and of a coat over fresh wax that it will peel', () => {
  const sound = checkStack({ part, wish, acts: steps })
  const wax = steps.findIndex(({ family }) => family === 'clear-wax')
  const coat = steps.find(({ operation }) => operation === 'coat')
  const broken = checkStack({ part, wish, acts: [...steps.slice(0, wax + 1), ...(coat ? [coat] : [])], finished: false })

  expect(sound).toEqual([])
  expect(broken.length).toBeGreaterThan(0)
})

test('a window opens by the slow figure of the label: at the reference air, two hours after a coat ended at nine', () => {
  const window = windowFor({
    endedAt: '2026-05-04T09:00:00.000Z',
    kind: 'evaporation',
    film: 'normal',
    label: { opens: [60, 120] },
    climate: [{ at: '2026-05-04T08:00:00.000Z', temperature: 21, humidity: 50 }],
    assistance: [],
  })

  expect(window.opens).toBe('2026-05-04T11:00:00.000Z')
})

test('two parts are laid into the days of one painter', () => {
  const way = layOut([
    { id: 'case', steps },
    { id: 'drawers', steps },
  ])

  // what is alike is worked in one go
  expect(way.savedMinutes).toBeGreaterThan(0)
  expect(way.attendedMinutes).toBe(2 * steps.reduce((sum, { minutes }) => sum + minutes, 0) - way.savedMinutes)
})

test('it is priced: 55.00 of costs and three hours at 18.00, through a booth that takes 12 %', () => {
  const price = priceFor({
    costs: [
      { kind: 'bought', amount: 3200 },
      { kind: 'other', amount: 2300 },
    ],
    hours: 3,
    rate: 1800,
    channel: { feeShare: 0.12, feeFixed: 0 },
    tax: { mode: 'none' },
    wish: { earnedRate: 2200 },
    haggle: 0.1,
  })

  // 55 / 0.88; (55 + 54) / 0.88 = 123.863…, up; 137.50 / 0.9 = 152.77…, up to a multiple of 5
  expect([price.breakEven, price.floor, price.ask]).toEqual([6250, 12387, 15500])
})

test('every block of the page is run here, and every name it lists is at the doorway', () => {
  const page = readFileSync('docs/core.md', 'utf8')
  const here = readFileSync('docs/core.test.ts', 'utf8').replace(/^ +/gm, '')
  const blocks = [...page.matchAll(/```ts\n([\s\S]*?)```/g)].map(([, code]) => (code ?? '').replace(/^ +/gm, ''))
  expect(blocks.length).toBeGreaterThanOrEqual(5)
  for (const block of blocks) expect(here).toContain(block)
  const named = [...page.matchAll(/^- `(\w+)`/gm)].map(([, name]) => name)
  expect(Object.keys(core).sort()).toEqual(named.sort())
})
