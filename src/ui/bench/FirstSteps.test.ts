import { createElement } from 'react'
import { renderToStaticMarkup } from 'react-dom/server'
import { expect, test } from 'vitest'
import type { Studio } from '@/core/house/studio'
import { FirstSteps } from './FirstSteps'

const studio = {
  currency: 'CHF',
  zone: 'Europe/Zurich',
  units: 'imperial',
  hourRate: 4250,
} as Studio
const shown = (tins: number, kept: boolean) =>
  renderToStaticMarkup(createElement(FirstSteps, { studio: { ...studio, kept }, tins }))
/** The one that stands out: what to do now. */
const first = (html: string) =>
  /<a[^>]*press-now[^>]*href="([^"]+)"|href="([^"]+)"[^>]*press-now/.exec(html)?.slice(1).find(Boolean)

test('an empty bench says how the house reckons, and leads to it first', () => {
  expect(shown(0, false)).toContain('CHF, Europe/Zurich, inches, CHF')
  expect(shown(0, false)).toContain('42.50')
  expect(first(shown(0, false))).toBe('/house')
})
test('once that is said the next thing is a tin, then a piece; whoever began with the shelf is asked still', () => {
  expect(first(shown(0, true))).toBe('/shelf')
  expect(shown(1, true)).toContain('One tin stands there.')
  expect(first(shown(1, true))).toBe('/pieces/new')
  expect(first(shown(1, false))).toBe('/house')
})
