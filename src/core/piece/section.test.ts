import { describe, expect, test } from 'vitest'
import type { Entry } from '@/core/log/entry'
import { at, entry, fileWith, ms, onStep, partWith, planStep } from '@/core/testing/piece'
import { type PartJourney, readPiece } from './journey'
import type { Part } from './piece'
import { sectionAsOf, sectionOf } from './section'
import { storyOf } from './story'

const clear = planStep('clear', { family: 'water-clear', colour: null, operation: 'clear-coat', film: 'thin' })
const steps = [
  planStep('clean', { operation: 'clean', family: null, colour: null, amount: null, window: null }),
  planStep('one'),
  planStep('two', { colour: { name: 'Salt Ledger', hex: '#f1ece0' } }),
  clear,
]
const done = (id: string, when: string): Entry[] => [entry('ended', at(when), onStep(id))]
function partAt(log: Entry[], when: string, over: Partial<Part> = {}, its = steps): PartJourney {
  const [part] = readPiece(fileWith([partWith(its, over)], log), { climate: [], nowMs: ms(when) }).parts
  if (!part) throw new Error('a piece has a part')
  return part
}
const states = (part: Parameters<typeof sectionOf>[0]) => sectionOf(part).layers.map(({ state }) => state)

describe('the section', () => {
  test('begins at the old finish, and shows what is planned over it', () => {
    const section = sectionOf(partAt([], '09:00'))
    expect(section.substrate.wood).toBe(true)
    expect(section.layers.map(({ kind, state }) => [kind, state])).toEqual([
      ['oldClear', 'there'],
      ['paint', 'planned'],
      ['paint', 'planned'],
      ['clear', 'planned'],
    ])
    expect(section.layers[2]).toMatchObject({ tone: '#f1ece0', words: 'Salt Ledger, chalk-style paint' })
  })
  test('a coat is wet until its window opens, and dry after', () => {
    const log = [...done('clean', '09:00'), ...done('one', '10:00')]
    expect(states(partAt(log, '10:30'))).toEqual(['there', 'wet', 'planned', 'planned'])
    expect(states(partAt(log, '12:30'))).toEqual(['there', 'there', 'planned', 'planned'])
  })
  test('what is left out is not in it', () => {
    const log = [entry('left-out', at('10:00'), onStep('clear'))]
    expect(states(partAt(log, '12:30'))).toEqual(['there', 'planned', 'planned'])
  })
  test('bare wood has nothing on it; scraped, the old finish is gone', () => {
    expect(sectionOf(partAt([], '09:00', { existing: 'bare' })).layers).toHaveLength(3)
    const scraped = [planStep('off', { operation: 'scrape', family: null, colour: null, amount: null }), ...steps]
    const before = sectionOf(partAt([], '09:00', {}, scraped))
    const after = sectionOf(partAt(done('off', '09:00'), '10:00', {}, scraped))
    expect([before.layers[0]?.kind, after.layers[0]?.kind]).toEqual(['oldClear', 'paint'])
  })
  test('it is worn only once it has been worn', () => {
    const worn = [...steps, planStep('worn', { operation: 'dry-distress', family: null, colour: null, amount: null })]
    const plan = partWith(worn).plan
    const over = { plan: plan && { ...plan, look: 'light-distress' as const } }
    expect(sectionOf(partAt([], '09:00', over, worn)).wear).toBe('none')
    const log = ['clean', 'one', 'two', 'clear', 'worn'].flatMap((id, k) => done(id, `1${k}:00`))
    const [part] = readPiece(fileWith([{ ...partWith(worn), ...over }], log), { climate: [], nowMs: ms('18:00') }).parts
    if (!part) throw new Error('a piece has a part')
    expect(sectionOf(part).wear).toBe('through')
  })
})

describe('the section as it stood', () => {
  const log = [...done('clean', '09:00'), ...done('one', '10:00'), ...done('two', '12:00')]
  const part = partAt(log, '18:00')
  const laidAt = (when: string) => sectionAsOf(part, at(when)).layers.filter(({ state }) => state === 'there').length

  test('has what was done until then, and no more', () => {
    expect(['08:00', '09:59', '10:00', '11:59', '12:00', '18:00'].map(laidAt)).toEqual([1, 1, 2, 2, 3, 3])
  })
  test('now, it is the section', () => expect(sectionAsOf(part, at('18:00'))).toEqual(sectionOf({ ...part, window: null })))
  test('steps of an earlier plan are in it from when they were done', () => {
    const earlier = [planStep('before', { colour: { name: 'Oat Husk', hex: '#e3d7bd' } })]
    const again = partAt([...done('before', '09:30'), ...done('one', '11:00')], '18:00', { earlier })
    expect(sectionAsOf(again, at('09:00')).layers.map(({ tone }) => tone)).not.toContain('#e3d7bd')
    expect(sectionAsOf(again, at('09:30')).layers.map(({ tone }) => tone)).toContain('#e3d7bd')
  })
})

describe('the story', () => {
  const file = fileWith(
    [partWith(steps)],
    [
      entry('cost', at('08:00'), { costKind: 'bought', money: 4000 }),
      entry('started', at('08:45'), onStep('clean')),
      entry('ended', at('09:00'), onStep('clean')),
      entry('started', at('09:30'), onStep('one')),
      entry('ended', at('10:00'), onStep('one')),
      entry('ended', at('09:00', 5), onStep('two')),
      entry('note', at('09:10', 5), { note: 'Reads well.' }),
      entry('started', at('23:30', 5), onStep('clear')),
    ],
  )
  const told = (filter: 'all' | 'work' | 'money' = 'all', zone = 'UTC') =>
    storyOf(file, { climate: [], nowMs: ms('23:40', 5) }, zone, filter)

  test('goes by days on the studio’s wall, with the work of each', () => {
    expect(told().map(({ day, lines, minutes }) => [day, lines.length, minutes])).toEqual([
      ['2026-05-04', 3, 45],
      // begun and not ended: its start is told
      ['2026-05-05', 3, 0],
    ])
    expect(told('all', 'Asia/Tokyo').map(({ day }) => day)).toEqual(['2026-05-04', '2026-05-05', '2026-05-06'])
  })
  test('draws the section where it changed: first as it came in, then each coat', () => {
    const drawn = told().flatMap(({ lines }) => lines.flatMap(({ entry: { stepId }, section }) => (section ? [stepId] : [])))
    expect(drawn).toEqual(['clean', 'one', 'two'])
  })
  test('money alone has no section; work alone tells when it was begun', () => {
    expect(told('money').flatMap(({ lines }) => lines.map(({ entry: { kind }, section }) => [kind, section]))).toEqual([
      ['cost', null],
    ])
    expect(told('work')[0]?.lines.map(({ entry: { kind } }) => kind)).toEqual(['started', 'ended', 'started', 'ended'])
  })
})
