/**
 * What a material, or lead, makes of a line of work: worked with another tool, another product, or not at all. Source: the
 * craft, sections on preparation and harm, and what was settled of materials.
 */
import { mayHoldLead } from '@/core/craft/lead'
import type { OperationCode } from '@/core/craft/operations'
import { getSubstrate, isBareMetal, isSoft, kindOf } from '@/core/craft/parts'
import { veneerPass } from '@/core/craft/preparation'
import type { Line } from './lines'
import type { FinishablePart } from './wish'

/** How the line is worked instead; null leaves it out. */
type Change = Partial<Line> | null
export const adaptationCodes = ['veneer', 'cane', 'slick', 'metal', 'melts', 'glass', 'soft', 'lead'] as const
export type AdaptationCode = (typeof adaptationCodes)[number]
interface Adaptation {
  code: AdaptationCode
  on: (part: FinishablePart) => boolean
  lines: Partial<Record<OperationCode, Change | ((line: Line) => Change)>>
}

const wetRub = { grit: 'wet, 320', applicator: 'wet abrasive by hand, slurry wiped up' }
/** The ground is treated one way, what lies on it another. */
const onGround =
  (ground: Change, above: Change) =>
  ({ phase }: Line): Change =>
    phase === 'prep' ? ground : above
const clothsAlone = { applicator: 'cloths and spirits, no wool' }
const byHand = { grit: '220', applicator: 'abrasive by hand, lightly' }
const noBlade: Change = { operation: 'dry-distress', ...byHand }
const degreased = (line: Line): Change => (line.family === 'degreaser' ? { family: 'soap' } : {})

/** Asked in order, the later on top of the earlier; what is left out stays out. */
export const adaptations: readonly Adaptation[] = [
  // veneer takes one light pass by hand, and no blade
  {
    code: 'veneer',
    on: ({ substrate }) => getSubstrate(substrate).veneer === true,
    lines: {
      sand: onGround(veneerPass, { grit: '220' }),
      scuff: onGround(veneerPass, {}),
      'dry-distress': byHand,
      'scrape-distress': noBlade,
      scrape: { applicator: 'fine wire wool and spirits' },
    },
  },
  // the weave has neither flats nor grain: a pad at most
  {
    code: 'cane',
    on: (part) => kindOf(part) === 'cane',
    lines: {
      smooth: null,
      sand: onGround(null, { grit: undefined, applicator: 'scuffing pad, lightly' }),
      scuff: { grit: undefined, applicator: 'scuffing pad, lightly' },
      'dry-distress': { grit: undefined, applicator: 'scuffing pad, where hands wear it' },
      'scrape-distress': { operation: 'dry-distress', grit: undefined, applicator: 'scuffing pad, where hands wear it' },
      dewax: clothsAlone,
    },
  },
  // slick things are scuffed, not sanded; bare glass takes neither
  {
    code: 'slick',
    on: (part) => kindOf(part) === 'slick',
    lines: {
      sand: onGround({ operation: 'scuff', grit: '180–220', reason: 'key' }, {}),
      scuff: (line) => ({ grit: line.grit ?? '180–220' }),
      'scrape-distress': noBlade,
    },
  },
  // what water would rust is primed with what keeps it from rusting; a primer that was asked for by name stays
  {
    code: 'metal',
    on: isBareMetal,
    lines: { 'adhesion-prime': ({ touch }) => (touch ? {} : { family: 'metal-primer', reason: 'metal-rusts' }) },
  },
  // heat cracks the one and melts the other
  { code: 'melts', on: ({ substrate }) => substrate === 'glass' || substrate === 'plastic', lines: { 'heat-gun': null } },
  {
    code: 'glass',
    on: ({ substrate, existing }) => substrate === 'glass' && existing === 'bare',
    lines: { scuff: onGround(null, {}) },
  },
  // cloth and leather: soap and water, nothing coarser than 400
  {
    code: 'soft',
    on: ({ substrate }) => isSoft(substrate),
    lines: {
      clean: (line) => ({
        ...degreased(line),
        ...(line.family !== 'spirits' && { applicator: 'vacuumed first, then a damp sponge' }),
      }),
      scuff: null,
      sand: null,
      dewax: clothsAlone,
      'dry-distress': { grit: '400' },
      'block-prime': null,
      'adhesion-prime': null,
      smooth: { grit: '400' },
      'clear-wax': { applicator: 'wax brush, worked in generously' },
    },
  },
  // lead is covered, not rubbed off: a wet key, no wool, no dust
  {
    code: 'lead',
    on: mayHoldLead,
    lines: {
      scuff: { ...wetRub, reason: 'wet-key' },
      sand: onGround({ ...wetRub, operation: 'scuff', reason: 'wet-key' }, wetRub),
      // water would lift what is not sealed yet: between its coats of colour nothing is rubbed
      smooth: ({ phase }) => (phase === 'seal' || phase === 'wear' ? { ...wetRub, grit: 'wet, 400' } : null),
      'dry-distress': wetRub,
      dewax: clothsAlone,
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
