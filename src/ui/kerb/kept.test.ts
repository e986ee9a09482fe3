import { describe, expect, test } from 'vitest'
import type { House } from '@/core/input/fields'
import { asArticle, cardOf, moneyTrouble, newCard, purse, readCards } from './kept'

const house: House = { currency: 'GBP', locale: 'en-GB', units: 'metric', zone: 'Europe/London' }
const at = '2026-06-01T10:00:00.000Z'
const chest = newCard('chest', at, undefined)

describe('cards that a device keeps', () => {
  test('come back as they were; what can’t be read is begun anew', () => {
    const all = { sale: 'Barn sale', budget: '300', cards: [{ ...chest, brings: '12x' }] }
    expect(readCards(JSON.stringify(all))).toEqual(all)
    for (const broken of [
      null,
      '',
      '{',
      '[]',
      '{"cards":[{}]}',
      JSON.stringify({ ...all, cards: [{ ...chest, facts: { article: 'ark' } }] }),
    ])
      expect(readCards(broken)).toEqual({ sale: '', budget: '', cards: [] })
  })
  test('nobody has looked at it yet: what is on it and lead are not known', () =>
    expect(chest.facts).toMatchObject({ existing: 'unknown', lead: 'unknown', state: 'sound' }))
  test('the next one shall become what the one before shall, and is fetched likewise', () => {
    const before = { ...chest, fetching: '12', facts: { ...chest.facts, look: 'whitewash' as const } }
    expect(newCard('bed', at, before)).toMatchObject({ name: 'Bed', fetching: '12', brings: '', facts: { look: 'whitewash' } })
  })
  test('another article keeps what was seen, and a name that was typed', () => {
    const seen = { ...chest, facts: { ...chest.facts, existing: 'wax' as const } }
    expect(asArticle(seen, 'bed')).toMatchObject({ id: chest.id, name: 'Bed', facts: { article: 'bed', existing: 'wax' } })
    expect(asArticle({ ...seen, name: 'With brass pulls' }, 'bed').name).toBe('With brass pulls')
  })
  test('money that can’t be read is told with what to do; nothing typed is nothing wrong', () => {
    expect(moneyTrouble('4o', house)).toMatch(/Write an amount like/)
    expect([moneyTrouble('', house), moneyTrouble('7.50', house)]).toEqual([undefined, undefined])
  })
  test('money that can’t be read is not said, and nothing where nothing was typed', () => {
    expect(cardOf({ ...chest, brings: ' ', fetching: '' }, house)).toMatchObject({ brings: null, fetching: 0 })
    expect(cardOf({ ...chest, brings: '4o', fetching: '1e3' }, house)).toMatchObject({ brings: null, fetching: 0 })
    expect(cardOf({ ...chest, brings: '320', fetching: '7.50' }, house)).toMatchObject({ brings: 32_000, fetching: 750 })
  })
})
test('the purse: what was paid of the budget, and what is still open', () => {
  const cards = [
    { ...chest, outcome: 'bought' as const, wentFor: '85', highest: 9_000 },
    { ...chest, outcome: 'outbid' as const, wentFor: '140', highest: 6_000 },
    { ...chest, highest: 4_891 },
    { ...chest, highest: null },
  ]
  expect(purse({ sale: '', budget: '200', cards }, house)).toEqual({ budget: 20_000, spent: 8_500, left: 11_500, open: 4_800 })
  expect(purse({ sale: '', budget: '', cards }, house)).toMatchObject({ budget: null, left: null })
})
