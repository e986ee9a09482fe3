import { describe, expect, test } from 'vitest'
import type { FamilyCode } from '@/core/craft/families'
import { defaultMethod } from '@/core/craft/method'
import type { PlannedStep } from '@/core/finish/step'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { checkStack } from '@/core/stack/checkStack'
import { plannedSteps } from '@/core/testing/planned'
import { findFromShelf, listAlternatives } from './alternatives'
import { figuresOf, type HouseResources, noMeans } from './figures'
import { planPiece } from './planPiece'
import { differenceOf, replan } from './replan'

const part: FinishablePart = { substrate: 'close-grained', existing: 'varnish', lead: 'unlikely', use: 'light', areaM2: 1 }
const jar = { name: 'Kelp Jar', hex: '#4c5a3c' }
const salt = { name: 'Salt Ledger', hex: '#f1ece0' }
const solid: FinishWish = { look: 'smooth-solid', paint: 'chalk-style', colours: { a: jar, b: salt } }
const stepsOf = (wish: FinishWish, facts = part) => plannedSteps(facts, wish)
const ahead = (wish: FinishWish, done: readonly PlannedStep[], facts = part): PlannedStep[] => {
  const outcome = replan(facts, wish, done)
  if ('refusal' in outcome) throw new Error(outcome.refusal.code)
  return outcome.steps
}
/** a shelf that has more of these than any plan takes */
const full = (...families: FamilyCode[]): HouseResources['shelf'] =>
  families.flatMap((family) => [jar, salt].map(({ name, hex }) => ({ family, name, hex, amount: 10_000 })))
const tins = (amounts: Partial<Record<FamilyCode, number>>): HouseResources['shelf'] =>
  Object.entries(amounts).map(([family, amount]) => ({ family: family as FamilyCode, name: jar.name, hex: jar.hex, amount }))
const operations = (steps: readonly PlannedStep[]) => steps.map(({ operation }) => operation)

describe('a mind changed half-way', () => {
  const upTo = (operation: string) => stepsOf(solid).slice(0, operations(stepsOf(solid)).lastIndexOf(operation as never) + 1)

  test('another colour after the first coat: nothing is prepared again, every coat of it is to come', () => {
    const done = upTo('dust-off').concat(stepsOf(solid).find(({ operation }) => operation === 'coat') ?? [])
    const rest = ahead({ ...solid, colours: { a: salt } }, done)
    expect(rest[0]).toMatchObject({ operation: 'coat', colour: salt })
    expect(rest.some(({ operation }) => operation === 'clean' || operation === 'scuff')).toBe(false)
    // pale hides badly: three
    expect(rest.filter(({ operation }) => operation === 'coat')).toHaveLength(3)
  })
  test('colour wanted over wax that is on already: the wax comes off first, and nothing is left that would peel', () => {
    const waxed = stepsOf({ ...solid, seal: 'wax' })
    const rest = ahead({ ...solid, colours: { a: salt }, seal: 'wax' }, waxed)
    expect(operations(rest).slice(0, 2)).toEqual(['dewax', 'wipe-spirits'])
    const stops = checkStack({ part, wish: { ...solid, colours: { a: salt }, seal: 'wax' }, acts: [...waxed, ...rest] })
    expect(stops.filter(({ severity }) => severity === 'stop')).toEqual([])
  })
  test('painted, and stripped again: every coat is to come, and what primed it is gone too', () => {
    const stripping = stepsOf({ ...solid, look: 'whitewash' }).filter(({ operation }) =>
      ['strip', 'scrape', 'neutralise'].includes(operation),
    )
    const rest = ahead(solid, [...stepsOf(solid), ...stripping])
    expect(rest.filter(({ operation }) => operation === 'coat')).toHaveLength(2)
    expect(rest.filter(({ operation }) => operation === 'clear-coat')).toHaveLength(2)
    expect(operations(rest).slice(0, 2)).toEqual(['sand', 'dust-off'])
    const [dark, pale] = [{ ...part, substrate: 'red-wood' } as const, { ...solid, colours: { a: salt } }]
    expect(operations(ahead(pale, [...stepsOf(pale, dark), ...stripping], dark))).toContain('block-prime')
  })
  test('the wax wiped off with spirits: it is waxed again', () => {
    const wish: FinishWish = { ...solid, seal: 'wax' }
    const wiped = stepsOf(wish, { ...part, existing: 'fresh-oil' }).filter(({ operation }) => operation === 'wipe-spirits')
    expect(wiped).toHaveLength(1)
    const rest = ahead(wish, [...stepsOf(wish), ...wiped])
    expect(operations(rest).filter((each) => each !== 'wipe-spirits')).toEqual(['clear-wax', 'wax-off', 'buff'])
  })
  test('worn back as well, after two solid coats: only the wear and the wax are more', () => {
    const done = upTo('coat')
    const rest = ahead({ ...solid, look: 'light-distress' }, done)
    expect(operations(rest)).toEqual(['dry-distress', 'dust-off', 'clear-wax', 'wax-off', 'buff'])
  })
  test('changed to another colour and back again: what covers it is laid again, none of it passed over', () => {
    const other = stepsOf({ ...solid, colours: { a: salt } }).find(({ operation }) => operation === 'coat')
    if (!other) throw new Error('no coat')
    const rest = ahead(solid, [...upTo('coat'), other])
    expect(rest.filter(({ operation }) => operation === 'coat').map(({ colour }) => colour?.name)).toEqual([
      'Kelp Jar',
      'Kelp Jar',
    ])
    // half of it laid again is half of it behind
    const back = rest.find(({ operation }) => operation === 'coat') as PlannedStep
    expect(operations(ahead(solid, [...upTo('coat'), other, back])).filter((code) => code === 'coat')).toHaveLength(1)
  })
  test('a glaze that is no longer wanted is covered before the stripes', () => {
    const glazed: FinishWish = { look: 'glaze-lift', paint: 'latex', colours: { a: salt, b: jar } }
    const done = stepsOf(glazed).slice(0, operations(stepsOf(glazed)).indexOf('glaze') + 1)
    const wish: FinishWish = { look: 'stripes', paint: 'latex', colours: { a: salt, b: { name: 'Kiln Dusk', hex: '#9a4b35' } } }
    const rest = ahead(wish, done)
    expect(operations(rest).slice(0, operations(rest).indexOf('tape'))).toContain('coat')
    expect(checkStack({ part, wish, acts: [...done, ...rest] }).map(({ code }) => code)).not.toContain('effect-buried')
  })
  test('tape for a pattern that is no longer wanted comes off before the next coat', () => {
    const striped: FinishWish = { look: 'stripes', paint: 'chalk-style', colours: { a: salt, b: jar } }
    const done = stepsOf(striped).slice(0, operations(stepsOf(striped)).indexOf('tape') + 1)
    expect(operations(ahead(solid, done))[0]).toBe('pull-tape')
  })
  test('loose milk paint is brushed off before a clear is laid between', () => {
    const chipping: FinishWish = { look: 'chippy-casein', paint: 'casein', colours: { a: jar, b: salt } }
    const done = stepsOf(chipping).slice(0, operations(stepsOf(chipping)).lastIndexOf('coat') + 1)
    const rest = operations(ahead({ ...solid, paint: 'latex' }, done))
    expect(rest.indexOf('brush-off-flakes')).toBeGreaterThanOrEqual(0)
    expect(rest.indexOf('brush-off-flakes')).toBeLessThan(rest.indexOf('seal-between'))
  })
  test('a wish that can’t be had is refused, whatever is done', () => {
    expect(replan({ ...part, lead: 'suspected' }, { ...solid, look: 'light-distress' }, [])).toMatchObject({
      refusal: { code: 'lead', nearest: { look: 'smooth-solid' } },
    })
  })
  test('the difference names what is more and what is no longer, and its minutes', () => {
    const before = stepsOf(solid)
    const after = stepsOf({ ...solid, seal: 'wax' })
    const { added, dropped, minutes, amounts, days } = differenceOf(before, after)
    expect(operations(added)).toEqual(['clear-wax', 'wax-off', 'buff'])
    expect(operations(dropped)).toEqual(['de-lint', 'clear-coat', 'smooth', 'clear-coat'])
    // 12 + 6 + 6 against 3 + 16 + 9 + 16
    expect(minutes).toBe(24 - 44)
    // 1000 / 12 × 1.1 ml of clear, twice; 1000 / 30 × 1.1 g of wax
    const of = (family: string) => amounts.find((each) => each.family === family)?.amount
    expect(of('water-clear')).toBe(-(92 + 92))
    expect(of('clear-wax')).toBe(37)
    expect(days).toBeLessThanOrEqual(1)
  })
})

describe('other ways', () => {
  const means: HouseResources = { ...noMeans, shelf: full('chalk-style', 'chalk-mineral', 'clear-wax', 'water-clear') }

  test('leaving the texture saves the rubs; a quicker look only stands there if it saves', () => {
    const ways = listAlternatives(part, solid, defaultMethod, means)
    const own = figuresOf(stepsOf(solid), means).minutes
    const texture = ways.find(({ change }) => change.kind === 'school' && change.to === 'texture')
    // the two rubs of the paint, 9 minutes each
    expect(texture?.figures.minutes).toBe(own - 18)
    for (const { change, figures } of ways) if (change.kind === 'look') expect(figures.minutes).toBeLessThan(own)
  })
  test('of one’s own layers: another paint is another way, the paint they are in is none', () => {
    const touches = [
      { id: 'one', operation: 'coat', family: 'chalk-mineral', colour: solid.colours.a, repeat: 2, by: 'painter' },
    ] as const
    const paints = listAlternatives(part, { ...solid, touches }, defaultMethod, means).flatMap(({ change, wish }) =>
      change.kind === 'paint' ? [[change.to, wish.touches?.[0]?.family]] : [],
    )
    expect(paints).toEqual([['chalk-style', 'chalk-style']])
  })
  test('a shade is taken from the tins of its colours, by its parts, and mixed once', () => {
    const [slate, husk] = [
      { name: 'Ferry Slate', hex: '#3d5661', parts: 2 },
      { name: 'Oat Husk', hex: '#e3d7bd', parts: 1 },
    ]
    const shade = { name: 'Two to one', hex: '#68777a', parts: [slate, husk] }
    const plain = stepsOf(solid)
    const mixed = stepsOf({ ...solid, colours: { a: shade } })
    const of = (steps: typeof plain) => figuresOf(steps, noMeans).amounts.filter(({ family }) => family === solid.paint)
    const whole = of(plain).reduce((sum, { amount }) => sum + amount, 0)
    expect(of(mixed).map(({ name, amount }) => [name, Math.round(amount)])).toEqual([
      ['Ferry Slate', Math.round((whole * 2) / 3)],
      ['Oat Husk', Math.round(whole / 3)],
    ])
    const minutes = (steps: typeof plain) => figuresOf(steps, noMeans).minutes
    expect(minutes(mixed) - minutes(plain)).toBe(3)
  })
  test('what the shelf lacks is named', () => {
    expect(figuresOf(stepsOf(solid), { ...noMeans, shelf: full('clay') }).lacking).toEqual(['chalk-style', 'water-clear'])
    expect(figuresOf(stepsOf(solid), means).lacking).toEqual([])
  })
  test('a square metre costs what its coats take, and what has no price is said', () => {
    const figures = figuresOf(stepsOf(solid), { ...noMeans, unitPrice: { 'chalk-style': 2 } })
    // 110 ml and 66 ml at 2
    expect(figures.materials).toBe(352)
    expect(figures.unpriced).toContain('water-clear')
    expect(figures.unpriced).not.toContain('chalk-style')
  })
  test('crackle asks for a sure hand and says what goes wrong; plain coats under wax ask for none', () => {
    const crackle = figuresOf(stepsOf({ ...solid, look: 'crackle' }), noMeans)
    expect([crackle.skill, crackle.risks]).toEqual([3, expect.arrayContaining(['no-second-pass'])])
    expect(figuresOf(stepsOf({ ...solid, seal: 'wax' }), noMeans)).toMatchObject({ skill: 1, risks: [] })
  })
  test('a longer working day needs fewer days', () => {
    const days = (to: number) => figuresOf(stepsOf(solid), { ...noMeans, hours: { from: 540, to, days: [1, 2, 3, 4, 5] } }).days
    expect(days(22 * 60)).toBeLessThan(days(12 * 60))
  })
})

describe('only what is on the shelf', () => {
  const from = (families: FamilyCode[], wish = solid) =>
    findFromShelf(part, wish, defaultMethod, { ...noMeans, shelf: full(...families) })

  test('a shelf that has it all keeps the wish', () => {
    expect(from(['chalk-style', 'water-clear'])).toMatchObject({ wish: solid })
  })
  test('without clear the topcoat gives way before the paint, the paint before the look', () => {
    expect(from(['chalk-style', 'clear-wax', 'chalk-mineral'])).toMatchObject({
      wish: { look: 'smooth-solid', paint: 'chalk-style', seal: 'wax' },
    })
    expect(from(['clay', 'clear-wax'])).toMatchObject({ wish: { look: 'smooth-solid', paint: 'clay', seal: 'wax' } })
  })
  test('whatever it finds takes nothing that is not there', () => {
    for (const look of ['crackle', 'two-colour-distress', 'whitewash'] as const) {
      const found = from(['clay', 'clear-wax', 'water-clear'], { ...solid, look, paint: 'clay' })
      if ('figures' in found) expect(found.figures.lacking).toEqual([])
    }
  })
  test('a tin that holds too little is as none: the clear gives way where it would not reach', () => {
    const { wish } = findFromShelf(part, solid, defaultMethod, {
      ...noMeans,
      shelf: tins({ 'chalk-style': 176, 'water-clear': 60, 'clear-wax': 400 }),
    }) as { wish: FinishWish }
    expect(wish).toMatchObject({ look: 'smooth-solid', paint: 'chalk-style', seal: 'wax' })
    // 110 + 66 ml of the paint are needed: one short and it is lacking
    expect(figuresOf(stepsOf(solid), { ...noMeans, shelf: tins({ 'chalk-style': 175, 'water-clear': 1000 }) }).lacking).toEqual([
      'chalk-style',
    ])
    expect(figuresOf(stepsOf(solid), { ...noMeans, shelf: tins({ 'chalk-style': 176, 'water-clear': 1000 }) }).lacking).toEqual(
      [],
    )
  })
  test('an empty shelf says what is lacking at the least', () => {
    const found = from([])
    expect(found).toEqual({ lacking: ['chalk-style', expect.any(String)] })
  })
})

describe('a whole piece', () => {
  test('two parts of a square metre: amounts add up, and what is not on the shelf is to be bought', () => {
    const plan = planPiece({
      parts: ['top', 'base'].map((id) => ({ id, facts: part, wish: solid })),
      shelf: tins({ 'chalk-style': 352, 'water-clear': 100 }),
    })
    // per part: 1000 × 1/10 × 1.1 = 110, and 0.6 of it = 66
    expect(plan.amounts).toContainEqual({ family: 'chalk-style', hex: jar.hex, name: jar.name, amount: 2 * (110 + 66) })
    expect(plan.toBuy).toEqual(['water-clear'])
  })
  test('a part that is refused does not keep the others from their plan', () => {
    const plan = planPiece({
      parts: [
        { id: 'top', facts: part, wish: solid },
        { id: 'seat', facts: { ...part, substrate: 'pile-fabric' }, wish: solid },
      ],
    })
    expect(plan.parts.map(({ id }) => id)).toEqual(['top'])
    expect(plan.refused).toEqual([{ id: 'seat', refusal: { code: 'pile', nearest: null } }])
  })
})
