import { v7 as uuidv7 } from 'uuid'
import { describe, expect, test } from 'vitest'
import { parseMinutes } from '@/core/measure/minutes'
import { correctionInput, endInput, readingInput } from './entry'
import type { House } from './fields'
import { studioInput } from './house'
import { endingInput, findingInput, intakeInput, type IntakeText, planInput } from './piece'
import { forecastInput } from './week'

const house: House = { currency: 'GBP', units: 'metric', zone: 'Europe/London', locale: 'en-GB' }
const words = (result: { success: boolean; error?: { issues: { path: PropertyKey[]; message: string }[] } | undefined }) =>
  Object.fromEntries((result.error?.issues ?? []).map(({ path, message }) => [path.join('.'), message]))

describe('minutes as they are typed', () => {
  test.each([
    ['35', 35],
    ['35 min', 35],
    ['1 h 20', 80],
    ['1:20', 80],
    ['2h', 120],
  ] as const)('“%s” is %d', (text, minutes) => expect(parseMinutes(text)).toBe(minutes))
  test.each(['', 'half an hour', '25 h', '-5'])('“%s” is none', (text) => expect(parseMinutes(text)).toBeNull())
})

const intake = (over: Partial<IntakeText> = {}): IntakeText => ({
  id: uuidv7(),
  boughtEntryId: uuidv7(),
  fetchingEntryId: uuidv7(),
  takenInOn: '2026-05-04',
  name: ' Washstand ',
  source: 'auction',
  sourceNote: '',
  client: '',
  promisedOn: '',
  expected: '',
  condition: '',
  bought: '32',
  fetching: '',
  parts: [
    {
      id: uuidv7(),
      name: 'Top',
      kind: 'top',
      count: '1',
      substrate: 'veneer',
      existing: 'unknown',
      lead: 'unlikely',
      use: 'light',
      bleeds: false,
      knots: '',
      surfaces: [{ id: uuidv7(), shape: 'panel', relief: 'flat', count: '2', width: '82,5', height: '40 mm' }],
    },
  ],
  ...over,
})

describe('taking a piece in', () => {
  test('blank money is nothing spent, blank words are none, lengths are millimetres', () => {
    const parsed = intakeInput(house).parse(intake())
    expect(parsed).toMatchObject({ name: 'Washstand', bought: 3200, fetching: 0, expected: null, client: null, promisedOn: null })
    expect(parsed.parts[0]?.surfaces[0]).toMatchObject({ width: 825, height: 40, count: 2 })
  })
  test('what can’t be read says what to write, by its field', () => {
    const bad = intake({ name: ' ', bought: 'thirty' })
    bad.parts[0]!.surfaces[0] = { ...bad.parts[0]!.surfaces[0]!, width: 'wide', count: '1.5' } as never
    expect(words(intakeInput(house).safeParse(bad))).toEqual({
      name: 'Say what the piece is.',
      bought: 'Write an amount like 42 or 42.50.',
      'parts.0.surfaces.0.width': 'A length in cm, like 82 or 82.5.',
      'parts.0.surfaces.0.count': 'A whole number.',
    })
  })
  test('a piece has at least one part, and a part one surface', () => {
    expect(words(intakeInput(house).safeParse(intake({ parts: [] }))).parts).toBe('A piece has at least one part.')
  })
})

describe('letting it go', () => {
  const ending = {
    entryId: uuidv7(),
    pieceId: uuidv7(),
    outcome: 'sold' as const,
    channelId: '',
    price: '',
    fees: '',
    on: '2026-05-20',
    note: '',
  }
  test('sold asks where and for how much; kept asks neither', () => {
    expect(words(endingInput(house).safeParse(ending))).toEqual({
      price: 'Write what was paid, like 240.',
      channelId: 'Choose where it was sold.',
    })
    expect(endingInput(house).safeParse({ ...ending, outcome: 'kept' }).success).toBe(true)
  })
  test('fees above the price are looked at twice', () => {
    const odd = { ...ending, channelId: uuidv7(), price: '20', fees: '200' }
    expect(words(endingInput(house).safeParse(odd))).toEqual({ fees: 'Fees above the price: check both.' })
  })
})

describe('other entries', () => {
  const on = { entryId: uuidv7(), pieceId: uuidv7(), partId: uuidv7(), stepId: uuidv7(), at: '2026-05-04T09:00:00.000Z' }
  test('an end may leave its minutes to the clock', () => {
    expect(endInput.parse({ ...on, minutes: '' }).minutes).toBeNull()
    expect(words(endInput.safeParse({ ...on, minutes: 'long' }))).toEqual({ minutes: 'Write minutes like 35, 35 min or 1 h 20.' })
  })
  test('a test can show only what it can show; “I don’t know” is an answer to all', () => {
    const found = { ...on, tests: { alcohol: 'unknown', look: 'shiny-wood' }, signs: { age: 'old' }, existing: '' as const }
    expect(findingInput.safeParse(found).success).toBe(true)
    expect(words(findingInput.safeParse({ ...found, tests: { alcohol: 'sings' } }))).toEqual({
      'tests.alcohol': 'This test can’t show that. Choose what was seen.',
    })
  })
  test('85 °C is not believed', () => {
    const reading = { id: uuidv7(), at: on.at, temperature: '85', humidity: '50' }
    expect(words(readingInput.safeParse(reading))).toEqual({ temperature: 'Write the temperature in °C, from -30 to 50.' })
  })
  test('a correction’s moment is the studio’s wall, not UTC', () => {
    const typed = {
      entryId: uuidv7(),
      corrects: uuidv7(),
      pieceId: uuidv7(),
      at: '2026-07-01T12:00',
      minutes: '',
      productId: '',
      mix: '',
      amount: '',
      applicator: '',
      film: '' as const,
      costKind: '' as const,
      money: '',
      fees: '',
      channelId: '',
      note: '',
    }
    expect(correctionInput(house).parse(typed).at).toBe('2026-07-01T11:00:00.000Z')
  })
  test('a plan names its colours, and its order only once checked', () => {
    const plan = {
      planId: uuidv7(),
      partId: uuidv7(),
      pieceId: uuidv7(),
      stepIds: [],
      at: on.at,
      look: 'smooth-solid' as const,
      with: [],
      paint: 'clay' as const,
      seal: '' as const,
      departures: {},
      order: [],
      colours: { a: { name: '', hex: '#3d566' } },
    }
    expect(words(planInput.safeParse(plan))).toEqual({
      'colours.a.name': 'Say the colour’s name.',
      'colours.a.hex': 'Choose a colour value, like #b24a2f.',
    })
  })
  test('a house’s margin is a share, its profit money, its currency a real one', () => {
    const studio = {
      name: 'A studio',
      currency: 'gbp',
      zone: 'Europe/London',
      units: 'metric' as const,
      hourRate: '18',
      overheadRate: '',
      locale: 'en-GB' as const,
      taxMode: 'none' as const,
      taxShare: '0',
      wishKind: 'margin' as const,
      wishValue: '25',
      haggleShare: '10',
      priceStep: '5',
      worksFrom: '08:30',
      worksTo: '16:00',
      worksDays: ['6', '1', '2'] as ('6' | '1' | '2')[],
    }
    expect(studioInput.parse(studio)).toMatchObject({
      currency: 'GBP',
      wishValue: 0.25,
      haggleShare: 0.1,
      priceStep: 500,
    })
    expect(studioInput.parse({ ...studio, wishKind: 'profit', wishValue: '40' }).wishValue).toBe(4000)
    expect(words(studioInput.safeParse({ ...studio, currency: 'ZZZ', zone: 'Nowhere/Land' }))).toEqual({
      currency: 'Three letters of a currency, like GBP.',
      zone: 'Choose a time zone from the list.',
    })
    expect(studioInput.parse(studio)).toMatchObject({ worksFrom: 510, worksTo: 960, worksDays: [1, 2, 6] })
    expect(words(studioInput.safeParse({ ...studio, worksFrom: '16:00', worksTo: '16:20' }))).toEqual({
      worksTo: 'The day ends at least half an hour after it begins; a night is no longer than 14 hours.',
    })
    // a night: its end is the next morning's
    expect(studioInput.parse({ ...studio, worksFrom: '22:00', worksTo: '06:00' })).toMatchObject({
      worksFrom: 1320,
      worksTo: 1800,
    })
    expect(words(studioInput.safeParse({ ...studio, worksDays: [] }))).toEqual({ worksDays: 'Choose at least one day.' })
  })
})

describe('what the air will be', () => {
  const typed = {
    id: uuidv7(),
    roomId: '',
    from: '2026-12-01',
    to: '2026-12-03',
    temperature: '12,5',
    humidity: '82',
  }
  test('two figures for days in order', () => {
    expect(forecastInput.parse(typed)).toMatchObject({ roomId: null, air: { temperature: 12.5, humidity: 82 } })
  })
  test('everything that is wrong is said at once', () =>
    expect(words(forecastInput.safeParse({ ...typed, to: '2026-11-30', temperature: 'warm', humidity: '182' }))).toEqual({
      to: 'The last day is the first one or later, at most sixty days on.',
      temperature: 'Write the temperature in °C, from -30 to 50.',
      humidity: 'Write the humidity in %, from 1 to 100.',
    }))
  test('no forecast for longer than two months', () =>
    expect(forecastInput.safeParse({ ...typed, to: '2027-02-15' }).success).toBe(false))
})
