/** Every repair, noted after every step of ten looks: no stop afterwards, nothing twice, each layer in its own colour. */
import { expect, test } from 'vitest'
import type { FamilyCode } from '@/core/craft/families'
import type { LookCode } from '@/core/craft/looks'
import { canShow, type RemedyCode, remedyCodes } from '@/core/craft/remedies'
import type { PlannedStep } from '@/core/finish/step'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { checkStack } from '@/core/stack/checkStack'
import { plannedSteps } from '@/core/testing/planned'
import { mend } from './mend'

const dark = { name: 'Ferry Slate', hex: '#3d5661' }
const light = { name: 'Salt Ledger', hex: '#f1ece0' }
const wished = (look: LookCode, paint: FamilyCode, over: Partial<FinishWish> = {}): FinishWish => ({
  look,
  paint,
  colours: { a: dark, b: light },
  ...over,
})
const on = (over: Partial<FinishablePart> = {}): FinishablePart => ({
  substrate: 'close-grained',
  existing: 'varnish',
  lead: 'unlikely',
  use: 'light',
  areaM2: 2,
  ...over,
})
const ten: [string, FinishablePart, FinishWish][] = [
  ['solid under clear', on(), wished('smooth-solid', 'chalk-mineral')],
  ['solid under wax', on(), wished('smooth-solid', 'chalk-style', { seal: 'wax' })],
  ['clay worn to clay, aged with dark wax', on(), wished('two-colour-distress', 'clay', { with: ['aged-wax'] })],
  ['chipping milk paint', on(), wished('chippy-casein', 'casein')],
  ['worn milk paint under oil-wax', on({ existing: 'bare' }), wished('light-distress', 'casein', { seal: 'oil-wax' })],
  ['crackle', on(), wished('crackle', 'chalk-style')],
  ['wash over a base', on(), wished('colour-wash', 'latex')],
  [
    'whitewash',
    on({ substrate: 'open-grained', existing: 'bare' }),
    wished('whitewash', 'chalk-style', { colours: { a: light } }),
  ],
  ['limed', on(), wished('smooth-solid', 'chalk-style', { with: ['limed'], seal: 'wax' })],
  ['resist', on(), wished('chippy-resist', 'chalk-mineral')],
  ['salt texture on board', on({ substrate: 'board', existing: 'bare' }), wished('salt-texture', 'chalk-style')],
  ['stripes', on(), wished('stripes', 'latex')],
  ['cloth', on({ substrate: 'fabric', existing: 'bare' }), wished('painted-fabric', 'chalk-style')],
  ['leather', on({ substrate: 'leather', existing: 'bare' }), wished('painted-leather', 'chalk-mineral')],
  [
    'laminate, a kitchen top',
    on({ substrate: 'laminate', existing: 'bare', use: 'heavy' }),
    wished('smooth-solid', 'all-in-one'),
  ],
  ['clay crackle', on(), wished('crackle', 'clay')],
  ['scraped clay', on({ existing: 'bare' }), wished('scraped-layers', 'clay')],
  ['stencilled clay on a board top', on({ substrate: 'board', existing: 'bare', use: 'heavy' }), wished('stencilled', 'clay')],
  [
    'waxed veneer, painted',
    on({ substrate: 'veneer', existing: 'shellac', polish: 'wax' }),
    wished('two-colour-distress', 'chalk-style'),
  ],
  ['veneer kept', on({ substrate: 'veneer' }), wished('stained-wood', 'stain')],
  ['cane', on({ substrate: 'cane' }), wished('light-distress', 'chalk-style')],
  ['clay over possible lead', on({ existing: 'oil-paint', lead: 'suspected' }), wished('smooth-solid', 'clay')],
  ['over possible lead', on({ existing: 'oil-paint', lead: 'suspected' }), wished('smooth-solid', 'chalk-style')],
]
const name = ({ operation, family, colour }: PlannedStep) => `${operation} ${family ?? ''} ${colour?.hex ?? ''}`

/** What is wrong with the plan after a repair noted so. */
function faults(part: FinishablePart, wish: FinishWish, steps: readonly PlannedStep[], at: number, code: RemedyCode): string[] {
  const done = steps.slice(0, at)
  const ahead = steps.slice(at)
  const grown = mend(code, { part, wish, done }, ahead, 'snag')
  const before = new Set(checkStack({ part, wish, acts: [...done, ...ahead] }).map((each) => each.code))
  const stops = checkStack({ part, wish, acts: [...done, ...grown] }).filter(
    ({ severity, acts, code: found }) =>
      severity !== 'advice' && !before.has(found) && (acts.length === 0 || (acts.at(-1) ?? 0) >= at),
  )
  const twice = grown.filter(
    (step, k) => k > 0 && name(step) === name(grown[k - 1] as PlannedStep) && !/coat|wash|blend|oil|buff/.test(step.operation),
  )
  // a repair adds no colour that the look does not have
  const known = new Set(steps.flatMap(({ colour }) => colour?.hex ?? []))
  const strange = grown.flatMap(({ colour }) => (colour && !known.has(colour.hex) ? [colour.hex] : []))
  return [
    ...stops.map((each) => `${each.severity} ${each.code}`),
    ...twice.map((each) => `twice ${each.operation}`),
    ...strange.map((hex) => `strange ${hex}`),
  ]
}

test.each(ten)('%s', (_, part, wish) => {
  const steps = plannedSteps(part, wish)
  const found = steps.flatMap((step, k) =>
    remedyCodes
      .filter((code) => canShow(code, steps.slice(0, k + 1), steps.slice(k + 1)))
      .flatMap((code) =>
        faults(part, wish, steps, k + 1, code).map((fault) => `${fault}: ${code} after ${k + 1} ${step.operation}`),
      ),
  )
  expect(found).toEqual([])
})
