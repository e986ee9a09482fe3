import type { PieceId } from '@/core/measure/named'
import { useHouse } from '@/ui/form/house'
import { useMay } from '@/ui/form/may'
import { Link } from '@/ui/frame/Link'

/** To the change that waits; for whom offers are nobody's business, to the piece. */
export function OfferLink({ pieceId, words }: { pieceId: PieceId; words: string }) {
  const may = useMay()
  const { hidesMoney } = useHouse()
  return (
    <Link href={may('quote') && !hidesMoney ? `/pieces/${pieceId}/offer` : `/pieces/${pieceId}`} className="tap text-lg">
      {words}
    </Link>
  )
}
