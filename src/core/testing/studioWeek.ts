/** A studio of one or two pairs of hands with small pieces ahead, for tests of the week. */
import type { BenchData } from '@/core/bench/benchData'
import { toBenchData } from '@/core/bench/writeBench'
import { defaultMethod } from '@/core/craft/method'
import type { PieceFile } from '@/core/piece/piece'
import { fileWith, ms, partWith, planStep } from '@/core/testing/piece'
import { answerWeek, type WeekAsk, type WeekOutlook } from '@/core/week/ask'
import type { Hand } from '@/core/week/hands'
import type { WeekData } from '@/core/week/weekData'

export const ada: Hand = { id: 'a', name: 'Wenna', hours: { from: 540, to: 1020, days: [1, 2, 3, 4, 5] } }
export const ben: Hand = { id: 'b', name: 'Pell', hours: { from: 540, to: 1020, days: [1, 2, 3, 4, 5] } }
const around = { climates: {}, rooms: [], method: defaultMethod, hours: ada.hours, others: [], learned: {} }
const benchOf = (files: PieceFile[]): BenchData =>
  toBenchData(files, { ...around, products: [], lots: [], planned: {}, waiting: [] })
export const dataOf = (files: PieceFile[], over: Partial<WeekData> = {}): WeekData => ({
  bench: benchOf(files),
  zone: 'UTC',
  hands: [ada],
  others: [],
  places: null,
  expected: {},
  forecasts: [],
  pace: {},
  week: null,
  ...over,
})
/** A piece of one part with two coats of 20 minutes; the second may be laid two hours after the first, at the careful end. */
export const twoCoats = (name: string, over: Partial<PieceFile['piece']> = {}): PieceFile =>
  fileWith([partWith([planStep(`${name} 1`), planStep(`${name} 2`, { window: null })], { id: `${name} part` })], [], {
    id: name,
    name,
    ...over,
  })
export const ask = (data: WeekData, over: Partial<WeekAsk> = {}): WeekAsk => ({
  data,
  written: [],
  nowMs: ms('08:00'),
  supposed: {},
  from: [],
  budgetMs: 40,
  seed: 1,
  weeks: 0,
  ...over,
})
/** A clock by which each asking takes a millisecond. */
export const clock = () => {
  let now = 0
  return () => (now += 1)
}
export function outlookOf(data: WeekData, over: Partial<WeekAsk> = {}): WeekOutlook {
  const answer = answerWeek(ask(data, over), clock())
  if (!('outlook' in answer)) throw new Error(`no week: ${answer.why}`)
  return answer.outlook
}
export const said = ({ lines }: WeekOutlook) =>
  lines.map(({ step, startMs, reason, handName }) => [step?.id, new Date(startMs).toISOString().slice(8, 16), reason, handName])
