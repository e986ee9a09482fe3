/** What the piece's drawing shows, and what each part of it says when it is tapped. */
import { faceOf, mayShowOn, photosOf } from '@/core/bench/stepCard'
import { checkOf, likelyRemedies } from '@/core/craft/checks'
import { isLight } from '@/core/craft/colour'
import type { PartId } from '@/core/measure/named'
import type { Journey, PartJourney } from '@/core/piece/journey'
import { type PieceFront, pieceFront } from '@/core/piece/pieceFront'
import { sectionOf, seenTone } from '@/core/piece/section'
import { snagsOf } from '@/core/piece/snags'
import type { SnagOn } from '@/ui/bench/SnagForm'
import type { DrawnPart, DrawnSnag } from './PieceDrawing'

export interface DrawnPiece {
  front: PieceFront
  parts: Record<PartId, DrawnPart>
  snags: DrawnSnag[]
}
const inks = { dark: '#2a241d', pale: '#efe6cf' } as const

/** `on`: see {@link snagOnOf}, by part. */
export const drawnPiece = (journey: Journey, on: ReadonlyMap<PartId, SnagOn | null>): DrawnPiece => ({
  front: pieceFront(journey.file.parts),
  parts: Object.fromEntries(
    journey.parts.map((part) => {
      const { id, name } = part.part
      const tone = seenTone(sectionOf(part))
      return [id, { name, tone, ink: isLight(tone) ? inks.dark : inks.pale, on: on.get(id) ?? null }]
    }),
  ),
  snags: snagsOf(journey).flatMap(({ entry: { id, partId, spot }, steps, ahead }) =>
    partId === null ? [] : [{ id, partId, spot, isOver: steps > 0 && ahead === 0 }],
  ),
})

/** Where a snag of this part is written down; null where nothing was done that could be mended, or it has left. */
export function snagOnOf({ file, ending }: Journey, part: PartJourney): SnagOn | null {
  const { plan } = part.part
  const last = part.done.at(-1)
  if (ending || !plan || plan.care || !last) return null
  return {
    pieceId: file.piece.id,
    pieceName: file.piece.name,
    partId: part.part.id,
    partName: part.part.name,
    kind: part.part.kind,
    count: part.part.count,
    face: faceOf(part),
    likely: likelyRemedies(checkOf(last.step), last.step.operation),
    mayShow: mayShowOn(part),
    photos: photosOf(file, part.part.id),
    failed: null,
  }
}
