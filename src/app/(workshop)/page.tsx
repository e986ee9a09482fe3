/** The bench. */
import { redirect } from 'next/navigation'
import { loadWrittenBench } from '@/app/_server/loadWeek'
import { whatMay } from '@/app/_server/may'
import { loadStudio } from '@/app/_server/session'
import { BenchView } from '@/ui/bench/BenchView'
import { FirstSteps } from '@/ui/bench/FirstSteps'
import { keptPages } from '@/ui/outbox/keptPages'
import { Offline } from '@/ui/outbox/Offline'

export const metadata = { title: 'Bench' }

export default async function Bench() {
  const { bench, pieceIds, tins } = await loadWrittenBench()
  const pages = ['/', ...keptPages, ...pieceIds.map((id) => `/pieces/${id}`)]
  return (
    <>
      {pieceIds.length === 0 ? <Begin tins={tins} /> : <BenchView written={bench} />}
      <Offline pages={pages} />
    </>
  )
}

async function Begin({ tins }: { tins: number }) {
  const studio = await loadStudio()
  if (!(await whatMay())('part'))
    return (
      <div className="pt-6">
        <p className="eyebrow">The bench</p>
        <h1 className="title text-5xl">Nothing is on the bench</h1>
        <p className="mt-3 text-xl text-soft">As soon as a piece has work ahead, its next step stands here.</p>
      </div>
    )
  if (!studio.kept) redirect('/start')
  return <FirstSteps {...{ studio, tins }} start={null} />
}
