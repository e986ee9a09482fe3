import { notFound } from 'next/navigation'
import { getPieceFile } from '@/app/_server/load'
import { whatMay } from '@/app/_server/may'
import { Link } from '@/ui/frame/Link'
import { NotYours } from '@/ui/frame/NotYours'
import { PartForm } from '@/ui/piece/PartForm'
import { TakeOut } from '@/ui/piece/TakeOut'

export const metadata = { title: 'A part put right' }

export default async function ChangePart({ params }: { params: Promise<{ id: string; part: string }> }) {
  const { file } = await getPieceFile(params)
  if (!(await whatMay())('part')) return <NotYours what="Changing a part" back={`/pieces/${file.piece.id}`} to="To the piece" />
  const { piece, parts, takenOut } = file
  const wanted = (await params).part
  const part = [...parts, ...takenOut].find(({ id }) => id === wanted)
  if (!part) notFound()
  const out = takenOut.includes(part)
  return (
    <div className="pt-6">
      <p className="text-lg">
        <Link href={`/pieces/${piece.id}`}>{piece.name}</Link>
      </p>
      <h1 className="title text-5xl">{part.name}, put right</h1>
      <p className="mt-1 max-w-prose text-lg text-soft">
        What it was stays in the log. A plan that is in force keeps its amounts and minutes until the finish is chosen anew.
      </p>
      {!out && <PartForm pieceId={piece.id} part={part} />}
      {/* what is pressed is what is sent: out and back are two forms, though the page learn of it meanwhile */}
      <TakeOut
        key={out ? 'back' : 'out'}
        pieceId={piece.id}
        part={{ id: part.id, name: part.name }}
        out={out}
        alone={parts.length === 1}
      />
      {!out && parts.some(({ count }) => count > 1) && (
        <p className="mt-8 text-lg">
          One of a set leaves before the others? <Link href={`/pieces/${piece.id}/split`}>Split the set</Link>.
        </p>
      )}
    </div>
  )
}
