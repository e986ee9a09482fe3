import fc from 'fast-check'
import { expect, test } from 'vitest'
import { contrast, lchOf } from '@/core/craft/colour'
import { shadeOf } from './shade'

const white = '#ffffff'
const [yellow, blue, red] = ['#f2d024', '#2f56b0', '#c22a26']

test('pigments, not lights: yellow and blue make a green, red and white a paler red of the same hue', () => {
  const { hue } = lchOf(
    shadeOf([
      { hex: yellow, parts: 1 },
      { hex: blue, parts: 1 },
    ]),
  )
  expect(hue).toBeGreaterThan(115)
  expect(hue).toBeLessThan(195)
  const pink = lchOf(
    shadeOf([
      { hex: red, parts: 1 },
      { hex: white, parts: 3 },
    ]),
  )
  expect(pink.lightness).toBeGreaterThan(lchOf(red).lightness)
  expect(Math.abs(pink.hue - lchOf(red).hue)).toBeLessThan(25)
})
test('one colour alone is itself, in whatever parts; the order does not matter, nor the size of the batch', () => {
  expect(contrast(shadeOf([{ hex: '#3d5661', parts: 2 }]), '#3d5661')).toBeLessThan(0.01)
  const hex = fc.constantFrom('#3d5661', '#f1ece0', '#9a4b35', '#2c2f33', '#d9b25f')
  fc.assert(
    fc.property(hex, hex, fc.integer({ min: 1, max: 9 }), fc.integer({ min: 1, max: 9 }), (one, other, a, b) => {
      const made = shadeOf([
        { hex: one, parts: a },
        { hex: other, parts: b },
      ])
      const turned = shadeOf([
        { hex: other, parts: 3 * b },
        { hex: one, parts: 3 * a },
      ])
      expect(contrast(made, turned)).toBeLessThan(0.01)
    }),
  )
})
test('more of the dark one makes it darker; no part at all is an error', () => {
  const lightness = [1, 2, 4, 8].map(
    (parts) =>
      lchOf(
        shadeOf([
          { hex: '#f1ece0', parts: 4 },
          { hex: '#2c2f33', parts },
        ]),
      ).lightness,
  )
  expect(lightness).toEqual([...lightness].sort((a, b) => b - a))
  expect(() => shadeOf([{ hex: '#3d5661', parts: 0 }])).toThrow(/one part above nothing/)
})
