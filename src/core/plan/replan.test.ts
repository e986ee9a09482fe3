import { describe, expect, test } from 'vitest'
import { defaultMethod } from '../finish/method'
import { planFinish, type FinishablePart, type FinishWish, type PlannedStep } from '../finish/planFinish'
import { checkStack } from '../stack/checkStack'
import { figuresOf, listAlternatives } from './alternatives'
import { planPiece } from './planPiece'
import { differenceOf, replan } from './replan'

const part: FinishablePart = { substrate: 'close-grained', existing: 'varnish', lead: 'unlikely', use: 'light', areaM2: 1 }
const jar = { name: 'Kelp Jar', hex: '#4c5a3c' }
const salt = { name: 'Salt Ledger', hex: '#f1ece0' }
const solid: FinishWish = { look: 'smooth-solid', paint: 'chalk-style', colours: { a: jar, b: salt } }
const stepsOf = (wish: FinishWish, facts = part): PlannedStep[] => {
  const outcome = planFinish(facts, wish)
  if ('refusal' in outcome) throw new Error(outcome.refusal.code)
  return outcome.plan.steps
}
const ahead = (wish: FinishWish, done: readonly PlannedStep[], facts = part): PlannedStep[] => {
  const outcome = replan(facts, wish, done)
  if ('refusal' in outcome) throw new Error(outcome.refusal.code)
  return outcome.steps
}
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
  test('worn back as well, after two solid coats: only the wear and the wax are more', () => {
    const done = upTo('coat')
    const rest = ahead({ ...solid, look: 'light-distress' }, done)
    expect(operations(rest)).toEqual(['dry-distress', 'dust-off', 'clear-wax', 'wax-off', 'buff'])
  })
  test('a wish that can’t be had is refused, whatever is done', () => {
    expect(replan({ ...part, lead: 'suspected' }, { ...solid, look: 'light-distress' }, [])).toMatchObject({
      refusal: { code: 'lead', nearest: { look: 'smooth-solid' } },
    })
  })
  test('the difference names what is more and what is no longer, and its minutes', () => {
    const before = stepsOf(solid)
    const after = stepsOf({ ...solid, seal: 'wax' })
    const { added, dropped, minutes } = differenceOf(before, after)
    expect(operations(added)).toEqual(['clear-wax', 'wax-off', 'buff'])
    expect(operations(dropped)).toEqual(['de-lint', 'clear-coat', 'smooth', 'clear-coat'])
    // 12 + 6 + 6 against 3 + 16 + 9 + 16
    expect(minutes).toBe(24 - 44)
  })
})

describe('other ways', () => {
  const shelf = ['chalk-style', 'chalk-mineral', 'clear-wax', 'water-clear'] as const

  test('leaving the texture saves the rubs; a quicker look only stands there if it saves', () => {
    const ways = listAlternatives(part, solid, defaultMethod, shelf)
    const own = figuresOf(stepsOf(solid), shelf).minutes
    const texture = ways.find(({ change }) => change.kind === 'school' && change.to === 'texture')
    // the two rubs of the paint, 9 minutes each
    expect(texture?.figures.minutes).toBe(own - 18)
    for (const { change, figures } of ways) if (change.kind === 'look') expect(figures.minutes).toBeLessThan(own)
  })
  test('what the shelf lacks is named', () => {
    expect(figuresOf(stepsOf(solid), ['clay']).lacking).toEqual(['chalk-style', 'water-clear'])
    expect(figuresOf(stepsOf(solid), shelf).lacking).toEqual([])
  })
})

describe('a whole piece', () => {
  test('two parts of a square metre: amounts add up, and what is not on the shelf is to be bought', () => {
    const plan = planPiece({
      parts: ['top', 'base'].map((id) => ({ id, facts: part, wish: solid })),
      shelf: ['chalk-style'],
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
