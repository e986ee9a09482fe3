/** Every place it can be sold, each with what to ask there and what is kept of it; one of them is looked at. */
import type { ChannelDesk } from '@/core/house/priceDesk'
import type { PieceId } from '@/core/measure/named'
import { Link } from '@/ui/frame/Link'

interface Props {
  pieceId: PieceId
  channels: readonly ChannelDesk[]
  chosen: string | undefined
  money: (minor: number) => string
}
export function ChannelRows({ pieceId, channels, chosen, money }: Props) {
  return (
    <nav aria-label="Sold through" className="mt-4">
      <ul className="border-t border-line">
        {channels.map(({ channel, price, kept, rentShare }) => (
          <li key={channel.id} className="border-b border-line">
            <Link
              href={`/pieces/${pieceId}/money?channel=${channel.id}`}
              aria-current={channel.id === chosen ? 'true' : undefined}
              className={`grid min-h-14 grid-cols-[1fr_auto] items-center gap-x-6 px-3 py-1 no-underline sm:grid-cols-[1.4fr_7rem_2fr] ${channel.id === chosen ? 'bg-well' : ''}`}
            >
              <span className={`text-lg ${channel.id === chosen ? 'font-bold' : ''}`}>{channel.name}</span>
              <span className="figure text-right text-3xl" data-ask={channel.id}>
                {price ? money(price.ask) : '—'}
              </span>
              <span className="col-span-2 text-soft sm:col-span-1">
                {kept
                  ? [
                      `keeps ${money(kept.net)}`,
                      kept.earned !== null && `${money(kept.earned)} an hour`,
                      rentShare > 0 && `${money(rentShare)} of it bears the rent`,
                    ]
                      .filter(Boolean)
                      .join(' · ')
                  : 'no price meets the wish here'}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </nav>
  )
}
