/** Pieces whose work waits: a change of what was agreed was offered, and nobody has said yes. */
import type { PieceId } from '@/core/measure/named'
import { OfferLink } from './OfferLink'

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
