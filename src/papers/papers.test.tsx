import { renderToBuffer } from '@react-pdf/renderer'
import { describe, expect, test } from 'vitest'
import type { Handover } from '@/core/piece/handover'
import type { MadeQuote } from '@/core/price/offer'
import type { MadeReceipt } from '@/core/price/receipt'
import { clientWords } from '@/words/client'
import { HandoverPaper } from './HandoverPaper'
import { OfferPaper } from './OfferPaper'
import { ReceiptPaper } from './ReceiptPaper'
import { textOfPdf } from './testing/textOfPdf'

const studio = { name: 'The Lantern Loft', zone: 'Europe/London' }
const quote: MadeQuote = {
  ...{ id: 'q', at: '2026-11-20T09:00:00.000Z', kind: 'quote', validUntil: '2026-12-24', withdrawnAt: null, writtenBy: null },
  ...{ digest: 'a'.repeat(64), hours: null, worth: null },
  offer: {
    ...{ piece: 'Łódka settle', currency: 'GBP', excluded: 'The marble', words: 'As we said.', depositShare: 0.3 },
    ...{ validUntil: '2026-12-24', ready: { is: 'promised', day: '2026-12-04' }, taxShare: 0.2 },
    lines: [
      { id: '1', partId: 'p', words: '3 × Shelves', detail: 'smooth solid', money: 31_000 },
      { id: '2', partId: null, words: 'You fetch it', detail: null, money: -1_500 },
    ],
    options: [
      {
        ...{ id: 'o', words: 'protection' },
        choices: [
          { id: 'w', words: 'wax', extra: 0 },
          { id: 'h', words: 'hard clear', extra: 4_500 },
        ],
      },
    ],
    sections: [{ part: 'Shelves', wood: true, layers: [{ kind: 'paint', tone: '#3d5661', count: 2 }] }],
  },
  answer: {
    ...{ answer: 'accepted', at: '2026-11-21T09:00:00.000Z', personId: null, name: 'Ode Ferrow', reason: null },
    ...{ total: 34_000, deposit: 10_200, digest: 'b'.repeat(64), chosen: { o: 'h' } },
  },
}

describe('an invoice on paper', () => {
  const receipt: MadeReceipt = {
    ...{
      id: 'i',
      number: 17,
      kind: 'invoice',
      at: '2026-11-20T09:00:00.000Z',
      credits: null,
      digest: 'c'.repeat(64),
      tax: 5_667,
    },
    paper: {
      ...{
        studio: 'The Lantern Loft',
        letterhead: '3 Quay Loft\nTax number 000',
        client: 'The Ferrow household',
        piece: 'Łódka settle',
      },
      ...{ currency: 'GBP', day: '2026-11-20', lines: [{ words: '3 × Shelves', money: 34_000 }], total: 34_000, paid: 10_200 },
      ...{ tax: { mode: 'inclusive', share: 0.2, money: 5_667 }, of: null },
    },
  }
  test('its number, day, head, lines, the tax in it, what came and what is still to come', async () => {
    const text = await textOfPdf(await renderToBuffer(<ReceiptPaper receipt={receipt} words={clientWords.en} />))
    for (const said of [
      ...[
        'Invoice 17',
        '20 November 2026',
        '3 Quay Loft',
        'Tax number 000',
        'for The Ferrow household',
        'Łódka settle',
        '3 × Shelves',
      ],
      ...['£340.00', 'Tax of 20 % within it', '£56.67', '£102.00', 'Still to pay', '£238.00', 'c'.repeat(64)],
    ])
      expect(text).toContain(said)
  })
  test('a credit note says of which invoice and why; of a margin that its tax is not shown, in each language', async () => {
    for (const words of Object.values(clientWords)) {
      const paper = {
        ...receipt.paper,
        total: 3_000,
        tax: { mode: 'margin' },
        paid: null,
        of: { number: 17, reason: 'A scratch' },
      } as const
      const text = await textOfPdf(
        await renderToBuffer(
          <ReceiptPaper
            receipt={{ ...receipt, kind: 'credit', number: 18, paper: { ...paper, lines: [...paper.lines] } }}
            words={words}
          />,
        ),
      )
      expect(text).toContain(words.papers.creditNote(18))
      expect(text.replace(/\s+/g, ' ')).toContain(words.papers.takesBack(17, 'A scratch').replace(/\s+/g, ' '))
      expect(text.replace(/\s+/g, ' ')).toContain(words.papers.marginTaxed)
      expect(text).not.toContain('500')
    }
  })
})

describe('an offer on paper', () => {
  test('says each line, what was chosen, the sum, its terms and its seal', async () => {
    const paper = <OfferPaper {...{ studio, quote }} client="The Ferrow household" words={clientWords.en} />
    const text = await textOfPdf(await renderToBuffer(paper))
    for (const said of [
      ...[
        'The Lantern Loft',
        'Łódka settle',
        'for The Ferrow household',
        'As we said.',
        '3 × Shelves',
        'smooth solid',
        '£310.00',
      ],
      ...['−£15.00', 'hard clear (chosen)', '+ £45.00', '£340.00', '£102.00', 'The marble', 'Thursday 24 December'],
      ...[
        'Friday 4 December',
        'Tax of 20% is in it',
        'Accepted by Ode Ferrow on 21 November 2026',
        'b'.repeat(64),
        'Page 1 of 1',
      ],
    ])
      expect(text).toContain(said)
  })
  test('nobody chose yet: the first way counts; in the client’s language', async () => {
    const open = { ...quote, answer: null }
    const paper = <OfferPaper {...{ studio, quote: open }} client={null} words={clientWords.de} />
    const text = await textOfPdf(await renderToBuffer(paper))
    for (const said of ['Angebot', 'Zusammen', '295,00', 'Es gilt bis Donnerstag, 24. Dezember', 'a'.repeat(64)])
      expect(text).toContain(said)
    expect(text).not.toContain('gewählt')
  })
})

test('what goes along with a piece says its layers with their days, its colours, when it may be used, and how it is kept', async () => {
  const handover: Handover = {
    parts: [
      {
        name: 'Top',
        lines: [
          { kind: 'paint', colour: 'Ferry Slate', family: 'clay', mix: 'paint : water 5 : 1', on: '2026-11-02T10:00:00.000Z' },
          { kind: 'oil', colour: null, family: 'drying-oil', mix: null, on: '2026-11-05T10:00:00.000Z' },
        ],
      },
    ],
    colours: [
      {
        name: 'Ferry Slate',
        hex: '#3d5661',
        parts: [
          { name: 'Quince Rind', parts: 3 },
          { name: 'Oat Husk', parts: 1 },
        ],
      },
    ],
    ...{ usable: '2026-12-05T10:00:00.000Z', isOiled: true },
  }
  const paper = (
    <HandoverPaper
      {...{ studio, handover, piece: { name: 'Washstand', client: 'Ode Ferrow' }, madeAt: '2026-11-28T10:00:00.000Z' }}
      drawn={[{ wood: true, layers: [{ kind: 'paint', tone: '#3d5661', count: 2 }] }]}
      words={clientWords.en}
      code={{ size: 2, path: 'M0 0h1v1h-1z', address: 'http://127.0.0.1/for/x' }}
    />
  )
  const text = await textOfPdf(await renderToBuffer(paper))
  for (const said of [
    ...[
      'Paint · Ferry Slate · clay paint · paint : water 5 : 1',
      '2 November 2026',
      '5 November 2026',
      '3 Quince Rind : 1 Oat Husk',
    ],
    ...['from Saturday 5 December', 'Rags with oil', 'Tall furniture is fixed to the wall', 'This piece, with its photographs'],
  ])
    expect(text).toContain(said)
})
