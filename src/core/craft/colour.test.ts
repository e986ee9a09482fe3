import { formatHex } from 'culori'
import { describe, expect, test } from 'vitest'
import { complementOf, contrast, coverFor, darkerOf, enoughContrast, hidesBadly, isPale, lchOf } from './colour'

describe('how many coats a colour needs', () => {
  test('a blue over varnished wood: two, as usual', () => {
    expect(coverFor('#3d5661', '#8f5a2a', false)).toEqual({ coats: 2, reasons: ['usual'] })
  })
  test('white hides badly: three; straight over black: four', () => {
    expect(coverFor('#f1ece0', '#cfc9b8', true)).toEqual({ coats: 3, reasons: ['hides-badly'] })
    expect(coverFor('#f1ece0', '#2c2f33', true)).toEqual({ coats: 4, reasons: ['hides-badly', 'pale-over-dark'] })
  })
  test('a clean red hides badly too', () => expect(coverFor('#c8281e', null, false).coats).toBe(3))
  test('a strong tone over a paint like it: one', () => {
    expect(coverFor('#9a4b35', '#a0523b', true)).toEqual({ coats: 1, reasons: ['strong-over-alike'] })
    expect(coverFor('#9a4b35', '#a0523b', false).coats).toBe(2)
  })
})

describe('two colours', () => {
  test('slate and husk are far enough apart to be worn; slate and its neighbour are not', () => {
    expect(contrast('#3d5661', '#e3d7bd')).toBeGreaterThan(enoughContrast)
    expect(contrast('#3d5661', '#425c66')).toBeLessThan(enoughContrast)
  })
  test.each([
    ['green', '#4a8f4f', [10, 60]],
    ['orange-red', '#c8502e', [110, 175]],
    ['blue', '#3a66b5', [45, 85]],
    ['orange', '#d98636', [220, 290]],
    ['violet', '#7a4aa8', [85, 120]],
    ['yellow', '#d9c23f', [285, 330]],
  ] as const)('the painter’s opposite of %s, on the painter’s wheel', (_, hex, [from, to]) => {
    const { hue } = lchOf(complementOf(hex))
    expect(hue).toBeGreaterThan(from)
    expect(hue).toBeLessThan(to)
  })
  test('the opposite of the opposite is where it began, all around the wheel', () => {
    for (let hue = 0; hue < 360; hue += 5) {
      const hex = formatHex({ mode: 'oklch', l: 0.6, c: 0.06, h: hue })
      const back = lchOf(complementOf(complementOf(hex))).hue
      const apart = Math.abs(back - lchOf(hex).hue)
      expect(Math.min(apart, 360 - apart)).toBeLessThan(8)
    }
  })
  test('a darker shade is darker', () => expect(lchOf(darkerOf('#9a4b35')).lightness).toBeLessThan(lchOf('#9a4b35').lightness))
  test('pale is pale, and what is no colour is an error', () => {
    expect([isPale('#f1ece0'), isPale('#3d5661'), hidesBadly('#d9b25f')]).toEqual([true, false, false])
    expect(() => lchOf('blue-ish')).toThrow(/no colour value: blue-ish/)
  })
})
