/**
 * What a part's surface is like after each thing done to it: the state that the stack rules look at. Pure.
 */
import type { CautionCode } from '@/core/craft/cautions'
import { type FamilyCode, getFamily } from '@/core/craft/families'
import { mayHoldLead } from '@/core/craft/lead'
import { type CheckCode, getOperation, laysColour, type OperationCode } from '@/core/craft/operations'
import { getExistingFinish, isBareMetal, isSoft, kindOf } from '@/core/craft/parts'
import type { Sheen } from '@/core/craft/sheen'
import type { Where } from '@/core/finish/touch'
import type { Colour, FinishablePart } from '@/core/finish/wish'
import type { Film } from '@/core/measure/film'

/** One thing done or to be done on a part; a planned step is one. */
export interface Act {
  operation: OperationCode
  family: FamilyCode | null
  colour: Colour | null
  mix: string | null
  grit: string | null
  film: Film
  /** how it shines when dry, where that was asked for or noted */
  sheen?: Sheen | null | undefined
  check: CheckCode | null
  cautions: readonly CautionCode[]
  /** the tool, in the painter's words; not known unless given */
  applicator?: string | null
  /** all over unless given */
  where?: Where | null | undefined
  /** minutes since any common beginning, at the reference climate; absent where the times aren't known */
  at?: { start: number; end: number } | undefined
  /** the snag that it mends, where it does */
  mends?: string | null | undefined
  /** what was noticed while it was done */
  marks?: readonly ('across-grain' | 'back-brushed')[] | undefined
}

/** A layer laid on, bottom up. */
export interface Laid {
  act: Act
  index: number
  role: ReturnType<typeof getFamily>['role']
}

export interface SurfaceState {
  /** grease, polish, smoke; wiped with spirits alone some of it stays */
  soiled: 'soiled' | 'wiped' | 'clean'
  /** degreaser or soap not rinsed off */
  cleaner: boolean
  stripper: 'none' | 'on' | 'residue'
  /** old wax, or its smear after the wool */
  wax: 'thick' | 'smear' | 'none'
  /** old oil, or fresh oil, not wiped with spirits */
  oily: boolean
  /** an oil of one's own that has not cured, not wiped with spirits */
  ownOil: boolean
  /** a found film, or a slick material, whose shine is unbroken */
  shiny: boolean
  /** a film of one's own that shines, and was not rubbed since */
  sleek: boolean
  /** a clear of one's own, rubbed so that it stays dull */
  scratched: boolean
  /** the old finish is still there */
  filmed: boolean
  /** furred and uneven after stripping */
  furred: boolean
  /** bare metal as it stood */
  rusty: boolean
  /** how often the ground itself was abraded, and the last grit it was left at */
  abraded: { times: number; last: number | null }
  /** filler over the colours, with no colour over it */
  filled: boolean
  dusty: boolean
  lint: boolean
  /** on the wear points; covered by a coat; worn through to */
  resist: 'none' | 'on' | 'covered' | 'worn'
  flakes: boolean
  taped: 'none' | 'on' | 'painted'
  misted: boolean
  /** soft peaks that can be laid down */
  peaks: boolean
  /** worn or abraded since the last topcoat, so that what is below it lies bare */
  worn: boolean
  excess: 'none' | 'wax' | 'oil'
  unbuffed: boolean
  primed: { knots: boolean; bleed: boolean; grip: boolean }
  layers: readonly Laid[]
}

/** The surface as it was found. */
export function foundSurface(part: FinishablePart): SurfaceState {
  const { existing, polish } = part
  const film = getExistingFinish(existing).film === true
  const kind = kindOf(part)
  const gentle = kind === 'cane' || isSoft(part.substrate)
  return {
    soiled: 'soiled',
    cleaner: false,
    stripper: 'none',
    wax: waxFound(part, gentle),
    oily: existing === 'fresh-oil' || polish === 'oil' || polish === 'possible',
    ownOil: false,
    shiny: film || (kind === 'slick' && part.substrate !== 'glass'),
    sleek: false,
    scratched: false,
    filmed: film,
    furred: false,
    rusty: isBareMetal(part),
    abraded: { times: 0, last: null },
    filled: false,
    dusty: false,
    lint: false,
    resist: 'none',
    flakes: false,
    taped: 'none',
    misted: false,
    peaks: false,
    worn: false,
    excess: 'none',
    unbuffed: false,
    primed: { knots: false, bleed: false, grip: false },
    layers: [],
  }
}

/** Wax that was found or is not ruled out; where lead may be nothing is rubbed with wool: spirits alone take what is there. */
function waxFound({ existing, polish, ...part }: FinishablePart, gentle: boolean): SurfaceState['wax'] {
  const found = existing === 'wax' || polish === 'wax' || (existing === 'unknown' && polish !== 'none')
  if (!found) return 'none'
  return gentle || mayHoldLead({ lead: part.lead, existing }) ? 'smear' : 'thick'
}

/** Whether an act lays colour. */
export const isPainted = ({ operation }: Act): boolean => laysColour(operation)
/** Whether an act lays anything that must hold on to what is below. */
export const isLaid = (act: Act): boolean => getOperation(act.operation).layer !== undefined && act.family !== null
/** Whether it is laid here and there, so that what is below is still seen and touched. */
export const isPartial = ({ where }: Pick<Act, 'where'>): boolean => (where?.share ?? 1) < 1
/** Whether a topcoat: clear, wax or oil, over all. */
export const isTopcoat = (act: Act): boolean => ['clear-coat', 'clear-wax', 'oil', 'salve'].includes(act.operation)

export const topLayer = (surface: SurfaceState): Laid | undefined => surface.layers.at(-1)
