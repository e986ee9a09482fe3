/** The bench. */
import { loadBench } from '@/app/_server/loadWeek'
import { loadStudio } from '@/app/_server/session'
import { BenchView } from '@/ui/bench/BenchView'
import { FirstSteps } from '@/ui/bench/FirstSteps'
import { listHouseChoices } from '@/ui/house/houseChoices'
import { StartForm } from '@/ui/house/StartForm'
import { Offline } from '@/ui/outbox/Offline'

export const metadata = { title: 'Bench' }

export default async function Bench() {
  const data = await loadBench()
  const pages = ['/', '/week', '/pieces', '/shelf', '/air', ...data.files.map(({ piece }) => `/pieces/${piece.id}`)]
  return (
    <>
      {data.files.length === 0 ? <Begin tins={data.lots.length} /> : <BenchView data={data} />}
      <Offline pages={pages} />
    </>
  )
}

async function Begin({ tins }: { tins: number }) {
  const studio = await loadStudio()
  const start = studio.kept ? null : <StartForm studio={studio} {...listHouseChoices(studio.zone)} />
  return <FirstSteps {...{ studio, start, tins }} />
}
