import { createElement } from 'react'
import { renderToStaticMarkup } from 'react-dom/server'
import { expect, test } from 'vitest'
import { defaultMethod } from '@/core/craft/method'
import type { Studio } from '@/core/house/studio'
import { FirstSteps } from './FirstSteps'

const studio = {
  currency: 'CHF',
  zone: 'Europe/Zurich',
  units: 'imperial',
  hourRate: 4250,
  method: defaultMethod,
} as unknown as Studio
const shown = (tins: number) => renderToStaticMarkup(createElement(FirstSteps, { studio, tins }))
/** The one that stands out: what to do now. */
const first = (html: string) =>
  /<a[^>]*press-now[^>]*href="([^"]+)"|href="([^"]+)"[^>]*press-now/.exec(html)?.slice(1).find(Boolean)

test('an empty bench says how the house reckons, and leads to it first', () => {
  expect(shown(0)).toContain('CHF, Europe/Zurich, inches, CHF')
  expect(shown(0)).toContain('42.50')
  expect(first(shown(0))).toBe('/house')
})
test('with a tin on the shelf the next thing is a piece', () => {
  expect(shown(1)).toContain('One tin stands there.')
  expect(first(shown(1))).toBe('/pieces/new')
})
