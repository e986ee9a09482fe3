/** Where photographs wait that another app of the phone handed over. */
import { whatMay } from '@/app/_server/may'
import { readStudio } from '@/app/_server/session'
import { listOpenPieces } from '@/db/piece'
import { HandedOver } from '@/ui/photo/HandedOver'

export const metadata = { title: 'Photographs handed over' }

export default async function Shared() {
  const may = await whatMay()
  const pieces = may('photo') ? await readStudio(listOpenPieces) : []
  return (
    <div className="pt-6">
      <h1 className="title text-5xl">Whose photographs?</h1>
      {may('photo') ? (
        <HandedOver pieces={pieces.map(({ id, name }) => ({ id, name }))} />
      ) : (
        <p className="mt-6 text-lg">Photographs are put in by who works on the pieces.</p>
      )}
    </div>
  )
}
