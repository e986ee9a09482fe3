/** What is on a part: the tests, one after another, the most telling first. */
import { notFound } from 'next/navigation'
import { getPieceFile } from '@/app/_server/load'
import { FindForm } from '@/ui/assess/FindForm'
import { Link } from '@/ui/frame/Link'

export const metadata = { title: 'What is on it' }

export default async function FindPage({ params }: { params: Promise<{ id: string; part: string }> }) {
  const {
    file: { piece, parts },
  } = await getPieceFile(params)
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
