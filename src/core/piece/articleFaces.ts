/** The parts of an article with the faces that are painted, and what is counted on it. Lengths in mm; source: practice. Pure. */
import type { Counted } from '@/core/craft/job'
import type { UseCode } from '@/core/craft/parts'
import type { MeasuredFace } from '@/core/measure/surfaceArea'
import type { ArticleFacts, PartTemplate, Size } from './article'

export const panel = (width: number, height: number, count = 1, relief: MeasuredFace['relief'] = 'flat'): MeasuredFace => ({
  shape: 'panel',
  relief,
  count,
  width: Math.round(Math.max(1, width)),
  height: Math.round(Math.max(1, height)),
})
export const squareLegs = (width: number, length: number, count = 4): MeasuredFace => ({
  shape: 'squareLeg',
  relief: 'flat',
  count,
  width,
  length: Math.round(Math.max(1, length)),
})
export const taperedLegs = (length: number, count = 4): MeasuredFace => ({
  shape: 'taperedLeg',
  relief: 'flat',
  count,
  top: 45,
  foot: 28,
  length: Math.round(Math.max(1, length)),
})

export const board = 22
export const foot = 90
/** A carcass without its top: sides out and in at the edges, rails between what it holds, its feet. */
export const carcass = ({ width, depth, height }: Size, rails: number): PartTemplate => ({
  name: 'Carcass',
  kind: 'carcass',
  count: 1,
  surfaces: [
    panel(depth, height - foot, 2),
    panel(board, height - foot, 2),
    panel(width, 38, rails),
    panel(width + 2 * depth, foot),
    squareLegs(55, foot),
  ],
})
export const top = ({ width, depth }: Size, use?: UseCode): PartTemplate => ({
  name: 'Top',
  kind: 'top',
  count: 1,
  ...(use && { use }),
  surfaces: [panel(width, depth), panel(2 * (width + depth), 24)],
})
/** Fronts with the edges that show when they stand open. */
export const drawerFronts = (width: number, height: number, count: number): PartTemplate[] =>
  count > 0
    ? [
        {
          name: count === 1 ? 'Drawer front' : 'Drawer fronts',
          kind: 'drawer-fronts',
          count,
          surfaces: [panel(width, height), panel(2 * (width + height), 18), panel(2 * 350, 14)],
        },
      ]
    : []
export const doors = (width: number, height: number, count: number): PartTemplate[] =>
  count > 0
    ? [
        {
          name: count === 1 ? 'Door' : 'Doors',
          kind: 'doors',
          count,
          surfaces: [panel(width, height, 2, 'framed'), panel(2 * (width + height), 20)],
        },
      ]
    : []

/** Handles or knobs of drawers, a knob and two hinges of a door. */
export const fittingsOf = ({ of, width }: ArticleFacts): number => (of.drawers ?? 0) * (width > 550 ? 2 : 1) + (of.doors ?? 0) * 3
export const chestCount = (facts: ArticleFacts): Counted => ({
  fittings: fittingsOf(facts),
  drawers: facts.of.drawers ?? 0,
  feet: 4,
  holes: (facts.of.drawers ?? 0) > 2 ? 4 : 0,
  joints: 2,
})

export function shelfBoards({ width, depth }: Size, count: number): PartTemplate[] {
  return count > 0
    ? [
        {
          name: count === 1 ? 'Shelf' : 'Shelves',
          kind: 'shelves',
          count,
          surfaces: [panel(width - 50, depth - 40, 2), panel(width - 50, board)],
        },
      ]
    : []
}
