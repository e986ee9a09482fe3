import { expect, test } from 'vitest'
import { factsOf } from '@/core/piece/facts'
import { readPiece } from '@/core/piece/journey'
import { planFinish } from '@/core/plan/planFinish'
import type { Offer, OfferOption, QuoteAnswer } from '@/core/price/offer'
import { fileWith, ms, partWith } from '@/core/testing/piece'
import { chosenWays } from './chosenWay'

const journeyWith = (over: { seal?: 'hard' | null; sheen?: 'matt' | 'satin' }) => {
  const part = partWith([], { id: 'top', name: 'Top' })
  const plan = part.plan && { ...part.plan, ...over }
  return readPiece(fileWith([{ ...part, plan }], []), { climate: [], nowMs: ms('20:00') })
}
const option = (id: string, ways: OfferOption['choices'][0]['plans'][]): OfferOption => ({
  ...{ id, words: id },
  choices: ways.map((plans, k) => ({ id: `${id}${k}`, words: `${id} ${k}`, extra: 0, plans })),
})
const offer = (options: OfferOption[]) => ({ options }) as unknown as Offer
const accepted = (chosen: Record<string, string>) => ({ answer: 'accepted', chosen }) as unknown as QuoteAnswer
const topcoats = option('protection', [
  { partId: 'top', seal: 'clear' },
  { partId: 'top', seal: 'hard' },
])
const sheens = option('sheen', [
  { partId: 'top', sheen: 'matt' },
  { partId: 'top', sheen: 'satin' },
])

test('what was chosen is told until the plan lays it, topcoat and sheen of a part together', () => {
  const quotes = [{ offer: offer([topcoats, sheens]), answer: accepted({ protection: 'protection1', sheen: 'sheen1' }) }]
  const [way] = chosenWays(quotes, journeyWith({ seal: null }).parts)
  expect(way).toMatchObject({ part: 'Top', words: 'protection 1, sheen 1', seal: 'hard', sheen: 'satin' })
  // planned so, it is silent; half of it, it is not
  expect(chosenWays(quotes, journeyWith({ seal: 'hard', sheen: 'satin' }).parts)).toEqual([])
  expect(chosenWays(quotes, journeyWith({ seal: 'hard' }).parts)).toHaveLength(1)
  const facts = factsOf(journeyWith({}).parts[0]!.part)
  expect(way && planFinish(facts, { ...way.plan, seal: way.seal ?? undefined, sheen: way.sheen })).toHaveProperty(
    'plan.seal',
    'hard',
  )
})
test('the last yes counts of each; a no, a choice in other words and another part say nothing', () => {
  const first = { offer: offer([topcoats]), answer: accepted({ protection: 'protection1' }) }
  const second = { offer: offer([topcoats, sheens]), answer: accepted({ protection: 'protection0', sheen: 'sheen1' }) }
  const { parts } = journeyWith({ seal: 'hard', sheen: 'satin' })
  expect(chosenWays([first], parts)).toEqual([])
  expect(chosenWays([first, second], parts)).toMatchObject([{ words: 'protection 0, sheen 1', seal: 'clear', sheen: 'satin' }])
  expect(chosenWays([second, first], parts)).toEqual([])
  const declined = { offer: second.offer, answer: { ...second.answer, answer: 'declined' } as QuoteAnswer }
  expect(chosenWays([first, declined], parts)).toEqual([])
  const own = { offer: offer([option('gilt', [undefined, undefined])]), answer: accepted({ gilt: 'gilt1' }) }
  const other = { offer: offer([option('x', [{ partId: 'gone', seal: 'hard' }])]), answer: accepted({ x: 'x0' }) }
  expect(chosenWays([own, other], parts)).toEqual([])
})
test('a sheen alone leaves the topcoat as it was laid out', () => {
  const quotes = [{ offer: offer([sheens]), answer: accepted({ sheen: 'sheen1' }) }]
  expect(chosenWays(quotes, journeyWith({ seal: 'hard', sheen: 'matt' }).parts)).toMatchObject([{ seal: 'hard', sheen: 'satin' }])
})
