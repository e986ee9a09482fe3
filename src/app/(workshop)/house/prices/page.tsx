/** How prices are made here: what goes on top, how overhead is shared out, how an ask comes down, the rate card. */
import { whatMay } from '@/app/_server/may'
import { loadStudio } from '@/app/_server/session'
import { Link } from '@/ui/frame/Link'
import { NotYours } from '@/ui/frame/NotYours'
import { PricingForm } from '@/ui/house/PricingForm'

export const metadata = { title: 'How prices are made' }

export default async function Prices() {
  const studio = await loadStudio()
  const may = await whatMay()
  if (!may('studio')) return <NotYours what="How prices are made" back="/house" to="To the house" />
  return (
    <div className="pt-6">
      <p className="text-lg">
        <Link href="/house">The house</Link>
      </p>
      <h1 className="title text-5xl">How prices are made</h1>
      <p className="mt-2 max-w-prose text-lg text-soft">
        The rate of an hour, the wish, the tax and the room to haggle stand with the house itself. Every figure here is yours to
        change; what was sold keeps its price.
      </p>
      <PricingForm pricing={studio.pricing} />
    </div>
  )
}
