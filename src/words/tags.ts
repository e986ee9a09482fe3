/** What stands on tags and on the cards of a shelf. */
import { type FamilyCode, getFamily, unitOf } from '@/core/craft/families'
import { mayHoldLead } from '@/core/craft/lead'
import type { Range } from '@/core/drying/windowFor'
import { sqFtPerM2 } from '@/core/measure/length'
import { formatNumber } from '@/core/measure/number'
import type { Measuring } from '@/core/measure/units'
import type { Journey } from '@/core/piece/journey'
import type { Product } from '@/core/stock/product'
import { planWords } from './job'
import { capital } from './text'
import { dayDateWords, spanWords } from './time'

/** For whom, and until when. */
export const tagUnder = ({ file: { piece } }: Journey, house: Measuring): string[] =>
  [piece.client && `for ${piece.client}`, piece.promisedOn && `promised for ${dayDateWords(piece.promisedOn, house)}`].filter(
    (line): line is string => Boolean(line),
  )
export const tagParts = ({ parts }: Journey): string[] =>
  parts.map(
    ({ part }) => `${part.count > 1 ? `${part.count} × ` : ''}${part.name}${part.plan ? `: ${planWords(part.plan)}` : ''}`,
  )
export const tagCaution = ({ parts }: Journey): string | null =>
  parts.some(({ part }) => mayHoldLead(part)) ? 'May hold lead: no dry sanding, no heat. Follow your local rules.' : null

const between = ([low, high]: Range, words: (figure: number) => string): string =>
  low === high ? words(low) : `${words(low)} to ${words(high)}`
/** litres or kilograms in what the house reckons in; of a pint, or of an ounce */
const portions = {
  metric: { ml: [1, 'a litre'], g: [1, 'a kg'] },
  imperial: { ml: [0.56826125, 'a pint'], g: [0.028349523125, 'an oz'] },
  us: { ml: [0.473176473, 'a pint'], g: [0.028349523125, 'an oz'] },
} as const
function coverageWords(code: FamilyCode, house: Measuring): string {
  const [portion, name] = portions[house.units][unitOf(code)]
  const area = (m2: number) => formatNumber(m2 * portion * (house.units === 'metric' ? 1 : sqFtPerM2), house, 0, 0)
  const [low, high] = getFamily(code).coverage
  const unit = house.units === 'metric' ? 'm²' : 'sq ft'
  return `${low === high ? area(low) : `${area(low)}–${area(high)}`} ${unit} ${name}`
}

/** Figures of a family as the craft has them; the label on the tin wins. */
export function cardFacts(code: FamilyCode, house: Measuring): [string, string][] {
  const { touchDry, recoat, cureDays, potLife } = getFamily(code)
  const days = (range: Range) => (range[0] === range[1] ? `${range[0]} days` : `${range[0]}–${range[1]} days`)
  return [
    ['One coat covers', coverageWords(code, house)],
    ...(touchDry ? ([['Dry to the touch', between(touchDry, spanWords)]] as [string, string][]) : []),
    ...(recoat ? ([['Next coat from', between(recoat, spanWords)]] as [string, string][]) : []),
    ...(potLife ? ([['Once mixed, good for', between(potLife, spanWords)]] as [string, string][]) : []),
    ...(cureDays ? ([['Hard after', days(cureDays)]] as [string, string][]) : []),
  ]
}
/** What it wants and bears. */
export function cardWords({ family, formula }: Pick<Product, 'family' | 'formula'>): string[] {
  const { needsTopcoat, rewets, waterShare, role } = getFamily(family)
  return [
    formula ? `Mixed here: ${formula}.` : null,
    needsTopcoat === true ? 'Wants something over it.' : needsTopcoat === 'tops' ? 'On tops it wants something over it.' : null,
    rewets ? 'Water lifts it until it is sealed.' : null,
    waterShare === undefined
      ? null
      : waterShare === 0
        ? 'No water in it.'
        : waterShare < 1
          ? `Water: up to ${Math.round(waterShare * 100)} %.`
          : 'It is mixed with water.',
    role === 'oil' ? 'Its rags heat up by themselves: spread them out to dry, or keep them under water.' : null,
    role === 'stripper' ? 'Gloves, eyes covered, fresh air.' : null,
    'The label on the tin goes before this card.',
  ].filter((line): line is string => line !== null)
}
export const cardName = ({ colourName, name }: Product): string => capital(colourName ?? name)
/** Null where that is what the tin is called. */
export function cardFamily({ colourName, name, family }: Product): string | null {
  const { words } = getFamily(family)
  if (colourName && colourName !== name) return `${words}, ${name}`
  return (colourName ?? name).toLowerCase() === words.toLowerCase() ? null : words
}
