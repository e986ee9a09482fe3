/** A studio's first page: how it reckons, asked once in its life; no other bench waits for the code of it. */
import { redirect } from 'next/navigation'
import { whatMay } from '@/app/_server/may'
import { loadStudio, readStudio } from '@/app/_server/session'
import { listLots } from '@/db/stock'
import { FirstSteps } from '@/ui/bench/FirstSteps'
import { listHouseChoices } from '@/ui/house/houseChoices'
import { StartForm } from '@/ui/house/StartForm'
import { keptPages } from '@/ui/outbox/keptPages'
import { Offline } from '@/ui/outbox/Offline'

export const metadata = { title: 'Begin' }

export default async function Start() {
  const [studio, may, lots] = await Promise.all([loadStudio(), whatMay(), readStudio(listLots)])
  if (studio.kept || !may('part')) redirect('/')
  return (
    <>
      <FirstSteps studio={studio} start={<StartForm studio={studio} {...listHouseChoices(studio.zone)} />} tins={lots.length} />
      <Offline pages={['/start', ...keptPages]} />
    </>
  )
}
