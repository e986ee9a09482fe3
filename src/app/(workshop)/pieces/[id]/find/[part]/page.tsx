/** What is on a part: the tests, one after another, the most telling first. */
import { notFound } from 'next/navigation'
import { getPieceFile } from '@/app/_server/load'
import { whatMay } from '@/app/_server/may'
import { FindForm } from '@/ui/assess/FindForm'
import { Link } from '@/ui/frame/Link'
import { NotYours } from '@/ui/frame/NotYours'

export const metadata = { title: 'What is on it' }

export default async function FindPage({ params }: { params: Promise<{ id: string; part: string }> }) {
  const {
    file: { piece, parts },
  } = await getPieceFile(params)
  if (!(await whatMay())('part')) return <NotYours what="Saying what is on it" back={`/pieces/${piece.id}`} to="To the piece" />
  const wanted = (await params).part
  const current = parts.find(({ id }) => id === wanted)
  if (!current) notFound()
  const { id, name, existing, lead, substrate } = current
  return (
    <div className="pt-6">
      <p className="text-lg">
        <Link href={`/pieces/${piece.id}`}>{piece.name}</Link>
      </p>
      <h1 className="title text-5xl">{name}: what is on it?</h1>
      <FindForm pieceId={piece.id} part={{ id, existing, lead, substrate }} />
    </div>
  )
}
