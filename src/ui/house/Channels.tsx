/** Where it is sold: what each place takes, another one, and how prices are made. */
import type { SalesChannel, Studio } from '@/core/house/studio'
import { formatMoney } from '@/core/measure/money'
import { formatNumber } from '@/core/measure/number'
import { Link } from '@/ui/frame/Link'
import { ChannelForm } from './ChannelForm'

interface Props {
  channels: readonly SalesChannel[]
  studio: Studio
  mayAdd: boolean
  /** may say how prices are made */
  maySay: boolean
}
export function Channels({ channels, studio, mayAdd, maySay }: Props) {
  return (
    <section aria-labelledby="channels" className="border-t-2 border-ink pt-4">
      <h2 id="channels" className="title text-3xl">
        Where you sell
      </h2>
      <ul className="mt-2">
        {channels.map(({ id, name, feeShare, feeFixed, rent }) => (
          <li key={id} className="flex flex-wrap justify-between gap-x-4 border-b border-line py-2 text-lg">
            <span className="font-semibold">{name}</span>
            <span className="text-soft">
              {formatNumber(feeShare * 100, studio, 1)} % of the price
              {feeFixed > 0 ? ` and ${formatMoney(feeFixed, studio)}` : ''}
              {rent > 0 ? `, ${formatMoney(rent, studio)} a month` : ''}
            </span>
          </li>
        ))}
      </ul>
      {mayAdd && <ChannelForm />}
      {maySay && (
        <Link href="/house/prices" className="press mt-4">
          How prices are made
        </Link>
      )}
    </section>
  )
}
