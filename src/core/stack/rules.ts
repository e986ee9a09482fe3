/**
 * What gets on with what: each rule once, as data with a predicate, a severity and the steps that mend it. A rule looks at
 * one act and the surface it meets, or at the surface when all is done. Source: the craft; `practice` where that is silent.
 */
import type { OperationCode } from '../labour/operations'
import { contrast, enoughContrast } from '../finish/colour'
import { getFamily, type FamilyCode } from '../finish/families'
import type { Look } from '../finish/looks'
import type { HouseMethod } from '../finish/method'
import { getExistingFinish, getSubstrate } from '../finish/parts'
import { bleedsThrough, lineFits, mergeRecipes, timesOf, type FinishablePart, type FinishWish } from '../finish/planFinish'
import type { Cover } from '../finish/colour'
import type { Slot } from '../finish/recipe'
import { mayHoldLead, sealsItself } from '../finish/refusals'
import { getSeal, type SealCode } from '../finish/seals'
import { bonded, isLaid, isPainted, isTopcoat, kindOf, topLayer, type Act, type Laid, type Surface } from './surface'

/** `stop`: it will fail. `caution`: it may, or costs more. `advice`: it will look other than hoped. */
export type Severity = 'stop' | 'caution' | 'advice'
export interface Remedy {
  operation: OperationCode
  family?: FamilyCode
}

/** What the stack is meant to be, beside the part itself. */
export interface Intent {
  part: FinishablePart
  wish: FinishWish
  looks: readonly Look[]
  method: HouseMethod
  seal: SealCode
  cover: Partial<Record<Slot, Cover>>
}
export interface Meeting extends Intent {
  act: Act
  index: number
  /** the surface that the act meets */
  on: Surface
  acts: readonly Act[]
}
export interface Ending extends Intent {
  acts: readonly Act[]
  /** the surface when all is done */
  on: Surface
}

interface Common {
  severity: Severity
  remedies: readonly Remedy[]
  source?: 'practice'
}
/** Asked of every act, on the surface it meets. */
export interface MeetingRule extends Common {
  meets: (meeting: Meeting) => boolean
}
/** Asked once, of the whole stack. */
export interface EndingRule extends Common {
  ends: (ending: Ending) => boolean
}

const has = (text: string | null, words: string) => text?.includes(words) ?? false
const thinned = (act: Act) => has(act.mix, 'water') && !has(act.mix, 'no water') && act.family !== 'casein'
const misted = (act: Act) => has(act.mix, 'misted') || act.operation === 'spray-runs'
const isCoat = (act: Act) => ['coat', 'undercoat', 'crackle-coat', 'fabric-coat'].includes(act.operation)
const lays = (act: Act) => isLaid(act) && !['wax', 'tint'].includes(act.operation)
const paintsOn = (on: Surface): Laid[] => on.layers.filter(({ act }) => isPainted(act))
const lastPaint = (on: Surface): Laid | undefined => paintsOn(on).at(-1)
const sealedAbove = (on: Surface, paint: Laid | undefined) =>
  paint !== undefined &&
  on.layers.some(({ index, role }) => index > paint.index && ['clear', 'wax', 'oil', 'medium'].includes(role))
const hasRole = (on: Surface, role: Laid['role']) => on.layers.some((layer) => layer.role === role)
const isPrimer = (act: Act) => ['knotting', 'block-prime', 'adhesion-prime'].includes(act.operation)
const grips = (act: Act) => (act.family === null ? undefined : getFamily(act.family).grips)
const firstLaid = ({ on, act }: Meeting) =>
  lays(act) && act.operation !== 'knotting' && on.layers.every((layer) => layer.act.operation === 'knotting')
const hardUse = (part: FinishablePart) => !['display', 'light'].includes(part.use)
const clears = (on: Surface) => on.layers.filter(({ act }) => act.operation === 'clear-coat').length
const coarse = (grit: string | null) => (/\d+/.exec(grit ?? '') ? Number(/\d+/.exec(grit ?? '')?.[0]) : 220) < 180
const abrasive: readonly OperationCode[] = ['scuff', 'sand', 'dry-distress', 'scrape-distress', 'smooth']
const finish: readonly Remedy[] = [{ operation: 'de-lint' }, { operation: 'clear-coat', family: 'water-clear' }]

export const meetingRules = {
  'soiled-under-coat': {
    severity: 'stop',
    remedies: [{ operation: 'clean', family: 'degreaser' }, { operation: 'rinse' }],
    meets: (m) => m.on.soiled && (lays(m.act) || abrasive.includes(m.act.operation)),
  },
  'cleaner-not-rinsed': {
    severity: 'stop',
    remedies: [{ operation: 'rinse' }],
    meets: (m) => m.on.cleaner && (lays(m.act) || m.act.operation === 'strip' || abrasive.includes(m.act.operation)),
  },
  'wax-under-paint': {
    severity: 'stop',
    remedies: [
      { operation: 'dewax', family: 'spirits' },
      { operation: 'wipe-spirits', family: 'spirits' },
    ],
    meets: (m) => m.on.wax !== 'none' && lays(m.act),
  },
  'new-wax-under-paint': {
    severity: 'stop',
    remedies: [
      { operation: 'dewax', family: 'spirits' },
      { operation: 'wipe-spirits', family: 'spirits' },
      { operation: 'dust-off' },
    ],
    meets: (m) => topLayer(m.on)?.role === 'wax' && (isPainted(m.act) || isPrimer(m.act)),
  },
  'oil-under-paint': {
    severity: 'stop',
    remedies: [{ operation: 'wipe-spirits', family: 'spirits' }],
    meets: (m) => m.on.oily && lays(m.act),
  },
  'stripper-not-scraped': {
    severity: 'stop',
    remedies: [{ operation: 'scrape' }, { operation: 'neutralise' }],
    meets: (m) => m.on.stripper === 'on' && m.act.operation !== 'scrape',
  },
  'stripper-left': {
    severity: 'stop',
    remedies: [{ operation: 'neutralise' }],
    meets: (m) => m.on.stripper === 'residue' && (lays(m.act) || m.act.operation === 'sand' || m.act.operation === 'scuff'),
  },
  'film-under-wash': {
    severity: 'stop',
    remedies: [
      { operation: 'strip', family: 'stripper' },
      { operation: 'scrape' },
      { operation: 'neutralise' },
      { operation: 'sand' },
      { operation: 'dust-off' },
    ],
    meets: (m) => m.on.filmed && m.act.operation === 'wash' && m.looks.some(({ bareWood }) => bareWood),
  },
  'furred-under-coat': {
    severity: 'caution',
    remedies: [{ operation: 'sand' }, { operation: 'dust-off' }],
    source: 'practice',
    meets: (m) => m.on.furred && lays(m.act),
  },
  'no-key': {
    severity: 'caution',
    remedies: [{ operation: 'scuff' }, { operation: 'dust-off' }],
    meets: (m) =>
      m.on.shiny &&
      firstLaid(m) &&
      !mayHoldLead(m.part) &&
      kindOf(m.part) !== 'leather' &&
      kindOf(m.part) !== 'fabric' &&
      !(grips(m.act) === 'most' && m.act.check === 'scratch' && !getExistingFinish(m.part.existing).gloss),
  },
  'slick-unprimed': {
    severity: 'stop',
    remedies: [{ operation: 'adhesion-prime', family: 'adhesion-primer' }],
    meets: (m) => kindOf(m.part) === 'slick' && !m.on.primed.grip && isPainted(m.act) && paintsOn(m.on).length === 0,
  },
  'knots-unsealed': {
    severity: 'stop',
    remedies: [{ operation: 'knotting', family: 'knotting' }],
    meets: (m) =>
      getSubstrate(m.part.substrate).knotty === true &&
      !m.on.primed.knots &&
      isPainted(m.act) &&
      paintsOn(m.on).length === 0 &&
      !m.looks.some(({ bareWood }) => bareWood),
  },
  'bleed-unblocked': {
    severity: 'stop',
    remedies: [{ operation: 'block-prime', family: 'blocking-primer' }],
    meets: (m) =>
      isPainted(m.act) &&
      !m.on.primed.bleed &&
      m.act.colour !== null &&
      !m.looks.some(({ bareWood }) => bareWood) &&
      bleedsThrough(m.part, [m.act.colour.hex]),
  },
  'unknown-unprimed': {
    severity: 'caution',
    remedies: [{ operation: 'block-prime', family: 'blocking-primer' }],
    meets: (m) =>
      m.part.existing === 'unknown' &&
      m.on.filmed &&
      !m.on.primed.bleed &&
      !m.on.primed.grip &&
      isPainted(m.act) &&
      paintsOn(m.on).length === 0 &&
      !['fabric', 'leather'].includes(kindOf(m.part)),
  },
  'veneer-abraded': {
    severity: 'stop',
    remedies: [{ operation: 'scuff' }],
    meets: (m) =>
      getSubstrate(m.part.substrate).veneer === true &&
      m.on.layers.length === 0 &&
      (m.act.operation === 'sand' || (m.act.operation === 'scuff' && !has(m.act.grit, 'one light hand pass'))),
  },
  'across-the-grain': {
    severity: 'caution',
    remedies: [{ operation: 'sand' }, { operation: 'dust-off' }],
    meets: (m) => abrasive.includes(m.act.operation) && (m.act.marks?.includes('across-grain') ?? false),
  },
  'lead-disturbed': {
    severity: 'stop',
    remedies: [{ operation: 'adhesion-prime', family: 'adhesion-primer' }],
    meets: (m) =>
      mayHoldLead(m.part) &&
      m.on.filmed &&
      (['scuff', 'sand', 'scrape', 'dewax', 'heat-gun', 'scrape-distress', 'dry-distress'].includes(m.act.operation) ||
        (m.act.operation === 'smooth' && m.on.layers.length === 0)),
  },
  'lead-uncovered': {
    severity: 'caution',
    remedies: [{ operation: 'adhesion-prime', family: 'adhesion-primer' }],
    meets: (m) =>
      mayHoldLead(m.part) &&
      m.on.filmed &&
      isPainted(m.act) &&
      !m.on.primed.grip &&
      paintsOn(m.on).length === 0 &&
      !['fabric', 'leather'].includes(kindOf(m.part)),
  },
  'dust-under-coat': {
    severity: 'caution',
    remedies: [{ operation: 'dust-off' }],
    meets: (m) => m.on.dusty && lays(m.act),
  },
  'lint-under-clear': {
    severity: 'caution',
    remedies: [{ operation: 'de-lint' }],
    meets: (m) => m.on.lint && (m.act.operation === 'clear-coat' || m.act.operation === 'oil') && !hasRole(m.on, 'oil'),
  },
  'all-in-one-thinned': {
    severity: 'stop',
    remedies: [{ operation: 'coat', family: 'all-in-one' }],
    meets: (m) => m.act.family === 'all-in-one' && (thinned(m.act) || misted(m.act)),
  },
  'too-much-water': {
    severity: 'caution',
    remedies: [{ operation: 'coat' }],
    meets: (m) =>
      isCoat(m.act) &&
      m.act.operation !== 'fabric-coat' &&
      m.act.family !== 'all-in-one' &&
      waterShare(m.act) > allowedWater(m.act),
  },
  mud: {
    severity: 'stop',
    remedies: [{ operation: 'seal-between', family: 'water-clear' }],
    meets: (m) => {
      const below = lastPaint(m.on)
      const freely = below?.act.family && getFamily(below.act.family).rewets === 'freely'
      return (
        Boolean(freely) &&
        m.looks.some(({ apart }) => apart) &&
        m.method.layers === 'apart' &&
        isPainted(m.act) &&
        m.act.operation !== 'dry-brush' &&
        below?.act.colour?.hex !== m.act.colour?.hex &&
        !sealedAbove(m.on, below)
      )
    },
  },
  'sealed-before-blend': {
    severity: 'stop',
    remedies: [{ operation: 'coat' }],
    meets: (m) => m.act.operation === 'blend' && sealedAbove(m.on, lastPaint(m.on)),
  },
  'blend-will-not-move': {
    severity: 'stop',
    remedies: [{ operation: 'coat' }],
    meets: (m) => m.act.operation === 'blend' && !['clay', 'chalk-mineral', 'chalk-style'].includes(m.act.family ?? ''),
  },
  'casein-unbonded': {
    severity: 'caution',
    remedies: [{ operation: 'coat', family: 'casein' }],
    meets: (m) =>
      m.act.family === 'casein' &&
      isCoat(m.act) &&
      !m.looks.some(({ chips }) => chips) &&
      !bonded(m.act) &&
      (m.on.filmed || m.on.layers.some(({ role }) => role === 'primer' || role === 'clear')),
  },
  'casein-bonded-to-chip': {
    severity: 'caution',
    remedies: [{ operation: 'coat', family: 'casein' }],
    meets: (m) => m.act.family === 'casein' && m.act.operation === 'coat' && m.looks.some(({ chips }) => chips) && bonded(m.act),
  },
  'undercoat-unsealed': {
    severity: 'stop',
    remedies: [{ operation: 'seal-between', family: 'water-clear' }],
    meets: (m) => topLayer(m.on)?.act.operation === 'undercoat' && isCoat(m.act),
  },
  'crackle-without-medium': {
    severity: 'stop',
    remedies: [{ operation: 'crackle-medium', family: 'crackle-medium' }],
    meets: (m) => m.act.operation === 'crackle-coat' && topLayer(m.on)?.act.operation !== 'crackle-medium',
  },
  'crackle-covered': {
    severity: 'stop',
    remedies: [...finish],
    meets: (m) => topLayer(m.on)?.act.operation === 'crackle-coat' && (isCoat(m.act) || m.act.operation === 'blend'),
  },
  'crackle-back-brushed': {
    severity: 'stop',
    remedies: [{ operation: 'smooth' }, { operation: 'crackle-medium', family: 'crackle-medium' }, { operation: 'crackle-coat' }],
    meets: (m) => m.act.operation === 'crackle-coat' && (m.act.marks?.includes('back-brushed') ?? false),
  },
  'wash-lifts-base': {
    severity: 'stop',
    remedies: [{ operation: 'seal-between', family: 'water-clear' }],
    meets: (m) => {
      const base = lastPaint(m.on)
      return (
        (m.act.operation === 'wash' || m.act.operation === 'spray-runs') &&
        base !== undefined &&
        base.act.operation !== 'wash' &&
        m.looks.some(({ apart }) => apart) &&
        getFamily(base.act.family ?? 'clay').rewets === 'freely' &&
        !sealedAbove(m.on, base)
      )
    },
  },
  'resist-under-topcoat': {
    severity: 'stop',
    remedies: [{ operation: 'remove-resist' }],
    meets: (m) => m.on.resist && isTopcoat(m.act),
  },
  'flakes-sealed-in': {
    severity: 'stop',
    remedies: [{ operation: 'brush-off-flakes' }, { operation: 'dust-off' }],
    meets: (m) => m.on.flakes && isTopcoat(m.act) && m.looks.some(({ chips }) => chips),
  },
  'tape-under-topcoat': {
    severity: 'stop',
    remedies: [{ operation: 'pull-tape' }],
    meets: (m) => m.on.taped && isTopcoat(m.act),
  },
  'wet-distress-will-not-lift': {
    severity: 'stop',
    remedies: [{ operation: 'dry-distress' }],
    meets: (m) => {
      const paint = lastPaint(m.on)?.act.family
      return (
        m.act.operation === 'wet-distress' &&
        paint !== null &&
        paint !== undefined &&
        !getFamily(paint).rewets &&
        paint !== 'chalk-mineral'
      )
    },
  },
  'distress-after-sealing': {
    severity: 'caution',
    remedies: [{ operation: 'dry-distress' }],
    meets: (m) => m.act.operation === 'wet-distress' && sealedAbove(m.on, lastPaint(m.on)),
  },
  'heat-on-stripper': {
    severity: 'stop',
    remedies: [{ operation: 'scrape' }, { operation: 'neutralise' }],
    meets: (m) => m.act.operation === 'heat-gun' && m.on.stripper !== 'none',
  },
  'fabric-pile': {
    severity: 'stop',
    remedies: [{ operation: 'upholster' }],
    meets: (m) => kindOf(m.part) === 'pile' && isPainted(m.act),
  },
  'fabric-dry': {
    severity: 'caution',
    remedies: [{ operation: 'mist-fabric' }],
    meets: (m) => m.act.operation === 'fabric-coat' && !m.on.misted && m.on.layers.length === 0,
  },
  'leather-diluted-first': {
    severity: 'stop',
    remedies: [{ operation: 'coat' }],
    meets: (m) =>
      kindOf(m.part) === 'leather' && isPainted(m.act) && m.on.layers.length === 0 && (thinned(m.act) || misted(m.act)),
  },
  'leather-thick-first': {
    severity: 'caution',
    remedies: [{ operation: 'coat' }],
    meets: (m) => kindOf(m.part) === 'leather' && isPainted(m.act) && m.on.layers.length === 0 && m.act.film !== 'thin',
  },
  'dark-wax-on-bare-paint': {
    severity: 'stop',
    remedies: [{ operation: 'clear-wax', family: 'clear-wax' }],
    meets: (m) => {
      const top = topLayer(m.on)
      return m.act.operation === 'tinted-wax' && !(top && (top.role === 'wax' || top.role === 'clear'))
    },
  },
  'clear-over-wax': {
    severity: 'stop',
    remedies: [
      { operation: 'dewax', family: 'spirits' },
      { operation: 'wipe-spirits', family: 'spirits' },
      { operation: 'dust-off' },
    ],
    meets: (m) =>
      (m.act.operation === 'clear-coat' || m.act.operation === 'seal-between') &&
      hasRole(m.on, 'wax') &&
      topLayer(m.on)?.role === 'wax',
  },
  'clear-over-fresh-oil': {
    severity: 'stop',
    remedies: [{ operation: 'cure' }],
    meets: (m) => m.act.operation === 'clear-coat' && topLayer(m.on)?.role === 'oil',
  },
  'oil-cannot-soak': {
    severity: 'caution',
    remedies: [{ operation: 'clear-wax', family: 'clear-wax' }],
    source: 'practice',
    meets: (m) => m.act.operation === 'oil' && hasRole(m.on, 'clear') && topLayer(m.on)?.role === 'clear',
  },
  'thirsty-under-hard-clear': {
    severity: 'caution',
    remedies: [{ operation: 'clear-coat', family: 'hard-clear' }],
    meets: (m) =>
      m.act.operation === 'clear-coat' &&
      m.act.family === 'hard-clear' &&
      m.act.film !== 'thin' &&
      getFamily(topLayer(m.on)?.act.family ?? 'water-clear').thirsty === true,
  },
  'gilding-under-topcoat': {
    severity: 'caution',
    remedies: [{ operation: 'metallic-wax', family: 'metallic-wax' }],
    meets: (m) => isTopcoat(m.act) && m.on.layers.some(({ act }) => act.operation === 'metallic-wax'),
  },
  'gilding-on-raw-wax': {
    severity: 'caution',
    remedies: [{ operation: 'wax-off' }, { operation: 'buff' }],
    source: 'practice',
    meets: (m) => m.act.operation === 'metallic-wax' && (m.on.unbuffed || m.on.excess !== 'none'),
  },
  'nothing-to-rub': {
    severity: 'caution',
    remedies: [{ operation: 'clear-wax', family: 'clear-wax' }],
    source: 'practice',
    meets: (m) =>
      (m.act.operation === 'wax-off' && m.on.excess !== 'wax') ||
      (m.act.operation === 'wipe-oil' && m.on.excess !== 'oil') ||
      (m.act.operation === 'buff' && !m.on.unbuffed),
  },
  'oily-rags': {
    severity: 'stop',
    remedies: [],
    meets: (m) => ragsBurn(m.act) && !m.act.cautions.includes('rags'),
  },
  'coarse-last-rub': {
    severity: 'caution',
    remedies: [{ operation: 'smooth' }],
    source: 'practice',
    meets: (m) => m.act.operation === 'smooth' && coarse(m.act.grit),
  },
} as const satisfies Record<string, MeetingRule>

/** The share of water named in a mix like "paint : water 3 : 1" or "20 % water". */
export function waterShare({ mix, family }: Pick<Act, 'mix' | 'family'>): number {
  if (family === 'casein' || !mix) return 0
  const parts = /paint : water (\d+(?:\.\d+)?) : (\d+(?:\.\d+)?)/.exec(mix)
  if (parts) return Number(parts[2]) / Number(parts[1])
  const percent = /(\d+) % water/.exec(mix)
  return percent ? Number(percent[1]) / 100 : 0
}
const allowedWater = (act: Act) => (act.family === null ? 1 : (getFamily(act.family).waterShare ?? 1))
const ragsBurn = (act: Act) =>
  (act.family !== null && ['drying-oil', 'oil-wax'].includes(act.family) && ['oil', 'wipe-oil'].includes(act.operation)) ||
  ['dewax', 'wipe-spirits'].includes(act.operation)

export const endingRules = {
  'steps-of-the-look': {
    severity: 'caution',
    remedies: [{ operation: 'coat' }],
    ends: (e) => coatsShort(e) > 0,
  },
  'low-contrast': {
    severity: 'advice',
    remedies: [{ operation: 'coat' }],
    ends: ({ wish: { colours }, looks }) =>
      looks.some(({ apart, wear }) => apart && wear === 'edges') &&
      colours.a !== undefined &&
      colours.b !== undefined &&
      contrast(colours.a.hex, colours.b.hex) < enoughContrast,
  },
  'excess-left': {
    severity: 'stop',
    remedies: [{ operation: 'wax-off' }, { operation: 'buff' }],
    ends: ({ on }) => on.excess !== 'none',
  },
  unbuffed: {
    severity: 'caution',
    remedies: [{ operation: 'buff' }],
    ends: ({ on }) => on.unbuffed,
  },
  'resist-left': { severity: 'stop', remedies: [{ operation: 'remove-resist' }], ends: ({ on }) => on.resist },
  'tape-left': { severity: 'caution', remedies: [{ operation: 'pull-tape' }], ends: ({ on }) => on.taped },
  'left-unsealed': {
    severity: 'stop',
    remedies: finish,
    ends: ({ on, part }) => {
      const paint = lastPaint(on)
      if (!paint?.act.family || sealedAbove(on, paint)) return false
      return !sealsItself(paint.act.family) && (getFamily(paint.act.family).needsTopcoat !== 'tops' || hardUse(part))
    },
  },
  'topcoat-missing': {
    severity: 'caution',
    remedies: finish,
    ends: ({ on, seal }) => seal !== 'none' && !on.layers.some(({ act }) => isTopcoat(act)),
  },
  'wax-in-hard-use': {
    severity: 'stop',
    remedies: finish,
    ends: ({ on, part }) => hardUse(part) && on.layers.length > 0 && clears(on) === 0,
  },
  'not-for-outdoors': {
    severity: 'stop',
    remedies: [{ operation: 'clear-coat', family: 'hard-clear' }],
    ends: ({ on, part }) =>
      (part.use === 'outdoors' || part.use === 'damp') &&
      on.layers.length > 0 &&
      !on.layers.some(({ act }) => act.family === 'hard-clear'),
  },
  'too-few-clears': {
    severity: 'caution',
    remedies: [{ operation: 'clear-coat' }],
    ends: ({ on, part, seal }) => clears(on) > 0 && clears(on) < (getSeal(seal).coats[part.use] ?? 0),
  },
} as const satisfies Record<string, EndingRule>

/** How many of the look's own coats and steps the acts lack: by operation and colour, so that a colour used twice counts twice. */
function coatsShort({ acts, looks, wish, part, seal, cover, method }: Ending): number {
  const key = (operation: OperationCode, hex: string | undefined) => `${operation} ${hex ?? ''}`
  const wanted = new Map<string, number>()
  for (const line of mergeRecipes(looks, 'none')) {
    if (line.optional || line.operation === 'dust-off' || !lineFits(line, wish.paint, method)) continue
    const name = key(line.operation, line.paint && wish.colours[line.paint]?.hex)
    wanted.set(name, (wanted.get(name) ?? 0) + timesOf(line, part.use, seal, cover))
  }
  return [...wanted].reduce((short, [name, times]) => {
    const done = acts.filter((act) => key(act.operation, act.colour?.hex) === name).length
    return short + Math.max(0, times - done)
  }, 0)
}

export type ConflictCode =
  keyof typeof meetingRules | keyof typeof endingRules | 'too-early' | 'window-missed' | 'used-before-cure'
