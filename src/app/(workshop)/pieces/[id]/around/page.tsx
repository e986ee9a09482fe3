/** The work around the paint of a piece: counted, planned, changed. */
import { getPieceView } from '@/app/_server/load'
import { whatMay } from '@/app/_server/may'
import { aheadOn } from '@/core/piece/facts'
import { keyOf } from '@/core/plan/job'
import { Link } from '@/ui/frame/Link'
import { NotYours } from '@/ui/frame/NotYours'
import { JobForm } from '@/ui/job/JobForm'

export const metadata = { title: 'Around the paint' }

export default async function AroundPage({ params }: { params: Promise<{ id: string }> }) {
  const { journey } = await getPieceView(params)
  const { piece, counted } = journey.file
  if (!(await whatMay())('plan'))
    return <NotYours what="Planning the work around the paint" back={`/pieces/${piece.id}`} to="To the piece" />
  const { whole } = journey
  const begun = whole?.steps.filter(({ state }) => state.status !== 'waiting').map(({ step }) => step) ?? []
  const behind = [...(whole?.part.earlier ?? []), ...begun]
  return (
    <div className="pt-6">
      <p className="text-lg">
        <Link href={`/pieces/${piece.id}`}>{piece.name}</Link>
      </p>
      <h1 className="title text-5xl">Around the paint</h1>
      <p className="mt-1 max-w-prose text-lg text-soft">
        Half the hours of a piece are not paint. What is counted here is planned, worked and reckoned like any coat.
      </p>
      <JobForm
        pieceId={piece.id}
        commission={piece.client !== null}
        counted={counted}
        ahead={
          whole
            ? aheadOn(whole).map(({ operation, side = 'before', words = null, minutes }) => ({ operation, side, words, minutes }))
            : null
        }
        done={behind.map(({ operation, side = 'before' }) => keyOf({ operation, side }))}
      />
    </div>
  )
}
