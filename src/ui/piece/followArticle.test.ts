import { describe, expect, test } from 'vitest'
import type { PartTemplate } from '@/core/piece/article'
import { getArticle } from '@/core/piece/articles'
import { besideArticle, followArticle } from './followArticle'
import { newPart, type PartText } from './PartFields'

const house = { units: 'metric', currency: 'GBP', locale: 'en-GB', zone: 'Europe/London' } as unknown as Parameters<
  typeof newPart
>[1]
const make = (template: PartTemplate): PartText => newPart(template, house)
const chest = (drawers: number) => getArticle('chest').parts({ ...getArticle('chest').size, of: { drawers } })
const bed = (width = 1000) => getArticle('bed').parts({ ...getArticle('bed').size, width, of: {} })
const names = (parts: readonly PartText[]) => parts.map(({ name }) => name)

describe('the parts of a form follow the drawing', () => {
  test('begun from nothing they are the article’s', () => {
    expect(names(followArticle([make(bed()[0] as PartTemplate)], [], chest(4), make))).toEqual([
      'Carcass',
      'Top',
      'Drawer fronts',
    ])
  })
  test('what was said stays, count and faces follow, and a name that was the drawing’s follows too', () => {
    const said = chest(4).map((template) => ({ ...make(template), substrate: 'veneer' as const }))
    const after = followArticle(said, chest(4), chest(1), make)
    expect(after.map(({ id }) => id)).toEqual(said.map(({ id }) => id))
    expect(after.map(({ substrate }) => substrate)).toEqual(['veneer', 'veneer', 'veneer'])
    expect(after.at(-1)).toMatchObject({ name: 'Drawer front', count: '1' })
    const renamed = followArticle(
      said.map((part, k) => (k === 2 ? { ...part, name: 'The four drawers' } : part)),
      chest(4),
      chest(6),
      make,
    )
    expect(renamed.at(-1)).toMatchObject({ name: 'The four drawers', count: '6' })
  })
  test('two parts of one kind stay two', () => {
    const said = bed().map(make)
    const after = followArticle(said, bed(), bed(1400), make)
    expect(after.map(({ id }) => id)).toEqual(said.map(({ id }) => id))
    expect(new Set(after.map(({ id }) => id)).size).toBe(2)
  })
  test('what was taken off stays off, what was put beside it stays; drawers that come in are new', () => {
    const [carcass, , fronts] = chest(4).map(make) as [PartText, PartText, PartText]
    const mirror = { ...make(bed()[0] as PartTemplate), name: 'Mirror' }
    expect(names(followArticle([carcass, fronts, mirror], chest(4), chest(5), make))).toEqual([
      'Carcass',
      'Drawer fronts',
      'Mirror',
    ])
    expect(names(followArticle(chest(0).map(make), chest(0), chest(2), make))).toEqual(['Carcass', 'Top', 'Drawer fronts'])
  })
  test('another article: what was typed beside the one before stays, what was its own and what is blank goes', () => {
    const mirror = { ...newPart(null, house), name: 'Mirror' }
    const measured = newPart(null, house)
    const wide = { ...measured, surfaces: measured.surfaces.map((each) => ({ ...each, width: '40' })) }
    const said = [...chest(4).map(make), mirror, newPart(null, house), wide]
    expect(besideArticle(said, chest(4))).toEqual([mirror, wide])
    // before any was chosen
    expect(besideArticle([newPart(null, house)], [])).toEqual([])
    expect(besideArticle([mirror], [])).toEqual([mirror])
  })
})
