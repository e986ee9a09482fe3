/** Articles with a carcass: middling sizes, lengths in mm. Source: practice. */
import type { Article } from './article'
import { board, carcass, chestCount, doors, drawerFronts, fittingsOf, foot, panel, shelfBoards, top } from './articleFaces'
import { box, cased, leaves, stack } from './articleFront'

export const casedArticles = {
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
} as const satisfies Record<string, Article>
