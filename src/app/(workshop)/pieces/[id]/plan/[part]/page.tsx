/** The plan desk of one part. */
import { notFound } from 'next/navigation'
import { getPieceView, readShelf } from '@/app/_server/load'
import { whatMay } from '@/app/_server/may'
import { readStudio } from '@/app/_server/session'
import { getExistingFinish, getSubstrate, uses } from '@/core/craft/parts'
import { formatArea } from '@/core/measure/length'
import { areaOfPart } from '@/core/piece/area'
import { aroundPaint } from '@/core/piece/daysAhead'
import { aheadOn, doneOn, factsOf } from '@/core/piece/facts'
import { lanesOf } from '@/core/piece/lanes'
import { careFits, careKinds, careSteps } from '@/core/plan/care'
import { shelfOf, unitPricesOf } from '@/core/stock/product'
import { listRecipes } from '@/db/recipe'
import { Link } from '@/ui/frame/Link'
import { NotYours } from '@/ui/frame/NotYours'
import { CareChoice } from '@/ui/plan/CareChoice'
import { PlanForm } from '@/ui/plan/PlanForm'

export const metadata = { title: 'Choose a finish' }

export default async function PlanDesk({ params }: { params: Promise<{ id: string; part: string }> }) {
  const [view, may, [{ products, lots }, recipes]] = await Promise.all([
    getPieceView(params),
    whatMay(),
    readStudio((client) => Promise.all([readShelf(client), listRecipes(client)])),
  ])
  if (!may('plan')) return <NotYours what="Choosing a finish" back={`/pieces/${view.journey.file.piece.id}`} to="To the piece" />
  const { studio, journey } = view
  const wanted = (await params).part
  const current = journey.parts.find(({ part }) => part.id === wanted)
  if (!current) notFound()
  const { plan, earlier: _, ...part } = current.part
  const done = doneOn(current)
  const ahead = aheadOn(current)
  const { piece } = journey.file
  const facts = factsOf(current.part)
  const others = lanesOf(journey)
    .filter(({ part: { id } }) => id !== wanted)
    .map((each) => ({ id: each.part.id, kind: each.part.kind, steps: aheadOn(each), ...aroundPaint(each) }))
    .filter(({ steps }) => steps.length > 0)
  const unplanned = journey.parts
    .filter((each) => each.part.id !== wanted && each.part.plan === null && each.done.length === 0)
    .map((each) => ({ id: each.part.id, name: each.part.name, facts: factsOf(each.part) }))
  return (
    <div className="pt-6">
      <p className="text-lg">
        <Link href={`/pieces/${piece.id}`}>{piece.name}</Link>
      </p>
      <h1 className="title text-4xl sm:text-5xl">{part.name}: how shall it look?</h1>
      <p className="mb-4 mt-1 text-soft sm:mb-6 sm:text-lg">
        {getSubstrate(part.substrate).words}, {getExistingFinish(part.existing).words}, {uses[part.use]},{' '}
        {formatArea(areaOfPart(part), studio)}.{' '}
        <Link href={`/pieces/${piece.id}/find/${part.id}`} className="whitespace-nowrap">
          Find out what is on it
        </Link>
      </p>
      <CareChoice
        pieceId={piece.id}
        partId={part.id}
        choices={careKinds
          .filter((care) => careFits(care, facts))
          .map((care) => ({
            care,
            minutes: careSteps(facts, care, studio.method, done).reduce((sum, { minutes }) => sum + minutes, 0),
          }))}
        now={plan?.care && plan.care !== 'job' ? plan.care : null}
      />
      <PlanForm
        part={{
          ...part,
          pieceId: piece.id,
          done,
          ahead,
          others,
          unplanned,
          before: plan?.care ? null : plan,
          method: studio.method,
        }}
        recipes={recipes}
        means={{
          shelf: shelfOf(products, lots),
          hours: studio.hours,
          hourRate: studio.hourRate,
          unitPrice: unitPricesOf(products),
        }}
        tins={products.flatMap(({ family, colourName, colourHex }) =>
          colourName && colourHex ? [{ family, name: colourName, hex: colourHex }] : [],
        )}
      />
    </div>
  )
}
