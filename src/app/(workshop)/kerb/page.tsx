/** At the kerb, the auction, the sale: what may be bid for a piece that is not bought yet. Works without a connection. */
import { loadKerb } from '@/app/_server/kerb'
import { whatMay } from '@/app/_server/may'
import { loadStudio } from '@/app/_server/session'
import { NotYours } from '@/ui/frame/NotYours'
import { KerbView } from '@/ui/kerb/KerbView'

export const metadata = { title: 'At the kerb' }

export default async function Kerb() {
  const studio = await loadStudio()
  const may = await whatMay()
  if (studio.hidesMoney || !may('bid')) return <NotYours what="What may be bid" back="/pieces" to="To the pieces" />
  return <KerbView data={await loadKerb()} mayTakeIn={may('part')} />
}
