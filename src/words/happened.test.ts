import { describe, expect, test } from 'vitest'
import type { ChangedFacts, DoorEvent, HouseThing } from '@/core/house/doorEvents'
import { deviceWords, happenedWords } from './happened'
import { plainCell } from './table'

const told = (what: DoorEvent, over: Partial<Parameters<typeof happenedWords>[0]> = {}) =>
  happenedWords(
    { what, by: null, about: 'perran', role: null, agent: null, thing: null, named: null, facts: null, ...over },
    { currency: 'GBP', locale: 'en-GB' },
  )
const phone = 'Mozilla/5.0 (some system) Mobile'

describe('what happened at the doors', () => {
  test('says who, and who did it where that was somebody else', () => {
    expect(told('came-in', { agent: phone })).toBe('perran came in, on a phone.')
    expect(told('signed-out', { by: 'perran', agent: phone })).toBe('perran signed themself out on a phone.')
    expect(told('signed-out', { by: 'Isolt' })).toBe('Isolt signed perran out on some device.')
    expect(told('sent-away', { by: 'Isolt' })).toBe('perran comes in no more, says Isolt.')
    expect(told('sent-away')).toBe('perran comes in no more.')
    expect(told('joined', { role: 'helper' })).toBe('perran joined as helper.')
    expect(told('role', { role: 'owner', by: 'Isolt' })).toBe('perran is an owner here now, says Isolt.')
    expect(told('password')).toBe('perran has another password.')
  })
  test('of a link: whose it is, and that of the first owner is the machine’s', () => {
    expect(told('invited', { by: 'Isolt', about: null, role: 'painter' })).toBe('Isolt made a link for a painter.')
    expect(told('invited', { about: null, role: 'owner' })).toBe('Whoever runs the machine made a link for an owner.')
    expect(told('invitation-back', { by: 'Isolt', about: null, role: 'bookkeeper' })).toBe(
      'Isolt took back a link for a bookkeeper.',
    )
  })
})
test('what the house goes by is told with what it was and is, in its own figures', () => {
  const changed = (thing: HouseThing, named: string | null, facts: ChangedFacts) =>
    told('changed', { about: null, by: 'Isolt', thing, named, facts })
  expect(changed('studio', null, { hour_rate: [1800, 2000], tax_share: [0, 0.2] })).toBe(
    'Isolt changed the house: an hour of work £18.00 → £20.00, tax 0 % → 20 %.',
  )
  // what belongs together is told once, what can't be read in a line without its figures
  expect(changed('person', 'Perran', { works_from: [540, 600], works_to: [1020, 1080] })).toBe('Isolt changed Perran: the hours.')
  expect(changed('product', 'Tide Cup', { price: [2100, 2350] })).toBe('Isolt changed Tide Cup: the price £21.00 → £23.50.')
  expect(told('changed', { by: 'Isolt', thing: 'channel', named: 'Booth', facts: null })).toBe('Isolt changed Booth.')
  expect(told('made', { by: 'Isolt', thing: 'plan', named: 'Hall settle, seat' })).toBe('Isolt planned Hall settle, seat.')
  expect(told('ended', { by: 'Isolt', thing: 'calendar_feed' })).toBe('Isolt took back a private address of the calendar.')
})
test('a device is told by what its browser says', () =>
  expect([phone, 'Mozilla/5.0 (Tablet)', 'Mozilla/5.0 (X11)', 'node', null].map(deviceWords)).toEqual([
    'a phone',
    'a tablet',
    'a computer',
    'some device',
    'some device',
  ]))
test('a spreadsheet takes no cell for a formula', () =>
  expect(['=1+1', '@x', '-4', 'wax', 4, null].map(plainCell)).toEqual(["'=1+1", "'@x", "'-4", 'wax', 4, null]))
