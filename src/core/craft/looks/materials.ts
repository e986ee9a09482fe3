/** Looks of one material alone: bare wood, cloth, leather. Source: the craft, section on looks. */
import { smoothing } from './lines'
import type { Look } from './look'

export const materialLooks = {
  whitewash: {
    words: 'Whitewash over the grain',
    tells: 'Thinned colour wiped back so that the wood speaks through.',
    slots: ['a'],
    slotWords: { a: 'Wash colour' },
    paints: ['chalk-style', 'chalk-mineral', 'latex', 'clay'],
    on: ['wood'],
    bareWood: true,
    abrades: true,
    seals: ['clear', 'hard', 'oil-wax', 'wax'],
    wear: 'grain',
    recipe: [
      {
        phase: 'base',
        operation: 'wash',
        times: 2,
        paint: 'a',
        mix: 'paint : water 1 : 1',
        applicator: 'wide brush and cloths',
        reason: 'wash-strength',
      },
    ],
  },
  'stained-wood': {
    words: 'Wood kept, stained and cleared',
    tells: 'Stripped, abraded, stained; the wood itself under clear.',
    slots: ['a'],
    slotWords: { a: 'Stain' },
    paints: ['stain'],
    on: ['wood'],
    bareWood: true,
    abrades: true,
    seals: ['clear', 'hard', 'oil-wax', 'oil', 'wax'],
    wear: 'grain',
    recipe: [
      {
        phase: 'base',
        operation: 'wash',
        times: 1,
        paint: 'a',
        applicator: 'cloth, with the grain',
        reason: 'wood-shows',
      },
    ],
  },
  'painted-fabric': {
    words: 'Painted cloth',
    tells: 'Thin coats worked into the weave, waxed soft.',
    slots: ['a'],
    slotWords: { a: 'Colour' },
    paints: ['chalk-style', 'chalk-mineral', 'clay'],
    on: ['fabric'],
    seals: ['wax'],
    wear: 'none',
    recipe: [
      { phase: 'base', operation: 'mist-fabric', applicator: 'mister', reason: 'cloth-drinks' },
      {
        phase: 'base',
        operation: 'fabric-coat',
        times: 3,
        paint: 'a',
        mix: 'paint with 20 % water',
        applicator: 'synthetic brush',
        reason: 'cloth-drinks',
        between: [{ ...smoothing, grit: '400', reason: 'cloth-soft' }],
      },
      { phase: 'finish', operation: 'smooth', grit: '400', reason: 'cloth-soft', optional: true },
    ],
  },
  'painted-leather': {
    words: 'Painted leather or vinyl',
    tells: 'First coat undiluted and thin, clear wax worked in.',
    slots: ['a'],
    slotWords: { a: 'Colour' },
    paints: ['chalk-style', 'chalk-mineral', 'clay'],
    on: ['leather'],
    seals: ['wax'],
    wear: 'none',
    recipe: [
      {
        phase: 'base',
        operation: 'coat',
        times: 'by-colour',
        paint: 'a',
        // thinner than its usual: it grips what the second covers
        firstFilm: 'thin',
        firstMix: 'undiluted',
        mix: 'as it comes, the brush misted',
        applicator: 'synthetic brush',
        reason: 'leather-grip',
      },
    ],
  },
} as const satisfies Record<string, Look>
