/** The surface after one more act: what each operation changes, beside the layer that it lays. Pure. */
import { getFamily } from '@/core/craft/families'
import { coarsest, lastOf, readGrit } from '@/core/craft/grit'
import { getOperation, type OperationCode } from '@/core/craft/operations'
import { type Act, isPainted, type Laid, type SurfaceState } from './surface'

/** What is left when the wax on top has been taken off. */
function withoutTopWax(layers: readonly Laid[]): readonly Laid[] {
  return layers.slice(0, layers.findLastIndex(({ role }) => role !== 'wax') + 1)
}

/** A grit that leaves a clear as it shone. */
const polishes = 400
type Change = (surface: SurfaceState, act: Act) => Partial<SurfaceState>
/** What the scraper takes off with softened stripper. */
const stripped: Partial<SurfaceState> = {
  stripper: 'residue',
  filmed: false,
  shiny: false,
  wax: 'none',
  oily: false,
  furred: true,
  soiled: 'clean',
  // what was laid comes off with what was found, and so does what was left on it
  layers: [],
  primed: { knots: false, bleed: false, grip: false },
  resist: 'none',
  flakes: false,
  peaks: false,
  worn: false,
  excess: 'none',
  unbuffed: false,
  sleek: false,
  scratched: false,
  filled: false,
  ownOil: false,
}
/** A rub of the ground or of what lies on it; wet it leaves slurry to rinse instead of dust. */
const abrades: Change = ({ layers, abraded, resist }, act) => {
  const grit = readGrit(act.grit, act.applicator)
  return {
    shiny: false,
    sleek: false,
    furred: false,
    peaks: false,
    ...(grit.wet ? { cleaner: true } : { dusty: true }),
    // so coarse a grit takes the old finish off
    ...(layers.length === 0 && act.operation === 'sand' && coarsest(grit) <= 100 && { filmed: false }),
    ...(layers.length === 0 && { abraded: { times: abraded.times + 1, last: lastOf(grit) } }),
    ...(resist === 'covered' && { resist: 'worn' as const }),
  }
}
const wears: Change = (surface, act) => ({
  ...abrades(surface, act),
  cleaner: surface.cleaner,
  dusty: true,
  worn: true,
})

/** What each operation changes, beside the layer it lays. */
const changes: Partial<Record<OperationCode, Change>> = {
  clean: () => ({ soiled: 'clean', cleaner: true }),
  rinse: () => ({ cleaner: false }),
  dewax: ({ wax, layers }) => ({
    wax: wax === 'none' && layers.at(-1)?.role !== 'wax' ? 'none' : 'smear',
    layers: withoutTopWax(layers),
    excess: 'none',
    unbuffed: false,
  }),
  // what takes off wax or oil leaves a film of it to be washed off; else it cleans, after a fashion
  'wipe-spirits': ({ wax, soiled, oily, layers }) => ({
    // wax of one's own goes with it, but for a smear
    ...(layers.at(-1)?.act.family === 'salve' && { layers: layers.slice(0, -1) }),
    ...(layers.at(-1)?.role === 'wax'
      ? { layers: withoutTopWax(layers), wax: 'smear', excess: 'none', unbuffed: false }
      : { wax: wax === 'thick' ? 'thick' : 'none' }),
    oily: false,
    ownOil: false,
    soiled: soiled === 'soiled' && wax === 'none' && !oily ? 'wiped' : soiled,
  }),
  fill: ({ layers, filled }) => ({ filled: filled || layers.some(({ act }) => isPainted(act)) }),
  strip: () => ({ stripper: 'on' }),
  scrape: (surface) =>
    surface.stripper === 'on'
      ? // furred, it is abraded from the beginning
        { ...stripped, abraded: { ...surface.abraded, last: null } }
      : { wax: surface.wax === 'none' ? 'none' : 'smear', layers: withoutTopWax(surface.layers), shiny: false, dusty: true },
  neutralise: ({ stripper }) => ({ stripper: stripper === 'on' ? 'on' : 'none' }),
  scuff: abrades,
  sand: (surface, act) => ({ ...abrades(surface, act), ...(surface.layers.length > 0 && { worn: true }) }),
  // the dust of a smoothing is taken off with it
  smooth: ({ layers, shiny }, act) => ({
    sleek: false,
    scratched: layers.at(-1)?.act.operation === 'clear-coat' && coarsest(readGrit(act.grit, act.applicator)) < polishes,
    shiny: layers.length === 0 ? false : shiny,
  }),
  'de-rust': (surface, act) => ({ ...abrades(surface, act), rusty: false }),
  'dust-off': () => ({ dusty: false, lint: false }),
  'de-lint': () => ({ dusty: false, lint: false }),
  knotting: ({ primed }) => ({ primed: { ...primed, knots: true } }),
  // what blocks tannin blocks knots
  'block-prime': ({ primed }) => ({ primed: { ...primed, bleed: true, knots: true } }),
  'adhesion-prime': ({ primed }) => ({ primed: { ...primed, grip: true } }),
  'texture-coat': () => ({ peaks: true }),
  'knock-down': () => ({ peaks: false }),
  resist: () => ({ resist: 'on' }),
  'remove-resist': () => ({ resist: 'none' }),
  tape: () => ({ taped: 'on' }),
  // what it lets go of is brushed off after it
  'heat-gun': ({ layers, flakes }) => ({ flakes: flakes || layers.at(-1)?.act.family === 'casein' }),
  'pull-tape': () => ({ taped: 'none' }),
  'mist-fabric': () => ({ misted: true }),
  'wet-distress': ({ resist }) => ({ dusty: true, worn: true, ...(resist === 'covered' && { resist: 'worn' }) }),
  'dry-distress': wears,
  'scrape-distress': wears,
  'brush-off-flakes': () => ({ flakes: false, dusty: true }),
  'clear-wax': () => ({ excess: 'wax', unbuffed: true, worn: false }),
  'tinted-wax': () => ({ excess: 'wax', unbuffed: true }),
  'metallic-wax': () => ({ unbuffed: true }),
  'wax-off': ({ excess }) => ({ excess: excess === 'wax' ? 'none' : excess }),
  buff: () => ({ unbuffed: false }),
  'clear-coat': () => ({ worn: false }),
  'seal-between': () => ({ worn: false }),
  oil: () => ({ excess: 'oil', worn: false, ownOil: true }),
  'wipe-oil': ({ excess }) => ({ excess: excess === 'oil' ? 'none' : excess }),
  // a salve is taken off again with spirits
  salve: () => ({ ownOil: true }),
}

/**
 * The first of some acts that what lies now may have come of: all that was done before has been stripped off again. What mends a spot, or
 * goes to some places alone, strips no part.
 */
export function lyingFrom(acts: readonly Act[]): number {
  let [from, soaks] = [0, false]
  acts.forEach(({ operation, mends, where }, k) => {
    if (mends || where) return
    if (operation === 'scrape' && soaks) from = k + 1
    if (['strip', 'scrape', 'neutralise'].includes(operation)) soaks = operation === 'strip'
  })
  return from
}

/** Milk paint without its bonding agent lets go wherever it does not soak in. */
const letsGo = (surface: SurfaceState, act: Act) =>
  act.family === 'casein' &&
  act.operation === 'coat' &&
  !bonded(act) &&
  (surface.filmed || surface.layers.some((below) => below.act.family !== 'casein'))
export const bonded = ({ mix }: Pick<Act, 'mix'>): boolean => mix?.includes('with bonding agent') ?? false

/** The surface after one more act. */
export function afterAct(surface: SurfaceState, act: Act, index: number): SurfaceState {
  const changed = { ...surface, ...changes[act.operation]?.(surface, act) }
  if (!getOperation(act.operation).layer || act.family === null) return changed
  const painted = isPainted(act)
  return {
    ...changed,
    flakes: changed.flakes || letsGo(surface, act),
    layers: [...changed.layers, { act, index, role: getFamily(act.family).role }],
    scratched: false,
    sleek: act.operation === 'clear-coat' || getFamily(act.family).closed === true,
    lint: painted || changed.lint,
    peaks: act.operation === 'texture-coat',
    // what was left below is shut in: it was spoken of when this was laid
    soiled: 'clean',
    cleaner: false,
    wax: 'none',
    oily: false,
    furred: false,
    rusty: false,
    dusty: false,
    ...(painted && changed.resist === 'on' && { resist: 'covered' }),
    ...(changed.taped === 'on' && { taped: 'painted' }),
    ...(painted && { worn: false, filled: false }),
  }
}
