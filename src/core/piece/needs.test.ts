import { describe, expect, test } from 'vitest'
import { at, coatFigures, entry, fileWith, onStep, partWith, planStep, worked } from '@/core/testing/piece'
import { needsOf } from './needs'

const colour = { name: 'Quince', hex: '#aabbcc' }
const piece = (id: string, log = [] as ReturnType<typeof worked>) =>
  fileWith([partWith([planStep(`${id} 1`, { colour }), planStep(`${id} 2`, { colour, amount: 60 })])], log, { id, name: id })

describe('what all pieces still take', () => {
  test('coat by coat of each colour, for which pieces, and from when the first of them is laid', () => {
    const needs = needsOf(
      [piece('chest'), piece('stool')],
      new Map([
        ['stool 2', 900],
        ['chest 2', 400],
      ]),
    )
    expect(needs).toEqual([
      {
        ...{ family: 'chalk-style', hex: '#aabbcc', name: 'Quince', uses: [100, 60, 100, 60], byMs: 400 },
        pieces: [
          { id: 'chest', name: 'chest' },
          { id: 'stool', name: 'stool' },
        ],
      },
    ])
  })
  test('what is laid is taken already; nothing planned takes nothing', () => {
    const laid = entry('coat', at('10:00'), { ...onStep('chest 1'), money: 300, coat: coatFigures() })
    expect(needsOf([piece('chest', [...worked('chest 1', '09:30', '10:00'), laid])], new Map())[0]?.uses).toEqual([60])
    expect(needsOf([], new Map())).toEqual([])
  })
})
