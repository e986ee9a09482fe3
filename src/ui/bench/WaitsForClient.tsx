/** Pieces whose work waits: a change of what was agreed was offered, and nobody has said yes. */
import type { PieceId } from '@/core/measure/named'
import { useHouse } from '@/ui/form/house'
import { useMay } from '@/ui/form/may'
import { Link } from '@/ui/frame/Link'

export function WaitsForClient({ pieces }: { pieces: readonly { id: PieceId; name: string }[] }) {
  const once = [...new Map(pieces.map((piece) => [piece.id, piece])).values()]
  return (
    <div className="mt-8">
      <h2 className="title text-3xl">Waits for its client</h2>
      <ul className="mt-2">
        {once.map(({ id, name }) => (
          <li key={id}>
            <OfferLink pieceId={id} words={name} />
          </li>
        ))}
      </ul>
    </div>
  )
}

/** To the change that waits; for whom offers are nobody's business, to the piece. */
export function OfferLink({ pieceId, words }: { pieceId: PieceId; words: string }) {
  const may = useMay()
  const { hidesMoney } = useHouse()
  return (
    <Link
      href={may('quote') && !hidesMoney ? `/pieces/${pieceId}/offer` : `/pieces/${pieceId}`}
      className="inline-flex min-h-12 items-center text-lg"
    >
      {words}
    </Link>
  )
}
