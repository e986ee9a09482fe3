/** A small piece with a plan and a log, for tests: every figure is plain to work by hand. */
import type { PlannedStep } from '@/core/finish/step'
import { type Entry, type EntryDraft, type EntryKind, type EntryOf, wholeEntry } from '@/core/log/entry'
import type { CoatFigures } from '@/core/log/figures'
import type { Part, PieceFile, PlanStep } from '@/core/piece/piece'

/** "09:30" on 4 May 2026, UTC. */
export const at = (time: string, day = 4): string => `2026-05-${String(day).padStart(2, '0')}T${time}:00.000Z`
export const ms = (time: string, day = 4): number => Date.parse(at(time, day))

const plain: PlannedStep = {
  operation: 'coat',
  family: 'chalk-style',
  colour: { name: 'Kelp Jar', hex: '#4c5a3c' },
  mix: null,
  applicator: 'bristle brush',
  grit: null,
  film: 'normal',
  minutes: 20,
  amount: 100,
  window: { clock: 'evaporation', opens: [60, 120], source: 'craft' },
  check: 'raking-light',
  cautions: [],
  reason: 'cover',
  coat: null,
  needed: true,
}
export const planStep = (id: string, over: Partial<PlannedStep> = {}): PlanStep => ({ ...plain, id, position: 0, ...over })

export function partWith(steps: PlanStep[], over: Partial<Part> = {}): Part {
  return {
    id: 'part',
    name: 'Top',
    kind: 'top',
    count: 1,
    substrate: 'close-grained',
    existing: 'varnish',
    lead: 'unlikely',
    use: 'light',
    bleeds: false,
    polish: 'none',
    slips: false,
    foundColour: null,
    knots: null,
    surfaces: [{ shape: 'panel', relief: 'flat', count: 1, width: 1000, height: 1000 }],
    plan: {
      id: 'plan',
      look: 'smooth-solid',
      with: [],
      paint: 'chalk-style',
      colours: { a: { name: 'Kelp Jar', hex: '#4c5a3c' } },
      seal: null,
      departures: {},
      madeAt: at('08:00'),
      steps: steps.map((step, position) => ({ ...step, position })),
    },
    earlier: [],
    ...over,
  }
}

let made = 0
/** An entry of a kind on the test's piece; on its part where it must be on one. */
export function entry<K extends EntryKind>(
  kind: K,
  when: string,
  over: Partial<Omit<EntryOf<K>, 'kind' | 'at'>> = {},
): EntryOf<K> {
  made += 1
  const draft = { id: `entry-${String(made).padStart(4, '0')}`, pieceId: 'piece', kind, at: when, recordedAt: when, ...over }
  return wholeEntry(draft as unknown as EntryDraft) as EntryOf<K>
}

/** A coat of 100 ml as it comes, from no tin. */
export const coatFigures = (over: Partial<CoatFigures> = {}): CoatFigures => ({
  productId: null,
  lotId: null,
  batchId: null,
  family: 'chalk-style',
  mix: null,
  amount: 100,
  unit: 'ml',
  applicator: null,
  film: 'normal',
  sheen: null,
  place: null,
  ...over,
})
export const onStep = (stepId: string) => ({ partId: 'part', stepId })

export function fileWith(parts: Part[], log: Entry[], over: Partial<PieceFile['piece']> = {}): PieceFile {
  return {
    piece: {
      id: 'piece',
      name: 'Washstand',
      source: 'auction',
      sourceNote: null,
      client: null,
      promisedOn: null,
      takenInAt: at('08:00'),
      expected: null,
      condition: null,
      roomId: null,
      article: null,
      ...over,
    },
    parts,
    takenOut: [],
    whole: null,
    counted: {},
    log,
    photos: [],
  }
}
/** A step begun and ended on the day. */
export const worked = (id: string, from: string, to: string): Entry[] => [
  entry('started', at(from), onStep(id)),
  entry('ended', at(to), onStep(id)),
]
