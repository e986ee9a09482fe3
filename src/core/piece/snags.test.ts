/** What mending still asks for is said with the snag: work and drying, worked by hand. */
import { expect, test } from 'vitest'
import { at, entry, fileWith, ms, onStep, partWith, planStep, worked } from '@/core/testing/piece'
import { toMendWords } from '@/words/piece'
import { readPiece } from './journey'
import { snagsOf } from './snags'

const steps = [
  planStep('coat'),
  { ...planStep('rub', { operation: 'smooth', family: null, amount: null, minutes: 4, window: null }), mends: 'snag' },
  // one to two hours to dry, thick two and a half times as long
  { ...planStep('again', { minutes: 10, film: 'heavy' }), mends: 'snag' },
]
const snag = entry('snag', at('10:30'), { id: 'snag', partId: 'part', severity: 'plain', remedy: 'runs' })
const read = (log: Parameters<typeof fileWith>[1]) =>
  snagsOf(readPiece(fileWith([partWith(steps)], log), { climate: [], nowMs: ms('18:00') }))[0]

test('two steps, fourteen minutes, five hours to dry; one step when the first is behind; none when it is mended', () => {
  const seen = read([...worked('coat', '09:40', '10:00'), snag])
  expect(seen).toMatchObject({ ahead: 2, workAhead: 14, dryAhead: 300 })
  expect(seen && toMendWords(seen)).toBe('2 steps to mend it: 14 min of work, 5 h 00 to dry')
  const rubbed = read([...worked('coat', '09:40', '10:00'), snag, ...worked('rub', '11:00', '11:04')])
  expect(rubbed && toMendWords(rubbed)).toBe('one step to mend it: 10 min of work, 5 h 00 to dry')
  const laid = [entry('started', at('11:10'), onStep('again')), entry('ended', at('11:20'), onStep('again'))]
  const mended = read([...worked('coat', '09:40', '10:00'), snag, ...worked('rub', '11:00', '11:04'), ...laid])
  expect([mended?.ahead, mended && toMendWords(mended)]).toEqual([0, null])
})
