/**
 * The window after a step, found by what was done, with which family, and what comes next. Minutes at the reference
 * climate; the first row that fits counts. Source: the craft, section on windows; `practice` marks what experienced
 * painters expect where that is silent.
 */
import type { ClockKind } from '../drying/air'
import type { Range } from '../drying/windowFor'
import type { OperationCode } from '../labour/operations'
import { getFamily, type FamilyCode } from './families'

/** What is past doing after the window, in a word the interface explains. */
export type PastCode = 'slower' | 'scuff-first' | 'wax-again' | 'new-wax-softens' | 're-apply'

export interface StepWindow {
  clock: ClockKind
  opens: Range
  closes?: Range | undefined
  past?: PastCode | undefined
  source: 'craft' | 'label' | 'practice' | 'studio'
}

interface Row {
  after: readonly OperationCode[]
  family?: readonly FamilyCode[]
  before?: readonly OperationCode[]
  window: Partial<StepWindow> & { from?: 'recoat' | 'touchDry' }
}

const waxes: readonly FamilyCode[] = ['clear-wax', 'dark-wax']

export const windowRows: readonly Row[] = [
  { after: ['rinse', 'neutralise'], window: { clock: 'evaporation', opens: [120, 240] } },
  { after: ['clean'], before: ['rinse'], window: {} },
  { after: ['dewax', 'wipe-spirits'], window: { clock: 'reaction', opens: [30, 60], source: 'practice' } },
  { after: ['strip'], window: { clock: 'reaction', opens: [10, 15], closes: [30, 45], past: 're-apply' } },
  { after: ['knotting', 'block-prime', 'adhesion-prime'], window: { from: 'recoat' } },
  {
    after: ['coat'],
    family: ['chalk-mineral'],
    before: ['dry-distress'],
    window: { opens: [30, 60], closes: [150, 180], past: 'slower' },
  },
  { after: ['coat'], family: ['latex'], before: ['dry-distress'], window: { opens: [720, 720] } },
  { after: ['coat'], family: ['alkyd'], before: ['dry-distress'], window: { from: 'recoat' } },
  { after: ['coat'], before: ['wet-distress', 'dry-distress'], window: { from: 'touchDry' } },
  { after: ['coat', 'wash'], window: { from: 'recoat' } },
  {
    after: ['seal-between', 'clear-coat'],
    before: ['clear-coat', 'coat', 'seal-between'],
    window: { opens: [120, 120], closes: [1440, 1440], past: 'scuff-first' },
  },
  { after: ['seal-between', 'clear-coat'], window: { opens: [120, 120] } },
  {
    after: ['clear-wax'],
    before: ['tinted-wax'],
    window: { clock: 'reaction', opens: [15, 20], closes: [480, 600], past: 'wax-again' },
  },
  {
    after: ['clear-wax', 'tinted-wax'],
    before: ['wax-off'],
    window: { clock: 'reaction', opens: [20, 30], closes: [60, 60], past: 'new-wax-softens' },
  },
  { after: ['wax-off'], family: ['dark-wax'], before: ['buff'], window: { clock: 'reaction', opens: [40, 40] } },
  { after: ['wax-off'], before: ['buff'], window: { clock: 'reaction', opens: [720, 1440] } },
  { after: ['buff'], window: { clock: 'reaction', opens: [1440, 1440] } },
]

/** The window after a step, or null where the next may follow at once. */
export function findStepWindow(after: OperationCode, family: FamilyCode | null, before: OperationCode | null): StepWindow | null {
  const row = windowRows.find(
    (each) =>
      each.after.includes(after) &&
      (!each.family || (family !== null && each.family.includes(family))) &&
      (!each.before || (before !== null && each.before.includes(before))),
  )
  if (!row) return null
  const known = family === null ? null : getFamily(family)
  const { from, clock, opens = from && known?.[from], closes, past, source = 'craft' } = row.window
  if (!opens) return null
  return { clock: clock ?? known?.clock ?? 'evaporation', opens, closes, past, source }
}

const dayMinutes = 1440

/** When a part may be handled gently, and washed, sat on and loaded, after its last coat. */
export function curingOf(family: FamilyCode): { handle: StepWindow; use: StepWindow } {
  const [low, high] = getFamily(family).cureDays ?? [21, 30]
  return {
    handle: { clock: waxes.includes(family) ? 'reaction' : 'evaporation', opens: [dayMinutes, dayMinutes], source: 'craft' },
    use: { clock: 'cure', opens: [low * dayMinutes, high * dayMinutes], source: 'craft' },
  }
}
