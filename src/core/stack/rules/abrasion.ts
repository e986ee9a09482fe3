/** What an abrasive, a blade or wool may not do: to veneer, along or across the grain, where lead may be. Source: the craft, on preparation and harm. */
import { readGrit } from '@/core/craft/grit'
import { kindOf } from '@/core/craft/parts'
import { isLaid } from '@/core/stack/surface'
import { abrasive, byMachine, gritOf, isVeneer, isWet, leadUnder, rubs, withWool } from './ask'
import type { Meeting, MeetingRule } from './rule'

/** Grits that the wood may be left at: where it is seen, and under colour. */
const inSight = 150
const underColour = 100

export const abrasionRules = {
  'veneer-abraded': {
    severity: 'stop',
    remedies: [{ operation: 'scuff' }],
    instead: true,
    meets: (m) =>
      isVeneer(m.part) &&
      ((['sand', 'scuff'].includes(m.act.operation) &&
        m.on.layers.length === 0 &&
        (m.act.operation === 'sand' || m.on.abraded.times > 0 || gritOf(m.act) < 220 || byMachine(m.act))) ||
        (m.act.operation === 'dry-distress' && (gritOf(m.act) < 220 || byMachine(m.act))) ||
        m.act.operation === 'scrape-distress' ||
        (m.act.operation === 'scrape' && !/wool/.test(m.act.applicator ?? 'wool'))),
  },
  'too-coarse': {
    severity: 'caution',
    remedies: [{ operation: 'scuff' }],
    instead: true,
    meets: (m) => {
      const { operation } = m.act
      if (operation === 'scuff') return gritOf(m.act) < 120
      if (operation !== 'sand') return false
      return gritOf(m.act) < (m.on.layers.length > 0 ? 150 : 80)
    },
  },
  // what the wood was left at shows through a wash, a stain, an oil and a clear sooner than under colour
  'scratches-show': {
    severity: 'caution',
    remedies: [{ operation: 'sand' }],
    meets: ({ act, on, part }) =>
      kindOf(part) === 'wood' &&
      !isVeneer(part) &&
      !on.filmed &&
      on.layers.length === 0 &&
      isLaid(act) &&
      (on.abraded.last ?? Infinity) < (['coat', 'undercoat', 'texture-coat'].includes(act.operation) ? underColour : inSight),
  },
  'grits-backwards': {
    severity: 'caution',
    remedies: [{ operation: 'sand' }],
    instead: true,
    meets: (m) => rubs.includes(m.act.operation) && backwards(m),
  },
  'across-the-grain': {
    severity: 'caution',
    remedies: [{ operation: 'sand' }],
    instead: true,
    meets: (m) => abrasive.includes(m.act.operation) && (m.act.marks?.includes('across-grain') ?? false),
  },
  'lead-disturbed': {
    severity: 'stop',
    remedies: [{ operation: 'adhesion-prime' }],
    instead: true,
    meets: (m) => {
      if (!leadUnder(m)) return false
      if (['scrape', 'heat-gun', 'scrape-distress', 'cut-down'].includes(m.act.operation)) return true
      return withWool(m.act) || (rubs.includes(m.act.operation) && !isWet(m.act))
    },
  },
} as const satisfies Record<string, MeetingRule>

/** A coarser grit after a finer one only scratches again what was smooth. */
function backwards({ act, on }: Meeting): boolean {
  const { numbers } = readGrit(act.grit)
  const within = numbers.some((grit, k) => k > 0 && grit < (numbers[k - 1] ?? 0))
  const { last } = on.abraded
  const after = on.layers.length === 0 && last !== null && act.operation === 'sand' && (numbers[0] ?? last) < last / 2
  return within || after
}
