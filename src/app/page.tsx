/** The bench. */
import { BenchView } from '@/ui/bench/BenchView'
import { Offline } from '@/ui/outbox/Offline'
import { loadBench } from '@/app/_server/load'

export const metadata = { title: 'Bench' }

export default async function Bench() {
  const data = await loadBench()
  const pages = ['/', '/pieces', '/shelf', '/air', ...data.files.map(({ piece }) => `/pieces/${piece.id}`)]
  return (
    <>
      <BenchView data={data} />
      <Offline pages={pages} />
    </>
  )
}
