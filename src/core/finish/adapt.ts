/**
 * What a material, or lead, makes of a line of work: worked with another tool, another product, or not at all. Source: the
 * craft, sections on preparation and harm, and what was settled of materials.
 */
import { mayHoldLead } from '@/core/craft/lead'
import type { OperationCode } from '@/core/craft/operations'
import { getSubstrate } from '@/core/craft/parts'
import { veneerPass } from '@/core/craft/preparation'
import type { Line } from './lines'
import type { FinishablePart } from './wish'

/** How the line is worked instead; null leaves it out. */
type Change = Partial<Line> | null
interface Adaptation {
  on: (part: FinishablePart) => boolean
  lines: Partial<Record<OperationCode, Change | ((line: Line) => Change)>>
}

const kindOf = ({ substrate }: FinishablePart) => getSubstrate(substrate).kind
const wetRub = { grit: 'wet, 320', applicator: 'wet abrasive by hand, slurry wiped up' }
const byHand = { grit: '220', applicator: 'abrasive by hand, lightly' }
const degreased = (line: Line): Change => (line.family === 'degreaser' ? { family: 'soap' } : {})

/** Asked in order; what an earlier one leaves out stays out. */
const adaptations: readonly Adaptation[] = [
  // lead is covered, not rubbed off: a wet key, no wool, no dust
  {
    on: mayHoldLead,
    lines: {
      scuff: { ...wetRub, reason: 'wet-key' },
      sand: { ...wetRub, operation: 'scuff', reason: 'wet-key' },
      smooth: { grit: 'wet, 400', applicator: 'wet abrasive by hand, slurry wiped up' },
      dewax: null,
    },
  },
  // veneer takes one light pass by hand, and no blade
  {
    on: ({ substrate }) => getSubstrate(substrate).veneer === true,
    lines: {
      sand: veneerPass,
      scuff: veneerPass,
      'dry-distress': byHand,
      scrape: { applicator: 'fine wire wool and spirits' },
    },
  },
  // the weave has neither flats nor grain: a pad at most
  {
    on: (part) => kindOf(part) === 'cane',
    lines: {
      smooth: null,
      sand: null,
      scuff: { grit: undefined, applicator: 'scuffing pad, lightly' },
      'dry-distress': { grit: undefined, applicator: 'scuffing pad, where hands wear it' },
      dewax: null,
    },
  },
  // slick things are scuffed, not sanded; bare glass takes neither
  {
    on: (part) => kindOf(part) === 'slick',
    lines: {
      sand: { operation: 'scuff', grit: '180–220', reason: 'key' },
      scuff: (line) => ({ grit: line.grit ?? '180–220' }),
    },
  },
  { on: ({ substrate, existing }) => substrate === 'glass' && existing === 'bare', lines: { scuff: null } },
  // cloth and leather: soap and water, nothing coarser than 400
  {
    on: (part) => ['fabric', 'leather', 'pile'].includes(kindOf(part)),
    lines: {
      clean: (line) => ({
        ...degreased(line),
        ...(line.family !== 'spirits' && { applicator: 'vacuumed first, then a damp sponge' }),
      }),
      scuff: null,
      sand: null,
      dewax: null,
      smooth: { grit: '400' },
      'clear-wax': { applicator: 'wax brush, worked in generously' },
    },
  },
]

/** The line as this part takes it; null where it is left out. */
export function adapt(line: Line, part: FinishablePart): Line | null {
  return adaptations.reduce<Line | null>((worked, { on, lines }) => {
    if (worked === null || !on(part)) return worked
    const found = lines[worked.operation]
    const change = typeof found === 'function' ? found(worked) : found
    return change === null ? null : { ...worked, ...change }
  }, line)
}
