import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { parseMix } from '@/core/measure/mixParts'
import { componentsOf, shadeMix } from './mixes'

const quince = { name: 'Quince Rind', hex: '#b8923a', parts: 3 }
const oat = { name: 'Oat Husk', hex: '#d8c9a8', parts: 1 }

/** Names of tins, with words that mean something where a mix is told, figures and signs. */
const calledAnyhow = fc
  .array(
    fc.oneof(
      fc.stringMatching(/^[A-Z0-9:½%][a-z0-9]{0,8}$/),
      fc.constantFrom(
        'to',
        'To',
        'and',
        'with',
        'in',
        'Two',
        'Ten',
        'half',
        'a third',
        'Part',
        'parts of',
        'per cent',
        '1/2',
        '3:1',
        '20 %',
        'Équinoxe',
        '灰',
      ),
    ),
    { minLength: 1, maxLength: 4 },
  )
  .map((words) => words.join(' '))
  .filter((name) => /[^:,\s]/.test(name))

describe('a shade as it is mixed', () => {
  test.each([
    [null, 'Quince Rind : Oat Husk 3 : 1'],
    ['as it comes, the brush misted', 'Quince Rind : Oat Husk 3 : 1'],
    // four parts of shade to four of water
    ['paint : water 1 : 1', 'Quince Rind : Oat Husk : water 3 : 1 : 4'],
    ['paint with 20 % water', 'Quince Rind : Oat Husk : water 15 : 5 : 4'],
    ['clear glaze : paint 4 : 1', 'Quince Rind : Oat Husk : clear glaze 3 : 1 : 16'],
    ['powder : water 1 : 1, with bonding agent', 'Quince Rind : Oat Husk : water 3 : 1 : 4'],
  ])('laid as “%s” is %s', (mix, wanted) => expect(shadeMix([quince, oat], mix)).toBe(wanted))

  test('200 ml of it as a wash: 75 and 25 of the colours, 100 of water, each colour by its value', () => {
    const mix = shadeMix([quince, oat], 'paint : water 1 : 1')
    expect(componentsOf(mix, 200, 'clay', 'clay', [quince, oat])).toEqual([
      { name: 'Quince Rind', parts: 3, amount: 75, family: 'clay', hex: '#b8923a' },
      { name: 'Oat Husk', parts: 1, amount: 25, family: 'clay', hex: '#d8c9a8' },
      { name: 'water', parts: 4, amount: 100, family: null },
    ])
  })
  test('a colour called after plaster loses nothing in the mixing, as plaster does', () => {
    const [dust, sand] = [
      { name: 'Plaster Dust', hex: '#d8c9b8' },
      { name: 'Sand', hex: '#d8c08a' },
    ]
    expect(componentsOf('Plaster Dust : Sand 1 : 1', 200, 'clay', 'clay', [dust, sand])?.map(({ amount }) => amount)).toEqual([
      100, 100,
    ])
    // of plaster itself a tenth is lost: 180 ml come of 200
    expect(componentsOf('latex paint : plaster 1 : 1', 180, 'latex')?.map(({ amount }) => amount)).toEqual([100, 100])
  })
  test('a glaze is tinted with the paint of its plan', () => {
    const mix = shadeMix([quince, oat], 'clear glaze : paint 4 : 1')
    expect(componentsOf(mix, 200, 'glaze', 'latex', [quince, oat])?.map(({ family, amount }) => [family, amount])).toEqual([
      ['latex', 30],
      ['latex', 10],
      ['glaze', 160],
    ])
  })
  test('whatever its colours are called, it is read as it was written, each by its share', () =>
    fc.assert(
      fc.property(fc.array(fc.tuple(calledAnyhow, fc.integer({ min: 1, max: 9 })), { minLength: 2, maxLength: 5 }), (colours) => {
        const shade = colours.map(([name, parts]) => ({ name, parts }))
        const parts = parseMix(shadeMix(shade, null)) ?? []
        const whole = (all: readonly { parts: number }[]) => all.reduce((sum, each) => sum + each.parts, 0)
        expect(parts.map(({ name }) => name)).toEqual(
          shade.map(({ name }) => name.replaceAll(/[:,]/g, ' ').trim().split(/\s+/).join(' ')),
        )
        expect(parts.map((each) => each.parts / whole(parts))).toEqual(
          shade.map((each) => expect.closeTo(each.parts / whole(shade), 6)),
        )
      }),
    ))
})
