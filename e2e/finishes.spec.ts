/** The kinds of finishes that painters put together of layers, each on an article of its own: from the desk to the last step, and read in the record. */
import { expect } from '@playwright/test'
import { test } from './named'
import { takeIn } from './takeIn'
import { lane, type Layer, putTogether, spanOf, steps, takeThisWay, workAll } from './work'

const coat = 'Paint'
const third = 'about a third, here and there'
const half = 'about half, here and there'
const slate: [string, string] = ['Ferry Slate', '#3d5661']
const oat: [string, string] = ['Oat Husk', '#e3d7bd']
const rind: [string, string] = ['Quince Rind', '#b8923a']
const kelp: [string, string] = ['Kelp Jar', '#4c5a3c']
const brick: [string, string] = ['Kiln Brick', '#8a4a35']

interface Finish {
  article: string
  layers: Layer[]
  /** what must be among its steps, in this order */
  order: RegExp[]
}
const finishes: Finish[] = [
  {
    article: 'Pot cupboard',
    layers: [
      { done: coat, with: 'clay paint', colour: slate, often: 'twice' },
      { done: coat, with: 'clay paint', colour: oat, share: half },
      { done: 'Dry brush, from the edges in', with: 'clay paint', colour: rind },
      { done: 'Wear it back with a damp cloth' },
      { done: 'Clear coat, laid off one way', often: 'twice' },
      { done: 'Gilding wax by finger on the high points', only: 'edges' },
    ],
    order: [/Coat.*Ferry Slate/, /Coat.*Oat Husk/, /Dry brush.*Quince Rind/, /Wear it back/, /Clear coat/, /Gilding wax/],
  },
  {
    article: 'Garden coffer',
    layers: [
      { done: coat, with: 'chalk-style paint', colour: kelp },
      { done: coat, with: 'chalk-style paint', colour: oat, share: half },
      { done: 'Thinned colour misted and let run', with: 'chalk-style paint', colour: rind, share: half },
      { done: 'Thinned colour misted and let run', with: 'chalk-style paint', colour: slate, share: third },
      { done: 'Wear it back with a damp cloth' },
    ],
    order: [/Coat.*Kelp Jar/, /misted and let run.*Quince Rind/, /misted and let run.*Ferry Slate/, /Wear it back/],
  },
  {
    article: 'Hall shelf',
    layers: [
      { done: coat, with: 'clay paint', colour: kelp, often: 'twice' },
      { done: 'Thin clear between the colours' },
      { done: coat, with: 'clay paint', colour: oat },
      { done: 'Blend two colours wet', with: 'clay paint', colour: rind },
      { done: 'Wear it back with a damp cloth' },
      { done: 'Clear coat, laid off one way', often: 'twice' },
    ],
    order: [/Coat.*Kelp Jar/, /Thin clear between/, /Coat.*Oat Husk/, /Blend.*Quince Rind/, /Wear it back/, /Clear coat/],
  },
  {
    article: 'Corner coffer',
    layers: [
      { done: 'Thickened coat, stippled unevenly', with: 'chalk-style paint', colour: brick, only: 'edges' },
      { done: coat, with: 'chalk-style paint', colour: slate, share: half },
      { done: coat, with: 'chalk-style paint', colour: kelp, share: half },
      { done: 'Scrape the high points with a blade' },
      { done: 'Clear wax, thinly, small sections' },
      { done: 'Tinted wax into recesses and edges', with: 'black wax', only: 'recesses' },
    ],
    order: [/Thickened coat.*Kiln Brick/, /Coat.*Ferry Slate/, /Coat.*Kelp Jar/, /Scrape/, /Clear wax/, /Tinted wax/],
  },
  {
    article: 'Corner cupboard',
    layers: [
      { done: coat, with: 'chalk-style paint', colour: oat, often: 'twice' },
      {
        done: 'Wash on and wipe back, a section at a time',
        with: 'chalk-style paint',
        colour: slate,
        mix: 'paint : water 1 : 3',
      },
      { done: 'Dry brush, from the edges in', with: 'chalk-style paint', colour: brick },
      { done: 'Clear coat, laid off one way', often: 'twice' },
      { done: 'Gilding wax by finger on the high points', only: 'edges' },
    ],
    order: [/Coat.*Oat Husk/, /Wash.*Ferry Slate/, /Dry brush.*Kiln Brick/, /Clear coat/, /Gilding wax/],
  },
  {
    article: 'Plate rack',
    layers: [
      { done: coat, with: 'chalk-style paint', colour: oat, often: 'twice' },
      { done: 'Clear wax, thinly, small sections' },
      { done: 'Tinted wax into recesses and edges', with: 'dark wax', mix: 'dark wax : clear wax 1 : 1', only: 'recesses' },
    ],
    order: [/Coat.*Oat Husk/, /Clear wax/, /Tinted wax/],
  },
  {
    article: 'Toy settle',
    layers: [
      { done: coat, with: 'trim acrylic', colour: slate, often: 'twice' },
      { done: 'Resist on the wear points' },
      { done: coat, with: 'home-mixed chalky paint', colour: oat },
      { done: 'Wear it back by hand' },
    ],
    order: [/Coat.*Ferry Slate/, /Resist/, /Coat.*Oat Husk/, /Wear it back/],
  },
  {
    article: 'Linen coffer',
    layers: [
      { done: 'Dark undercoat', with: 'clay paint', colour: kelp },
      { done: 'Thin clear between the colours' },
      { done: coat, with: 'casein (milk) paint', colour: oat, chips: true },
      { done: 'Heat the wet coat, gun kept moving' },
      { done: 'Brush loose flakes off' },
    ],
    order: [/undercoat.*Kelp Jar/, /Thin clear/, /Coat.*Oat Husk/, /Heat/, /flakes/],
  },
  {
    article: 'Key cabinet',
    layers: [
      { done: 'Thickened coat, stippled unevenly', with: 'chalk-style paint', colour: rind },
      { done: 'Lay the peaks down' },
      { done: coat, with: 'chalk-style paint', colour: slate },
      { done: 'Wear it back by hand' },
    ],
    order: [/Thickened coat.*Quince Rind/, /peaks/, /Coat.*Ferry Slate/, /Wear it back/],
  },
  {
    article: 'Sewing cabinet',
    layers: [
      { done: coat, with: 'trim acrylic', colour: oat, often: 'twice' },
      { done: 'Wear it back by hand' },
      { done: 'Glaze on, paper laid and lifted, a section at a time', colour: brick },
      { done: 'Glaze on, paper laid and lifted, a section at a time', colour: kelp, share: half },
    ],
    order: [/Coat.*Oat Husk/, /Wear it back/, /Glaze.*Kiln Brick/, /Glaze.*Kelp Jar/],
  },
]

const titleOf = (article: string, layers: readonly Layer[]) =>
  `${article}: ${layers.map(({ done }) => done.split(/[ ,]/)[0]).join(', ')}`
test.describe.configure({ mode: 'parallel' })
// what differs is put together alike on a phone: two of them show that it can be
const onPhone = ['Pot cupboard', 'Linen coffer']
for (const { article, layers, order } of finishes)
  test(titleOf(article, layers), { tag: onPhone.includes(article) ? [] : '@desk' }, async ({ page, mark }) => {
    test.setTimeout(Number(process.env.SHORT ?? 240_000))
    const name = `${article}, ${mark}`
    await takeIn(page, name, { madeOf: 'solid wood, close-grained', onIt: 'bare' })
    await putTogether(page, layers)
    const planned = await steps(page).allTextContents()
    await takeThisWay(page, name)
    const piece = page.url()
    const worked = await workAll(page, lane(page, 'Body'), '10')
    expect(worked).toHaveLength(planned.length)
    let at = -1
    for (const like of order) {
      const found = worked.findIndex((title, k) => k > at && like.test(title))
      expect(found, `${like} after step ${at} of ${worked.join(' · ')}`).toBeGreaterThan(at)
      at = found
    }
    await page.goto(`${piece}/record`)
    await expect(page.getByText(spanOf(worked.length * 10))).toBeVisible()
    for (const { colour } of layers) if (colour) await expect(page.getByText(colour[0]).first()).toBeVisible()
  })
