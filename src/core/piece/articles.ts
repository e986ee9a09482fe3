/**
 * Common articles to start a description from: what they measure, how many of what they have, and the parts, faces and counts that
 * follow. Lengths in mm. Source: practice, middling sizes; every figure is there to be corrected at the tape.
 */
import type { Counted } from '@/core/craft/job'
import type { PartKind, UseCode } from '@/core/craft/parts'
import type { MeasuredFace } from '@/core/measure/surfaceArea'

export interface PartTemplate {
  name: string
  kind: PartKind
  count: number
  /** where it will live, where that is another than the house's usual */
  use?: UseCode
  surfaces: readonly MeasuredFace[]
}
/** What is asked of an article beside its size. */
export const asks = ['alike', 'drawers', 'doors', 'shelves'] as const
export type Ask = (typeof asks)[number]
export interface Size {
  width: number
  depth: number
  height: number
}
export interface ArticleFacts extends Size {
  of: Readonly<Partial<Record<Ask, number>>>
}
/** A front view, in mm from the floor's left: boxes to be drawn. */
export interface FrontBox {
  is: 'body' | 'drawer' | 'door' | 'leg' | 'top' | 'shelf' | 'pane'
  x: number
  y: number
  width: number
  height: number
}
interface Article {
  words: string
  size: Size
  of: Readonly<Partial<Record<Ask, number>>>
  parts: (facts: ArticleFacts) => PartTemplate[]
  counted: (facts: ArticleFacts) => Counted
  front: (facts: ArticleFacts) => FrontBox[]
}

const panel = (width: number, height: number, count = 1, relief: MeasuredFace['relief'] = 'flat'): MeasuredFace => ({
  shape: 'panel',
  relief,
  count,
  width: Math.round(Math.max(1, width)),
  height: Math.round(Math.max(1, height)),
})
const squareLegs = (width: number, length: number, count = 4): MeasuredFace => ({
  shape: 'squareLeg',
  relief: 'flat',
  count,
  width,
  length: Math.round(Math.max(1, length)),
})
const taperedLegs = (length: number, count = 4): MeasuredFace => ({
  shape: 'taperedLeg',
  relief: 'flat',
  count,
  top: 45,
  foot: 28,
  length: Math.round(Math.max(1, length)),
})

const board = 22
const foot = 90
/** A carcass without its top: sides out and in at the edges, rails between what it holds, its feet. */
const carcass = ({ width, depth, height }: Size, rails: number): PartTemplate => ({
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
const top = ({ width, depth }: Size, use?: UseCode): PartTemplate => ({
  name: 'Top',
  kind: 'top',
  count: 1,
  ...(use && { use }),
  surfaces: [panel(width, depth), panel(2 * (width + depth), 24)],
})
/** Fronts with the edges that show when they stand open. */
const drawerFronts = (width: number, height: number, count: number): PartTemplate[] =>
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
const doors = (width: number, height: number, count: number): PartTemplate[] =>
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
const fittingsOf = ({ of, width }: ArticleFacts): number => (of.drawers ?? 0) * (width > 550 ? 2 : 1) + (of.doors ?? 0) * 3
const box = (is: FrontBox['is'], x: number, y: number, width: number, height: number): FrontBox => ({ is, x, y, width, height })
const legPair = (width: number, height: number, thick = 45): FrontBox[] => [
  box('leg', 0, 0, thick, height),
  box('leg', width - thick, 0, thick, height),
]
/** Drawers one over the other between two heights. */
const stack = (is: 'drawer' | 'shelf', width: number, from: number, to: number, count: number): FrontBox[] =>
  Array.from({ length: count }, (_, k) => {
    const each = (to - from) / count
    return box(is, 24, from + k * each + 6, width - 48, each - 12)
  })
const leaves = (is: 'door' | 'pane', width: number, from: number, to: number, count: number): FrontBox[] =>
  Array.from({ length: count }, (_, k) => {
    const each = (width - 40) / count
    return box(is, 20 + k * each + 5, from + 8, each - 10, to - from - 16)
  })
const cased = (facts: ArticleFacts): FrontBox[] => [
  ...legPair(facts.width, foot, 70),
  box('body', 0, foot, facts.width, facts.height - foot - 24),
  box('top', -10, facts.height - 24, facts.width + 20, 24),
]
const chestCount = (facts: ArticleFacts): Counted => ({
  fittings: fittingsOf(facts),
  drawers: facts.of.drawers ?? 0,
  feet: 4,
  holes: (facts.of.drawers ?? 0) > 2 ? 4 : 0,
  joints: 2,
})

export const articles = {
  chest: {
    words: 'Chest of drawers',
    size: { width: 950, depth: 480, height: 950 },
    of: { drawers: 4 },
    parts: (facts) => {
      const { drawers = 0 } = facts.of
      const each = (facts.height - foot - 60) / Math.max(1, drawers) - 8
      return [carcass(facts, drawers + 1), top(facts), ...drawerFronts(facts.width - 60, each, drawers)]
    },
    counted: chestCount,
    front: (facts) => [...cased(facts), ...stack('drawer', facts.width, foot + 20, facts.height - 40, facts.of.drawers ?? 0)],
  },
  bedside: {
    words: 'Bedside cabinet',
    size: { width: 420, depth: 360, height: 620 },
    of: { drawers: 1, doors: 1 },
    parts: (facts) => {
      const { drawers = 0, doors: leafs = 0 } = facts.of
      const room = facts.height - foot - 50
      const drawer = leafs > 0 ? 130 : room / Math.max(1, drawers) - 8
      return [
        carcass(facts, drawers + 2),
        top(facts),
        ...drawerFronts(facts.width - 50, drawer, drawers),
        ...doors((facts.width - 50) / Math.max(1, leafs), room - drawers * 140, leafs),
      ]
    },
    counted: (facts) => ({ fittings: fittingsOf(facts), drawers: facts.of.drawers ?? 0, feet: 4 }),
    front: (facts) => {
      const { drawers = 0, doors: leafs = 0 } = facts.of
      const split = leafs > 0 ? facts.height - 40 - drawers * 150 : foot + 16
      return [
        ...cased(facts),
        ...stack('drawer', facts.width, split, facts.height - 36, drawers),
        ...(leafs > 0 ? leaves('door', facts.width, foot + 16, split, leafs) : []),
      ]
    },
  },
  table: {
    words: 'Small table',
    size: { width: 600, depth: 450, height: 620 },
    of: { drawers: 0 },
    parts: (facts) => [
      top(facts, 'heavy'),
      {
        name: 'Base',
        kind: 'base',
        count: 1,
        surfaces: [
          panel(facts.width - 80, 110, 2),
          panel(facts.depth - 80, 110, 2),
          panel(facts.width - 80, 60, 2),
          taperedLegs(facts.height - 24),
        ],
      },
      ...drawerFronts(facts.width * 0.6, 90, facts.of.drawers ?? 0),
    ],
    counted: (facts) => ({ fittings: fittingsOf(facts), drawers: facts.of.drawers ?? 0, feet: 4, joints: 1 }),
    front: (facts) => [
      ...legPair(facts.width - 60, facts.height - 24).map((leg) => ({ ...leg, x: leg.x + 30 })),
      box('body', 30, facts.height - 134, facts.width - 60, 110),
      box('top', 0, facts.height - 24, facts.width, 24),
      ...stack('drawer', facts.width, facts.height - 126, facts.height - 34, Math.min(1, facts.of.drawers ?? 0)),
    ],
  },
  dining: {
    words: 'Dining table',
    size: { width: 1600, depth: 850, height: 760 },
    of: {},
    parts: (facts) => [
      top(facts, 'heavy'),
      {
        name: 'Base',
        kind: 'base',
        count: 1,
        surfaces: [panel(facts.width - 160, 110, 2), panel(facts.depth - 160, 110, 2), squareLegs(80, facts.height - 28)],
      },
    ],
    counted: () => ({ feet: 4, joints: 2 }),
    front: (facts) => [
      ...legPair(facts.width - 120, facts.height - 28, 80).map((leg) => ({ ...leg, x: leg.x + 60 })),
      box('body', 60, facts.height - 138, facts.width - 120, 110),
      box('top', 0, facts.height - 28, facts.width, 28),
    ],
  },
  chair: {
    words: 'Chair',
    size: { width: 440, depth: 430, height: 900 },
    of: { alike: 1 },
    parts: (facts) => [
      {
        name: (facts.of.alike ?? 1) > 1 ? 'Chairs' : 'Frame',
        kind: 'legs',
        count: facts.of.alike ?? 1,
        use: 'heavy',
        surfaces: [
          panel(facts.width, facts.depth),
          panel(60, facts.height - 450, 4),
          panel(facts.width - 80, 70, 4),
          taperedLegs(440),
          squareLegs(25, facts.width - 80, 4),
        ],
      },
    ],
    counted: (facts) => ({ feet: 4 * (facts.of.alike ?? 1), joints: facts.of.alike ?? 1 }),
    front: (facts) => [
      ...legPair(facts.width, facts.height, 36),
      box('top', -8, 440, facts.width + 16, 30),
      ...[0.62, 0.78, 0.94].map((at) => box('shelf', 30, facts.height * at - 30, facts.width - 60, 46)),
      box('leg', 30, 180, facts.width - 60, 22),
    ],
  },
  stool: {
    words: 'Stool or bench',
    size: { width: 380, depth: 320, height: 450 },
    of: { alike: 1 },
    parts: (facts) => [
      {
        name: (facts.of.alike ?? 1) > 1 ? 'Stools' : 'Stool',
        kind: 'seat',
        count: facts.of.alike ?? 1,
        use: 'heavy',
        surfaces: [panel(facts.width, facts.depth), taperedLegs(facts.height - 30), squareLegs(25, facts.width - 60, 4)],
      },
    ],
    counted: (facts) => ({ feet: 4 * (facts.of.alike ?? 1), joints: facts.of.alike ?? 1 }),
    front: (facts) => [
      ...legPair(facts.width - 40, facts.height - 30, 38).map((leg) => ({ ...leg, x: leg.x + 20 })),
      box('top', 0, facts.height - 30, facts.width, 30),
      box('leg', 40, facts.height * 0.4, facts.width - 80, 24),
    ],
  },
  cabinet: {
    words: 'Cabinet with doors',
    size: { width: 900, depth: 420, height: 1000 },
    of: { doors: 2, shelves: 1 },
    parts: (facts) => {
      const { doors: leafs = 0, shelves = 0 } = facts.of
      return [
        carcass(facts, 2),
        top(facts),
        ...doors((facts.width - 60) / Math.max(1, leafs), facts.height - foot - 70, leafs),
        ...shelfBoards(facts, shelves),
      ]
    },
    counted: (facts) => ({ fittings: fittingsOf(facts), feet: 4, joints: 1 }),
    front: (facts) => [...cased(facts), ...leaves('door', facts.width, foot + 16, facts.height - 36, facts.of.doors ?? 0)],
  },
  sideboard: {
    words: 'Sideboard',
    size: { width: 1500, depth: 460, height: 850 },
    of: { drawers: 3, doors: 2 },
    parts: (facts) => {
      const { drawers = 0, doors: leafs = 0 } = facts.of
      const bay = facts.width / (leafs + (drawers > 0 ? 1 : 0) || 1)
      return [
        carcass(facts, drawers + 2),
        top(facts),
        ...drawerFronts(bay - 40, (facts.height - foot - 70) / Math.max(1, drawers) - 8, drawers),
        ...doors(bay - 40, facts.height - foot - 70, leafs),
      ]
    },
    counted: (facts) => ({ ...chestCount(facts), holes: 4 }),
    front: (facts) => {
      const { drawers = 0, doors: leafs = 0 } = facts.of
      const bay = facts.width / (leafs + (drawers > 0 ? 1 : 0) || 1)
      const mid = Math.floor(leafs / 2) * bay
      return [
        ...cased(facts),
        ...stack('drawer', bay, foot + 16, facts.height - 36, drawers).map((each) => ({ ...each, x: each.x + mid })),
        ...Array.from({ length: leafs }, (_, k) => {
          const at = k < Math.floor(leafs / 2) || drawers === 0 ? k : k + 1
          return box('door', at * bay + 18, foot + 20, bay - 36, facts.height - foot - 64)
        }),
      ]
    },
  },
  bookcase: {
    words: 'Bookcase',
    size: { width: 900, depth: 300, height: 1600 },
    of: { shelves: 4 },
    parts: (facts) => [
      {
        name: 'Case',
        kind: 'carcass',
        count: 1,
        surfaces: [
          panel(facts.depth, facts.height, 4),
          panel(facts.width, facts.depth, 2),
          panel(facts.width, facts.height),
          panel(2 * (facts.width + facts.height), board),
        ],
      },
      ...shelfBoards(facts, facts.of.shelves ?? 0),
    ],
    counted: () => ({ feet: 4 }),
    front: (facts) => [
      box('body', 0, 0, facts.width, facts.height),
      ...stack('shelf', facts.width, 80, facts.height - 20, (facts.of.shelves ?? 0) + 1),
    ],
  },
  trunk: {
    words: 'Blanket box',
    size: { width: 1000, depth: 480, height: 500 },
    of: {},
    parts: (facts) => [
      {
        name: 'Box',
        kind: 'carcass',
        count: 1,
        surfaces: [
          panel(facts.width, facts.height - 30, 2),
          panel(facts.depth, facts.height - 30, 2),
          panel(2 * (facts.width + facts.depth), board),
        ],
      },
      { ...top(facts), name: 'Lid', surfaces: [panel(facts.width, facts.depth, 2), panel(2 * (facts.width + facts.depth), 24)] },
    ],
    counted: () => ({ fittings: 5, feet: 4 }),
    front: (facts) => [
      box('body', 0, 0, facts.width, facts.height - 40),
      box('top', -10, facts.height - 40, facts.width + 20, 40),
    ],
  },
  bed: {
    words: 'Bed',
    size: { width: 1000, depth: 2000, height: 1000 },
    of: {},
    parts: (facts) => [
      {
        name: 'Head and foot',
        kind: 'other',
        count: 1,
        surfaces: [
          panel(facts.width, facts.height * 0.6, 2, 'framed'),
          panel(facts.width, facts.height * 0.4, 2, 'framed'),
          squareLegs(60, facts.height),
        ],
      },
      { name: 'Rails', kind: 'other', count: 2, surfaces: [panel(facts.depth, 150, 2)] },
    ],
    counted: () => ({ fittings: 8, feet: 4 }),
    front: (facts) => [
      ...legPair(facts.width, facts.height, 60),
      box('body', 50, facts.height * 0.38, facts.width - 100, facts.height * 0.56),
      box('shelf', 50, 200, facts.width - 100, 150),
    ],
  },
  frame: {
    words: 'Frame or mirror',
    size: { width: 700, depth: 30, height: 900 },
    of: {},
    parts: (facts) => [
      {
        name: 'Frame',
        kind: 'other',
        count: 1,
        surfaces: [
          panel(facts.width, 80, 2, 'moulded'),
          panel(facts.height, 80, 2, 'moulded'),
          panel(2 * (facts.width + facts.height), facts.depth),
        ],
      },
    ],
    counted: () => ({ panes: 1, fittings: 2 }),
    front: (facts) => [box('body', 0, 0, facts.width, facts.height), box('pane', 80, 80, facts.width - 160, facts.height - 160)],
  },
} as const satisfies Record<string, Article>
export type ArticleCode = keyof typeof articles
export const getArticle = (code: ArticleCode): Article => articles[code]

function shelfBoards({ width, depth }: Size, count: number): PartTemplate[] {
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
