import type { PieceId } from '@/core/measure/named'
import { OfferLink } from './OfferLink'

/** In the place of the button that begins it. */
export const ChangeWaits = ({ pieceId }: { pieceId: PieceId }) => (
  <p className="w-full max-w-prose border-l-4 border-late pl-3 font-semibold">
    A change waits for the client’s yes. It is begun when they have said it, or somebody wrote why it goes on without.{' '}
    <OfferLink pieceId={pieceId} words="The change" />
  </p>
)
