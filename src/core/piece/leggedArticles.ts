/** Articles on legs, and frames: middling sizes, lengths in mm. Source: practice. */
import type { Article } from './article'
import { drawerFronts, fittingsOf, panel, squareLegs, taperedLegs, top } from './articleFaces'
import { box, legPair, stack } from './articleFront'

export const leggedArticles = {
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
