/** The lines of an offer: what for, how it will look, what it comes to. */
import type { Offer } from '@/core/price/offer'
import { OfferStack } from './OfferStack'

export function OfferLines({ offer, money }: { offer: Offer; money: (minor: number) => string }) {
  const byPart = new Map(offer.sections.map((section) => [section.part, section]))
  return (
    <ul>
      {offer.lines.map((line) => {
        // a count may stand before its name
        const section = line.partId === null ? undefined : byPart.get(line.words.replace(/^\d+ × /, ''))
        return (
          <li key={line.id} className="flex items-center gap-4 border-b border-line py-3">
            {section && <OfferStack section={section} />}
            <span className="min-w-0 flex-1 [overflow-wrap:anywhere]">
              <strong className="block text-lg leading-tight">{line.words}</strong>
              {line.detail && <span className="text-soft">{line.detail}</span>}
            </span>
            <span className="figure shrink-0 text-2xl">{money(line.money)}</span>
          </li>
        )
      })}
    </ul>
  )
}
