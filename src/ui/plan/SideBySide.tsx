'use client'
/** Two ways to one part beside each other: the sections, then each figure on one line, the better of the two marked. */
import { getFamily } from '@/core/craft/families'
import type { CrossSection as SectionModel } from '@/core/piece/section'
import type { PlanFigures } from '@/core/plan/figures'
import { Section } from '@/ui/drawing/Section'
import { useHouse, useMoney } from '@/ui/form/house'
import { riskWords, skillWords } from '@/words/demands'
import { amountWords } from '@/words/measure'
import { spanWords } from '@/words/time'

export interface Way {
  figures: PlanFigures
  section: SectionModel
}
type Row = [words: string, value: (figures: PlanFigures) => string, size?: (figures: PlanFigures) => number]

export function SideBySide({ own, other, words }: { own: Way; other: Way; words: string }) {
  const house = useHouse()
  const money = useMoney()
  const named = (list: readonly string[]) => (list.length > 0 ? list.join(', ') : 'none')
  const rows: Row[] = [
    ['Work', ({ minutes }) => spanWords(minutes), ({ minutes }) => minutes],
    ['From first to last', ({ days }) => (days === 1 ? 'one day' : `${days} days`), ({ days }) => days],
    [
      'Materials',
      ({ materials, unpriced }) => `${money(materials)}${unpriced.length > 0 ? ` and ${unpriced.length} without a price` : ''}`,
      ({ materials }) => materials,
    ],
    [
      'It takes',
      ({ amounts }) =>
        amounts
          .map(({ family, name, amount }) => `${amountWords(family, amount, house)} ${name ?? getFamily(family).words}`)
          .join(', '),
    ],
    ['To buy', ({ lacking }) => named(lacking.map((code) => getFamily(code).words)), ({ lacking }) => lacking.length],
    ['Windows shorter than an hour', ({ hurried }) => (hurried === 0 ? 'none' : String(hurried)), ({ hurried }) => hurried],
    ['Closing when nobody works', ({ awkward }) => (awkward === 0 ? 'none' : String(awkward)), ({ awkward }) => awkward],
    ['It asks for', ({ skill }) => skillWords[skill], ({ skill }) => skill],
    ['What may go wrong', ({ risks }) => named(risks.map((code) => riskWords[code])), ({ risks }) => risks.length],
  ]
  return (
    <table className="mt-3 w-full table-fixed border-collapse text-left" aria-label={`This way beside: ${words}`}>
      <thead>
        <tr className="align-top">
          <td className="w-[26%]" />
          {[own, other].map(({ section }, k) => (
            <th key={k} scope="col" className="pb-2 pr-3 font-semibold">
              <Section model={section} className="w-28" />
              {k === 0 ? 'This way' : words}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(([label, value, size]) => {
          const [a, b] = [size?.(own.figures) ?? 0, size?.(other.figures) ?? 0]
          const same = value(own.figures) === value(other.figures)
          return (
            <tr key={label} className="border-t border-line align-top">
              <th scope="row" className="py-2 pr-3 text-sm font-semibold text-soft">
                {label}
              </th>
              {[own, other].map(({ figures }, k) => {
                const better = size !== undefined && (k === 0 ? a < b : b < a)
                return (
                  <td key={k} className={`py-2 pr-3 ${better ? 'font-semibold' : ''} ${same ? 'text-soft' : ''}`}>
                    {better && (
                      <span className="text-now" aria-hidden>
                        ▪{' '}
                      </span>
                    )}
                    {value(figures)}
                    {better && <span className="sr-only"> (less)</span>}
                  </td>
                )
              })}
            </tr>
          )
        })}
      </tbody>
    </table>
  )
}
