/**
 * Worked plans, each a piece in words and its plan as a list beside this file in `worked/`: read through by a painter's
 * eye, then held. A change of the tables shows here as a change of plans.
 */
import { describe, expect, test } from 'vitest'
import { getFamily } from '@/core/craft/families'
import { getLook } from '@/core/craft/looks'
import { defaultMethod, type HouseMethod } from '@/core/craft/method'
import { getOperation } from '@/core/craft/operations'
import { getExistingFinish, getSubstrate, uses } from '@/core/craft/parts'
import type { PlannedStep } from '@/core/finish/step'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { planPiece } from './planPiece'

const slate = { name: 'Ferry Slate', hex: '#3d5661' }
const husk = { name: 'Oat Husk', hex: '#e3d7bd' }
const salt = { name: 'Salt Ledger', hex: '#f1ece0' }
const dusk = { name: 'Kiln Dusk', hex: '#9a4b35' }
const soot = { name: 'Harbour Soot', hex: '#2c2f33' }
const glass = { name: 'Tarn Glass', hex: '#7fa3a0' }
const lamp = { name: 'Barley Lamp', hex: '#d9b25f' }
const tea = { name: 'Peat Tea', hex: '#5a3d28' }

type Facts = Omit<FinishablePart, 'lead' | 'use'> & Partial<Pick<FinishablePart, 'lead' | 'use'>>
interface Worked {
  words: string
  parts: Record<string, [facts: Facts, wish: FinishWish]>
  method?: Partial<HouseMethod>
}
const one = (words: string, facts: Facts, wish: FinishWish, method?: Partial<HouseMethod>): Worked => ({
  words,
  parts: { Body: [facts, wish] },
  ...(method && { method }),
})
const wish = (
  look: FinishWish['look'],
  paint: FinishWish['paint'],
  a = slate,
  b?: typeof slate,
  more: Partial<FinishWish> = {},
): FinishWish => ({
  look,
  paint,
  colours: { a, ...(b && { b }) },
  ...more,
})

const worked: Worked[] = [
  one(
    'Music cabinet, sound varnish, one even blue',
    { substrate: 'close-grained', existing: 'varnish', areaM2: 1.8 },
    wish('smooth-solid', 'chalk-mineral'),
  ),
  one(
    'Sea chest of knotty softwood, bare, for a hallway',
    { substrate: 'softwood', existing: 'bare', areaM2: 2.2, knots: 11 },
    wish('light-distress', 'chalk-style', glass),
  ),
  one(
    'Prie-dieu in dark red wood, to be nearly white',
    { substrate: 'red-wood', existing: 'shellac', areaM2: 1.1 },
    wish('smooth-solid', 'chalk-style', salt),
  ),
  one(
    'Hymn board, waxed for a century',
    { substrate: 'open-grained', existing: 'wax', areaM2: 0.7, use: 'display' },
    wish('two-colour-distress', 'clay', slate, husk, { with: ['aged-wax'] }),
  ),
  one(
    'Locker of melamine for a school corridor',
    { substrate: 'laminate', existing: 'bare', areaM2: 3.1, use: 'heavy' },
    wish('smooth-solid', 'all-in-one', soot),
  ),
  one(
    'Garden bench of softwood, old oil paint of unknown age',
    { substrate: 'softwood', existing: 'oil-paint', lead: 'suspected', use: 'outdoors', areaM2: 2.6, knots: 8 },
    wish('smooth-solid', 'latex', glass),
  ),
  one(
    'Veneered radio cabinet, lacquered',
    { substrate: 'veneer', existing: 'lacquer', areaM2: 1.2 },
    wish('smooth-solid', 'chalk-mineral', tea),
  ),
  one(
    'Milking stool, bare, in milk paint under oil',
    { substrate: 'close-grained', existing: 'bare', areaM2: 0.5 },
    wish('light-distress', 'casein', dusk, undefined, { seal: 'oil' }),
  ),
  one(
    'Dough trough that should chip',
    { substrate: 'softwood', existing: 'varnish', areaM2: 1.4, knots: 5, use: 'display' },
    wish('chippy-casein', 'casein', tea, husk),
  ),
  one(
    'Shop shelf, chippy by candle wax',
    { substrate: 'close-grained', existing: 'water-paint', areaM2: 2 },
    wish('chippy-resist', 'chalk-style', dusk, salt),
  ),
  one(
    'Tool box with scraped layers',
    { substrate: 'close-grained', existing: 'bare', areaM2: 0.9 },
    wish('scraped-layers', 'chalk-mineral', soot, lamp),
  ),
  one(
    'Frame with salt texture',
    { substrate: 'board', existing: 'bare', areaM2: 0.6, use: 'display' },
    wish('salt-texture', 'chalk-style', soot, glass),
  ),
  one(
    'Apothecary drawers, crackled',
    { substrate: 'close-grained', existing: 'shellac', areaM2: 1.6 },
    wish('crackle', 'chalk-style', tea, salt),
  ),
  one(
    'Ash settle to be whitewashed, varnish on it',
    { substrate: 'open-grained', existing: 'varnish', areaM2: 2.4 },
    wish('whitewash', 'chalk-style', salt),
  ),
  one(
    'Writing slope, wash over a base in clay',
    { substrate: 'close-grained', existing: 'shellac', areaM2: 0.8 },
    wish('colour-wash', 'clay', husk, slate),
  ),
  one(
    'Lamp table, dabbed',
    { substrate: 'close-grained', existing: 'varnish', areaM2: 0.7 },
    wish('dabbed-wash', 'chalk-mineral', glass, salt),
  ),
  one(
    'Folding screen, glazed and lifted',
    { substrate: 'board', existing: 'water-paint', areaM2: 4.2, use: 'display' },
    wish('glaze-lift', 'latex', husk, tea),
  ),
  one(
    'Oar rack, dry-brushed over soot',
    { substrate: 'softwood', existing: 'bare', areaM2: 0.6, knots: 4, use: 'display' },
    wish('dry-brush', 'chalk-mineral', soot, glass),
  ),
  one(
    'Hat chest, two blues blended wet',
    { substrate: 'close-grained', existing: 'bare', areaM2: 1.3 },
    wish('wet-blend', 'clay', slate, glass),
  ),
  one(
    'Flower trough with sprayed runs, damp porch',
    { substrate: 'close-grained', existing: 'bare', use: 'damp', areaM2: 1 },
    wish('spray-runs', 'chalk-style', slate, salt),
  ),
  one(
    'Toy crate with stripes',
    { substrate: 'board', existing: 'bare', use: 'heavy', areaM2: 1.1 },
    wish('stripes', 'chalk-mineral', salt, dusk),
  ),
  one('Linen footstool', { substrate: 'fabric', existing: 'bare', areaM2: 0.4 }, wish('painted-fabric', 'chalk-style', glass)),
  one(
    'Vinyl piano bench pad',
    { substrate: 'leather', existing: 'bare', areaM2: 0.35 },
    wish('painted-leather', 'chalk-mineral', soot),
  ),
  one(
    'Plan chest, wood kept and stained',
    { substrate: 'open-grained', existing: 'oil-paint', areaM2: 2.8 },
    wish('stained-wood', 'stain', tea),
  ),
  one(
    'Mirror frame with gilded edges',
    { substrate: 'close-grained', existing: 'varnish', areaM2: 0.5, use: 'display' },
    wish('smooth-solid', 'chalk-style', soot, undefined, { with: ['gilded-edges'] }),
  ),
  one(
    'Iron washstand, stove beside it',
    { substrate: 'metal', existing: 'oil-paint', use: 'heat', areaM2: 0.9 },
    wish('smooth-solid', 'all-in-one', soot),
  ),
  one(
    'Wicker laundry basket',
    { substrate: 'cane', existing: 'unknown', areaM2: 1.5 },
    wish('smooth-solid', 'chalk-mineral', glass),
  ),
  one(
    'Same music cabinet in a house that proves its grip and buffs within the hour',
    { substrate: 'close-grained', existing: 'varnish', areaM2: 1.8 },
    wish('light-distress', 'chalk-mineral'),
    { key: 'prove', waxRest: 'hour', between: 'texture' },
  ),
  one(
    'Linen chest with a stencilled front',
    { substrate: 'board', existing: 'bare', areaM2: 1.5 },
    wish('stencilled', 'chalk-mineral', slate, husk),
  ),
  {
    words: 'Sewing cabinet: top for use, drawers in a second colour, legs worn',
    parts: {
      Top: [
        { substrate: 'close-grained', existing: 'varnish', use: 'heavy', areaM2: 0.6 },
        wish('smooth-solid', 'chalk-mineral', soot),
      ],
      Drawers: [{ substrate: 'close-grained', existing: 'varnish', areaM2: 0.5 }, wish('smooth-solid', 'chalk-mineral', glass)],
      Legs: [{ substrate: 'close-grained', existing: 'varnish', areaM2: 0.7 }, wish('light-distress', 'chalk-mineral', soot)],
    },
  },
  one(
    'Blanket box, washed and limed',
    { substrate: 'open-grained', existing: 'bare', areaM2: 1.8 },
    wish('whitewash', 'chalk-style', husk, undefined, { with: ['limed'] }),
  ),
  one(
    'Iron plant stand, bare, kept outdoors',
    { substrate: 'metal', existing: 'bare', use: 'outdoors', areaM2: 0.6 },
    wish('smooth-solid', 'alkyd', slate),
  ),
  {
    words: 'Four stick-back seats alike, batch of four',
    parts: Object.fromEntries(
      [1, 2, 3, 4].map((n) => [
        `Seat ${n}`,
        [
          { substrate: 'close-grained' as const, existing: 'shellac' as const, areaM2: 0.9 },
          wish('light-distress', 'chalk-style', glass),
        ],
      ]),
    ),
  },
]

function stepLine(step: PlannedStep, k: number): string {
  const facts = [
    step.family ? getFamily(step.family).words : null,
    step.colour?.name,
    step.mix,
    step.grit ? `grit ${step.grit}` : null,
    step.film === 'normal' ? null : `${step.film} film`,
    step.amount === null ? null : `${step.amount} ${step.family && getFamily(step.family).unit === 'g' ? 'g' : 'ml'}`,
    `${step.minutes} min`,
  ].filter(Boolean)
  const wait = step.window
    ? ` → wait ${step.window.opens.join('–')} min${step.window.closes ? `, before ${step.window.closes[0]}` : ''}`
    : ''
  return `${String(k + 1).padStart(2)}. ${getOperation(step.operation).words} [${facts.join('; ')}]${step.needed ? '' : ' (optional)'}${wait}`
}

const written = ({ words, parts, method }: Worked): string => {
  const facts = (part: Facts): FinishablePart => ({ lead: 'unlikely', use: 'light', ...part })
  const plan = planPiece({
    parts: Object.entries(parts).map(([id, [part, wished]]) => ({ id, facts: facts(part), wish: wished })),
    method: { ...defaultMethod, ...method },
  })
  const lists = Object.entries(parts).map(([id, [part, wished]]) => {
    const { substrate, existing, use, areaM2, lead } = facts(part)
    const found = plan.parts.find((each) => each.id === id)
    const looks = [wished.look, ...(wished.with ?? [])].map((code) => getLook(code).words.toLowerCase()).join(', ')
    const head = `${id}: ${getSubstrate(substrate).words}; on it ${getExistingFinish(existing).words}; ${uses[use]}; ${areaM2} m²${lead === 'suspected' ? '; lead possible' : ''}\n  wished: ${looks}, ${getFamily(wished.paint).words}`
    return [
      head,
      ...(found?.plan.steps ?? []).map(stepLine),
      ...(found?.plan.advice ?? []).map((code) => `  advice: ${code}`),
    ].join('\n')
  })
  const { attendedMinutes, savedMinutes, days } = plan.timeline
  return [
    words,
    '',
    ...lists,
    '',
    `In all ${attendedMinutes} min over ${days} day(s)${savedMinutes > 0 ? `, ${savedMinutes} min of set-up shared` : ''}.`,
    '',
  ].join('\n')
}

describe('worked plans', () => {
  test('are thirty and three', () => expect(worked).toHaveLength(33))
  test.each(worked.map((each, k) => [each.words, k + 1, each] as const))('%s', async (_, number, each) => {
    await expect(written(each)).toMatchFileSnapshot(`worked/${String(number).padStart(2, '0')}.txt`)
  })
  test('four alike share their set-up: less than four times one', () => {
    const seat = worked.at(-1)
    if (!seat) throw new Error('no batch')
    const parts = Object.entries(seat.parts).map(([id, [part, wished]]) => ({
      id,
      facts: { lead: 'unlikely', use: 'light', ...part } as const,
      wish: wished,
    }))
    const four = planPiece({ parts }).timeline
    const alone = planPiece({ parts: parts.slice(0, 1) }).timeline
    expect(four.attendedMinutes).toBe(4 * alone.attendedMinutes - four.savedMinutes)
    expect(four.savedMinutes).toBeGreaterThan(60)
  })
})
