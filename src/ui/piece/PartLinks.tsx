'use client'
/** Where else to go with a part. */
import type { PartId, PieceId } from '@/core/measure/named'
import { Mine } from '@/ui/form/may'
import { Link } from '@/ui/frame/Link'

interface Props {
  pieceId: PieceId
  partId: PartId
  name: string
  planned: boolean
}
export function PartLinks({ pieceId, partId, name, planned }: Props) {
  const to = (what: string) => ({
    href: `/pieces/${pieceId}/${what}/${partId}`,
    className: 'tap',
  })
  return (
    <p className="flex flex-wrap gap-x-4">
      {planned && (
        <Mine what="plan">
          <Link {...to('plan')}>Change the finish</Link>
        </Mine>
      )}
      <Mine what="part">
        <Link {...to('find')}>What is on it</Link>
        <Link {...to('part')} aria-label={`Put right: ${name}`}>
          Put right
        </Link>
      </Mine>
    </p>
  )
}
