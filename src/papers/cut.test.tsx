import { renderToBuffer } from '@react-pdf/renderer'
import { describe, expect, test } from 'vitest'
import { familyCodes, getFamily } from '@/core/craft/families'
import type { Product } from '@/core/stock/product'
import { cardFacts, cardFamily, cardName, cardWords } from '@/words/tags'
import { ShelfCardsPaper } from './ShelfCardsPaper'
import { type Tag, TagsPaper } from './TagsPaper'
import { textOfPdf } from './testing/textOfPdf'

const code = { size: 2, path: 'M0 0h1v1h-1z' }
const tag = (over: Partial<Tag> = {}): Tag => ({
  ...{ name: 'Łódka settle', under: ['for The Ferrow household', 'promised for Friday 4 December'] },
  ...{ parts: ['2 × Doors: smooth solid'], caution: 'May hold lead: no dry sanding, no heat. Follow your local rules.', code },
  ...over,
})
const pagesOf = (buffer: Buffer): number => (buffer.toString('latin1').match(/\/Type \/Page\b/g) ?? []).length
const product = (over: Partial<Product> = {}): Product => ({
  ...{
    id: 'p',
    name: 'Field tin',
    family: 'clay',
    colourName: 'Heron Slate',
    colourHex: '#51636b',
    size: 500,
    unit: 'ml',
    price: 1_950,
  },
  ...over,
})
const card = (one: Product, units: 'metric' | 'us' = 'metric') => ({
  ...{ name: cardName(one), family: cardFamily(one), colour: one.colourHex },
  ...{ facts: cardFacts(one.family, { units, locale: 'en-GB' }), words: cardWords(one) },
})

describe('tags', () => {
  test('say what it is, for whom, until when, what it becomes and what to beware of; parts past the fourth are counted', async () => {
    const parts = ['Top', 'Doors', 'Carcass', 'Legs', 'Feet', 'Back']
    const text = await textOfPdf(
      await renderToBuffer(<TagsPaper studio="The Lantern Loft" tags={[tag(), tag({ name: 'Stool', parts })]} />),
    )
    for (const said of [
      'Łódka settle',
      'for The Ferrow household',
      'Friday 4 December',
      '2 × Doors: smooth solid',
      'May hold lead',
      'Stool',
      'Legs',
      '+ 2',
    ])
      expect(text).toContain(said)
    expect(text).not.toContain('Feet')
  })
  test('eight on a sheet', async () => {
    const tags = Array.from({ length: 9 }, (_, k) => tag({ name: `Stool ${k}` }))
    expect(pagesOf(await renderToBuffer(<TagsPaper studio="Loft" tags={tags.slice(1)} />))).toBe(1)
    expect(pagesOf(await renderToBuffer(<TagsPaper studio="Loft" tags={tags} />))).toBe(2)
  })
})

describe('cards for the shelf', () => {
  test('clay: how far it goes, when it dries, what it wants; the label goes before', async () => {
    const text = await textOfPdf(await renderToBuffer(<ShelfCardsPaper studio="Loft" cards={[card(product())]} />))
    for (const said of [
      ...['Heron Slate', 'clay paint, Field tin', '10–13 m² a litre', '20 min to 30 min', '1 h 00', '30 days'],
      ...[
        'Wants something over it.',
        'Water lifts it until it is sealed.',
        'Water: up to 20 %.',
        'The label on the tin goes before this card.',
      ],
    ])
      expect(text).toContain(said)
  })
  test('in square feet a pint, and an ounce of wax, where a house reckons so', () => {
    // 10 m² · 10.7639 · 0.473 = 50.9; 13 m² 66.2
    expect(cardFacts('clay', { units: 'us', locale: 'en-US' })[0]?.[1]).toBe('51–66 sq ft a pint')
    // 30 m²/kg · 10.7639 · 0.02835 = 9.15; 40 m² 12.2
    expect(cardFacts('clear-wax', { units: 'us', locale: 'en-US' })[0]?.[1]).toBe('9–12 sq ft an oz')
  })
  test('oil carries its caution, a mix its formula, and every family a card that fits its place', async () => {
    expect(cardWords(product({ family: 'drying-oil' })).join(' ')).toContain('rags heat up by themselves')
    expect(cardWords(product({ formula: '2 Oat Husk : 1 Heron Slate' }))[0]).toBe('Mixed here: 2 Oat Husk : 1 Heron Slate.')
    const cards = familyCodes.map((family) => card(product({ family, colourName: null, name: getFamily(family).words })))
    expect(pagesOf(await renderToBuffer(<ShelfCardsPaper studio="Loft" cards={cards} />))).toBe(Math.ceil(cards.length / 10))
  })
})
