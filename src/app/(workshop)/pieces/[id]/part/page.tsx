import { getPieceFile } from '@/app/_server/load'
import { whatMay } from '@/app/_server/may'
import { NotYours } from '@/ui/frame/NotYours'
import { AddPartForm } from '@/ui/piece/AddPartForm'

export const metadata = { title: 'Add a part' }

export default async function AddPart({ params }: { params: Promise<{ id: string }> }) {
  const { file } = await getPieceFile(params)
  if (!(await whatMay())('part')) return <NotYours what="Adding a part" back={`/pieces/${file.piece.id}`} to="To the piece" />
  return (
    <div className="pt-6">
      <h1 className="title text-5xl">Another part of it</h1>
      <p className="mt-1 text-lg text-soft">{file.piece.name}</p>
      <AddPartForm pieceId={file.piece.id} />
    </div>
  )
}
