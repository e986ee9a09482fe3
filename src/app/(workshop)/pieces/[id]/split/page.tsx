import { getPieceFile } from '@/app/_server/load'
import { whatMay } from '@/app/_server/may'
import { Link } from '@/ui/frame/Link'
import { NotYours } from '@/ui/frame/NotYours'
import { SplitForm } from '@/ui/piece/SplitForm'

export const metadata = { title: 'Split the set' }

export default async function SplitSet({ params }: { params: Promise<{ id: string }> }) {
  const { file } = await getPieceFile(params)
  if (!(await whatMay())('part')) return <NotYours what="Splitting a set" back={`/pieces/${file.piece.id}`} to="To the piece" />
  const { piece, parts } = file
  return (
    <div className="pt-6">
      <p className="text-lg">
        <Link href={`/pieces/${piece.id}`}>{piece.name}</Link>
      </p>
      <h1 className="title text-5xl">Split the set</h1>
      <p className="mt-1 max-w-prose text-lg text-soft">
        What leaves becomes a piece of its own, with its plan, all that was done on it, and its share of what was spent and
        worked, by painted area. Both logs say so.
      </p>
      <SplitForm piece={{ id: piece.id, name: piece.name }} parts={parts.map(({ id, name, count }) => ({ id, name, count }))} />
    </div>
  )
}
