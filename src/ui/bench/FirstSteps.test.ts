import { createElement } from 'react'
import { renderToStaticMarkup } from 'react-dom/server'
import { expect, test } from 'vitest'
import type { Studio } from '@/core/house/studio'
import { FirstSteps } from './FirstSteps'

const studio = {
  currency: 'CHF',
  zone: 'Europe/Zurich',
  locale: 'de-CH',
  units: 'imperial',
  hourRate: 4250,
} as Studio
const shown = (tins: number, kept: boolean) =>
  renderToStaticMarkup(createElement(FirstSteps, { studio: { ...studio, kept }, start: 'What do you reckon in?', tins }))
/** The one that stands out: what to do now. */
const first = (html: string) =>
  /<a[^>]*press-now[^>]*href="([^"]+)"|href="([^"]+)"[^>]*press-now/.exec(html)?.slice(1).find(Boolean)

test('an empty bench asks how the house reckons before anything else', () => {
  expect(shown(0, false)).toContain('What do you reckon in?')
  expect(first(shown(0, false))).toBeUndefined()
})
test('once that is said it stands there, as it is written there; the next thing is a tin, then a piece', () => {
  expect(shown(0, true)).toContain('CHF, Europe/Zurich, inches, imperial pints, CHF\u00a042.50 an hour of work.')
  expect(shown(0, true)).not.toContain('What do you reckon in?')
  expect(first(shown(0, true))).toBe('/shelf')
  expect(shown(1, true)).toContain('One tin stands there.')
  expect(first(shown(1, true))).toBe('/pieces/new')
})
test('whoever began with the shelf is asked still', () => expect(shown(1, false)).toContain('What do you reckon in?'))
