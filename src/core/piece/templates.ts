/**
 * Common articles with the parts they usually have and middling measurements in mm, to start a description from. Source:
 * practice; every figure is there to be corrected at the tape.
 */
import type { Counted } from '@/core/craft/job'
import type { PartKind } from '@/core/craft/parts'
import type { MeasuredFace } from '@/core/measure/surfaceArea'

export interface PartTemplate {
  name: string
  kind: PartKind
  count: number
  surfaces: readonly MeasuredFace[]
}
const panel = (width: number, height: number, count = 1, relief: MeasuredFace['relief'] = 'flat'): MeasuredFace => ({
  shape: 'panel',
  relief,
  count,
  width,
  height,
})
const leg = (length: number, count = 4): MeasuredFace => ({
  shape: 'taperedLeg',
  relief: 'flat',
  count,
  top: 45,
  foot: 28,
  length,
})

export const templates = {
  chest: {
    words: 'Chest of drawers',
    counted: { fittings: 8, drawers: 4 },
    parts: [
      { name: 'Carcass', kind: 'carcass', count: 1, surfaces: [panel(900, 420), panel(420, 850, 2), panel(900, 60, 4)] },
      { name: 'Drawer fronts', kind: 'drawer-fronts', count: 4, surfaces: [panel(840, 180)] },
    ],
  },
  table: {
    words: 'Small table',
    counted: {},
    parts: [
      { name: 'Top', kind: 'top', count: 1, surfaces: [panel(600, 450)] },
      { name: 'Base', kind: 'base', count: 1, surfaces: [panel(520, 100, 2), panel(370, 100, 2), leg(600)] },
    ],
  },
  chair: {
    words: 'Chair',
    counted: {},
    parts: [{ name: 'Frame', kind: 'legs', count: 1, surfaces: [panel(400, 420), panel(60, 500, 4), leg(430)] }],
  },
  cabinet: {
    words: 'Cabinet with doors',
    counted: { fittings: 6 },
    parts: [
      { name: 'Carcass', kind: 'carcass', count: 1, surfaces: [panel(900, 400), panel(400, 1000, 2), panel(900, 60, 3)] },
      { name: 'Doors', kind: 'doors', count: 2, surfaces: [panel(430, 900, 2, 'framed')] },
    ],
  },
  frame: {
    words: 'Frame',
    counted: { panes: 1 },
    parts: [{ name: 'Frame', kind: 'other', count: 1, surfaces: [panel(900, 80, 2, 'moulded'), panel(700, 80, 2, 'moulded')] }],
  },
} as const satisfies Record<string, { words: string; counted: Counted; parts: readonly PartTemplate[] }>
export type TemplateCode = keyof typeof templates
