import { getPieceFile } from '@/app/_server/load'
import { whatMay } from '@/app/_server/may'
import { NotYours } from '@/ui/frame/NotYours'
import { FactsForm } from '@/ui/piece/FactsForm'

export const metadata = { title: 'Facts' }

export default async function Facts({ params }: { params: Promise<{ id: string }> }) {
  const { rooms, file } = await getPieceFile(params)
  if (!(await whatMay())('entry of plan'))
    return <NotYours what="Changing its facts" back={`/pieces/${file.piece.id}`} to="To the piece" />
  return (
    <div className="pt-6">
      <h1 className="title text-5xl">The facts of it</h1>
      <p className="mt-1 text-lg text-soft">Price paid and fetching are lines of the log; put them right there.</p>
      <FactsForm piece={file.piece} rooms={rooms} />
    </div>
  )
}
